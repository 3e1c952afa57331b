<script setup lang="ts">
import { t as tr } from '#core/language'
import { shallowRef, watch } from 'vue'
import type { compareSplits, SplitOffer } from '#core/plan'
import { homeGroupName } from '#core/phrases'
import { useWorker } from '../app/useWorker'
import type { Bench } from '../bench/useBench'

/** Ways to spread the work over ahead, classes and home, side by side, each with what it means; one press takes it. */
const props = defineProps<{ bench: Bench }>()
const offers = shallowRef<SplitOffer[]>()
const begin = () => new Worker(new URL('../workers/finder.worker.ts', import.meta.url), { type: 'module' })
const { problem, newest } = useWorker<{ compareSplits: typeof compareSplits }>(begin, tr('The ways could not be compared.'))
watch(
  [props.bench.workshop, props.bench.house, props.bench.design],
  async () => {
    const { workshop, design, plan } = props.bench
    if (!workshop.value || !design.value || !plan.value) return
    const question = { ...props.bench.desk.planInput(workshop.value.id)!, now: plan.value.now }
    const plain = JSON.parse(JSON.stringify(question)) as Parameters<typeof compareSplits>[0]
    const found = await newest((remote) => remote.compareSplits(plain, design.value!.id))
    if (found) offers.value = found
  },
  { immediate: true },
)
const placeName = (place: string) =>
  place === 'ahead'
    ? tr('Ahead')
    : place === 'home'
      ? tr('At home')
      : tr('Class {0}', props.bench.plan.value!.sessions.find((s) => s.id === place)?.number ?? '')
const take = (o: SplitOffer) => props.bench.act('split', tr('the work was spread anew'), o.changes)
const say = () => props.bench.say.value!
</script>
<template>
  <section>
    <h2>{{ $t('Other ways to spread the work') }}</h2>
    <p v-if="problem" class="stop">{{ problem }}</p>
    <p v-else-if="!offers" class="two">{{ $t('Looked for') }}</p>
    <div v-else class="offers">
      <article v-for="(o, i) in offers" :key="i" class="offer" :class="{ present: o.present }">
        <h3>{{ o.present ? $t('As planned') : $t('Way {0}', i + 1) }}</h3>
        <dl>
          <template v-for="p in o.places" :key="p.place">
            <dt>{{ placeName(p.place) }}</dt>
            <dd>
              {{ p.stages.map((s) => $t(s.name)).join(', ') }}
              <span
                v-for="c in o.classes.filter((c) => c.sessionId === p.place)"
                :key="c.sessionId"
                class="two small"
                :class="{ stop: !c.fits }"
                >{{ $t('{0} of {1}', say().minutes(c.neededMin), say().minutes(c.availableMin)) }}</span
              >
            </dd>
          </template>
        </dl>
        <p class="small">
          <template v-if="o.verdict"
            ><b :class="{ ready: 'ok', risky: 'watch', 'too soon': 'stop' }[o.verdict]">{{
              { ready: $t('Ready by then.'), risky: $t('Risky by then.'), 'too soon': $t('Too soon.') }[o.verdict]
            }}</b>
          </template>
          <template v-if="o.shelfMin !== null">{{
            $t('{0} pieces on the shelf for {1}.', o.shelfPlaces, say().minutes(o.shelfMin))
          }}</template>
          {{ o.home.map((h) => `${h.pieces} ${homeGroupName(h.group).toLowerCase()}`).join(', ') }}.
        </p>
        <p v-if="o.stop" class="stop small">{{ say().finding(o.stop).title }}</p>
        <v-btn v-if="!o.present" @click="take(o)">{{ $t('Plan it so') }}</v-btn>
      </article>
    </div>
  </section>
</template>
<style scoped>
.offers {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: var(--s-3);
  margin-top: var(--s-2);
}
.offer {
  background: var(--stock);
  border: 1.5px solid var(--rule);
  padding: var(--s-3);
  display: grid;
  gap: var(--s-2);
  align-content: start;
}
.present {
  border-color: var(--ink);
  background: var(--wash);
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: var(--s-1) var(--s-3);
  margin: 0;
}
dt {
  font-weight: 700;
}
dd {
  margin: 0;
}
dd .small {
  display: block;
}
.watch {
  color: var(--watch);
}
.v-btn {
  justify-self: start;
}
</style>
