<script setup lang="ts">
import { t as tr } from '#core/language'
import { pieceOf } from '#core/workshop'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { closerLooks, diagnose, makingOf, symptoms, togetherOf, type Evidence, type Making } from '#core/clinic'
import { latestRecipe, pieceStates, recipes, resolveRecipe } from '#core/recipe'
import { blankMaterial } from '#core/recipe'
import { inZone } from '#core/time'
import { stateWord } from '#core/phrases'
import { useDesk } from '../app/desk'
import LostPage from '../app/LostPage.vue'
import PieceToken from '../ui/PieceToken.vue'
import HouseDrawing from '../ui/HouseDrawing.vue'
import SegmentChoice from '../ui/SegmentChoice.vue'
import SourceMark from '../ui/SourceMark.vue'
import TrimSheet from '../ui/TrimSheet.vue'
import BalanceDrawing from './BalanceDrawing.vue'
import SymptomDrawing from './SymptomDrawing.vue'

/** What is seen, closer looks, and how this piece was made, against every cause: for a workshop's pieces, or on its own. */
const route = useRoute()
const desk = useDesk()
const id = computed(() => (typeof route.params['id'] === 'string' ? route.params['id'] : undefined))
const w = computed(() => (id.value ? desk.workshop(id.value) : undefined))
const house = computed(() => (w.value ? desk.house(w.value.houseId) : desk.houseList[0]))
const plan = computed(() => (id.value ? desk.plan(id.value) : undefined))
const say = computed(() => house.value && desk.say(house.value))
const who = ref(typeof route.query['piece'] === 'string' ? route.query['piece'] : '')
const method = ref(typeof route.query['method'] === 'string' ? route.query['method'] : 'medium-transfer')
const seen = ref<string[]>([])
const answers = ref<Record<string, string>>({})
/** Alone, without a workshop: what is known is said here. */
const alone = ref<Making>({})
const one = ref(0)

const recipe = computed(() => (plan.value ? undefined : latestRecipe(method.value)))
const stages = computed(() =>
  plan.value
    ? plan.value.stages.map((s) => s.id)
    : recipe.value
      ? resolveRecipe(recipe.value, {}, {}, 'porous').stages.map((s) => s.id)
      : [],
)
const piece = computed(() => w.value && plan.value && pieceOf(w.value, who.value, plan.value.design))
const making = computed<Making>(() =>
  plan.value && w.value && house.value
    ? makingOf(plan.value, w.value, house.value, piece.value, inZone(desk.now, house.value.timeZone))
    : alone.value,
)
const ranked = computed(() => (seen.value.length ? diagnose(seen.value, answers.value, making.value, stages.value) : []))
const looks = computed(() => closerLooks(seen.value, stages.value))
/** Two causes that explain all of it together, where the best alone explains less likely. */
const pairs = computed(() => {
  const best = ranked.value[0]?.sum ?? 0
  return togetherOf(seen.value, answers.value, making.value, stages.value).filter((t) => t.sum > best)
})
const shown = computed(() => symptoms.filter((s) => diagnose([s.id], {}, {}, stages.value).length > 0))
const chosen = computed(() => ranked.value[one.value] ?? ranked.value[0])
watch([seen, answers, who], () => (one.value = 0), { deep: true })

const toggle = (s: string) => (seen.value = seen.value.includes(s) ? seen.value.filter((x) => x !== s) : [...seen.value, s])
const blocks = (list: Evidence[]) => list.reduce((sum, e) => sum + Math.abs(e.weight), 0)
const name = computed(() => {
  const p = w.value?.group.participants.find((x) => x.id === who.value)
  return p
    ? `${p.name ?? tr('Seat {0}', plan.value?.seats[p.id])}’s ${plan.value?.pieceName ?? 'piece'}`
    : w.value
      ? tr('A {0}', plan.value?.pieceName)
      : tr('Your piece')
})
const what = computed(() => symptoms.filter((s) => seen.value.includes(s.id)).map((s) => s.name))
/** How it was made, in words under the tokens. */
const made = computed(() => {
  const m = making.value
  const words = plan.value?.recipe.words ?? recipe.value?.words ?? {}
  const cure = plan.value?.split.cure
  const lines: { state: (typeof pieceStates)[number]; title: string; body: string }[] = []
  lines.push({
    state: 'printed',
    title: m.printer ?? 'print',
    body: [
      m.gsm ? tr('{0} g/m² paper', m.gsm) : tr('paper not known'),
      m.readsRight === undefined ? '' : m.readsRight ? tr('flips even') : tr('flips odd'),
    ]
      .filter(Boolean)
      .join(', '),
  })
  lines.push({
    state: 'laid',
    title: piece.value?.laidAt && say.value ? say.value.at(piece.value.laidAt) : stateWord('laid', words),
    body:
      [m.coat && tr('{0} coat', m.coat), m.material && tr('on {0}', blankMaterial(m.material)?.name ?? m.material)]
        .filter(Boolean)
        .join(', ') || tr('not known'),
  })
  if (m.cureShare !== undefined && cure && say.value)
    lines.push({
      state: 'cured',
      title: say.value.minutes(m.cureShare * cure.requiredMin),
      body: tr('{0} least, {1} better', say.value.minutes(cure.requiredMin), say.value.minutes(cure.recommendedMin)),
    })
  if (m.rounds)
    lines.push({
      state: 'rub-1',
      title: tr('{0} rounds', m.rounds),
      body: [m.wetting && tr('wetted: {0}', m.wetting), m.rubWith && tr('with a {0}', m.rubWith)].filter(Boolean).join(', '),
    })
  return lines
})
const know = (fact: keyof Making, value: string) => {
  const next = { ...alone.value }
  if (value === '') delete next[fact]
  else Object.assign(next, { [fact]: /^[\d.]+$/.test(value) ? Number(value) : value === 'yes' ? true : value === 'no' ? false : value })
  alone.value = next
}
const knowable: { fact: keyof Making; label: string; options: { id: string; name: string }[] }[] = [
  {
    fact: 'printer',
    label: tr('Printed with'),
    options: [
      { id: '', name: tr('not known') },
      { id: 'toner', name: 'toner' },
      { id: 'inkjet', name: 'inkjet' },
    ],
  },
  {
    fact: 'cureShare',
    label: tr('It waited'),
    options: [
      { id: '', name: tr('not known') },
      { id: '0.5', name: tr('less than the least') },
      { id: '2', name: tr('as it should') },
    ],
  },
  {
    fact: 'coat',
    label: tr('Coat'),
    options: [
      { id: '', name: tr('not known') },
      { id: 'light', name: 'light' },
      { id: 'moderate', name: 'moderate' },
      { id: 'heavy', name: 'heavy' },
    ],
  },
]
const missing = computed(() => id.value !== undefined && !w.value)
</script>
<template>
  <LostPage v-if="missing" />
  <main v-else class="clinic">
    <section class="side" :aria-label="$t('What is seen')">
      <div class="head">
        <h1>{{ $t('Clinic') }}</h1>
        <p class="small two">{{ $t('What do you see?') }}<br />{{ $t('More than one is fine.') }}</p>
      </div>
      <div class="tiles" role="group" :aria-label="$t('Symptoms')">
        <button
          v-for="s in shown"
          :key="s.id"
          type="button"
          class="plain tile"
          :class="{ on: seen.includes(s.id) }"
          :aria-pressed="seen.includes(s.id)"
          :title="`${s.look} ${s.feel}`"
          @click="toggle(s.id)"
        >
          <SymptomDrawing :symptom="s.id" /><span>{{ $t(s.name) }}</span
          ><span class="sr">{{ $t('{0} Feels: {1}', s.look, s.feel) }}</span>
        </button>
      </div>
      <p v-for="s in symptoms.filter((x) => seen.includes(x.id))" :key="s.id" class="small told-look">
        <b>{{ $t(s.name) }}</b> {{ $t(s.look) }} <span class="two">{{ $t('To the finger: {0}', $t(s.feel).toLowerCase()) }}</span>
      </p>
      <template v-if="looks.length">
        <h3 class="closer">{{ $t('Look closer') }}</h3>
        <SegmentChoice
          v-for="q in looks"
          :key="q.id"
          :label="q.ask"
          :model-value="answers[q.id] ?? ''"
          :options="[...q.options, { id: '', name: $t('can’t say') }]"
          @update:model-value="answers = { ...answers, [q.id]: $event }"
        />
      </template>
    </section>
    <TrimSheet class="sheet">
      <div class="case">
        <span class="pic"><HouseDrawing :drawing="w?.drawing ?? 'moth'" :width="150" /></span>
        <div class="told">
          <h2>{{ name }}{{ what.length ? `, ${what.join(', ')}` : '' }}</h2>
          <label v-if="w" class="pick"
            ><span class="label">{{ $t('Whose') }}</span
            ><select v-model="who" class="field">
              <option value="">{{ $t('any piece of this plan') }}</option>
              <option v-for="p in w.group.participants" :key="p.id" :value="p.id">{{ p.name ?? $t('Seat {0}', plan?.seats[p.id]) }}</option>
            </select></label
          >
          <template v-else>
            <label class="pick"
              ><span class="label">{{ $t('Made by') }}</span
              ><select v-model="method" class="field">
                <option v-for="r in recipes" :key="r.id" :value="r.id">{{ $t(r.name) }}</option>
              </select></label
            >
            <div class="known">
              <SegmentChoice
                v-for="k in knowable"
                :key="k.fact"
                :label="k.label"
                :model-value="String(alone[k.fact] ?? '')"
                :options="k.options"
                @update:model-value="know(k.fact, $event)"
              />
            </div>
          </template>
          <ol v-if="w" class="made" :aria-label="$t('How it was made')">
            <li v-for="m in made" :key="m.state">
              <PieceToken :state="m.state" :size="28" />
              <span
                ><b>{{ $t(m.title) }}</b
                ><br /><span class="small two">{{ m.body }}</span></span
              >
            </li>
          </ol>
        </div>
      </div>
      <template v-if="ranked.length">
        <div class="cols">
          <h3>{{ $t('What did it') }}</h3>
          <span class="small two">{{ $t('speaks against') }}</span><span /><span class="small two">{{ $t('speaks for') }}</span
          ><span
            class="small two"
            :title="$t('Solid blocks less open ones: from 4 on likely, from 1 possible, 0 can’t tell, below −2 ruled out.')"
            >{{ $t('a block, a weight') }} <SourceMark mark="E" />{{ $t('; 4 is likely, 1 possible') }}</span
          >
        </div>
        <p v-if="pairs.length" class="pairs">
          <b>{{ $t('More likely two things at once:') }}</b>
          <template v-for="(t, k) in pairs" :key="k">{{
            $t('{0}{1} and {2}', k ? $t('; or ') : ' ', $t(t.two[0].cause.name).toLowerCase(), $t(t.two[1].cause.name).toLowerCase())
          }}</template>. <SourceMark mark="E" />
        </p>
        <div role="radiogroup" :aria-label="$t('Causes')">
          <button
            v-for="(r, i) in ranked.slice(0, 6)"
            :key="r.cause.id"
            type="button"
            role="radio"
            class="plain cause"
            :aria-checked="chosen === r"
            :class="{ on: chosen === r, out: r.word === 'ruled out' }"
            @click="one = i"
          >
            <span
              ><b class="name">{{ $t(r.cause.name) }}</b
              ><br /><span :class="r.word === 'likely' ? 'ink strong' : 'two'"
                >{{ r.word }} {{ r.sum > 0 ? `+${r.sum}` : String(r.sum).replace('-', '−') }}</span
              ></span
            >
            <ul class="against">
              <li v-for="e in r.against" :key="e.said">
                {{ e.said }} <span class="bl"><i v-for="n in -e.weight" :key="n" /></span>
              </li>
              <li v-if="!r.against.length" class="two">{{ $t('nothing') }}</li>
            </ul>
            <BalanceDrawing :against="blocks(r.against)" :in-favour="blocks(r.for)" />
            <ul class="for">
              <li v-for="e in r.for" :key="e.said">
                <span class="bl solid"><i v-for="n in e.weight" :key="n" /></span> {{ e.said }}
              </li>
              <li v-if="!r.for.length" class="two">{{ $t('nothing') }}</li>
            </ul>
          </button>
        </div>
        <div v-if="chosen" class="todo" aria-live="polite">
          <div>
            <h3>{{ $t('Now') }}</h3>
            <p>{{ $t(chosen.cause.now) }} <SourceMark :mark="chosen.cause.mark" /></p>
          </div>
          <div>
            <h3>{{ $t('Next time') }}</h3>
            <p>{{ $t(chosen.cause.next) }} <SourceMark :mark="chosen.cause.mark" /></p>
          </div>
        </div>
      </template>
      <div v-else class="outline">
        {{
          seen.length
            ? $t('Nothing this method does looks like that. Look again, or choose the method.')
            : $t('Press what you see on the left: causes stand here, with what speaks for and against each.')
        }}
      </div>
    </TrimSheet>
  </main>
</template>
<style scoped>
.clinic {
  display: grid;
  grid-template-columns: 280px minmax(0, 1fr);
  gap: 0 30px;
  padding: 16px 20px 30px;
  align-items: start;
}
.head {
  display: flex;
  justify-content: space-between;
  margin-bottom: 8px;
}
.head p {
  text-align: end;
}
.tiles {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
.tile {
  font-size: var(--t-small);
  line-height: 1.2;
  min-height: 78px;
}
.tile:hover {
  background: var(--wash);
}
.tile.on {
  color: var(--ink);
  font-weight: 700;
  box-shadow: 0 0 0 3px var(--ink);
}
.told-look {
  margin-top: 8px;
}
.closer {
  border-top: 2px solid var(--text);
  margin: 14px 0 6px;
  padding-top: 6px;
}
.side :deep(.v-btn-toggle) {
  margin-bottom: 8px;
}
.side :deep(.v-btn) {
  padding: 0 10px;
  font-size: var(--t-small);
}
.case {
  display: grid;
  grid-template-columns: 190px 1fr;
  gap: 22px;
  margin-bottom: 16px;
}
.pic {
  display: grid;
  place-items: center;
  background: #fbf8f1;
  color: #241c17;
  border: 2px solid #241c17;
  box-shadow: 5px 5px 0 0 #c9ae80;
  min-height: 128px;
  align-self: start;
}
.pick {
  display: inline-grid;
  max-width: 260px;
  margin: 6px 0;
}
.known {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
}
.known :deep(.v-btn) {
  padding: 0 10px;
  font-size: var(--t-small);
}
.made {
  list-style: none;
  padding: 0;
  margin: 6px 0 0;
  display: flex;
  flex-wrap: wrap;
  gap: 10px 26px;
}
.made li {
  display: flex;
  gap: 8px;
  line-height: 1.2;
}
.cols,
.cause {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr) 140px minmax(0, 1.1fr);
  gap: 14px;
  align-items: center;
}
.cols {
  border-top: 2px solid var(--text);
  padding: 6px 10px 4px;
  grid-template-columns: 190px minmax(0, 1fr) 140px minmax(0, 0.5fr) minmax(0, 0.6fr);
}
.cols span:nth-child(2) {
  text-align: end;
}
.cause {
  width: 100%;
  padding: 6px 10px;
  border-bottom: 1px solid var(--rule);
  min-height: 72px;
}
.cause:hover {
  box-shadow: inset 0 0 0 1.5px var(--ink);
}
.cause:focus-visible {
  outline-offset: -3px;
}
.cause.on {
  background: var(--wash);
  border-inline-start: 4px solid var(--ink);
  padding-inline-start: 6px;
}
.cause.out .name {
  color: var(--text-2);
}
.name {
  font: 700 var(--t-lead)/1.15 var(--f-head);
}
.strong {
  font-weight: 700;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
  font-size: var(--t-small);
  line-height: 1.25;
}
.against {
  text-align: end;
}
.bl {
  white-space: nowrap;
}
.bl i {
  display: inline-block;
  width: 10px;
  height: 10px;
  border: 1.5px solid var(--text);
  margin-inline-start: 3px;
  vertical-align: -1px;
}
.bl.solid i {
  background: var(--text);
  margin: 0 3px 0 0;
}
.todo {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 28px;
  margin-top: 14px;
}
.todo > div + div {
  border-inline-start: 1px solid var(--rule);
  padding-inline-start: 28px;
}
.outline {
  border: 1.5px dashed var(--edge);
  padding: 28px;
  color: var(--text-2);
}
@media (max-width: 900px) {
  .clinic,
  .case,
  .cols,
  .cause,
  .todo {
    grid-template-columns: minmax(0, 1fr);
  }
  .cols span {
    display: none;
  }
  .against {
    text-align: start;
  }
  .todo > div + div {
    border: 0;
    padding: 0;
  }
  .side {
    margin-bottom: 16px;
  }
}
</style>
