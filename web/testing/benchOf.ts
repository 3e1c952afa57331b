import { computed, ref } from 'vue'
import { demoHouses, demoWorkshops } from '#core/demo'
import { planOf, planWorkshop } from '#core/plan'
import { phrases } from '#core/phrases'
import { applyChanges, changed, pathText, valueAt, type Change, type Guard, type Path, type Workshop } from '#core/workshop'
import type { Bench } from '../bench/useBench'

export const testNow = '2026-05-15T15:00:00-04:00[America/New_York]'
export const demoOf = (id: string): Workshop => demoWorkshops('2026-05-15').find((w) => w.id === id)!

/** A bench in memory, without a desk: what is done is applied at once; `deeds` are their labels, `counted` what they counted on,
 *  `cupboard` what was done to the house. */
export function benchOf(workshop: Workshop) {
  const house = demoHouses.find((h) => h.id === workshop.houseId)!
  const now = testNow
  const w = ref(workshop)
  const deeds: string[] = []
  const made: Change[][] = []
  const forgotten: string[] = []
  const counted: Guard[] = []
  const act = (_kind: string, label: string, changes: Change[], guards: Guard[] = []) => {
    deeds.push(label)
    made.push(changes)
    counted.push(...guards)
    w.value = applyChanges<Workshop>(w.value, changes)!
  }
  const looked = ref<string>()
  const design = computed(() => w.value.designs.find((d) => d.id === looked.value) ?? w.value.designs[0]!)
  const whole = computed(() => planWorkshop({ workshop: w.value, house, now }))
  const plan = computed(() => planOf(whole.value, design.value.id))
  const lookAt = (id: string) => (looked.value = id)
  const set = <V>(path: Path<V>, after: NoInfer<V>, label: string, kind = 'set', before = valueAt(w.value, pathText(path))) =>
    act(kind, label, [changed(path, before, after)])
  const effect = () => ''
  const change = () => undefined
  const cupboard: unknown[] = []
  const desk = { act: (d: unknown) => cupboard.push(d), eraseNames: (id: string) => Promise.resolve(void forgotten.push(id)) }
  const bench = {
    workshop: w,
    house: ref(house),
    whole,
    plan,
    design,
    lookAt,
    say: ref(phrases(house, now)),
    act,
    set,
    effect,
    change,
    desk,
  } as unknown as Bench
  return { w, plan, deeds, changes: made, forgotten, counted, cupboard, bench }
}
