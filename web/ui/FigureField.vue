<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref, useId } from 'vue'
import { readFigure, typedFigure } from '#core/figures'
import { recipesOf, sizeUnit, type House } from '#core/house'
import { houseFigure, setFigure } from '#core/plan'
import { figureName, sayMinutes } from '#core/phrases'
import { dateOf, inZone, sayShortDay, placeLocal } from '#core/time'
import type { Change } from '#core/workshop'
import { useDesk } from '../app/desk'
import SourceMark from './SourceMark.vue'

/** One figure of the house where it stands: what holds, what practice says, and a field to set one's own. */
/** `act` does the change where more is told of it than here. */
const props = defineProps<{ figureKey: string; house: House; act?: (changes: Change[], label: string, kind: string) => void }>()
const desk = useDesk()
const id = useId()
const open = ref(false)
const text = ref('')
const why = ref('')
const writing = computed(() => ({ length: sizeUnit(props.house), currency: props.house.currency }))
const figure = computed(() => houseFigure(props.house, props.figureKey))
const own = computed(() => props.house.figures?.[props.figureKey])
const name = computed(() => figureName(props.figureKey, recipesOf(props.house)))
const say = (f: Parameters<typeof typedFigure>[0]) => {
  if (f.unit === 'min') return sayMinutes(f.value)
  const { text, unit } = typedFigure(f, writing.value)
  return unit ? `${text} ${unit}` : text
}
const unit = computed(() => (figure.value ? typedFigure(figure.value.now, writing.value).unit : ''))
const read = computed(() => readFigure(text.value, props.figureKey, figure.value!.practice, writing.value))
const problem = computed(() => {
  const r = read.value
  if (r.ok) return ''
  if (r.why === 'not-a-number') return tr('That is no figure.')
  return r.why === 'less' ? tr('Not below {0}.', r.limit) : tr('Not above {0}.', r.limit)
})
function begin() {
  text.value = typedFigure(figure.value!.now, writing.value).text
  why.value = own.value?.why ?? ''
  open.value = true
}
function keep() {
  const r = read.value
  if (!r.ok) return
  const on = dateOf(inZone(desk.now, props.house.timeZone))
  const after = { value: r.value, by: desk.actor || 'this device', on, why: why.value.trim().slice(0, 160) }
  set(after, tr('{0} became {1}', name.value, say({ ...figure.value!.practice, value: r.value })))
}
const back = () => set(null, tr('{0} is as practice has it', name.value))
function set(after: Parameters<typeof setFigure>[2], label: string) {
  const changes = setFigure(props.house, props.figureKey, after)
  if (props.act) props.act(changes, label, 'figure')
  else desk.act({ kind: 'figure', label, subject: { kind: 'house', id: props.house.id }, changes })
  open.value = false
}
const told = computed(() =>
  own.value
    ? tr('set by {0}, {1}', own.value.by, sayShortDay(placeLocal({ date: own.value.on, time: '12:00' }, props.house.timeZone).at))
    : '',
)
</script>
<template>
  <div v-if="figure" class="figure">
    <div class="line">
      <span class="name">{{ name }}</span>
      <b>{{ say(figure.now) }}</b> <SourceMark :mark="figure.now.mark" />
      <button v-if="!open" type="button" class="plain change" :aria-label="$t('Change: {0}', name)" @click="begin">
        {{ $t('change') }}
      </button>
    </div>
    <p v-if="own" class="small two">
      {{ told }}<template v-if="own.why">: {{ own.why }}</template
      >; {{ figure.practice.mark === 'P' ? $t('practice') : $t('estimate') }}
      {{ say(figure.practice) }}
    </p>
    <form v-if="open" class="edit" @submit.prevent="keep">
      <label :for="id" class="label">{{ $t('Yours{0}', unit ? `, ${unit}` : '') }}</label>
      <input
        :id="id"
        v-model="text"
        class="field short"
        autofocus
        inputmode="decimal"
        :aria-invalid="!read.ok"
        :aria-describedby="`${id}-p`"
        @keydown.esc.stop="open = false"
      />
      <input
        v-model="why"
        class="field"
        maxlength="160"
        :aria-label="$t('Why, for whoever comes next')"
        :placeholder="$t('why (if you like)')"
      />
      <p :id="`${id}-p`" class="small" :class="{ stop: problem }" aria-live="polite">
        {{
          problem ||
          $t(
            '{0}: {1}. It counts in every workshop of this house.',
            figure.practice.mark === 'P' ? $t('Practice') : $t('Our estimate'),
            say(figure.practice),
          )
        }}
      </p>
      <div class="row">
        <v-btn type="submit" color="primary" variant="flat" :disabled="!read.ok">{{ $t('Keep it') }}</v-btn>
        <v-btn v-if="own" @click="back">{{ $t('As {0}', figure.practice.mark === 'P' ? $t('practice') : $t('estimated')) }}</v-btn>
        <v-btn @click="open = false">{{ $t('Leave it') }}</v-btn>
      </div>
    </form>
  </div>
</template>
<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px var(--s-2);
  white-space: normal;
}
.change {
  min-height: 26px;
  padding: 0 var(--s-1);
  color: var(--ink);
  font-weight: 700;
  text-decoration: underline;
}
.edit {
  display: grid;
  gap: var(--s-1);
  margin: var(--s-1) 0 var(--s-2);
  white-space: normal;
}
.short {
  max-width: 140px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-2);
}
p {
  margin: 0;
}
</style>
