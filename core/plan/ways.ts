import { latestRecipe, pictureSize, type PieceKind, type Recipe, type School } from '#core/recipe'
import { sizeUnit } from '#core/house'
import { showLength } from '#core/units'
import type { Change } from '#core/workshop'
import type { Finding, Plan, Remedy } from './shapes'
import type { Situation } from './situation'

/** What looks at a plan and says what it finds. */
export type Find = (s: Situation, plan: Plan) => Finding[]

export const finding = (
  code: string,
  level: Finding['level'],
  decision: Finding['decision'],
  values: Finding['values'] = {},
  remedies: Remedy[] = [],
): Finding => ({ code, level, decision, values, remedies })
export const remedy = (code: string, changes: Change[], values: Remedy['values'] = {}): Remedy => ({ code, values, changes })
export const designPath = (s: Situation, field: string) => `designs/${s.design.id}/${field}`

/** Choosing an option of a school on this plan. */
export const choiceChange = (s: Situation, school: string, option: string): Change => ({
  path: designPath(s, `choices/${school}`),
  before: s.design.choices[school] ?? null,
  after: option,
})

/** Setting one thing known of the prints or the pictures. */
export const knownChange = <F extends 'print' | 'picture'>(s: Situation, field: F, set: Situation['design'][F]): Change => ({
  path: designPath(s, field),
  before: s.design[field] ?? null,
  after: { ...s.design[field], ...set },
})

export function takeMethod(s: Situation, id: string): Remedy {
  const to = latestRecipe(id, s.recipes)!
  return remedy('take-method', [{ path: designPath(s, 'recipe'), before: s.design.recipe, after: { id: to.id, version: to.version } }], {
    method: to.name,
  })
}

/** Another kind of piece in its usual size and surface, made by this method. */
export function takePiece(s: Situation, kind: PieceKind, by: Recipe): Remedy {
  const size = (mm: number) => ({ mm, text: showLength(mm, sizeUnit(s.house)) })
  const material = kind.materials.find((m) => m in by.surfaces) ?? kind.materials[0]!
  const moved = by.id === s.recipe.id ? [] : takeMethod(s, by.id).changes
  return remedy(
    by.id === s.recipe.id ? 'take-piece' : 'quicker-method',
    [
      ...moved,
      { path: designPath(s, 'kind'), before: s.design.kind, after: kind.id },
      { path: designPath(s, 'material'), before: s.design.material, after: material },
      { path: designPath(s, 'width'), before: s.design.width, after: size(kind.widthMm) },
      { path: designPath(s, 'height'), before: s.design.height, after: size(kind.heightMm) },
    ],
    { method: by.name, piece: kind.plural },
  )
}

/** The same piece with its picture so many percent as large. */
export function scaled(s: Situation, percent: number): Remedy {
  const side = (mm: number) => Math.floor(mm * percent) / 100
  const changes = (['width', 'height'] as const).map((f) => ({
    path: designPath(s, f),
    before: s.design[f],
    after: { mm: side(s.design[f].mm), text: `${side(s.design[f].mm)} mm` },
  }))
  const to = pictureSize(s.kind, { widthMm: side(s.design.width.mm), heightMm: side(s.design.height.mm) })
  return remedy('smaller-piece', changes, { ...to })
}

/** Options of any school that have an effect of this kind that satisfies. */
export function optionsWith(
  s: Situation,
  test: (o: School['options'][number]) => boolean,
): { school: School; option: School['options'][number] }[] {
  return s.recipe.schools.flatMap((school) => {
    const now = s.resolved.chosen.find((c) => c.school.id === school.id)?.option.id
    return school.options.filter((o) => o.id !== now && test(o)).map((option) => ({ school, option }))
  })
}
