<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { choicesAt } from '#core/workshop'
import type { Bench } from '../useBench'

/** Which stage is done where: ahead, in a class, at home. */
const props = defineProps<{ bench: Bench }>()
const plan = computed(() => props.bench.plan.value!)
const own = computed(() => choicesAt(props.bench.workshop.value!, plan.value.design))
const places = computed(() => ['ahead', ...plan.value.sessions.map((s) => s.id), 'home'])
const placeName = (p: string) =>
  p === 'ahead' ? 'ahead' : p === 'home' ? tr('at home') : tr('class {0}', plan.value.sessions.find((s) => s.id === p)?.number)
const moveStage = (stage: string, to: string) => props.bench.set(own.value.split(stage), to, tr('{0} moved to {1}', stage, placeName(to)))
</script>
<template>
  <div>
    <div class="top">
      <h3>{{ $t('What is done where') }}</h3>
      <v-btn v-if="plan.splitChosen" @click="bench.set(own.split, {}, $t('the usual split came back'))">{{
        $t('Back to the usual split')
      }}</v-btn>
    </div>
    <table class="whole small">
      <tbody>
        <tr v-for="s in plan.stages" :key="s.id">
          <th>{{ $t(s.name) }}</th>
          <td>{{ $t('{0} min{1}', s.minutes.value, s.attended ? '' : $t(', nobody works')) }}</td>
          <td>
            <span class="inline wraps"
              ><template v-for="p in places" :key="p"
                ><button
                  v-if="s.mayBe.includes(p === 'ahead' || p === 'home' ? p : 'session')"
                  type="button"
                  class="plain place"
                  :class="{ on: plan.split.split[s.id] === p }"
                  :aria-pressed="plan.split.split[s.id] === p"
                  @click="moveStage(s.id, p)"
                >
                  {{ placeName(p) }}
                </button></template
              ></span
            >
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
<style scoped>
.top {
  display: flex;
  gap: var(--s-3);
  align-items: center;
  justify-content: space-between;
  min-height: 44px;
  margin-top: var(--s-3);
}
th {
  text-align: start;
}
td,
th {
  border-bottom: 1px solid var(--rule);
  padding: 2px var(--s-1) 2px 0;
}
.place {
  padding: var(--s-1) var(--s-2);
  border: 1.5px solid var(--edge);
  border-radius: 6px;
  min-height: 32px;
}
.on {
  background: var(--ink);
  color: var(--on-ink);
  border-color: var(--ink);
}
</style>
