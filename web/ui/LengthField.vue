<script setup lang="ts">
import { computed, ref, useId } from 'vue'
import { readLength, showLength, type LengthUnit } from '#core/units'
import type { TypedLength } from '#core/workshop'
import MeanwhileAsk from './MeanwhileAsk.vue'
import { useMeanwhile } from './steady'

/** A length, kept as typed; the other unit stands below. What cannot be read stays in the field, with the ways out as buttons. */
const props = defineProps<{ modelValue: TypedLength; label: string; unit: LengthUnit; zero?: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [TypedLength] }>()
const id = useId()
const text = ref(props.modelValue.text)
const measure = (t: string) =>
  props.zero && /^\s*0+([.,]0+)?\s*(in|mm|cm|")?\s*$/i.test(t)
    ? ({ ok: true, mm: 0, text: t.trim(), unit: props.unit } as const)
    : readLength(t, props.unit)
const read = computed(() => measure(text.value))
const field = ref<HTMLInputElement>()
/** Something was typed since the field was entered. */
let touched = false
const meanwhile = useMeanwhile(
  () => props.modelValue,
  () => touched && (document.activeElement === field.value || !read.value.ok),
  (v) => read.value.ok && read.value.mm === v.mm,
  () => {
    const now = read.value
    if (!(now.ok && now.mm === props.modelValue.mm)) text.value = props.modelValue.text
  },
)
const { theirs } = meanwhile
const other = computed(() => showLength(props.modelValue.mm, props.unit === 'in' ? 'mm' : 'in'))
const sent = () => {
  const r = measure(text.value)
  if (r.ok && (r.mm !== props.modelValue.mm || r.text !== props.modelValue.text))
    emit('update:modelValue', { mm: r.mm, text: /[a-z"″]/i.test(r.text) ? r.text : `${r.text} ${r.unit}` })
}
function typed(t: string) {
  text.value = t
  touched = true
  if (read.value.ok) meanwhile.typed(sent)
}
function take(t: string) {
  text.value = t
  meanwhile.mine(sent)
}
const left = () => {
  meanwhile.left()
  if (theirs.value === undefined) touched = false
}
const step = (by: number) => {
  const size = props.unit === 'in' ? 25.4 / 8 : 1
  take(showLength(Math.max(size, Math.round(props.modelValue.mm / size + by) * size), props.unit))
}
</script>
<template>
  <div>
    <span :id="id" class="label">{{ label }}</span>
    <div class="box" :class="{ bad: !read.ok }">
      <button type="button" class="plain" :aria-label="$t('{0}: smaller', label)" @click="step(-1)">−</button>
      <input
        ref="field"
        :value="text"
        :aria-labelledby="id"
        :aria-invalid="!read.ok"
        @input="typed(($event.target as HTMLInputElement).value)"
        @blur="left"
        @keydown.up.prevent="step(1)"
        @keydown.down.prevent="step(-1)"
      />
      <button type="button" class="plain" :aria-label="$t('{0}: larger', label)" @click="step(1)">+</button>
    </div>
    <MeanwhileAsk
      v-if="theirs !== undefined"
      :theirs="theirs.text"
      :mine="read.ok ? text : ''"
      @take="meanwhile.take()"
      @mine="meanwhile.mine(sent)"
    />
    <div v-if="read.ok" class="small two">{{ other }}</div>
    <div v-else role="alert" class="small stop">
      {{ read.what }} <button v-for="r in read.remedies" :key="r" type="button" class="plain way" @click="take(r)">{{ r }}</button>
    </div>
  </div>
</template>
<style scoped>
.box {
  display: grid;
  grid-template-columns: 44px minmax(0, 1fr) 44px;
  height: 46px;
  border: 1.5px solid var(--edge);
  border-radius: var(--r-ctl);
  overflow: hidden;
  background: var(--stock);
}
.bad {
  border-color: var(--stop);
}
button:not(.way) {
  display: grid;
  place-items: center;
  font: 800 var(--t-h3) var(--f-text);
  background: var(--board);
}
button:hover {
  background: var(--wash);
}
button:focus-visible,
input:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: -4px !important;
}
input {
  min-width: 0;
  width: 100%;
  text-align: center;
  padding: 0;
  font: 750 var(--t-lead) var(--f-head);
  border: 0;
  background: transparent;
  color: var(--text);
}
.way {
  text-decoration: underline;
  padding: var(--s-1) var(--s-1);
  color: var(--text);
}
</style>
