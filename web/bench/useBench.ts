import { t as tr } from '#core/language'
import { uuidv7 } from 'uuidv7'
import { computed, reactive, shallowReactive, type Ref } from 'vue'
import { difference, planOf, planWorkshop, type Difference, type Plan, type Remedy } from '#core/plan'
import type { Phrases } from '#core/phrases'
import {
  applyChanges,
  changed,
  firstDesign,
  pathText,
  same,
  setHeadcount,
  valueAt,
  type Change,
  type Edit,
  type Guard,
  type Intent,
  type Path,
  type Workshop,
  withPlaces,
} from '#core/workshop'
import { useDesk } from '../app/desk'

/** The design that is looked at, by workshop; the first where nobody chose. */
const looked = reactive(new Map<string, string>())

/** A workshop on the bench: its document, house, plan and phrases, and named deeds on it. */
export function useBench(id: Ref<string>) {
  const desk = useDesk()
  const workshop = computed(() => desk.workshop(id.value))
  const house = computed(() => (workshop.value ? desk.house(workshop.value.houseId) : undefined))
  const whole = computed(() => desk.plan(id.value))
  /** The design that is looked at, and the plan as it sees it. */
  const design = computed(() => {
    const w = workshop.value
    return w && (w.designs.find((d) => d.id === looked.get(id.value)) ?? firstDesign(w))
  })
  const lookAt = (designId: string) => void looked.set(id.value, designId)
  const plan = computed(() => whole.value && design.value && planOf(whole.value, design.value.id))
  const say = computed(() => (house.value ? desk.say(house.value) : undefined))
  const since = computed(() => desk.changesSince(id.value))
  const change = (key: string): Difference | undefined => since.value?.by.get(key)

  function act(kind: string, label: string, changes: Change[], guards: Guard[] = [], intent?: Intent): void {
    const real = withPlaces(
      workshop.value,
      changes.filter((c) => !same(c.before, c.after)),
    )
    desk.act({ kind, label, subject: { kind: 'workshop', id: id.value }, changes: real, guards, ...(intent && { intent }) })
  }

  /** Sets one field to a value; `label` says what became of what, `before` what its author saw when that is not what stands now. */
  function set<V>(path: Path<V>, after: NoInfer<V>, label: string, kind = 'set', before = valueAt(workshop.value, pathText(path))): void {
    act(kind, label, [changed(path, before, after)])
  }

  /** The headcount: done at once, or the question that has to be answered first. */
  function people(n: number): Extract<Edit, { ask: string }> | undefined {
    const w = workshop.value!
    const edit = setHeadcount(
      w,
      n,
      Array.from({ length: Math.max(0, n - w.group.participants.length) }, () => uuidv7()),
    )
    if ('ask' in edit) return edit
    act('headcount', tr('{0} people became {1}', w.group.participants.length, n), edit.changes, edit.guards, edit.intent)
    return undefined
  }

  const tried = (changes: Change[]): Plan | undefined => {
    const after = applyChanges<Workshop>(workshop.value!, changes)
    if (!after || !plan.value) return undefined
    const all = planWorkshop({ ...desk.planInput(id.value)!, workshop: after, now: plan.value.now })
    return design.value ? planOf(all, design.value.id) : all
  }

  /** What a way out would do, in a few words, before it is pressed. */
  function effect(r: Pick<Remedy, 'changes'>): string {
    if (r.changes.length === 0 || !plan.value || !say.value) return ''
    return effectOf(plan.value, tried(r.changes)!, say.value)
  }

  const effectSoon = soon(plan, effect)

  return { desk, workshop, house, whole, plan, design, lookAt, say, since, change, act, set, people, effect, effectSoon, tried }
}
export type Bench = ReturnType<typeof useBench>

/** What ways out would do, worked out one after another once the plan is on the screen: each takes a plan of its own. Empty until
 *  then. */
function soon(plan: Ref<Plan | undefined>, effect: (r: Remedy) => string): (r: Remedy) => string {
  const known = new WeakMap<Plan, Map<string, string>>()
  const waiting = new Map<string, Remedy>()
  let timer: ReturnType<typeof setTimeout> | undefined
  const next = (of: Plan) => {
    timer = undefined
    const [first] = waiting
    if (!first || plan.value !== of) return void waiting.clear()
    waiting.delete(first[0])
    known.get(of)!.set(first[0], effect(first[1]))
    if (waiting.size > 0) timer = setTimeout(() => next(of))
  }
  return (r) => {
    const p = plan.value
    if (!p || r.changes.length === 0) return ''
    if (!known.has(p)) {
      known.set(p, shallowReactive(new Map()))
      waiting.clear()
      clearTimeout(timer)
      timer = undefined
    }
    const key = JSON.stringify(r.changes)
    const found = known.get(p)!.get(key)
    if (found !== undefined) return found
    waiting.set(key, r)
    timer ??= setTimeout(() => next(p), 60)
    return ''
  }
}

const telling = ['recommended', 'packs/', 'cost-bought', 'session/', 'sheets', 'adults']

function effectOf(before: Plan, after: Plan, say: Phrases): string {
  const stops = after.findings.filter((f) => f.level === 'stop')
  if (stops.length && !before.findings.some((f) => f.code === stops[0]!.code))
    return tr('but: {0}', say.finding(stops[0]!).title.toLowerCase())
  const home = after.takeHome.find((s) => s.ready)?.ready
  if (home && after.goesHome !== before.goesHome) return tr('ready {0}', say.at(home.tellAt))
  const verdict = after.split.cure?.verdict
  if (verdict && verdict !== before.split.cure?.verdict) return verdict
  const changed = difference(before, after)
  for (const key of telling) {
    const d = changed.find((c) => c.key.startsWith(key) && c.by !== null && c.by !== 0)
    if (d) return say.difference(d) + (d.unit === 'minor' ? tr(' a head') : '')
  }
  return after.findings.length < before.findings.length ? 'fits' : ''
}
