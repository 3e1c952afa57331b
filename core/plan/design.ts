import { isRefusal } from '#core/reasons'
import { pieceStates } from '#core/recipe'
import { firstOpening, intendedSplit, judgeSplit, turnsOf, type Judged } from '#core/sessions'
import { bySeat, homeNeeds, takeHomeSheets, type TakeHomeSheet } from '#core/takehome'
import { clockOf } from '#core/time'
import { errandsFor, type Errand } from '#core/errands'
import type { KitNeeds } from '#core/kit'
import { firstDesign, makes, pieceOf } from '#core/workshop'
import { planKit, planMade, planPrints, planSpares, planTape } from './quantities'
import { paintedWhite } from './pictures'
import type { DesignPlan, Shelf, StageSample } from './shapes'
import { footprintOf } from './shelf'
import type { Situation } from './situation'

/** A design's plan, and what it adds to the whole: sheets for home, errands, places on the shelf, what its kit serves. */
export interface PlannedDesign {
  s: Situation
  d: DesignPlan
  needs: KitNeeds
  takeHome: TakeHomeSheet[]
  errands: Errand[]
  shelf: Shelf | null
}

export function planDesign(s: Situation): PlannedDesign {
  const spares = planSpares(s)
  const samples = {
    // Nobody is shown anything at home.
    count: s.pieces === 0 ? 0 : (s.choices.samples ?? (s.madeInClass > 0 ? s.recipe.samples.length : 0)),
    chosen: s.choices.samples !== null,
  }
  const print = planPrints(s, spares.count, samples.count)
  const tape = planTape(s)
  const made = planMade(s, spares, samples.count)
  const { split, splitChosen } = planSplit(s)
  const ofClass = planTakeHome(s, split, s.inClass)
  const takeHome = s.toGo.length === 0 ? ofClass : bySeat([...ofClass, ...planTakeHome(s, judgeSplit(s.kitsWork.split, s.setting), s.toGo)])
  const { lines, needs } = planKit(s, print, made, tape, homeNeeds(takeHome))
  const errands = errandsFor({
    resolved: s.resolved,
    judged: split,
    sessions: s.sessions,
    hours: s.hours,
    figures: s.figures,
    supplierDays: s.house.supplierDays,
    thingsToBuy: lines.filter((l) => !isRefusal(l.toGet.purchase) && l.toGet.purchase.packs.length > 0).length,
    sheets: print.sheets,
    prints: print.prints,
    blanks: made.blanks,
    bags: s.tables.length + 2,
    ownPictures: s.design.pictures === 'own',
    gather: [
      ...(s.design.brings ? [s.kind.plural] : []),
      ...(s.design.pictures === 'magazine' ? ['magazines'] : s.design.pictures === 'brought' ? ['prints'] : []),
    ],
    samples: samples.count > 0,
    cureMin: split.cure?.recommendedMin ?? s.resolved.cure?.recommended.value ?? 0,
    done: s.workshop.errandsDone,
    held: s.workshop.held === 'home',
    kits: s.toGo.length,
    of: s.design.id === firstDesign(s.workshop).id ? '' : s.design.id,
    now: s.now,
  })
  const d: DesignPlan = {
    design: s.design.id,
    makers: s.makers.map((p) => p.id),
    pieces: s.pieces,
    recipe: {
      id: s.recipe.id,
      version: s.recipe.version,
      name: s.recipe.name,
      words: s.recipe.words,
      ...(s.recipe.from && { from: s.recipe.from.id }),
    },
    pieceName: s.pieceName,
    chosen: s.resolved.chosen,
    stages: s.resolved.stages,
    materials: s.resolved.materials,
    rounds: s.resolved.rounds,
    print,
    spares,
    samples,
    stageSamples: samples.count > 0 ? stageSamples(s, lines, errands) : [],
    ...(tape && { tape }),
    ownKit: lines,
    turns: turnsOf(split, s.setting),
    picture: s.picture,
    outline: s.outline,
    cut: s.cut,
    face: s.face,
    whites: s.resolved.whites,
    coat: s.resolved.coat,
    painted: paintedWhite(s),
    whiteGround: s.recipe.whites === 'white',
    ink: s.resolved.print.ink,
    split,
    splitChosen,
    proposals: proposals(s, split),
    goesHome: split.goesHome,
    states: pieceStates.filter((x) => x === 'to-print' || s.resolved.stages.some((y) => y.makes === x || y.then?.makes === x)),
  }
  return {
    s,
    d,
    needs,
    takeHome,
    errands,
    shelf: planShelf(s, split, s.madeInClass === 0 ? 0 : made.blanks - (s.pieces - s.madeInClass) + samples.count),
  }
}

const planTakeHome = (s: Situation, split: Judged, participants: Situation['makers']): TakeHomeSheet[] =>
  takeHomeSheets({
    design: s.design.id,
    participants,
    toGo: participants === s.toGo,
    makes: (p) => makes(s.workshop, p, s.design),
    known: (participant, number) => pieceOf(s.workshop, participant, s.design.id, number),
    resolved: participants === s.toGo ? s.kitsWork.resolved : s.resolved,
    judged: split,
    sessions: s.sessions,
    climate: s.house.climate,
    ...(s.setting.air && { air: s.setting.air }),
    pieceName: s.kind.name,
    kind: s.kind.id,
    ownCautions: ownCautions(s),
    now: s.now,
    hours: s.hours,
    figures: s.figures,
  })

/** The house's own cautions that a design's stages call for. */
export const ownCautions = (s: Situation) =>
  (s.house.cautions ?? []).filter((c) => c.stage === null || s.resolved.stages.some((x) => x.id === c.stage))

function planSplit(s: Situation): { split: Judged; splitChosen: boolean } {
  const { setting } = s
  if (s.workshop.held === 'home') return { split: judgeSplit(s.kitsWork.split, setting), splitChosen: false }
  const intended = intendedSplit(setting)
  const known = new Set(['ahead', 'home', ...s.sessions.map((x) => x.id)])
  const wanted = Object.entries(s.choices.split).filter(
    ([stage, place]) => known.has(place) && stage in intended.split && intended.split[stage] !== place,
  )
  if (wanted.length === 0) return { split: intended, splitChosen: false }
  return { split: judgeSplit({ ...intended.split, ...Object.fromEntries(wanted) }, setting), splitChosen: true }
}

function stageSamples(s: Situation, kit: DesignPlan['ownKit'], errands: readonly Errand[]): StageSample[] {
  return s.recipe.samples.flatMap((sample) => {
    const last = s.resolved.stages.findIndex((x) => x.id === sample.after)
    if (last < 0) return []
    const behind = new Set(s.resolved.stages.slice(0, last + 1).map((x) => x.id))
    const begun = errands.find((e) => e.code === 'sample' && e.values['sample'] === sample.name)
    const uses = kit
      .filter((l) => !l.durable && l.stages.some((x) => behind.has(x)))
      .map((l) => (l.material === 'blank' ? 'an offcut' : l.name.toLowerCase()))
    return [{ id: sample.id, name: sample.name, ...(begun && { startBy: begun.by, because: begun.because }), uses }]
  })
}

function proposals(s: Situation, split: Judged): DesignPlan['proposals'] {
  if (!split.cure || split.cure.verdict === 'ready') return {}
  const session = s.sessions.find((x) => x.id === split.cure!.rubIn)!
  const at = (from: string) => firstOpening(from, session.minutes, clockOf(session.from), s.hours)
  const [earliest, better] = [at(split.cure.earliestAt), at(split.cure.recommendedAt)]
  return { ...(earliest && { earliest }), ...(better && { better }) }
}

function planShelf(s: Situation, split: Judged, places: number): Shelf | null {
  if (!split.cure || places === 0) return null
  const from = split.cure.laidAt
  const to = s.sessions.find((x) => x.id === split.cure!.rubIn)!.from
  return { from, to, places, sizes: [{ design: s.design.id, size: footprintOf(s), count: places }], capacity: s.house.shelfPlaces }
}
