<script setup lang="ts">
import { computed } from 'vue'
import { tableName } from '#core/workshop'
import { ageName } from '#core/phrases'
import BecauseFigure from '../../ui/BecauseFigure.vue'
import StationPlaces from './StationPlaces.vue'
import type { Bench } from '../useBench'

const props = defineProps<{ bench: Bench }>()
const plan = computed(() => props.bench.plan.value!)
const say = computed(() => props.bench.say.value!)
const people = computed(() => [...props.bench.workshop.value!.group.participants].sort((a, b) => a.seat - b.seat))
const tables = computed(() => {
  let from = 0
  return plan.value.seating.map((n, i) => ({ name: tableName(i), seats: people.value.slice(from, (from += n)) }))
})
</script>
<template>
  <div>
    <h1>{{ $t('Room') }}</h1>
    <div class="facts">
      <div>
        <span class="two small">{{ $t('Tables') }}</span><br /><BecauseFigure
          :figure="plan.figures['tables']!"
          :say="say"
          :name="$t('Tables')"
          :change="bench.change('tables')"
        />
      </div>
      <div v-if="plan.adults.matters">
        <span class="two small">{{ $t('Adults needed') }}</span><br /><BecauseFigure
          :figure="plan.figures['adults']!"
          :say="say"
          :name="$t('Adults needed')"
          :change="bench.change('adults')"
        />
        <span class="two small">{{ $t('{0} coming', plan.adults.coming) }}</span>
      </div>
      <div v-if="plan.shelf">
        <span class="two small">{{ $t('Places on the shelf') }}</span><br /><BecauseFigure
          :figure="plan.figures['shelf']!"
          :say="say"
          :name="$t('Places on the shelf')"
          :change="bench.change('shelf')"
        />
        <span class="two small">{{ $t('of {0}', plan.shelf.capacity) }}</span>
      </div>
    </div>
    <StationPlaces :bench="bench" />
    <v-btn v-if="plan.loads.length" :to="`/w/${bench.workshop.value!.id}/room`">{{ $t('Minute by minute') }}</v-btn>
    <p class="small two">{{ $t('Who sits where: names are set in Group. Bigger heads are older.') }}</p>
    <ul class="room">
      <li v-for="t in tables" :key="t.name" class="table">
        <span class="letter">{{ t.name }}</span>
        <ol>
          <li v-for="p in t.seats" :key="p.id">
            <i class="head" :class="`a${p.age}`" :title="ageName(p.age)" /><span>{{ p.name ?? '–' }}</span
            ><span class="sr">, {{ ageName(p.age) }}</span>
          </li>
        </ol>
      </li>
    </ul>
    <p v-if="!tables.length" class="empty two">{{ $t('Nobody to seat yet.') }}</p>
  </div>
</template>
<style scoped>
.facts {
  display: flex;
  gap: var(--s-6);
  margin: var(--s-3) 0;
}
.room {
  list-style: none;
  padding: var(--s-3);
  border: 3px solid var(--text);
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: var(--s-3);
}
.table {
  border: 2px solid var(--text);
  border-radius: 4px;
  display: flex;
  gap: var(--s-2);
  padding: var(--s-2);
}
.letter {
  font: 780 var(--t-h3) var(--f-head);
  align-self: center;
}
ol {
  list-style: none;
  padding: 0;
  margin: 0;
  flex: 1;
  min-width: 0;
}
ol li {
  display: flex;
  align-items: center;
  gap: var(--s-2);
  font-weight: 600;
}
ol span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.head {
  flex: none;
  border-radius: 50%;
  background: var(--text);
  border: 2px solid var(--board);
  width: 18px;
  height: 18px;
}
.aunder-8 {
  width: 10px;
  height: 10px;
  margin: 0 var(--s-1);
}
.a8-12 {
  width: 13px;
  height: 13px;
  margin: 0 var(--s-1);
}
.a13-17 {
  width: 16px;
  height: 16px;
  margin: 0 1px;
}
.empty {
  border: 1.5px dashed var(--edge);
  padding: var(--s-page);
}
</style>
