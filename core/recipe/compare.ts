import type { Figure } from '#core/reasons'
import type { MaterialUse, Recipe } from './shapes'

/** One difference between two recipes: where, and both sides; null where one of them has nothing there. */
export interface RecipeDifference {
  group: 'times' | 'stages' | 'materials' | 'cure'
  what: string
  before: string | Figure | null
  after: string | Figure | null
}

/** Where two recipes differ: minutes and waits, words and stages, materials, cure. In the order of the stages. */
export function compareRecipes(a: Recipe, b: Recipe): RecipeDifference[] {
  const ids = [...new Set([...a.stages, ...b.stages].map((s) => s.id))]
  const stages = ids.flatMap((id) => {
    const [x, y] = [a, b].map((r) => r.stages.find((s) => s.id === id))
    const name = (y ?? x)!.name
    if (!x || !y) return [diff('stages', name, x ? x.name : null, y ? y.name : null)]
    return [
      diff('times', `${name}, minutes`, x.minutes, y.minutes),
      diff('times', `after ${name.toLowerCase()}, at least`, x.then?.least ?? null, y.then?.least ?? null),
      diff('times', `after ${name.toLowerCase()}, at most`, x.then?.most ?? null, y.then?.most ?? null),
      diff('stages', `${name}, name`, x.name, y.name),
      diff('stages', `${name}, right when`, x.pass, y.pass),
      diff('stages', `${name}, wrong when`, x.fail, y.fail),
    ]
  })
  const names = [...new Set([...a.materials, ...b.materials].map((m) => m.material))]
  const materials = names.flatMap((id) => {
    const [x, y] = [a, b].map((r) => r.materials.find((m) => m.material === id))
    if (!x || !y) return [diff('materials', id, x ? `${basisOf(x)}` : null, y ? `${basisOf(y)}` : null)]
    return [diff('materials', id, amountOf(x), amountOf(y)), diff('materials', `${id}, note`, x.note, y.note)]
  })
  const cure = [
    diff('cure', 'wait before rubbing, at least', a.cure?.minimum ?? null, b.cure?.minimum ?? null),
    diff('cure', 'wait before rubbing, recommended', a.cure?.recommended ?? null, b.cure?.recommended ?? null),
  ]
  return [...cure, ...stages, ...materials].filter((d) => d !== null)
}

const valueOf = (x: string | Figure | null) => (x === null || typeof x === 'string' ? x : x.value)
function diff(
  group: RecipeDifference['group'],
  what: string,
  before: string | Figure | null,
  after: string | Figure | null,
): RecipeDifference | null {
  return valueOf(before) === valueOf(after) ? null : { group, what, before, after }
}
const basisOf = (m: MaterialUse) => ('per' in m ? `by ${m.per}` : `by ${m.basis}`)
const amountOf = (m: MaterialUse): Figure | string => ('amount' in m ? m.amount : m.basis === 'area' ? m.held : m.basis)
