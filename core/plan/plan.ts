import { mergeErrands } from '#core/errands'
import { mergeKits } from '#core/kit'
import type { PictureContext } from '#core/pictures'
import { isRefusal } from '#core/reasons'
import { bySeat } from '#core/takehome'
import { minutesBetween } from '#core/time'
import { planAdults } from './adults'
import { decide } from './decisions'
import { ownCautions, planDesign, type PlannedDesign } from './design'
import { figuresOf } from './figures'
import { findingsOf } from './findings'
import { classLoads } from './loads'
import { nextClass } from './nextClass'
import { pictureContext } from './pictures'
import { sharedShelf } from './shelf'
import type { Figured, Plan, PlanInput, Reckoning } from './shapes'
import { situate } from './situation'
import { planOf } from './view'

/** A workshop's whole plan, with its reasons. Pure and deterministic: the same input gives the same plan, in browser and
 *  server alike. Whatever is missing has a default that is marked as one. "Does not fit" and "too soon" are findings with
 *  ways out, never exceptions. Reckoned for each design and put together, then figures, then what to look at, then the chain. */
export function planWorkshop(input: PlanInput): Plan {
  const parts = input.workshop.designs.map((d) => planDesign(situate(input, d)))
  const reckoned = reckon(parts)
  const figured: Figured = { ...reckoned, figures: figuresOf(parts, reckoned) }
  const findings = findingsOf(parts, figured)
  return { ...figured, findings, decisions: decide(parts, { ...figured, findings }) }
}

/** What the designs come to together. */
function reckon(parts: readonly PlannedDesign[]): Reckoning {
  const [{ s, d }] = parts as [PlannedDesign]
  const kit = mergeKits(
    parts.map((p) => ({ design: p.d.design, name: p.d.pieceName, makers: p.d.makers, lines: p.d.ownKit, needs: p.needs })),
  )
  const toBuy = kit.filter((l) => !isRefusal(l.toGet.purchase) && l.toGet.purchase.packs.length > 0).length
  return {
    ...d,
    now: s.now,
    people: s.workshop.group.participants.length,
    seating: s.tables,
    seats: s.seats,
    designs: parts.map((p) => p.d),
    kit,
    sessions: s.sessions,
    loads: classLoads(parts),
    ownCautions: [...new Set(parts.flatMap((p) => ownCautions(p.s)))],
    nextClass: latest(parts.map((p) => nextClass(p.s))),
    errands: mergeErrands(
      parts.map((p) => p.errands),
      toBuy,
    ),
    shelf: sharedShelf(
      parts.map((p) => p.shelf),
      s.house,
    ),
    adults: planAdults(parts),
    takeHome: parts.length === 1 ? parts[0]!.takeHome : bySeat(parts.flatMap((p) => p.takeHome)),
  }
}

function latest(all: Reckoning['nextClass'][]): Reckoning['nextClass'] {
  const known = all.filter((n) => n !== null)
  return known.length < all.length ? null : known.reduce((a, b) => (minutesBetween(a.from, b.from) > 0 ? b : a))
}

/** What a plan judges a design's pictures against, for the contact sheet. */
export function pictureContextOf(input: PlanInput, plan: Plan, designId = plan.design): PictureContext {
  const design = input.workshop.designs.find((d) => d.id === designId)
  return pictureContext(situate(input, design), planOf(plan, designId))
}
