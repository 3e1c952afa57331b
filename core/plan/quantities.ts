import { scaleKit, type KitLine, type KitNeeds } from '#core/kit'
import { orient, type Orientation } from '#core/orientation'
import { accordionStrip, blankMaterial, outlineShare, panelMm, type MaterialUse } from '#core/recipe'
import { figure, isRefusal, type Input } from '#core/reasons'
import type { HomeNeeds } from '#core/takehome'
import { gridOnSheet, tilesOf } from '#core/sheets'
import { sparesFor, sureWith, sureWithCopies } from '#core/spares'
import { layStrips, tapeInput, type StripLayout } from '#core/tape'
import { sparesUsed } from '#core/workshop'
import * as v from 'valibot'
import type { DesignPlan, PrintPlan } from './shapes'
import type { Situation } from './situation'

/** What is made: blanks that are needed, spares among them, and pieces that are coated, the failed ones and samples too. */
export interface Made {
  blanks: number
  spareBlanks: Input
  coated: number
}

export function planMade(s: Situation, spares: DesignPlan['spares'], samples: number): Made {
  const key = spares.survives ? 'breakage' : failsKey(s)
  const estimated = { mark: s.figures(key).mark, rests: [key] }
  const spareBlanks: Input = { name: 'spare-blanks', value: spares.blanks, ...(!(spares.chosen && !spares.survives) && estimated) }
  if (s.pieces === 0) return { blanks: 0, spareBlanks: { name: 'spare-blanks', value: 0 }, coated: 0 }
  return { blanks: s.pieces + spares.blanks, spareBlanks, coated: s.pieces + spares.count + samples }
}

/** What is believed of ten pieces before anything is counted. */
export const prior = (s: Situation): { failed: number; good: number } => {
  const failed = s.figures(failsKey(s)).value
  return { failed, good: 10 - failed }
}

/** The figure of how many fail, by what is aimed at. */
export const failsKey = (s: Situation): 'fails' | 'fails.clean' | 'fails.worn' => (s.design.quality ? `fails.${s.design.quality}` : 'fails')

/** Spares asked for or chosen, and how sure they make it. House pictures stand in for each other; of own ones
 *  everybody gets copies, while blanks stay interchangeable. */
export function planSpares(s: Situation): DesignPlan['spares'] {
  const { spares } = s.choices
  const { confidence } = s.workshop.choices
  const asked = { people: s.pieces, prior: prior(s), logged: s.evidence }
  const survives = s.recipe.filmApart ?? blankMaterial(s.design.material)?.survives ?? false
  /** A blank that survives a failure is spared for breakage only. */
  const of = (count: number, sure: number, chosen: boolean): DesignPlan['spares'] => ({
    count,
    sure,
    chosen,
    // Who brings their own brings what there is.
    blanks: s.design.brings ? 0 : survives ? Math.min(count, Math.ceil(s.pieces / s.figures('breakage').value)) : count,
    survives,
    used: sparesUsed(s.workshop, s.design.id),
  })
  if (spares !== null) return of(spares, sureWith(spares, asked), true)
  // Whoever works at home has the spare print in the bag: nobody hands over another.
  const inBags = s.pieces - s.madeInClass
  if (inBags > 0) {
    const found = sparesFor({ ...asked, people: s.madeInClass, confidence, kind: 'interchangeable' })
    const count = inBags + (isRefusal(found) || !('spares' in found) ? s.madeInClass : found.spares)
    const blanks = sparesFor({ ...asked, confidence, kind: 'interchangeable' })
    const kept = of(count, sureWith(count, asked), false)
    return survives || isRefusal(blanks) || !('spares' in blanks) ? kept : { ...kept, blanks: s.design.brings ? 0 : blanks.spares }
  }
  const found = sparesFor({ ...asked, confidence, kind: 'interchangeable' })
  return isRefusal(found) || !('spares' in found) ? of(s.pieces, sureWith(s.pieces, asked), false) : of(found.spares, found.reached, false)
}

/** The fewest copies of each own picture that make it so sure as wished that everybody has a good one. */
export function copiesForSure(s: Situation): number {
  const asked = { people: s.pieces, prior: prior(s), logged: s.evidence, confidence: s.workshop.choices.confidence }
  const found = sparesFor({ ...asked, kind: 'own' })
  return isRefusal(found) || !('copies' in found) ? 9 : Math.min(9, found.copies)
}

export function planPrints(s: Situation, spares: number, samples: number): PrintPlan {
  const { pictures, mirrored } = s.design
  const { lettering } = s
  const size = s.picture
  // White left round a picture to hold takes its place on the sheet; the widest, where they differ.
  const border = s.workshop.choices.tile ? 0 : 2 * Math.max(0, ...s.pictures.map((p) => p.edit?.borderMm ?? 0))
  const copies = pictures === 'own' ? (s.workshop.choices.copies ?? Math.round(s.figures('copies').value)) : 1
  const each = s.printsEach
  const prints =
    s.pieces === 0 || s.resolved.noPrint ? 0 : pictures === 'own' ? s.pieces * each * copies + samples : s.pieces * each + spares + samples
  const printable = { widthMm: s.paper.widthMm - 2 * s.paper.marginMm, heightMm: s.paper.heightMm - 2 * s.paper.marginMm }
  const tiles = s.workshop.choices.tile
    ? tilesOf(size, printable)
    : { widthMm: size.widthMm + border, heightMm: size.heightMm + border, columns: 1, rows: 1 }
  const grid = gridOnSheet(tiles, s.paper, s.paper.marginMm, s.figures('gutter').value)
  const faces = { laidFaceDown: s.resolved.print.laidFaceDown, seenThrough: s.kind.seenThrough, lettering }
  const spared = s.resolved.print.mirrorOnlyLettering && !lettering
  const advised = !spared && orient({ printedMirrored: false, ...faces }).printMirrored
  return {
    ...size,
    each,
    copies,
    sure: pictures === 'own' ? sureWithCopies(copies, { people: s.pieces, prior: prior(s), logged: s.evidence }) : 1,
    prints,
    sheets: grid.perSheet ? Math.ceil((prints * tiles.columns * tiles.rows) / grid.perSheet) : 0,
    paper: s.paper,
    gutterMm: s.figures('gutter').value,
    stock: s.resolved.print.paper,
    leadingEdge: s.resolved.print.leadingEdge ?? false,
    grid,
    mirrored: mirrored ?? advised,
    orientation:
      spared && mirrored === null
        ? asItFalls(orient({ printedMirrored: false, ...faces }))
        : orient({ printedMirrored: mirrored ?? advised, ...faces }),
  }
}

/** The school that mirrors lettering only: a picture that comes out turned round is as meant. */
const asItFalls = (o: Orientation): Orientation => ({ ...o, verdict: 'fine', printMirrored: false })

/** Tape strips, where the recipe's kit counts in strips. */
export function planTape(s: Situation): TapePlan | undefined {
  if (!s.resolved.materials.some((m) => m.basis === 'strips')) return undefined
  const lay = (marginMm: number) => {
    const layout = layStrips(
      v.parse(tapeInput, {
        picture: { widthMm: toMicrometre(s.picture.widthMm), lengthMm: toMicrometre(s.picture.heightMm) },
        tape: { widthMm: s.resolved.tapeWidth.value, overlapMm: s.figures('tape.overlap').value },
        marginMm,
        keepClear: (s.design.keepClear ?? []).map(({ xMm, yMm, widthMm, lengthMm }) => ({ xMm, yMm, widthMm, lengthMm })),
      }),
    )
    return isRefusal(layout) ? [] : [{ ...layout, marginMm }]
  }
  const usual = s.figures('tape.margin')
  // A house that has set its margin keeps it; else the widest that saves a strip.
  const margins = usual.mark === 'Y' ? [] : margined.filter((m) => m < usual.value)
  return [usual.value, ...margins]
    .flatMap(lay)
    .map((x) => abreast(s, x))
    .reduce<TapePlan | undefined>((a, x) => (a && a.perFilm <= x.perFilm ? a : x), undefined)
}
/** Margins that are tried below the usual one, mm: less than 2 leaves nothing to trim to. */
const margined = [4.5, 4, 3.5, 3, 2.5, 2]

/** Strips, how far they go beyond each edge, how many films lie abreast on one strip, tapes one behind the other, and what of a strip a film
 *  takes. */
export type TapePlan = StripLayout & { marginMm: number; abreast: number; tapes: number; perFilm: number }

/** Where one strip covers a film, as many as lie beside each other on it: the way round that takes least tape. */
function abreast(s: Situation, layout: StripLayout & { marginMm: number }): TapePlan {
  const { tapes } = s.resolved
  const one = { ...layout, abreast: 1, tapes, perFilm: layout.strips * tapes }
  if (layout.strips > 1) return one
  const [w, h] = [toMicrometre(s.picture.widthMm), toMicrometre(s.picture.heightMm)]
  const ways = [
    { direction: 'along length' as const, across: w, along: h },
    { direction: 'along width' as const, across: h, along: w },
  ].map((x) => ({
    ...x,
    n: Math.floor(s.resolved.tapeWidth.value / (x.across + 2 * layout.marginMm)),
    length: x.along + 2 * layout.marginMm,
  }))
  const best = ways
    .filter((x) => x.n >= 1)
    .reduce<(typeof ways)[number] | undefined>((a, b) => (a && a.length / a.n <= b.length / b.n ? a : b), undefined)
  if (!best || best.n < 2) return one
  const stripLengthMm = toMicrometre(best.length)
  return { ...layout, direction: best.direction, stripLengthMm, tapeMm: stripLengthMm, abreast: best.n, tapes, perFilm: tapes / best.n }
}

/** A design's kit lines, and what they serve. */
export function planKit(
  s: Situation,
  print: PrintPlan,
  made: Made,
  tape: TapePlan | undefined,
  home: HomeNeeds,
): { lines: KitLine[]; needs: KitNeeds } {
  const panels = s.design.panels ?? (s.kind.measure.by === 'panels' ? s.kind.measure.usual.value : 0)
  const uses = [...s.resolved.materials, ...s.kind.extras, ...roomThings(s), ...byHand(s), ...goingHome(s, home)]
  const needs: KitNeeds = {
    people: s.inClass.length,
    toGo: s.toGo.length,
    pieces: s.pieces,
    seating: s.seating,
    ...made,
    home: home.materials,
    inKits: home.inKits,
    sittings: s.sittings,
    prints: print.prints,
    films: s.resolved.noPrint ? s.pieces * s.printsEach + made.coated - s.pieces : print.prints,
    perSheet: print.grid.perSheet,
    outline: s.fills,
    panelStripMm: panels ? accordionStrip(panelMm(s.kind, s.design.width.mm), panels).lengthMm : 0,
    areaMm2: area(s, s.picture, s.fills.value),
    faceMm2: s.design.on || s.design.edge ? area(s, s.face, outlineShare(s.outline)) : area(s, s.picture, s.fills.value),
    covers: new Set(s.resolved.stages.filter((x) => x.covers === 'piece').map((x) => x.id)),
    brings: s.design.brings ?? false,
    coat: s.resolved.coat,
    strips: { perPrint: tape?.perFilm ?? 0, lengthMm: tape?.stripLengthMm ?? 0 },
    share: s.workshop.choices.share,
    cupboard: s.house.cupboard,
    reserved: s.reserved,
    kind: s.kind.id,
    figures: s.figures,
  }
  const mirrored = print.mirrored ? 'mirrored, ' : 'not mirrored, '
  const lines = scaleKit(uses, needs).map((l) => {
    if (l.material === 'blank')
      return {
        ...l,
        name: s.kind.plural[0]!.toUpperCase() + s.kind.plural.slice(1),
        note: blankMaterial(s.design.material)?.name ?? s.design.material,
      }
    if (l.material === 'print')
      return { ...l, note: `${mirrored}${s.resolved.print.ink === 'any' ? s.resolved.print.paper : s.resolved.print.ink}` }
    return l
  })
  return { lines, needs }
}

/** An area of a piece in mm2, all its pictures together. */
const area = (s: Situation, of: { widthMm: number; heightMm: number }, share: number): number =>
  Number(((s.kind.pictures ?? 1) * of.widthMm * of.heightMm * share).toFixed(3))

/** What every class has in reach, whatever the method. */
function roomThings(s: Situation): MaterialUse[] {
  if (s.madeInClass === 0) return []
  const { stages, materials } = s.resolved
  const has = (id: string) => materials.some((m) => m.material === id)
  const line = (material: string, note: string, basis: 'room' | 'table', at: string[]): MaterialUse[] =>
    at.length === 0 || has(material) ? [] : [{ material, note, basis, amount: figure(1, 'count', 'P'), stages: at, durable: true }]
  const named = stages.filter((x) => x.station === 'shelf' || x.makes === 'laid').map((x) => x.id)
  const wet = stages.filter((x) => x.cautions.some((c) => c === 'rinse' || c === 'pulp')).map((x) => x.id)
  const laying = stages.filter((x) => x.lays || x.cautions.includes('water')).map((x) => x.id)
  const drying = stages.filter((x) => !x.attended && x.station === 'rack').map((x) => x.id)
  return [
    ...line('marker', 'permanent: every piece is named', 'table', named.slice(0, 1)),
    ...line('paper-towel', 'a roll in reach', 'table', laying),
    ...line('bucket', 'with a sieve: pulp and glue never go down the sink', 'room', wet),
    ...line('fan', 'between coats and rounds', 'room', drying),
  ]
}

/** Scissors where something is cut by hand: an outline that no trimmer cuts. */
function byHand(s: Situation): MaterialUse[] {
  if (s.cut === 'straight' || s.resolved.noPrint || s.resolved.materials.some((m) => m.material === 'scissors')) return []
  const share = { by: 'pair' as const, options: ['each' as const, 'pair' as const, 'table' as const] }
  const stages = [s.resolved.stages.find((x) => x.id === 'trim')?.id ?? s.resolved.stages[0]!.id]
  return [
    { material: 'scissors', note: 'round the outline', basis: 'person', amount: figure(1, 'count', 'P'), stages, share, durable: true },
  ]
}

/** What bags for home are made of, beside what is in them: each a tray or bag, each medium a lidded pot with its label. */
function goingHome(s: Situation, home: HomeNeeds): MaterialUse[] {
  if (home.people === 0) return []
  const pots = s.resolved.materials
    .filter((m) => m.basis === 'area')
    .reduce((sum, m) => sum + (home.materials[m.material] ?? 0) + (home.inKits[m.material] ?? 0), 0)
  const last = [s.resolved.stages.findLast((x) => x.mayBe.includes('home'))?.id ?? s.resolved.stages.at(-1)!.id]
  const line = (material: string, note: string, n: number): MaterialUse => ({
    material,
    note,
    basis: 'room',
    amount: figure(n, 'count', 'P'),
    stages: last,
  })
  return [
    ...(pots > 0 ? [line('pot', 'for the way home, labelled with product and cautions', pots)] : []),
    ...(home.people > home.kits ? [line('home-tray', 'open, flat, a piece on each', home.people - home.kits)] : []),
    line('home-bag', 'for the things, with the sheet', home.people),
  ]
}

/** Sizes come from typed inches: what is below a micrometre is noise of binary fractions. */
const toMicrometre = (mm: number) => Number(mm.toFixed(3))
