<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import type { KitLine } from '#core/kit'
import { kitByPlace } from '#core/plan'
import { isRefusal } from '#core/reasons'
import { cautions, type ShareBy } from '#core/recipe'
import { change, inHouse, inWorkshop } from '#core/workshop'
import BecauseFigure from '../../ui/BecauseFigure.vue'
import ChangeCaret from '../../ui/ChangeCaret.vue'
import KitIcon from '../../ui/KitIcon.vue'
import SegmentChoice from '../../ui/SegmentChoice.vue'
import StepField from '../../ui/StepField.vue'
import type { Bench } from '../useBench'

/** Every thing of the kit by where it is first needed: for each, a table, the room, and what is to be got. */
const props = defineProps<{ bench: Bench }>()
const plan = computed(() => props.bench.plan.value!)
const say = computed(() => props.bench.say.value!)
const open = ref<string>()
const shareNames: Record<string, string> = { each: 'each', pair: 'pair', table: 'table', stagger: tr('take turns'), room: 'room' }
const groups = computed(() =>
  kitByPlace(plan.value).map(({ place, lines, cautions: ids }) => {
    const session = plan.value.sessions.find((s) => s.id === place)
    const title = session
      ? tr('Class {0}, {1}', session.number, say.value.at(session.from))
      : place === 'ahead'
        ? tr('Ahead, by staff')
        : plan.value.sessions.length
          ? tr('At home')
          : tr('In class')
    return { place, title, lines, care: ids.slice(0, 2).map((c) => cautions[c]) }
  }),
)
const shown = (n: number, l: KitLine) =>
  l.unit === 'ml' || l.unit === 'mm' ? say.value.amount(n, l.unit) : n === 0.5 ? '½' : n === 0.25 ? '¼' : String(n)
const toGet = (l: KitLine) => {
  if (isRefusal(l.toGet.purchase)) return { main: tr('not on sale'), note: l.toGet.purchase.refused.why }
  if (l.sheets !== undefined) return { main: tr('{0} sheets', l.sheets), note: tr('your printer') }
  const count = l.toGet.packs.reduce((sum, p) => sum + p.count, 0)
  const noun = l.toGet.packs[0]?.noun ?? 'pack'
  const packs = count ? `${count} ${tr(count === 1 ? noun : `${noun}s`)}` : ''
  return {
    main: packs || tr('you have it'),
    note: l.toGet.have > 0 ? inCupboard(l) : packs ? sizes(l) : '',
  }
}
/** What is there, and what of it classes before this one take. */
const inCupboard = (l: KitLine) =>
  l.toGet.reserved
    ? tr('{0} in the cupboard, {1} for classes before', shown(l.toGet.have, l), shown(l.toGet.reserved, l))
    : tr('{0} in the cupboard', shown(l.toGet.have, l))
const sizes = (l: KitLine) => {
  const several = l.toGet.packs.length > 1
  return l.toGet.packs
    .map((p) => tr('{0}of {1}', several ? `${p.count} ` : '', l.unit === 'strips' ? tr('{0} strips', p.size) : shown(p.size, l)))
    .join(' + ')
}
const setHave = (l: KitLine, n: number) => {
  const house = props.bench.house.value!
  props.bench.desk.act({
    kind: 'cupboard',
    label: tr('{0} in the cupboard became {1}', l.name.toLowerCase(), n),
    subject: { kind: 'house', id: house.id },
    changes: [change(house, inHouse.cupboard(l.cupboard), n)],
  })
}
const share = (l: KitLine, by: ShareBy) =>
  props.bench.set(inWorkshop.choices.share(l.material), by, `${l.name.toLowerCase()}: ${shareNames[by]}`)
</script>
<template>
  <table>
    <thead>
      <tr>
        <th class="name">
          <span class="sr">{{ $t('What') }}</span>
        </th>
        <th>{{ $t('each') }}</th>
        <th>{{ $t('table') }}</th>
        <th class="room">{{ $t('room') }}</th>
        <th class="get">{{ $t('to get') }}</th>
      </tr>
    </thead>
    <tbody v-for="g in groups" :key="g.place">
      <tr class="head">
        <th colspan="5" scope="rowgroup">
          <h3>{{ g.title }}</h3>
          <span v-if="g.care.length" class="care">{{ g.care.map((c) => `${$t(c.where)}: ${$t(c.text).split(',')[0]}`).join(' · ') }}</span>
        </th>
      </tr>
      <template v-for="l in g.lines" :key="l.key">
        <tr class="line" :class="{ on: open === l.key }">
          <td class="name">
            <button type="button" class="plain row" :aria-expanded="open === l.key" @click="open = open === l.key ? undefined : l.key">
              <KitIcon :icon="l.icon" /><span
                ><b>{{ $t(l.name) }}</b
                ><br /><span class="small two">{{ $t(l.note) }}</span></span
              >
            </button>
          </td>
          <td class="n">{{ l.each === null ? '' : shown(l.each, l) }}</td>
          <td class="n">{{ l.table === null ? '' : shown(l.table, l) }}</td>
          <td class="n room">
            <ChangeCaret bare :change="bench.change(`kit/${l.key}`)" :say="say" />
            <BecauseFigure :figure="plan.figures[`kit/${l.key}`]!" :say="say" :name="$t(l.name)" :text="shown(l.need, l)" />
          </td>
          <td class="get">
            <b>{{ toGet(l).main }}</b> <ChangeCaret :change="bench.change(`packs/${l.key}`)" :say="say" /><br /><span class="small two">{{
              $t(toGet(l).note)
            }}</span>
          </td>
        </tr>
        <tr v-if="open === l.key" class="more">
          <td colspan="5">
            <div class="opts">
              <p class="small">{{ say.rule(l.because) }}</p>
              <SegmentChoice
                v-if="l.share && l.share.options.length > 1"
                :label="$t('{0}: shared by', l.name)"
                hide-label
                :model-value="l.share.by"
                :options="l.share.options.map((o) => ({ id: o, name: shareNames[o]! }))"
                @update:model-value="share(l, $event)"
              />
              <StepField
                v-if="l.sheets === undefined"
                :label="$t('In the cupboard{0}', l.unit === 'ml' ? $t(', ml') : l.unit === 'mm' ? $t(', mm') : '')"
                :model-value="Math.round(l.toGet.have)"
                :max="999999"
                @update:model-value="setHave(l, $event)"
              />
            </div>
          </td>
        </tr>
      </template>
    </tbody>
  </table>
</template>
<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  margin-top: var(--s-2);
}
thead th {
  white-space: nowrap;
  font-weight: 400;
  color: var(--text-2);
  text-align: end;
  border-bottom: 2px solid var(--text);
  padding: 2px var(--s-1);
}
thead .get {
  text-align: start;
}
.head th {
  text-align: start;
  padding: var(--s-3) 0 2px;
}
.head h3 {
  display: inline;
}
.care {
  float: inline-end;
  color: var(--watch);
  font-size: var(--t-label);
  font-weight: 700;
  max-width: 60%;
  text-align: end;
}
.line td {
  border-bottom: 1px solid var(--rule);
  padding: var(--s-2) var(--s-1);
  vertical-align: middle;
}
.on td,
.more td {
  background: var(--wash);
  border-bottom: 0;
}
.row {
  display: flex;
  gap: var(--s-3);
  align-items: center;
  min-height: 44px;
  width: 100%;
  line-height: 1.2;
}
.row:focus-visible {
  outline: 3px solid var(--ink);
  outline-offset: 1px;
}
.row:hover b {
  text-decoration: underline;
}
.n {
  text-align: end;
  font-size: var(--t-text);
  white-space: nowrap;
}
td.name {
  width: 200px;
}
.get {
  width: 138px;
  line-height: 1.25;
}
.opts {
  display: flex;
  gap: var(--s-4);
  flex-wrap: wrap;
  align-items: end;
  padding: var(--s-1) var(--s-2) var(--s-2) var(--s-7);
}
.opts p {
  flex: 1 1 100%;
}
@media (max-width: 760px) {
  thead,
  .line .n:not(.room) {
    display: none;
  }
  .get {
    width: auto;
  }
  .care {
    float: none;
    display: block;
    max-width: none;
    text-align: start;
  }
}
</style>
