import { planOf, planWorkshop, stopsOf, type Finding, type Plan, type PlanInput, type Remedy } from '#core/plan'
import { hazardOf, latestRecipe, pieceKind, pieceStates, takesMaterial, type Hazard, type PieceState, type Recipe } from '#core/recipe'
import { recipesOf } from '#core/house'
import { sittingsOf } from '#core/sessions'
import { applyChanges, change, choicesAt, firstDesign, inWorkshop, type Change, type Design, type Workshop } from '#core/workshop'

export type Verdict = 'possible' | 'possible-if' | 'not-possible'

/** One cell of the table: what it says, and whether it decides. */
export interface Cell {
  value: string | number
  decides: 'fine' | 'look' | 'stop'
}

/** A method under this plan. */
export interface Row {
  recipe: Recipe
  chosen: boolean
  verdict: Verdict
  /** The one thing that decides: what stands against it, or what is worth knowing. */
  reason?: Finding
  /** "Possible if": what to change, in order, beside taking the method. */
  conditions: Remedy[]
  /** Taking it, the conditions included. */
  changes: Change[]
  plan: Plan
  states: PieceState[]
  sittings: number
  /** Minutes in each session, null where nothing is done in it. */
  sessions: { needed: number | null; available: number; fits: boolean }[]
  cells: Record<'surface' | 'ink' | 'whites' | 'hazard' | 'wait' | 'cost' | 'forgives', Cell>
}

const rank: Record<Verdict, number> = { possible: 0, 'possible-if': 1, 'not-possible': 2 }
/** So many changes may stand between a plan and a method before it counts as not possible. */
const mostConditions = 2

/** What is searched for: a plan, and which of its designs wants a method; the first unless said. */
export type FinderInput = PlanInput & { design?: string }
const designIn = (w: Workshop, input: FinderInput): Design => w.designs.find((d) => d.id === input.design) ?? firstDesign(w)

/** Every method against this plan, best first: possible; possible if one or two things change, which are named and planned;
 *  not possible, because. Nothing is asked: group, time, surface, printer, whites and what is allowed are the plan's own.
 *  Tries each way out that the plan itself offers, greedily; at most a few dozen plans. Ties: the recommended order. */
export function findMethods(input: FinderInput): Row[] {
  const recipes = input.recipes ?? recipesOf(input.house)
  const newest = recipes.filter((r) => latestRecipe(r.id, recipes) === r)
  const mine = designIn(input.workshop, input).recipe
  return newest
    .map((r) => row(r.id === mine.id ? (recipes.find((x) => x.id === mine.id && x.version === mine.version) ?? r) : r, input))
    .sort((a, b) => rank[a.verdict] - rank[b.verdict] || Number(b.chosen) - Number(a.chosen))
}

function row(recipe: Recipe, input: FinderInput): Row {
  const design = designIn(input.workshop, input)
  const chosen = design.recipe.id === recipe.id
  const path = inWorkshop.designs(design.id)
  const take: Change[] = chosen
    ? []
    : [
        change(input.workshop, path.recipe, { id: recipe.id, version: recipe.version }),
        change(input.workshop, path.choices, {}),
        ...(design.methodChosen ? [] : [change(input.workshop, path.methodChosen, true)]),
        change(input.workshop, choicesAt(input.workshop, design.id).split, {}),
      ]
  const first = tried(input, take)
  const asItIs = first.plan
  const stop = stops(asItIs)[0]
  const { plan, conditions, changes, workshop: after } = stop ? mend(first, input, recipe) : { ...first, conditions: [], changes: take }
  const left = stops(plan)
  const verdict: Verdict = left.length ? 'not-possible' : stop ? 'possible-if' : 'possible'
  const reason = (verdict === 'not-possible' ? left[0] : stop) ?? asItIs.findings.find((f) => f.level === 'look' && f.decision !== 'kit')
  const shown = verdict === 'not-possible' ? asItIs : plan
  return {
    recipe,
    chosen,
    verdict,
    ...(reason && { reason }),
    conditions: verdict === 'possible-if' ? conditions : [],
    changes: verdict === 'possible-if' ? changes : take,
    plan: shown,
    states: pieceStates.filter((s) => shown.stages.some((x) => x.makes === s || x.then?.makes === s)),
    sittings: sittingsOf({ stages: shown.stages }).length,
    sessions: shown.sessions.map((s) => {
      const load = shown.split.loads.find((l) => l.sessionId === s.id)
      return { needed: load?.neededMin ?? null, available: s.minutes, fits: load?.fits ?? true }
    }),
    cells: cells(recipe, shown, asItIs, verdict === 'possible-if' ? designIn(after, input).material : design.material, design.material),
  }
}

interface Tried {
  workshop: Workshop
  plan: Plan
  changes: Change[]
}
/** What cannot work, and what the piece's own date cannot mend: a plan without people or date is not the method's fault. */
const stops = (p: Plan) => stopsOf(p).filter((f) => !f.code.startsWith('session-'))

function tried(input: FinderInput, changes: Change[], from: Workshop = input.workshop): Tried {
  const workshop = applyChanges<Workshop>(from, changes) ?? from
  const { design: _, ...plain } = input
  return { workshop, plan: ofDesign(planWorkshop({ ...plain, workshop }), designIn(workshop, input).id), changes }
}

/** A plan as one design's: what is found of the others is not this one's. */
const ofDesign = (plan: Plan, id: string): Plan => ({
  ...planOf(plan, id),
  findings: plan.findings.filter((f) => !f.design || f.design.id === id),
})

/** Takes, stop by stop, the first way out that leaves fewer stops and keeps the method. */
function mend(first: Tried, input: FinderInput, recipe: Recipe): Tried & { conditions: Remedy[] } {
  let now = first
  const conditions: Remedy[] = []
  for (let i = 0; i < mostConditions && stops(now.plan).length; i++) {
    const step = better(now, input, recipe)
    if (!step) break
    conditions.push(step.remedy)
    now = { ...step.tried, changes: [...now.changes, ...step.remedy.changes] }
  }
  return { ...now, conditions }
}

/** Ways out that are wishes of the instructor's, not conditions to plan with. */
const notConditions = new Set(['any-whites', 'smear-did-fail', 'prints-from-elsewhere', 'quicker-method', 'reprint'])

function better(now: Tried, input: FinderInput, recipe: Recipe): { remedy: Remedy; tried: Tried } | undefined {
  const before = stops(now.plan).length
  for (const remedy of stops(now.plan)[0]!.remedies) {
    if (remedy.changes.length === 0 || notConditions.has(remedy.code)) continue
    const next = tried(input, remedy.changes, now.workshop)
    if (remedy.code === 'take-piece' && !(isFlat(designIn(now.workshop, input)) && isFlat(designIn(next.workshop, input)))) continue
    if (next.plan.recipe.id === recipe.id && stops(next.plan).length < before) return { remedy, tried: next }
  }
  return undefined
}

/** Making a card instead of a plaque is a condition; making a candle instead is another workshop. */
const isFlat = (d: Design) => pieceKind(d.kind).form === 'flat'

function cells(recipe: Recipe, plan: Plan, asItIs: Plan, material: string, now: string): Row['cells'] {
  const against = (codes: string[]): Cell['decides'] => {
    const f = asItIs.findings.find((x) => codes.includes(x.code) && x.level !== 'note')
    return f ? (f.level === 'stop' ? 'stop' : 'look') : 'fine'
  }
  const hazards = [...new Set(plan.stages.flatMap((s) => s.cautions.map(hazardOf)).filter((h): h is Hazard => h !== undefined))]
  const wait = plan.split.cure?.requiredMin ?? recipe.cure?.minimum.value ?? 0
  return {
    surface: surfaceCell(recipe, material, now),
    ink: { value: plan.ink, decides: against(['printer-missing', 'wrong-ink', 'smear-failed', 'smear-test']) },
    whites: { value: plan.whites, decides: against(['whites-wish', 'whites-vanish']) },
    hazard: {
      value: hazards.find((h) => h !== 'blade') ?? hazards[0] ?? 'none',
      decides: against(['spray-indoors', 'heat-not-allowed', 'blade-not-allowed', 'done-for-them', 'too-young']),
    },
    wait: { value: wait, decides: against(['too-soon', 'risky', 'wait-broken']) },
    cost: { value: plan.figures['cost-bought']!.value as number, decides: 'fine' },
    forgives: { value: recipe.forgives, decides: 'fine' },
  }
}

function surfaceCell(recipe: Recipe, material: string, now: string): Cell {
  const value = takesMaterial(recipe, material) ? material : Object.keys(recipe.surfaces)[0]!
  if (!takesMaterial(recipe, now)) return { value, decides: 'stop' }
  return { value, decides: recipe.surfaces[now]!.fit === 'hard' ? 'look' : 'fine' }
}
