<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { inWorkshop, seated, swapSeats, type Participant } from '#core/workshop'
import { typing, vSteady } from '../../ui/steady'
import type { Bench } from '../useBench'

/** Who sits where, and who comes to which class. */
const props = defineProps<{ bench: Bench }>()
const w = computed(() => props.bench.workshop.value!)
const plan = computed(() => props.bench.plan.value!)
const people = computed(() => seated(w.value.group.participants))
const rename = (p: Participant, e: Event) => {
  const { now, before, taken } = typing(e)
  props.bench.set(inWorkshop.group.participants(p.id).name, now || null, tr('a name at seat {0}', p.seat), 'type-name', before || null)
  taken()
}
const misses = (p: Participant, session: string) => {
  const away = p.misses.includes(session)
  const label = tr('seat {0} {1} a class', p.seat, away ? tr('comes to') : tr('misses'))
  props.bench.set(inWorkshop.group.participants(p.id).misses(session), away ? null : session, label)
}
const kit = (p: Participant) =>
  props.bench.set(
    inWorkshop.group.participants(p.id).kit,
    p.kit ? null : true,
    p.kit ? tr('seat {0} comes to class', p.seat) : tr('seat {0} takes a kit to go', p.seat),
  )
const sessions = computed(() => (w.value.held === 'home' ? [] : plan.value.sessions))
const swap = (p: Participant, by: number) => {
  const at = people.value.indexOf(p)
  const other = people.value[at + by]
  if (!other) return
  const { changes, intent } = swapSeats(w.value, p.id, other.id)
  props.bench.act('swap-seats', tr('two seats swapped'), changes, [], intent)
}
</script>
<template>
  <ol class="seats">
    <li v-for="(p, i) in people" :key="p.id">
      <span class="seat code">{{ plan.seats[p.id] }}</span>
      <input
        class="bare-field"
        v-steady="p.name ?? ''"
        maxlength="80"
        :aria-label="$t('Name at seat {0}', plan.seats[p.id])"
        :placeholder="$t('no name')"
        @input="rename(p, $event)"
      />
      <button
        type="button"
        class="plain mini"
        :disabled="i === 0"
        :aria-label="$t('{0}: swap with the seat before', p.name ?? $t('seat'))"
        @click="swap(p, -1)"
      >
        ↑
      </button>
      <button
        v-for="s in p.kit ? [] : sessions"
        :key="s.id"
        type="button"
        class="plain mini session"
        :class="{ away: p.misses.includes(s.id) }"
        :aria-pressed="!p.misses.includes(s.id)"
        :aria-label="$t('{0} comes to class {1}', p.name ?? $t('Seat {0}', plan.seats[p.id]), s.number)"
        :title="p.misses.includes(s.id) ? $t('misses class {0}', s.number) : $t('comes to class {0}', s.number)"
        @click="misses(p, s.id)"
      >
        {{ s.number }}
      </button>
      <button
        v-if="w.held !== 'home'"
        type="button"
        class="plain mini kit"
        :class="{ takes: p.kit }"
        :aria-pressed="p.kit ?? false"
        :aria-label="$t('{0} takes a kit to go', p.name ?? $t('Seat {0}', plan.seats[p.id]))"
        :title="p.kit ? $t('takes a kit to go') : $t('comes to class')"
        @click="kit(p)"
      >
        {{ $t('kit') }}
      </button>
    </li>
  </ol>
</template>
<style scoped>
.seats {
  list-style: none;
  padding: 0;
  margin: 0;
  columns: 2;
  column-gap: var(--s-5);
}
li {
  display: flex;
  align-items: center;
  gap: var(--s-1);
  break-inside: avoid;
  border-bottom: 1px solid var(--rule);
}
.seat {
  width: 42px;
  color: var(--text-2);
}
input::placeholder {
  color: var(--text-2);
  font-weight: 400;
}
.mini {
  width: 32px;
  height: 32px;
  display: grid;
  place-items: center;
  font-weight: 700;
  border-radius: 2px;
}
.mini:disabled {
  visibility: hidden;
}
.session {
  background: var(--text);
  color: var(--stock);
}
.kit {
  border: 1.5px solid var(--rule);
  color: var(--text-2);
  font-size: var(--t-fine);
}
.takes {
  background: var(--ink);
  border-color: var(--ink);
  color: var(--on-ink);
}
.away {
  background: transparent;
  color: var(--watch);
  border: 1.5px dashed var(--watch);
}
@media (max-width: 760px) {
  .seats {
    columns: 1;
  }
}
</style>
