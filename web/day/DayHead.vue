<script setup lang="ts">
import { mdiCheck, mdiCloudOffOutline, mdiUndo, mdiVolumeHigh } from '@mdi/js'
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { useTheme } from 'vuetify'

/** The head of the day: which class, the time, when it will be done, what is kept where, undo, dim, leave. */
const props = defineProps<{
  title: string
  about: string
  now: string
  waiting: number
  online: boolean
  full: boolean
  undo: boolean
  refused: readonly string[]
  sound: boolean
  /** Taps would go with the page. */
  stay: boolean
}>()
const emit = defineEmits<{ undo: []; leave: []; sound: [] }>()
const theme = useTheme()
function dim() {
  const on = document.documentElement.dataset['theme'] !== 'dark'
  theme.change(on ? 'proofDark' : 'proof')
  document.documentElement.dataset['theme'] = on ? 'dark' : 'light'
  localStorage.setItem('imprenta.dark', on ? '1' : '0')
}
const good = computed(() => props.online && !props.waiting && !props.full && !props.refused.length)
const kept = computed(() => {
  if (props.full) return tr('This tablet has no room: keep the page open.')
  if (props.refused.length > 0) return tr('{0} taps the server will not have', props.refused.length)
  if (props.waiting > 0)
    return props.online ? tr('{0} taps are on their way', props.waiting) : tr('{0} taps kept on this tablet, no net', props.waiting)
  return props.online ? tr('Saved here and on the server') : tr('Saved on this tablet, no net')
})
</script>
<template>
  <header class="head">
    <div class="which">
      <h1>{{ title }}</h1>
      <p class="two small">{{ about }}</p>
    </div>
    <b class="clock">{{ now }}</b>
    <p class="done"><slot /></p>
    <output class="kept" :class="{ ok: good, watch: !online || full || refused.length }"
      ><v-icon :icon="online ? mdiCheck : mdiCloudOffOutline" size="20" /> {{ kept }}</output
    >
    <details v-if="refused.length" class="small">
      <summary>{{ $t('Kept on this tablet. Why?') }}</summary>
      <p v-for="(r, i) in refused" :key="i">{{ r }}</p>
    </details>
    <v-btn class="tall" :disabled="!undo" @click="emit('undo')"><v-icon :icon="mdiUndo" size="20" />&nbsp;{{ $t('Undo') }}</v-btn>
    <v-btn class="tall" :aria-pressed="sound" @click="emit('sound')" :class="{ set: sound }"
      ><v-icon :icon="mdiVolumeHigh" size="20" />&nbsp;{{ $t('Sound') }}</v-btn
    >
    <v-btn class="tall" @click="dim">{{ $t('Dim') }}</v-btn>
    <v-btn class="tall" :disabled="stay" @click="emit('leave')">{{ $t('Leave') }}</v-btn>
  </header>
</template>
<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-2) var(--s-3);
  align-items: center;
}
.which {
  min-width: 0;
  max-width: 240px;
}
h1 {
  font-size: var(--t-h3);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.clock {
  font: 800 var(--t-poster) / 1 var(--f-head);
}
.done {
  line-height: 1.15;
}
.kept {
  margin-inline-start: auto;
  max-width: 190px;
  display: flex;
  gap: var(--s-1);
  align-items: center;
  font-weight: 600;
  line-height: 1.15;
}
.tall {
  height: 52px !important;
  padding-inline: var(--s-3) !important;
}
.set {
  background: var(--wash);
}
.ok {
  color: var(--ok);
}
.watch {
  color: var(--watch);
}
</style>
