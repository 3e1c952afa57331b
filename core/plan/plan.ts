import { errandsFor } from '#core/errands'
import { isRefusal } from '#core/reasons'
import { pieceStates } from '#core/recipe'
import { firstOpening, intendedSplit, judgeSplit, type Judged } from '#core/sessions'
import { homeNeeds, takeHomeSheets } from '#core/takehome'
import { clockOf } from '#core/time'
import { decide } from './decisions'
import { figuresOf } from './figures'
import { findingsOf } from './findings'
import { nextClass } from './nextClass'
import { planAdults } from './adults'
import { planKit, planMade, planPrints, planSpares, planTape } from './quantities'
import type { Plan, PlanInput, Shelf, StageSample } from './shapes'
import { paintedWhite, pictureContext } from './pictures'
import { situate, type Situation } from './situation'
import type { PictureContext } from '#core/pictures'

/** A workshop's whole plan, with its reasons. Pure and deterministic: the same input gives the same plan, in browser and
 *  server alike. Whatever is missing has a default that is marked as one. "Does not fit" and "too soon" are findings with
 *  ways out, never exceptions. */
export function planWorkshop(input: PlanInput): Plan {
  const s = situate(input)
  const spares = planSpares(s)
  const samples = {
    count: s.people === 0 ? 0 : (s.workshop.choices.samples ?? s.recipe.samples.length),
    chosen: s.workshop.choices.samples !== null,
  }
  const print = planPrints(s, spares.count, samples.count)
  const tape = planTape(s)
  const made = planMade(s, spares, samples.count)
  const { split, splitChosen } = planSplit(s)
  const takeHome = planTakeHome(s, split)
  const kit = planKit(s, print, made, tape, homeNeeds(takeHome))
  const toBuy = kit.filter((l) => !isRefusal(l.toGet.purchase) && l.toGet.purchase.packs.length > 0).length
  const plan: Plan = {
    now: s.now,
    recipe: { id: s.recipe.id, version: s.recipe.version, name: s.recipe.name, words: s.recipe.words },
    people: s.people,
    seating: s.seating,
    seats: s.seats,
    pieceName: s.pieceName,
    chosen: s.resolved.chosen,
    stages: s.resolved.stages,
    materials: s.resolved.materials,
    rounds: s.resolved.rounds,
    print,
    spares,
    samples,
    ...(tape && { tape }),
    kit,
    sessions: s.sessions,
    turns: s.turns.filter((t) => s.sessions.some((x) => x.id === split.split[t.stages[0]!])),
    ownCautions: ownCautions(s),
    picture: s.picture,
    outline: s.outline,
    whites: s.resolved.whites,
    coat: s.resolved.coat,
    painted: paintedWhite(s),
    whiteGround: s.recipe.whites === 'white',
    ink: s.resolved.print.ink,
    split,
    splitChosen,
    proposals: proposals(s, split),
    nextClass: nextClass(s),
    errands: errandsFor({
      resolved: s.resolved,
      judged: split,
      sessions: s.sessions,
      hours: s.hours,
      figures: s.figures,
      supplierDays: s.house.supplierDays,
      thingsToBuy: toBuy,
      sheets: print.sheets,
      bags: s.seating.length + 2,
      ownPictures: s.design.pictures === 'own',
      samples: samples.count > 0,
      cureMin: split.cure?.recommendedMin ?? s.resolved.cure?.recommended.value ?? 0,
      done: s.workshop.errandsDone,
      now: s.now,
    }),
    shelf: planShelf(s, split, made.blanks + samples.count),
    adults: planAdults(s, split),
    takeHome,
    goesHome: split.goesHome,
    states: pieceStates.filter((x) => x === 'to-print' || s.resolved.stages.some((y) => y.makes === x || y.then?.makes === x)),
    stageSamples: [],
    findings: [],
    decisions: [],
    figures: {},
  }
  plan.stageSamples = samples.count > 0 ? stageSamples(s, plan) : []
  plan.figures = figuresOf(s, plan)
  plan.findings = findingsOf(s, plan)
  plan.decisions = decide(s, plan)
  return plan
}

const planTakeHome = (s: Situation, split: Judged) =>
  takeHomeSheets({
    participants: s.workshop.group.participants,
    pieces: s.workshop.pieces,
    resolved: s.resolved,
    judged: split,
    sessions: s.sessions,
    climate: s.house.climate,
    pieceName: s.kind.name,
    kind: s.kind.id,
    ownCautions: ownCautions(s),
    now: s.now,
    hours: s.hours,
    figures: s.figures,
  })

const ownCautions = (s: Situation) =>
  (s.house.cautions ?? []).filter((c) => c.stage === null || s.resolved.stages.some((x) => x.id === c.stage))

function planSplit(s: Situation): { split: Judged; splitChosen: boolean } {
  const { setting } = s
  const intended = intendedSplit(setting)
  const wish = s.workshop.choices.split
  const known = new Set(['ahead', 'home', ...s.sessions.map((x) => x.id)])
  const wanted = Object.entries(wish).filter(
    ([stage, place]) => known.has(place) && stage in intended.split && intended.split[stage] !== place,
  )
  if (wanted.length === 0) return { split: intended, splitChosen: false }
  return { split: judgeSplit({ ...intended.split, ...Object.fromEntries(wanted) }, setting), splitChosen: true }
}

function stageSamples(s: Situation, plan: Plan): StageSample[] {
  return s.recipe.samples.flatMap((sample) => {
    const last = s.resolved.stages.findIndex((x) => x.id === sample.after)
    if (last < 0) return []
    const behind = new Set(s.resolved.stages.slice(0, last + 1).map((x) => x.id))
    const begun = plan.errands.find((e) => e.id === `sample-${sample.id}`)
    const uses = plan.kit
      .filter((l) => !l.durable && l.stages.some((x) => behind.has(x)))
      .map((l) => (l.material === 'blank' ? 'an offcut' : l.name.toLowerCase()))
    return [{ id: sample.id, name: sample.name, ...(begun && { startBy: begun.by, because: begun.because }), uses }]
  })
}

function proposals(s: Situation, split: Judged): Plan['proposals'] {
  if (!split.cure || split.cure.verdict === 'ready') return {}
  const session = s.sessions.find((x) => x.id === split.cure!.rubIn)!
  const at = (from: string) => firstOpening(from, session.minutes, clockOf(session.from), s.hours)
  const [earliest, better] = [at(split.cure.earliestAt), at(split.cure.recommendedAt)]
  return { ...(earliest && { earliest }), ...(better && { better }) }
}

function planShelf(s: Situation, split: Judged, places: number): Shelf | null {
  if (!split.cure || places === 0) return null
  const from = s.sessions.find((x) => x.id === split.cure!.laidIn)!.to
  const to = s.sessions.find((x) => x.id === split.cure!.rubIn)!.from
  return { from, to, places, capacity: s.house.shelfPlaces }
}

/** What a plan judges its pictures against, for the contact sheet. */
export const pictureContextOf = (input: PlanInput, plan: Plan): PictureContext => pictureContext(situate(input), plan)
