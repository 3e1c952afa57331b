<script setup lang="ts">
import { computed } from 'vue'
import { homeGroupName, seatOf, type Phrases } from '#core/phrases'
import type { Plan } from '#core/plan'
import { homeGroups, sheetKey, type TakeHomeSheet } from '#core/takehome'
import PieceToken from '../ui/PieceToken.vue'

/** Every sheet, by how far its piece is. */
const props = defineProps<{ plan: Plan; sheet: TakeHomeSheet; say: Phrases }>()
const emit = defineEmits<{ choose: [key: string] }>()
const several = computed(() => props.plan.designs.length > 1)
const who = (s: TakeHomeSheet) => s.name ?? seatOf(props.plan, s)
const groups = computed(() =>
  homeGroups.map((g) => ({ g, sheets: props.plan.takeHome.filter((s) => s.group === g) })).filter((x) => x.sheets.length),
)
</script>
<template>
  <nav class="who" :aria-label="$t('Sheets')">
    <h2>{{ $t('Take-home') }}</h2>
    <p class="two small">{{ $t('{0} sheets, by how far the piece is', plan.takeHome.length) }}</p>
    <section v-for="x in groups" :key="x.g">
      <h3>
        {{ homeGroupName(x.g) }} <span>{{ x.sheets.length }}</span>
      </h3>
      <ul>
        <li v-for="s in x.sheets" :key="sheetKey(s)">
          <button
            type="button"
            class="plain person"
            :class="{ on: s === sheet }"
            :aria-current="s === sheet"
            @click="emit('choose', sheetKey(s))"
          >
            <PieceToken :state="s.state" :size="26" /><b
              >{{ who(s) }}<template v-if="several || s.number > 1">, {{ s.piece }}{{ s.number > 1 ? ` ${s.number}` : '' }}</template></b
            ><small v-if="s.ready">{{ $t('from {0}', say.at(s.ready.tellAt)) }}</small>
          </button>
        </li>
      </ul>
    </section>
  </nav>
</template>
<style scoped>
.who {
  padding: var(--s-3) 0 var(--s-page) var(--s-page);
}
.who section {
  border-top: 2px solid var(--text);
  margin: var(--s-2) var(--s-page) 0 0;
  padding-top: var(--s-1);
}
.who h3 span {
  float: inline-end;
}
ul {
  list-style: none;
  padding: 0;
  margin: var(--s-1) -20px 0 -8px;
}
.person {
  display: flex;
  align-items: center;
  gap: var(--s-2);
  width: 100%;
  min-height: 44px;
  padding: var(--s-1) var(--s-5) var(--s-1) var(--s-2);
}
.person b {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.person small {
  margin-inline-start: auto;
  white-space: nowrap;
}
.person:hover {
  background: var(--wash);
}
.on {
  background: var(--ink) !important;
  color: var(--on-ink);
  clip-path: polygon(0 0, calc(100% - 11px) 0, 100% 50%, calc(100% - 11px) 100%, 0 100%);
}
.person:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: -3px;
}
</style>
