<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import { outcomes, piecesHere, type DayState, type Outcome, type PieceDay } from '#core/day'
import { stateWord } from '#core/phrases'
import PieceToken from '../ui/PieceToken.vue'
import { nextPlace } from './dayWords'
import DayTold from './DayTold.vue'

/** The end of a class: how each piece came out and where it goes (mark, then tap; the rest in one press), clean-up, what ran out, what took longer,
 *  one line; the sheets; one press ends it. */
const props = defineProps<{
  state: DayState
  names: ReadonlyMap<string, string>
  sheets: string
  undone: readonly string[]
  materials: readonly { id: string; name: string }[]
  stages: readonly { id: string; name: string }[]
}>()
const emit = defineEmits<{
  outcome: [pieces: string[], how: Outcome]
  home: [pieces: string[]]
  shelf: [piece: string, place: string]
  check: [what: string, on: boolean]
  told: [kind: 'ran-out' | 'longer', id: string]
  takeBack: [event: string]
  note: [text: string]
  end: []
  back: []
}>()
type Where = 'home' | 'shelf'
const mark = ref<Outcome | Where>('good')
const place = ref('1')
const text = ref('')
const words = computed((): Record<Outcome | Where, string> => ({
  good: tr('good'),
  hazy: tr('hazy'),
  bald: tr('bald'),
  torn: tr('torn'),
  redone: tr('redone'),
  home: tr('goes home'),
  shelf: tr('to the shelf'),
}))
const here = computed(() => piecesHere(props.state))
const ids = (list: readonly PieceDay[]) => list.map((p) => p.id)
const open = computed(() => ids(here.value.filter((p) => p.outcome === null)))
const indoors = computed(() => ids(here.value.filter((p) => !p.home && p.place === null)))
function tapped(p: PieceDay) {
  if (mark.value === 'home') return emit('home', [p.id])
  if (mark.value !== 'shelf') return emit('outcome', [p.id], mark.value)
  if (!place.value.trim()) return
  emit('shelf', p.id, place.value.trim())
  // The next piece lies beside it.
  place.value = nextPlace(place.value.trim())
}
const said = (p: PieceDay) =>
  [p.outcome ? words.value[p.outcome] : stateWord(p.state), p.home ? words.value.home : p.place !== null ? tr('shelf {0}', p.place) : '']
    .filter(Boolean)
    .join(', ')
function note() {
  if (text.value.trim()) emit('note', text.value.trim())
  text.value = ''
}
</script>
<template>
  <section class="two-parts">
    <div>
      <h2>{{ $t('How did they come out?') }}</h2>
      <div class="marks" role="radiogroup" :aria-label="$t('How did they come out?')">
        <button
          v-for="o in [...outcomes, 'home', 'shelf'] as const"
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
        <label v-if="mark === 'shelf'" class="place"
          ><span class="label">{{ $t('Place') }}</span
          ><input v-model="place" class="field" maxlength="20"
        /></label>
      </div>
      <div class="marks">
        <v-btn class="big" :disabled="!open.length" @click="emit('outcome', open, 'good')">{{ $t('The rest is good') }}</v-btn>
        <v-btn class="big" :disabled="!indoors.length" @click="emit('home', indoors)">{{ $t('The rest goes home') }}</v-btn>
      </div>
      <ul class="bare cards">
        <li v-for="p in here" :key="p.id">
          <button type="button" class="plain card token" :class="{ here: p.outcome }" @click="tapped(p)">
            <PieceToken :state="p.state" :size="34" />
            <span
              ><b>{{ names.get(p.person) ?? $t('Guest') }}</b
              ><small>{{ said(p) }}</small></span
            >
          </button>
        </li>
      </ul>
      <DayTold
        :title="$t('What ran out?')"
        :choices="materials"
        :told="state.ranOut.map((x) => ({ id: x.material, event: x.event }))"
        @tell="emit('told', 'ran-out', $event)"
        @take-back="emit('takeBack', $event)"
      />
      <DayTold
        :title="$t('What took longer?')"
        :choices="stages"
        :told="state.longer.map((x) => ({ id: x.stage, event: x.event }))"
        @tell="emit('told', 'longer', $event)"
        @take-back="emit('takeBack', $event)"
      />
    </div>
    <div class="side">
      <h2>{{ $t('Before all go') }}</h2>
      <v-btn v-if="sheets" class="big" :href="sheets" target="_blank">{{ $t('Print all sheets') }}</v-btn>
      <p v-else class="watch">{{ $t('Sheets are printed by the server: when the net is back.') }}</p>
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
        <p>{{ undone.join(', ') }}</p>
      </div>
      <slot />
      <div class="marks">
        <v-btn class="big" @click="emit('back')">{{ $t('Back to the room') }}</v-btn>
        <v-btn color="primary" variant="flat" class="big" @click="emit('end')">{{ $t('End the class') }}</v-btn>
      </div>
    </div>
  </section>
</template>
<style scoped src="./ends.css"></style>
