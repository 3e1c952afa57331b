<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { betweenClasses } from '#core/day'
import { clockOf } from '#core/house'
import { sayClock, sayShortDay } from '#core/time'
import type { Day } from './useDay'

/** What lies between classes: by when it is ready, who has no piece yet; to the air, the shelf and the catch-ups. */
const props = defineProps<{ day: Day }>()
const workshop = computed(() => props.day.workshop.value!)
const house = computed(() => props.day.house.value!)
const states = computed(() => new Map(props.day.state.value!.pieces.map((p) => [p.id, p.state])))
const between = computed(() => betweenClasses(props.day.plan.value!, states.value, props.day.now.value))
const name = (p: string) => props.day.names.value.get(p) ?? tr('Guest')
const at = (x: string) => `${sayShortDay(x)} ${sayClock(x, clockOf(house.value))}`
/** A few by name, many by their number. */
const who = (people: readonly string[]) => (people.length <= 4 ? people.map(name).join(', ') : tr('{0} pieces', people.length))
</script>
<template>
  <section v-if="between.lying.length || between.unlaid.length" class="between">
    <h2>{{ $t('On the shelf') }}</h2>
    <ul class="bare">
      <li v-for="g in between.lying" :key="g.tellAt + g.neverBefore">
        <b>{{ who(g.people) }}</b>
        <span :class="{ ok: g.ready }">{{ g.ready ? $t('ready') : $t('ready {0}', at(g.tellAt)) }}</span>
        <small v-if="!g.ready" class="two">{{ $t('never before {0}', at(g.neverBefore)) }}</small>
      </li>
      <li v-if="between.unlaid.length">
        <b>{{ who(between.unlaid) }}</b> <span class="watch">{{ $t('not laid yet') }}</span>
      </li>
    </ul>
    <p class="links">
      <RouterLink :to="`/w/${workshop.id}/sessions`">{{ $t('Air and catch-ups') }}</RouterLink>
      <RouterLink :to="`/house/${house.id}/ahead`">{{ $t('Whole shelf') }}</RouterLink>
    </p>
  </section>
</template>
<style scoped>
.between {
  padding-top: var(--s-4);
  display: grid;
  gap: var(--s-1);
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-1) var(--s-3);
  align-items: baseline;
  padding: var(--s-1) 0;
  border-bottom: 1px solid var(--rule);
}
li span {
  margin-inline-start: auto;
}
small {
  flex-basis: 100%;
}
.watch {
  color: var(--watch);
}
.links {
  display: flex;
  gap: var(--s-4);
}
.links a {
  min-height: 44px;
  display: grid;
  align-items: center;
}
</style>
