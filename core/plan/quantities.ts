import { scaleKit, type KitLine } from '#core/kit'
import { orient, type Orientation } from '#core/orientation'
import { accordionStrip, blankMaterial, outlineShare } from '#core/recipe'
import { figure, isRefusal } from '#core/reasons'
import { gridOnSheet, tilesOf } from '#core/sheets'
import { sparesFor, sureWith } from '#core/spares'
import { layStrips, tapeInput, type StripLayout } from '#core/tape'
import * as v from 'valibot'
import type { Plan, PrintPlan } from './shapes'
import type { Situation } from './situation'

/** What is believed of ten pieces before anything is counted. */
export const prior = (s: Situation): { failed: number; good: number } => {
  const failed = s.figures('fails').value
  return { failed, good: 10 - failed }
}

/** Spares asked for or chosen, and how sure they make it. House pictures stand in for each other; of own ones
 *  everybody gets copies, while blanks stay interchangeable. */
export function planSpares(s: Situation): Plan['spares'] {
  const { spares, confidence } = s.workshop.choices
  const asked = { people: s.people, prior: prior(s), logged: s.evidence }
  if (spares !== null) return { count: spares, sure: sureWith(spares, asked), chosen: true }
  const found = sparesFor({ ...asked, confidence, kind: 'interchangeable' })
  return isRefusal(found) || !('spares' in found)
    ? { count: s.people, sure: sureWith(s.people, asked), chosen: false }
    : { count: found.spares, sure: found.reached, chosen: false }
}

export function planPrints(s: Situation, spares: number, samples: number): PrintPlan {
  const { pictures, mirrored } = s.design
  const { lettering } = s
  const size = s.picture
  // White left round a picture to hold takes its place on the sheet; the widest, where they differ.
  const border = s.workshop.choices.tile ? 0 : 2 * Math.max(0, ...(s.workshop.pictures ?? []).map((p) => p.edit?.borderMm ?? 0))
  const own =
    pictures === 'own'
      ? sparesFor({ people: s.people, prior: prior(s), logged: s.evidence, confidence: s.workshop.choices.confidence, kind: 'own' })
      : undefined
  const asked = own && !isRefusal(own) && 'copies' in own ? own.copies : 1
  const copies = pictures === 'own' ? (s.workshop.choices.copies ?? asked) : 1
  const prints = s.people === 0 ? 0 : pictures === 'own' ? s.people * copies + samples : s.people + spares + samples
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
    copies,
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
export function planTape(s: Situation): StripLayout | undefined {
  if (!s.resolved.materials.some((m) => m.basis === 'strips')) return undefined
  const layout = layStrips(
    v.parse(tapeInput, {
      picture: { widthMm: toMicrometre(s.picture.widthMm), lengthMm: toMicrometre(s.picture.heightMm) },
      tape: { widthMm: s.resolved.tapeWidth.value, overlapMm: s.figures('tape.overlap').value },
      marginMm: s.figures('tape.margin').value,
      keepClear: (s.design.keepClear ?? []).map(({ xMm, yMm, widthMm, lengthMm }) => ({ xMm, yMm, widthMm, lengthMm })),
    }),
  )
  return isRefusal(layout) ? undefined : layout
}

export function planKit(s: Situation, print: PrintPlan, blanks: number, tape: StripLayout | undefined): KitLine[] {
  const panels = s.design.panels ?? (s.kind.measure.by === 'panels' ? s.kind.measure.usual.value : 0)
  const lines = scaleKit([...s.resolved.materials, ...s.kind.extras], {
    people: s.people,
    seating: s.seating,
    blanks,
    prints: print.prints,
    perSheet: print.grid.perSheet,
    outline: figure(outlineShare(s.outline), 'share', s.outline === 'stone' ? 'E' : 'P'),
    panelStripMm: panels ? accordionStrip(s.picture.widthMm, panels).lengthMm : 0,
    areaMm2: Number((s.picture.widthMm * s.picture.heightMm * outlineShare(s.outline)).toFixed(3)),
    coat: s.resolved.coat,
    strips: { perPrint: tape?.strips ?? 0, lengthMm: tape?.stripLengthMm ?? 0 },
    share: s.workshop.choices.share,
    cupboard: s.house.cupboard,
    kind: s.kind.id,
    figures: s.figures,
  })
  const mirrored = print.mirrored ? 'mirrored, ' : 'not mirrored, '
  return lines.map((l) => {
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
}

/** Sizes come from typed inches: what is below a micrometre is noise of binary fractions. */
const toMicrometre = (mm: number) => Number(mm.toFixed(3))
