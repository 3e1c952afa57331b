<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { awaited, type LateWay } from '#core/day'
import { clockOf } from '#core/house'
import { sayMinute } from '#core/time'
import SourceMark from '../ui/SourceMark.vue'
import type { Day } from './useDay'

/** Who is not here yet: by when they would have to begin, and what that comes to. */
const props = defineProps<{ day: Day }>()
const emit = defineEmits<{ here: [person: string] }>()
const room = computed(() => props.day.room.value!)
const late = computed(() => awaited(room.value, props.day.state.value!))
const clock = (at: string) => sayMinute(at, clockOf(props.day.house.value!))
const comes = (p: string) => room.value.people.find((x) => x.id === p)?.comesAt
const where = (p: (typeof late.value)[number]) =>
  comes(p.id) && p.presence === 'unknown' ? tr('from {0}', clock(comes(p.id)!)) : tr('table {0}', p.table)
const ways = computed(() => new Map(props.day.ways.value.late.map((w) => [w.person, w])))
function said(w: LateWay): string {
  if (w.noPiece) return tr('no piece that may be rubbed: a spare?')
  if (!w.by) return w.stage ? tr('too late for today') : ''
  const [done, begin] = [clock(w.by.doneAt), clock(w.by.beginAt)]
  if (!w.stopAfter) return tr('done by {0} if begun by {1}', done, begin)
  return tr('home after {0}, if begun by {1}', tr(w.stopAfter.name).toLowerCase(), begin)
}
</script>
<template>
  <section v-if="late.length">
    <h3>
      {{ $t('Not here') }} <span class="two small">{{ $t('{0} of {1}', late.length, day.state.value!.people.length) }}</span>
    </h3>
    <div v-for="p in late" :key="p.id" class="row">
      <p>
        <b>{{ day.names.value.get(p.id) }}</b>, {{ where(p) }}
        <span v-if="ways.get(p.id)" class="two way">{{ said(ways.get(p.id)!) }} <SourceMark v-if="ways.get(p.id)!.by" mark="E" /></span>
      </p>
      <v-btn class="tall" @click="emit('here', p.id)">{{ $t('Here') }}</v-btn>
    </div>
  </section>
</template>
<style scoped src="./side.css"></style>
