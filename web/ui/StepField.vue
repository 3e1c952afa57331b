<script setup lang="ts">
import { t as tr } from '#core/language'
import { ref, useId, watch } from 'vue'
import MeanwhileAsk from './MeanwhileAsk.vue'
import { useMeanwhile } from './steady'

/** A number by minus, plus, or typing. What is typed and cannot be stays in the field, with what is wrong under it. */
const props = withDefaults(
  defineProps<{
    modelValue: number
    label: string
    min?: number
    max: number
    strong?: boolean
    suffix?: string
    note?: string
    /** Nobody has said yet: the field is empty, and the first step takes the value as it is. */
    unknown?: boolean
  }>(),
  { min: 0 },
)
const emit = defineEmits<{ 'update:modelValue': [number] }>()
const id = useId()
const shown = () => (props.unknown ? '' : String(props.modelValue))
const text = ref(shown())
const wrong = ref('')
const field = ref<HTMLInputElement>()
const show = () => {
  text.value = shown()
  wrong.value = ''
}
const meanwhile = useMeanwhile(
  () => props.modelValue,
  () => touched && (document.activeElement === field.value || wrong.value !== ''),
  (n) => Number(text.value) === n,
  show,
)
const { theirs } = meanwhile
/** Something was typed since the field was entered. */
let touched = false
watch(() => props.unknown, show)

function typed(raw: string) {
  text.value = raw
  touched = true
  if (raw.trim() === '') {
    wrong.value = ''
    return
  }
  const n = /^\d{1,6}$/.test(raw.trim()) ? Number(raw) : NaN
  wrong.value = Number.isNaN(n)
    ? tr('A whole number, please.')
    : n < props.min
      ? tr('{0} at the least.', props.min)
      : n > props.max
        ? tr('{0} at the most.', props.max)
        : ''
  if (!wrong.value && (theirs.value !== undefined || props.unknown || n !== props.modelValue))
    meanwhile.typed(() => emit('update:modelValue', n))
}
const left = () => {
  meanwhile.left()
  if (theirs.value !== undefined || wrong.value) return
  touched = false
  show()
}
const step = (by: number) => {
  const n = Math.min(props.max, Math.max(props.min, props.modelValue + (props.unknown ? 0 : by)))
  if (props.unknown || n !== props.modelValue) meanwhile.mine(() => emit('update:modelValue', n))
}
</script>
<template>
  <div class="step" :class="{ strong }">
    <span class="label" :id="id">{{ label }}</span>
    <div class="box" :class="{ bad: wrong }">
      <button type="button" class="plain" :aria-label="$t('{0}: one less', label)" :disabled="modelValue <= min" @click="step(-1)">
        −
      </button>
      <input
        ref="field"
        :value="text"
        inputmode="numeric"
        :placeholder="unknown ? '?' : undefined"
        :aria-labelledby="id"
        :aria-invalid="!!wrong"
        @input="typed(($event.target as HTMLInputElement).value)"
        @keydown.up.prevent="step(1)"
        @keydown.down.prevent="step(-1)"
        @blur="left"
      />
      <button type="button" class="plain" :aria-label="$t('{0}: one more', label)" :disabled="modelValue >= max" @click="step(1)">+</button>
    </div>
    <MeanwhileAsk
      v-if="theirs !== undefined"
      :theirs="String(theirs)"
      :mine="wrong ? '' : text"
      @take="meanwhile.take()"
      @mine="meanwhile.mine(() => emit('update:modelValue', Number(text)))"
    />
    <div class="small" :class="wrong ? 'stop' : 'two'" :role="wrong ? 'alert' : undefined">{{ wrong || note }}<slot /></div>
  </div>
</template>
<style scoped>
.box {
  display: grid;
  grid-template-columns: 44px 1fr 44px;
  height: 46px;
  border: 1.5px solid var(--edge);
  border-radius: var(--r-ctl);
  overflow: hidden;
  background: var(--stock);
  min-width: 130px;
}
.box button {
  display: grid;
  place-items: center;
  font: 800 var(--t-h3) var(--f-text);
  background: var(--board);
}
.box button:hover:not(:disabled) {
  background: var(--wash);
}
.box button:disabled {
  color: var(--text-2);
  cursor: default;
}
.box button:focus-visible,
input:focus-visible {
  outline-offset: -4px !important;
}
input {
  width: 100%;
  min-width: 0;
  text-align: center;
  font: 750 var(--t-h2) var(--f-head);
  color: var(--text);
  background: transparent;
  border: 0;
}
.strong .box {
  border-color: var(--ink);
}
.strong .box button {
  background: var(--ink);
  color: var(--on-ink);
}
.bad {
  border-color: var(--stop);
}
input::placeholder {
  color: var(--text-2);
  opacity: 1;
}
</style>
