<script setup lang="ts">
import { ref } from 'vue'
import { singleLetters, setSingleLetters } from './keys'
const open = defineModel<boolean>({ required: true })
const on = ref(singleLetters())
const rows = [
  ['1 – 8', 'a decision of the bench'],
  ['+ −', 'people'],
  ['Z', 'undo'],
  ['Shift Z', 'redo'],
  ['G, then B P S T K C W', 'bench, prints, sessions, take-home, clinic, craft, workshops'],
  ['/', 'find in the craft book'],
  ['P', 'print: sheets of prints, take-home sheets, the craft book'],
  ['← →', 'nudge the chosen session by a quarter of an hour; with Shift an hour'],
  ['N A W Del', 'pictures: next finding, it is fine, white or bare, erase (asks)'],
  ['PgUp PgDn, arrows', 'prints: the sheet, the picture on it'],
  ['O X', 'prints: turn, lock'],
  ['?', 'this sheet'],
]
</script>
<template>
  <v-dialog v-model="open" max-width="520">
    <div class="sheet">
      <h2>Keys</h2>
      <dl>
        <template v-for="r in rows" :key="r[0]"
          ><dt class="code">{{ r[0] }}</dt>
          <dd>{{ r[1] }}</dd></template
        >
      </dl>
      <v-checkbox v-model="on" label="Single letters work (never while typing)" @update:model-value="setSingleLetters(!!on)" />
      <v-btn autofocus @click="open = false">Close</v-btn>
    </div>
  </v-dialog>
</template>
<style scoped>
.sheet {
  background: var(--stock);
  border: 1.5px solid var(--text);
  box-shadow: 6px 6px 0 0 var(--night);
  padding: 24px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 6px 18px;
  margin: 14px 0;
}
dd {
  margin: 0;
}
</style>
