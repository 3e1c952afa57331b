import type { Surface } from '#core/cure'
import { coats, type Coat } from '#core/medium'
import { figure, type Figure } from '#core/reasons'
import type { Effect, MaterialUse, Option, Recipe, School, Stage, Whites } from './shapes'

/** What was chosen of a school, and whether anybody chose it: the plan, the house, or the recipe's own default. */
export interface Chosen {
  school: School
  option: Option
  by: 'plan' | 'house' | 'default'
}

/** A recipe with its choices applied: the stages and materials that are really done and used. */
export interface ResolvedRecipe {
  recipe: Recipe
  chosen: Chosen[]
  stages: Stage[]
  materials: MaterialUse[]
  cure?: { minimum: Figure; recommended: Figure }
  coat: Coat
  surface: Surface
  rounds: number
  print: Recipe['print'] & { smearTest: boolean; mirrorOnlyLettering: boolean }
  whites: Whites
  /** Nothing goes through a printer. */
  noPrint: boolean
  /** The picture goes all the way round its piece. */
  wrap: boolean
  /** Pictures one over the other. */
  layers: number
  /** Width of the clear film, where the kit counts in strips. */
  tapeWidth: Figure
  /** Tapes one behind the other: two make a sticker with a sealed back. */
  tapes: number
}

/** Common clear packing tape. */
export const tapeWidth = figure(48, 'mm', 'P')

type Choices = Record<string, string>

/** The plan's choice, else the house's, else what is usual for this piece and group, else the recipe's default. A choice that the school does not know is passed over. */
export function chosenOption(school: School, plan: Choices, house: Choices, situation: readonly string[] = []): Chosen {
  const find = (id: string | undefined) => school.options.find((o) => o.id === id && !o.notFor?.some((x) => situation.includes(x)))
  const mine = find(plan[school.id])
  if (mine) return { school, option: mine, by: 'plan' }
  const theirs = find(house[school.id])
  if (theirs) return { school, option: theirs, by: 'house' }
  const usual = school.options.find((o) => o.usualFor?.some((x) => situation.includes(x)) && find(o.id))
  return { school, option: usual ?? find(school.default)!, by: 'default' }
}

/** Applies the choices of the plan and the house. `situation` is the material, then kind, age and what else is usual. Pure data: no
 *  method is known by name. */
export function resolveRecipe(
  recipe: Recipe,
  plan: Choices,
  house: Choices,
  bare: Surface,
  situation: readonly string[] = [],
): ResolvedRecipe {
  const chosen = recipe.schools.map((school) => chosenOption(school, plan, house, situation))
  const effects = chosen.flatMap((c) => c.option.effects)
  const all = <K extends Effect['kind']>(kind: K) => effects.filter((e): e is Extract<Effect, { kind: K }> => e.kind === kind)
  const rounds = all('rounds').at(-1)?.rounds ?? recipe.rounds.usual.value
  const named = (kind: 'include-stage' | 'exclude-stage') => new Set(all(kind).map((e) => e.stage))
  const things = (kind: 'include-material' | 'exclude-material') => new Set(all(kind).map((e) => e.material))
  const [include, exclude] = [named('include-stage'), named('exclude-stage')]
  const [wanted, unwanted] = [things('include-material'), things('exclude-material')]
  const stages = recipe.stages
    .filter(
      (s) =>
        (!s.optional || include.has(s.id)) &&
        (!s.onlyOn || s.onlyOn.includes(situation[0]!)) &&
        !exclude.has(s.id) &&
        (s.round ?? 0) <= rounds,
    )
    .map((s) => withEffects(s, effects))
  const done = new Set(stages.map((s) => s.id))
  const recommended = all('recommended-cure').at(-1)?.figure
  return {
    recipe,
    chosen,
    stages,
    materials: [...recipe.materials, ...all('add-material').map((e) => e.use)]
      .filter((m) => (!m.optional || wanted.has(m.material)) && !unwanted.has(m.material) && m.stages.some((s) => done.has(s)))
      .map((m) => withFilms(m, done, all('exclude-film'), all('coats'))),
    ...(recipe.cure && { cure: { minimum: recipe.cure.minimum, recommended: recommended ?? recipe.cure.recommended } }),
    coat: thickest(all('coat').map((e) => e.coat)),
    surface: bare === 'stone' ? bare : (all('surface').at(-1)?.surface ?? bare),
    rounds,
    print: printOf(recipe, all('print').at(-1), effects),
    noPrint: all('no-print').length > 0,
    wrap: all('wrap').length > 0,
    layers: all('layers').at(-1)?.layers ?? 1,
    whites: all('whites').at(-1)?.whites ?? recipe.whites,
    tapes: all('tapes').at(-1)?.tapes ?? 1,
    tapeWidth: all('tape').at(-1)?.width ?? tapeWidth,
  }
}

/** Of several coats that choices ask for the thickest holds: bare cloth drinks whatever hand coats it. Nothing asked: moderate. */
const thickest = (asked: readonly Coat[]): Coat =>
  asked.length === 0 ? 'moderate' : asked.reduce((a, b) => (coats.indexOf(b) > coats.indexOf(a) ? b : a))

const printOf = (recipe: Recipe, changed: Extract<Effect, { kind: 'print' }> | undefined, effects: Effect[]): ResolvedRecipe['print'] => ({
  ...recipe.print,
  ...(changed && { ink: changed.ink, paper: changed.paper }),
  smearTest: changed?.smearTest ?? false,
  mirrorOnlyLettering: effects.some((e) => e.kind === 'mirror-only-lettering'),
})

function withEffects(stage: Stage, effects: Effect[]): Stage {
  let changed = stage
  for (const e of effects) {
    if (!('stage' in e) || e.stage !== stage.id) continue
    if (e.kind === 'minutes') changed = { ...changed, minutes: e.figure }
    if (e.kind === 'caution') changed = { ...changed, cautions: [...changed.cautions, e.caution] }
    if (e.kind === 'home-step') changed = { ...changed, home: e.step }
    if (e.kind === 'place') changed = { ...changed, mayBe: [e.place] }
    if (e.kind === 'not-done') changed = withoutState(changed)
    if (e.kind === 'cues') changed = { ...changed, pass: e.pass, fail: e.fail }
    if (e.kind === 'lag' && changed.then)
      changed = { ...changed, then: { ...changed.then, ...(e.least && { least: e.least }), ...(e.most && { most: e.most }) } }
  }
  return changed
}

/** A stage that no longer ends what the piece is on its way to: the one after it does. */
function withoutState({ makes: _makes, mayStop: _mayStop, ...stage }: Stage): Stage {
  return stage
}

/** A film line without the coats that are not put on, or that another material puts on. */
function withFilms(
  use: MaterialUse,
  done: Set<string>,
  unwanted: { material: string; stage: string }[],
  coatsAt: { material: string; stage: string; coats: Figure }[],
): MaterialUse {
  if (use.basis !== 'area') return use
  const without = (stage: string) => unwanted.some((e) => e.material === use.material && e.stage === stage)
  const films = use.films.filter((f) => done.has(f.stage) && !without(f.stage))
  return {
    ...use,
    films: films.map((f) => ({ ...f, coats: coatsAt.find((e) => e.stage === f.stage && e.material === use.material)?.coats ?? f.coats })),
  }
}
