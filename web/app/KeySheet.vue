<script setup lang="ts">
import { t as tr } from '#core/language'
import { ref } from 'vue'
import { singleLetters, setSingleLetters } from './keys'
const open = defineModel<boolean>({ required: true })
const on = ref(singleLetters())
const rows = [
  ['1 – 8', tr('a decision of the bench')],
  ['+ −', 'people'],
  ['Z', 'undo'],
  ['Shift Z', 'redo'],
  [tr('G, then B P S M H T K C W'), tr('bench, prints, classes, room, rehearsal, take-home, clinic, craft, workshops')],
  ['/', tr('find in the craft book')],
  ['P', tr('print: sheets of prints, take-home sheets, the craft book')],
  ['← →', tr('nudge the chosen class by a quarter of an hour; with Shift an hour')],
  ['N A W Del', tr('pictures: next finding, it is fine, white or bare, erase (asks)')],
  ['PgUp PgDn, arrows', tr('prints: the sheet, the picture on it')],
  ['O X', tr('prints: turn, lock')],
  ['1 – 5', tr('room: takes a way out')],
  [tr('arrows, Enter'), tr('room: the stage, the table; opens it')],
  [tr('Shift ← →, P'), tr('room: pins the stage a minute sooner or later; takes the pin out')],
  ['?', tr('this sheet')],
]
</script>
<template>
  <v-dialog v-model="open" max-width="520">
    <div class="above">
      <h2>{{ $t('Keys') }}</h2>
      <dl>
        <template v-for="r in rows" :key="r[0]"
          ><dt class="code">{{ r[0] }}</dt>
          <dd>{{ r[1] }}</dd></template
        >
      </dl>
      <v-checkbox v-model="on" :label="$t('Single letters work (never while typing)')" @update:model-value="setSingleLetters(!!on)" />
      <v-btn autofocus @click="open = false">{{ $t('Close') }}</v-btn>
    </div>
  </v-dialog>
</template>
<style scoped>
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: var(--s-1) var(--s-4);
  margin: var(--s-3) 0;
}
dd {
  margin: 0;
}
</style>
