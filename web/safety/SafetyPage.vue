<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { ageName } from '#core/phrases'
import { ageBands, cautions, hazards, mayTouch } from '#core/recipe'
import { useDesk } from '../app/desk'
import LostPage from '../app/LostPage.vue'
import HandSign from '../ui/HandSign.vue'
import SourceMark from '../ui/SourceMark.vue'

/** The safety sheet for the room: every caution of every stage in the plan, where it is done, and who may touch what. */
const route = useRoute()
const desk = useDesk()
const id = computed(() => String(route.params['id']))
const w = computed(() => desk.workshop(id.value))
const house = computed(() => w.value && desk.house(w.value.houseId))
const plan = computed(() => desk.plan(id.value))
const say = computed(() => house.value && desk.say(house.value))
const places = computed(() => {
  const p = plan.value!
  const own = (stage: string) => p.ownCautions.filter((c) => c.stage === stage)
  const part = (place: string, name: string) => ({
    name,
    stages: p.designs
      .flatMap((d) => (d.pieces > 0 || p.designs.length === 1 ? d.stages.filter((s) => d.split.split[s.id] === place) : []))
      .filter((s, i, all) => all.findIndex((x) => x.id === s.id && x.name === s.name) === i)
      .map((s) => ({ name: s.name, lines: [...s.cautions.map((c) => cautions[c]), ...own(s.id)] }))
      .filter((s) => s.lines.length > 0),
  })
  return [
    part('ahead', tr('Ahead, by staff')),
    ...p.sessions.map((s) => part(s.id, tr('Class {0}, {1}', s.number, say.value!.at(s.from)))),
    part('home', tr('At home')),
  ].filter((x) => x.stages.length)
})
const general = computed(() => plan.value!.ownCautions.filter((c) => c.stage === null))
const here = computed(() => ageBands.filter((a) => w.value!.group.participants.some((p) => p.age === a)))
const print = () => window.print()
useEventListener(window, 'imprenta:print', print)
</script>
<template>
  <LostPage v-if="!w || !house || !plan" />
  <main v-else class="page roomy">
    <div class="no-print tools">
      <p class="two">{{ $t('Hang it where the hands are. Nothing that the plan does can be left off it.') }}</p>
      <v-btn color="primary" variant="flat" @click="print">{{ $t('Print it') }}</v-btn>
    </div>
    <article class="paper">
      <header>
        <h1>{{ $t('Where the hands are') }}</h1>
        <p>{{ house.name }}<br />{{ w.title }}, {{ [...new Set(plan.designs.map((d) => $t(d.recipe.name).toLowerCase()))].join(', ') }}</p>
      </header>
      <p class="first">
        <template v-if="plan.adults.matters"
          ><b>{{ $t('{0} {1} in the room', plan.adults.needed, plan.adults.needed === 1 ? $t('adult') : $t('adults')) }}</b>
          <SourceMark mark="E" />.
        </template>
        {{
          $t(
            'Product labels, safety data sheets, the house’s rules, fire and youth-protection rules go before this sheet. Where licensed work is needed, ask those licensed.',
          )
        }}
      </p>
      <table v-if="here.length" class="may">
        <thead>
          <tr>
            <th>{{ $t('May touch') }} <SourceMark mark="E" /></th>
            <th v-for="a in here" :key="a">{{ ageName(a) }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="h in hazards" :key="h">
            <th>{{ h }}</th>
            <td v-for="a in here" :key="a">{{ mayTouch[h][a] }}</td>
          </tr>
        </tbody>
      </table>
      <section v-for="p in places" :key="p.name">
        <h2>{{ p.name }}</h2>
        <dl>
          <template v-for="s in p.stages" :key="s.name">
            <dt><HandSign /> {{ $t(s.name) }}</dt>
            <dd>
              <p v-for="l in s.lines" :key="l.where">
                <b>{{ $t(l.where) }}</b> {{ $t(l.text) }}
              </p>
            </dd>
          </template>
        </dl>
      </section>
      <section v-if="general.length">
        <h2>{{ $t('This house') }}</h2>
        <p v-for="c in general" :key="c.id">
          <b>{{ $t(c.where) }}</b> {{ $t(c.text) }}
        </p>
      </section>
      <footer>{{ $t('{0}. E estimate. The house may be stricter.', house.name) }}</footer>
    </article>
  </main>
</template>
<style scoped>
.tools {
  display: flex;
  justify-content: space-between;
  align-items: center;
  max-width: 780px;
  margin: 0 auto var(--s-3);
}
.paper {
  max-width: 780px;
  margin: 0 auto;
  background: #fff;
  color: #241c17;
  padding: var(--s-6) var(--s-6);
  box-shadow: 5px 5px 0 0 var(--night);
  --text: #241c17;
  --text-2: #5b5046;
  --watch: #8a4b00;
  --rule: #cdbfa8;
}
header {
  display: flex;
  justify-content: space-between;
  border-bottom: 2px solid #241c17;
  padding-bottom: var(--s-2);
}
header p {
  text-align: end;
}
.first {
  font-size: var(--t-lead);
  margin: var(--s-3) 0;
}
.may {
  border-collapse: collapse;
  margin-bottom: var(--s-1);
}
.may th,
.may td {
  text-align: start;
  padding: var(--s-1) var(--s-page) var(--s-1) 0;
  border-bottom: 1px solid #cdbfa8;
}
h2 {
  margin: var(--s-4) 0 var(--s-1);
  border-top: 1.5px solid #241c17;
  padding-top: var(--s-2);
}
dl {
  display: grid;
  grid-template-columns: 210px 1fr;
  margin: 0;
}
dt,
dd {
  border-bottom: 1px solid #cdbfa8;
  padding: var(--s-1) 0;
  margin: 0;
  font-size: var(--t-lead);
  break-inside: avoid;
}
dt {
  font-weight: 700;
}
footer {
  margin-top: var(--s-4);
  font-size: var(--t-small);
}
@media (max-width: 700px) {
  .paper {
    padding: var(--s-page);
  }
  dl {
    grid-template-columns: 1fr;
  }
  dt {
    border: 0;
  }
}
@media print {
  .page {
    padding: 0;
  }
  .paper {
    box-shadow: none;
    padding: 0;
    max-width: none;
  }
}
</style>
