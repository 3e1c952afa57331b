import { t as tr } from '#core/language'
import type { Announcement, DayStage, TableDay } from '#core/day'
import { grouped } from '#core/sessions'
import { minutesBetween, sayMinute, sayShortDay, type Zoned } from '#core/time'

/** What is said aloud: what to do and how to know that it is right. */
export function words(a: Announcement): string {
  if (a.kind === 'show') return tr('Everybody looks here: this is how it goes.')
  const stage = a.stage!
  if (a.kind === 'begin') return `${stage.helper ? tr('{0}: an adult does it', tr(stage.name)) : tr(stage.name)}. ${tr(stage.pass)}`
  if (a.kind === 'finish') return tr('Done. Look at it once more, then put it where it may stay.')
  return a.then ? `${tr('Hands off.')} ${tr(a.then.name)}. ${tr(a.then.pass)}` : tr('Hands off.')
}

/** Tables by their letters; many by how many they are. */
function lettersOf(list: readonly Announcement[]): string {
  const tables = [...new Set(list.map((a) => a.table))]
  return tables.length > 4 ? tr('{0} tables', tables.length) : tables.join(', ')
}

/** What the one tap does, for whom it is said in one breath. */
export function deed(...list: Announcement[]): string {
  const a = list[0]!
  if (a.kind === 'show') return tr('Shown to all')
  const stage = tr(a.stage!.name)
  const tables = lettersOf(list)
  if (a.kind === 'begin') return tr('{0}: {1} begins', tables, stage.toLowerCase())
  return a.kind === 'stop' ? tr('{0}: hands off', tables) : tr('{0}: done', tables)
}
/** Until when it has to be begun where the step before it grips or dries out; empty where nothing presses. */
export function bySaid(list: readonly Announcement[], clock: 12 | 24): string {
  const [first] = list.flatMap((a) => a.until ?? []).sort((a, b) => minutesBetween(b, a))
  return first ? tr('by {0} at the latest', sayMinute(first, clock)) : ''
}
/** Who of a table, where it is for some of it only: by name, many by how many they are. */
export function whoOf(list: readonly Announcement[], tables: readonly TableDay[], names: ReadonlyMap<string, string>): string {
  const here = new Map(tables.map((t) => [t.table, t.people.length]))
  return list
    .filter((a) => a.table && a.people.length < (here.get(a.table) ?? 0))
    .map((a) => {
      const { length } = a.people
      return `${a.table}: ${length > 5 ? tr('{0} of {1}', length, here.get(a.table)!) : a.people.map((p) => names.get(p) ?? tr('Guest')).join(', ')}`
    })
    .join('; ')
}
/** To whom it is said. */
export function toWhom(list: readonly Announcement[]): string {
  if (!list[0]?.table) return tr('to all')
  const { size } = new Set(list.map((a) => a.table))
  if (size === 1) return tr('to table {0}', list[0].table)
  return size > 4 ? tr('to {0} tables', size) : tr('to tables {0}', lettersOf(list))
}
/** The time of something to come, with its day where that is not today. */
export function whenSaid(due: Zoned, now: Zoned, clock: 12 | 24): string {
  const time = sayMinute(due, clock)
  return due.slice(0, 10) === now.slice(0, 10) ? time : `${sayShortDay(due)} ${time}`
}
/** In a few words, for the lines to come. */
export function line(...list: Announcement[]): string {
  const a = list[0]!
  if (a.kind === 'show') return tr('show all')
  const tables = lettersOf(list)
  if (a.kind === 'begin') return tr('to {0}: {1}', tables, tr(a.stage!.name).toLowerCase())
  return a.kind === 'stop' ? tr('to {0}: hands off, let it dry', tables) : tr('to {0}: done', tables)
}
export const stageWord = (s: DayStage | null): string => (s ? tr(s.name) : tr('Done'))

/** Tables in a few words by what they are at: "C, D: rub, round 1. A: dry through." */
export function tablesSaid(tables: readonly TableDay[]): string {
  const by = grouped(
    tables.filter((t) => t.people.length > 0),
    (t) => (t.doing || !t.stage ? stageWord(t.stage) : tr('not begun')),
  )
  return [...by].map(([word, list]) => `${list.map((t) => t.table).join(', ')}: ${word.toLowerCase()}.`).join(' ')
}

/** "6:12" to go, or "0:20 ago". */
export function timer(minutes: number): string {
  const s = Math.floor(Math.abs(minutes) * 60 + 1e-6)
  const [h, m] = [Math.floor(s / 3600), Math.floor(s / 60) % 60]
  const text = h > 0 ? `${h}:${String(m).padStart(2, '0')} h` : `${m}:${String(s % 60).padStart(2, '0')}`
  return minutes < 0 ? tr('{0} ago', text) : text
}

/** The place beside one: the last number in it goes up by one; a place without a number stays. */
export const nextPlace = (place: string): string => place.replace(/\d+(?=\D*$)/, (n) => String(Number(n) + 1).padStart(n.length, '0'))
