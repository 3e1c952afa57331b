import { scaleKit, type KitLine } from '#core/kit'
import { orient } from '#core/orientation'
import { figure, isRefusal } from '#core/reasons'
import { gridOnSheet } from '#core/sheets'
import { sparesFor, sureWith } from '#core/spares'
import { layStrips, tapeInput, type StripLayout } from '#core/tape'
import * as v from 'valibot'
import type { Plan, PrintPlan } from './shapes'
import type { Situation } from './situation'

/** One failed, nine good: what is believed before anything is counted. */
export const prior = { failed: 1, good: 9 }
export const gutterMm = figure(6, 'mm', 'E')
export const tapeMm = { width: figure(48, 'mm', 'P'), overlap: figure(12, 'mm', 'P'), margin: figure(5, 'mm', 'E') }

/** Spares asked for or chosen, and how sure they make it. House pictures stand in for each other; of own ones
 *  everybody gets copies, while blanks stay interchangeable. */
export function planSpares(s: Situation): Plan['spares'] {
  const { spares, confidence } = s.workshop.choices
  const asked = { people: s.people, prior, logged: s.evidence }
  if (spares !== null) return { count: spares, sure: sureWith(spares, asked), chosen: true }
  const found = sparesFor({ ...asked, confidence, kind: 'interchangeable' })
  return isRefusal(found) || !('spares' in found)
    ? { count: s.people, sure: sureWith(s.people, asked), chosen: false }
    : { count: found.spares, sure: found.reached, chosen: false }
}

export function planPrints(s: Situation, spares: number, samples: number): PrintPlan {
  const { width, height, pictures, lettering, mirrored } = s.design
  const size = { widthMm: width.mm, heightMm: height.mm }
  const own =
    pictures === 'own'
      ? sparesFor({ people: s.people, prior, logged: s.evidence, confidence: s.workshop.choices.confidence, kind: 'own' })
      : undefined
  const copies = own && !isRefusal(own) && 'copies' in own ? own.copies : 1
  const prints = s.people === 0 ? 0 : pictures === 'own' ? s.people * copies + samples : s.people + spares + samples
  const grid = gridOnSheet(size, s.paper, s.house.printerMarginMm, gutterMm.value)
  const faces = { laidFaceDown: s.recipe.print.laidFaceDown, seenThrough: s.kind.seenThrough, lettering }
  const advised = orient({ printedMirrored: false, ...faces }).printMirrored
  return {
    ...size,
    copies,
    prints,
    sheets: grid.perSheet ? Math.ceil(prints / grid.perSheet) : 0,
    grid,
    mirrored: mirrored ?? advised,
    orientation: orient({ printedMirrored: mirrored ?? advised, ...faces }),
  }
}

/** Tape strips, where the recipe's kit counts in strips. */
export function planTape(s: Situation): StripLayout | undefined {
  if (!s.resolved.materials.some((m) => m.basis === 'strips')) return undefined
  const layout = layStrips(
    v.parse(tapeInput, {
      picture: { widthMm: toMicrometre(s.design.width.mm), lengthMm: toMicrometre(s.design.height.mm) },
      tape: { widthMm: tapeMm.width.value, overlapMm: tapeMm.overlap.value },
      marginMm: tapeMm.margin.value,
    }),
  )
  return isRefusal(layout) ? undefined : layout
}

export function planKit(s: Situation, print: PrintPlan, blanks: number, tape: StripLayout | undefined): KitLine[] {
  const { width, height } = s.design
  const lines = scaleKit(s.resolved.materials, {
    people: s.people,
    seating: s.seating,
    blanks,
    prints: print.prints,
    perSheet: print.grid.perSheet,
    areaMm2: width.mm * height.mm,
    coat: s.resolved.coat,
    strips: { perPrint: tape?.strips ?? 0, lengthMm: tape?.stripLengthMm ?? 0 },
    share: s.workshop.choices.share,
    cupboard: s.house.cupboard,
    kind: s.kind.id,
  })
  const mirrored = print.mirrored ? 'mirrored, ' : 'not mirrored, '
  return lines.map((l) => {
    if (l.material === 'blank') return { ...l, name: s.kind.plural[0]!.toUpperCase() + s.kind.plural.slice(1), note: s.design.material }
    if (l.material === 'print') return { ...l, note: `${mirrored}${s.recipe.print.ink}` }
    return l
  })
}

/** Sizes come from typed inches: what is below a micrometre is noise of binary fractions. */
const toMicrometre = (mm: number) => Number(mm.toFixed(3))
