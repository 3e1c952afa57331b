<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { inZone, placeLocal, readInstant, sayShortDay } from '#core/time'
import type { Summary } from '#core/workshop'
import { useDesk } from '../app/desk'
import ProofStrip from './ProofStrip.vue'
import { stripScale } from './stripScale'

/** A strip of paper a workshop long, from its making to its last date; numbered squares are classes, solid once held. */
const props = defineProps<{ workshops: readonly Summary[] }>()
defineEmits<{ copy: [Summary]; archive: [Summary] }>()
const desk = useDesk()
const house = computed(() => desk.house(props.workshops[0]!.houseId)!)
const now = computed(() => inZone(desk.now, house.value.timeZone))
const scale = computed(() => stripScale(now.value, house.value.timeZone, house.value.weekStart))
/** Each strip by the clock of its own house: a day is where it is for those who are there. */
const scales = computed(
  () => new Map(desk.houseList.map((h) => [h.id, stripScale(inZone(desk.now, h.timeZone), h.timeZone, house.value.weekStart)])),
)
/** Drawn as they are scrolled to: so many at first, and more when the last is near. */
const many = 12
const shown = ref(many)
const near = computed(() => props.workshops.slice(0, shown.value))
watch(near, (list) => desk.want(list.map((w) => w.id)), { immediate: true })
const more = (isNear: boolean) => isNear && shown.value < props.workshops.length && (shown.value += many)
const noon = (date: string) => placeLocal({ date, time: '12:00' }, house.value.timeZone).at
const dayName = (date: string) => sayShortDay(noon(date))
const isToday = (date: string) => date === readInstant(now.value).toPlainDate().toString()
</script>
<template>
  <div class="strips" role="list" :aria-label="$t('All workshops')">
    <div class="scale" aria-hidden="true">
      <div class="lane">
        <i class="week" :style="{ left: `${scale.week.from}%`, width: `${scale.week.to - scale.week.from}%` }" /><span
          v-for="t in scale.ticks"
          :key="t.date"
          class="tick"
          :style="{ left: `${t.at}%` }"
          >{{ dayName(t.date).slice(4) }}</span
        ><span
          v-for="d in scale.week.days"
          :key="d.date"
          class="tick day"
          :class="{ today: isToday(d.date) }"
          :style="{ left: `${d.at}%` }"
          :title="dayName(d.date)"
          >{{ readInstant(noon(d.date)).day }}</span
        >
      </div>
    </div>
    <ProofStrip
      v-for="w in near"
      :key="w.id"
      :workshop="w"
      :scale="scales.get(w.houseId)!"
      @copy="$emit('copy', $event)"
      @archive="$emit('archive', $event)"
    />
    <div v-if="shown < workshops.length" v-intersect="more" class="more two small">
      {{ $t('{0} more below', workshops.length - shown) }}
    </div>
  </div>
</template>
<style scoped src="./strips.css"></style>
<style scoped>
.scale {
  border-bottom: 2px solid var(--text);
}
.scale .lane {
  grid-column: 2;
  height: 24px;
}
.tick {
  position: absolute;
  font-size: var(--t-small);
  padding-inline-start: var(--s-1);
  border-inline-start: 1px solid var(--edge);
  white-space: nowrap;
}
.day {
  font-size: var(--t-label);
}
.today {
  font-weight: 800;
  border-inline-start: 3px solid var(--ink);
}
.more {
  padding: var(--s-3) 0;
}
</style>
