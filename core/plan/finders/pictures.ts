import type { PictureValues } from '#core/codes'
import { asOfPictures, ownerName, pictureFindings, pictureOf } from '#core/pictures'
import { minutesBetween } from '#core/time'
import { change, inWorkshop, pieceOf } from '#core/workshop'
import { pictureContext } from '../pictures'
import { copiesForSure } from '../quantities'
import type { Figured, Finding, Remedy } from '../shapes'
import type { Situation } from '../situation'
import { finding, inDesign, keepWhites, remedy, scaled, type Find } from './ways'

/** So long before the first class missing pictures are worth a look, and not only a note. */
const soonMin = 10 * 1440

/** What is missing of the pictures, and what the pictures that are in need: said once for all that need it, by name. */
export const pictureLooks: Find = (s, plan) => (s.resolved.noPrint ? [] : [...missingOnes(s), ...judged(s, plan), ...manyCopies(s, plan)])

/** Two of each, and how sure that is; more make it surer, and who can print again in the room needs one. Nobody has chosen yet: it is
 *  said, not decided. */
function manyCopies(s: Situation, plan: Figured): Finding[] {
  const { copies, prints } = plan.print
  if (s.design.pictures !== 'own' || s.workshop.choices.copies !== undefined || copies < 2) return []
  const enough = copiesForSure(s)
  const ways = [
    ...(enough > copies
      ? [
          remedy('copies-for-sure', [change(s.workshop, inWorkshop.choices.copies, enough)], {
            copies: enough,
            sure: percent(s.workshop.choices.confidence),
          }),
        ]
      : []),
    remedy('one-copy', [change(s.workshop, inWorkshop.choices.copies, 1)]),
  ]
  // How often a piece fails is an estimate until it is logged.
  return [{ ...finding('many-copies', 'note', 'pictures', { copies, prints, sure: percent(plan.print.sure) }, ways), mark: 'E' }]
}

const percent = (share: number) => Math.round(100 * share)

function missingOnes(s: Situation): Finding[] {
  const people = s.makers
  if (s.design.pictures !== 'own' || people.length === 0) return []
  const missing = people.filter((p) => !pictureOf(s.workshop, p.id, s.design.id))
  const first = s.sessions[0]
  const begun = first !== undefined && minutesBetween(s.now, first.from) < 0
  const printed = missing.every((p) => (pieceOf(s.workshop, p.id, s.design.id)?.state ?? 'to-print') !== 'to-print')
  if (missing.length === 0 || begun || printed) return []
  const soon = first !== undefined && minutesBetween(s.now, first.from) < soonMin
  const some = missing.length < people.length
  const names = missing.slice(0, 4).map((p) => p.name ?? `seat ${s.seats[p.id]}`)
  const house = s.pictures.some((p) => p.participant === null)
  const standIn =
    house && !s.workshop.choices.standIn ? [remedy('house-stands-in', [change(s.workshop, inWorkshop.choices.standIn, true)])] : []
  if (house && s.workshop.choices.standIn) return []
  return [
    finding(
      'pictures-missing',
      some || soon ? 'look' : 'note',
      'pictures',
      { missing: missing.length, people: people.length, names: list(names, missing.length) },
      standIn,
    ),
  ]
}

const list = (names: readonly string[], all: number) => `${names.join(', ')}${all > names.length ? ` and ${all - names.length} more` : ''}`

function judged(s: Situation, plan: Figured): Finding[] {
  const people = s.workshop.group.participants
  return pictureFindings(s.pictures, pictureContext(s, plan)).flatMap(({ finding: f, pictures, each }): Finding[] => {
    const ours = pictures.filter((p) => p.participant === null).length
    const names = [
      ...pictures.filter((p) => p.participant !== null).map((p) => ownerName(people, p, s.seats)),
      ...(ours === 0 ? [] : [ours === 1 ? 'A house picture' : `${ours} house pictures`]),
    ]
    const worst = Math.min(...each.map((x) => ('percent' in x.values ? x.values.percent : 100)))
    const said = asOfPictures(f, { count: pictures.length, names: list(names.slice(0, 3), names.length) })
    if (!said || (f.level !== 'stop' && f.level !== 'look')) return []
    return [{ ...said, level: f.level, decision: 'pictures', remedies: ways(s, plan, f.code, worst), mark: f.mark }]
  })
}

/** Each code's ways out that are the plan's to give; the others are the picture's own. */
function ways(s: Situation, plan: Figured, code: keyof PictureValues, percent: number): Remedy[] {
  if (code === 'soft' || code === 'poor') return [scaled(s, percent)]
  if (code === 'reads-backwards')
    return [
      remedy('print-as-advised', [change(s.workshop, inDesign(s).mirrored, null)], {
        mirrored: Number(plan.print.orientation.printMirrored),
      }),
    ]
  if (code === 'whites-go') return keepWhites(s)
  return []
}
