import type { FindingCode, FindingValues, RemedyCode, RemedyValues } from '#core/codes'
import { latestRecipe, pictureSize, type PieceKind, type Recipe, type School } from '#core/recipe'
import { sizeUnit } from '#core/house'
import { showLength } from '#core/units'
import { change, choicesAt, inWorkshop, type Change, type Path } from '#core/workshop'
import type { PlannedDesign } from '../design'
import type { Figured, Finding, Remedy } from '../shapes'
import type { Situation } from '../situation'

/** What looks at one design's plan and says what it finds. */
export type Find = (s: Situation, plan: Figured) => Finding[]
/** What looks at the whole workshop. */
export type FindAll = (parts: readonly PlannedDesign[], plan: Figured) => Finding[]

/** Values may be left out where a code has none. */
type Given<V, Rest extends unknown[]> = Nothing extends V ? [values?: V, ...Rest] : [values: V, ...Rest]
type Nothing = Record<never, never>

export const finding = <C extends FindingCode>(
  code: C,
  level: Finding['level'],
  decision: Finding['decision'],
  ...[values, remedies]: Given<FindingValues[C], [remedies?: Remedy[]]>
): Finding => ({ code, level, decision, values: values ?? {}, remedies: remedies ?? [] }) as Finding

export const remedy = <C extends RemedyCode>(code: C, changes: Change[], ...[values]: Given<RemedyValues[C], []>): Remedy =>
  ({ code, values: values ?? {}, changes }) as Remedy
/** The least whole number from `from` to `to` that does, when more never does worse; undefined where not even the greatest does. */
export function fewest(from: number, to: number, does: (n: number) => boolean): number | undefined {
  if (from > to || !does(to)) return undefined
  let [low, high] = [from, to]
  while (low < high) {
    const middle = (low + high) >> 1
    if (does(middle)) high = middle
    else low = middle + 1
  }
  return high
}

/** The design that is planned, as a place in its workshop. */
export const inDesign = (s: Situation) => inWorkshop.designs(s.design.id)

/** Where what is chosen for the design by itself stands. */
export const inChoices = (s: Situation) => choicesAt(s.workshop, s.design.id)

/** Choosing an option of a school on this plan. */
export const choiceChange = (s: Situation, school: string, option: string): Change =>
  change(s.workshop, inDesign(s).choices(school), option)

/** Setting one thing known of the prints or the pictures. */
export const knownChange = <F extends 'print' | 'picture'>(s: Situation, field: F, set: Situation['design'][F]): Change =>
  change(s.workshop, inDesign(s)[field] as Path<Situation['design'][F]>, { ...s.design[field], ...set } as Situation['design'][F])

export function takeMethod(s: Situation, id: string): Remedy {
  const to = latestRecipe(id, s.recipes)!
  const taken = [
    change(s.workshop, inDesign(s).recipe, { id: to.id, version: to.version }),
    ...(s.design.methodChosen ? [] : [change(s.workshop, inDesign(s).methodChosen, true)]),
  ]
  return remedy('take-method', taken, {
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
      change(s.workshop, inDesign(s).kind, kind.id),
      change(s.workshop, inDesign(s).material, material),
      change(s.workshop, inDesign(s).width, size(kind.widthMm)),
      change(s.workshop, inDesign(s).height, size(kind.heightMm)),
      ...(s.design.on ? [change(s.workshop, inDesign(s).on, null)] : []),
    ],
    { method: by.name, piece: kind.plural },
  )
}

/** The same piece with its picture so many percent as large: the piece with it where it fills the face. */
export function scaled(s: Situation, percent: number): Remedy {
  const side = (mm: number) => Math.floor(mm * percent) / 100
  const { on } = s.design
  if (on) {
    const [width, height] = [on.width, on.height].map((x) => ({ mm: side(x.mm), text: `${side(x.mm)} mm` })) as [
      typeof on.width,
      typeof on.width,
    ]
    const changes = [change(s.workshop, inDesign(s).on.width, width), change(s.workshop, inDesign(s).on.height, height)]
    return remedy('smaller-piece', changes, { widthMm: width.mm, heightMm: height.mm })
  }
  const changes = (['width', 'height'] as const).map((f) =>
    change(s.workshop, inDesign(s)[f], { mm: side(s.design[f].mm), text: `${side(s.design[f].mm)} mm` }),
  )
  const to = pictureSize(s.kind, { widthMm: side(s.design.width.mm), heightMm: side(s.design.height.mm) }, s.resolved.wrap)
  return remedy('smaller-piece', changes, { ...to })
}

/** Options of any school that have an effect of this kind that satisfies. */
export function optionsWith(
  s: Situation,
  test: (o: School['options'][number]) => boolean,
): { school: School; option: School['options'][number] }[] {
  return s.recipe.schools.flatMap((school) => {
    const now = s.resolved.chosen.find((c) => c.school.id === school.id)?.option.id
    return school.options
      .filter((o) => o.id !== now && !o.notFor?.includes(s.design.material) && test(o))
      .map((option) => ({ school, option }))
  })
}

/** Taking an option of a school, as a way out. */
export const takeOption = (s: Situation, { school, option }: { school: School; option: School['options'][number] }): Remedy =>
  remedy('take-option', [choiceChange(s, school.id, option.id)], { question: school.question, option: option.name })

/** Whites kept: a ground of this method that is white, or one other method that keeps them. */
export const keepWhites = (s: Situation): Remedy[] => [
  ...optionsWith(s, (o) => o.effects.some((e) => e.kind === 'whites' && e.whites === 'white')).map((x) => takeOption(s, x)),
  ...methodsWith(s, 'white').slice(0, 1),
]

/** Other methods for this surface whose whites become so. */
export const methodsWith = (s: Situation, whites: Recipe['whites'] | undefined): Remedy[] =>
  s.recipes.filter((r) => r.whites === whites && s.design.material in r.surfaces && r.id !== s.recipe.id).map((r) => takeMethod(s, r.id))
