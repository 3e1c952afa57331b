<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import { outcomes, piecesHere, type DayState, type Outcome } from '#core/day'
import { stateWord } from '#core/phrases'
import PieceToken from '../ui/PieceToken.vue'

/** The end of a class: how each piece came out (mark, then tap; the rest is good at once), clean-up, one line; the sheets; one press ends it. */
const props = defineProps<{ state: DayState; names: ReadonlyMap<string, string>; sheets: string; undone: readonly string[] }>()
const emit = defineEmits<{
  outcome: [pieces: string[], how: Outcome]
  check: [what: string, on: boolean]
  note: [text: string]
  end: []
  back: []
}>()
const mark = ref<Outcome>('good')
const text = ref('')
const words = computed((): Record<Outcome, string> => ({
  good: tr('good'),
  hazy: tr('hazy'),
  bald: tr('bald'),
  torn: tr('torn'),
  redone: tr('redone'),
}))
const here = computed(() => piecesHere(props.state))
const open = () => here.value.filter((p) => p.outcome === null)
function note() {
  if (text.value.trim()) emit('note', text.value.trim())
  text.value = ''
}
</script>
<template>
  <section class="end">
    <div>
      <h2>{{ $t('How did they come out?') }}</h2>
      <div class="marks" role="radiogroup" :aria-label="$t('How did they come out?')">
        <button
          v-for="o in outcomes"
          :key="o"
          type="button"
          class="plain mark"
          role="radio"
          :aria-checked="mark === o"
          :class="{ on: mark === o }"
          @click="mark = o"
        >
          {{ words[o] }}
        </button>
        <v-btn
          class="big"
          :disabled="!open().length"
          @click="
            emit(
              'outcome',
              open().map((p) => p.id),
              'good',
            )
          "
          >{{ $t('The rest is good') }}</v-btn
        >
      </div>
      <ul class="bare pieces">
        <li v-for="p in here" :key="p.id">
          <button type="button" class="plain piece" :class="{ marked: p.outcome }" @click="emit('outcome', [p.id], mark)">
            <PieceToken :state="p.state" :size="34" />
            <span
              ><b>{{ names.get(p.person) ?? $t('Guest') }}</b
              ><small>{{ p.outcome ? words[p.outcome] : stateWord(p.state) }}</small></span
            >
          </button>
        </li>
      </ul>
    </div>
    <div class="side">
      <h2>{{ $t('Before all go') }}</h2>
      <v-btn class="big" :href="sheets" target="_blank">{{ $t('Print all sheets') }}</v-btn>
      <v-checkbox
        v-for="c in ['clean-up', 'pulp', 'water']"
        :key="c"
        :label="
          {
            'clean-up': $t('Tables wiped, tools rinsed in the bucket'),
            pulp: $t('Pulp sieved into the bin, none down the sink'),
            water: $t('Floor dry'),
          }[c]
        "
        :model-value="state.checks[c] ?? false"
        @update:model-value="emit('check', c, !!$event)"
      />
      <form class="line" @submit.prevent="note">
        <label
          ><span class="label">{{ $t('One line for next time') }}</span
          ><input v-model="text" class="field" maxlength="500"
        /></label>
        <v-btn type="submit" class="big" :disabled="!text.trim()">{{ $t('Note it') }}</v-btn>
      </form>
      <ul class="bare small">
        <li v-for="n in state.notes" :key="n.event">{{ n.text }}</li>
      </ul>
      <div v-if="undone.length" class="watch">
        <b>{{ $t('Still undone') }}</b>
        <ul>
          <li v-for="u in undone" :key="u">{{ u }}</li>
        </ul>
      </div>
      <div class="go">
        <v-btn class="big" @click="emit('back')">{{ $t('Back to the room') }}</v-btn>
        <v-btn color="primary" variant="flat" class="big" @click="emit('end')">{{ $t('End the class') }}</v-btn>
      </div>
    </div>
  </section>
</template>
<style scoped>
.end {
  display: grid;
  grid-template-columns: 1.5fr 1fr;
  gap: var(--s-6);
  padding: var(--s-4) 0;
}
.marks,
.go {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-2);
  margin: var(--s-2) 0 var(--s-3);
}
.mark {
  min-height: 64px;
  min-width: 76px;
  display: grid;
  place-items: center;
  border: 2px solid var(--edge);
  border-radius: var(--r-ctl);
  background: var(--stock);
}
.mark.on {
  background: var(--ink);
  color: var(--on-ink);
  border-color: var(--ink);
}
.big {
  height: 64px !important;
}
.pieces {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: var(--s-2);
}
.piece {
  display: flex;
  gap: var(--s-2);
  align-items: center;
  width: 100%;
  min-height: 64px;
  border: 1.5px dashed var(--edge);
  border-radius: var(--r-ctl);
  padding: 0 var(--s-2);
}
.piece span {
  display: grid;
  min-width: 0;
}
.piece small {
  color: var(--text-2);
}
.piece.marked {
  border: 2px solid var(--ink);
  background: var(--wash);
}
.side {
  display: grid;
  gap: var(--s-2);
  align-content: start;
}
.line {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: var(--s-2);
  align-items: end;
}
.line .field {
  width: 100%;
  min-height: 64px;
}
.watch {
  color: var(--watch);
}
@media (max-width: 900px) {
  .end {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
