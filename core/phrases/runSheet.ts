import { clockOf, type House } from '#core/house'
import { t } from '#core/language'
import { stopsOf, type Plan } from '#core/plan'
import { floorOf, postsFor } from '#core/floor'
import { cautions, roomStations } from '#core/recipe'
import { runLines, storyOf, tablesOf } from '#core/sessions'
import { addMinutes, sayClock, sayDay, sayMinute } from '#core/time'
import { tableName, type Workshop } from '#core/workshop'
import { phrases } from './phrases'

/** A class's run sheet: what begins when, for which tables, with how to know that it is right. */
export interface RunText {
  title: string
  about: string
  /** A plan that does not hold says so here. */
  doubt: string
  lines: { at: string; who: string; what: string; know: string; forAll: boolean; alone: boolean }[]
  cautions: string[]
}

const own: Record<string, string> = { 'set-up': 'Set up', show: 'Show everybody', 'clean-up': 'Clean up' }
/** What a line of a class's run is called: its stage, or set-up, showing and clean-up. */
export const runLineName = (name: string): string => t(own[name] ?? name)

/** Whom a run sheet is for: some tables, and whoever comes to some stations; `name` says whose it is. */
export interface RunFor {
  tables: readonly string[]
  stations?: readonly string[]
  name?: string
}

/** The run sheet of a class by its room's plan, for everybody or for some; undefined where nothing is done in it. */
export function runText(plan: Plan, workshop: Workshop, house: House, session: string, only?: RunFor): RunText | undefined {
  const load = plan.loads.find((l) => l.sessionId === session)
  const placed = plan.sessions.find((s) => s.id === session)
  if (!load || !placed) return undefined
  const clock = clockOf(house)
  const say = phrases(house, plan.now)
  const at = (min: number) => sayMinute(addMinutes(placed.from, min), clock)
  const names = new Map(workshop.group.participants.map((p) => [p.id, p.name ?? plan.seats[p.id] ?? String(p.seat)]))
  const called = (p: string) => names.get(p) ?? t('a piece')
  const { rows } = storyOf(load.room)
  const mine = only ? rows.filter((r) => only.tables.includes(r.table)) : rows
  const here = new Set(mine.map((r) => r.person))
  const stop = stopsOf(plan).find((f) => f.decision === 'sessions' || f.decision === 'room')
  const shows = workshop.sessions.find((s) => s.id === session)?.shows
  // How to know that it is right is said where a stage is first begun.
  const told = new Set<string>()
  const lines = runLines(load.room, shows).flatMap((l) => {
    const atMine = l.station !== null && only?.stations?.includes(l.station)
    const people = atMine ? l.people : l.people.filter((p) => here.has(p))
    if (people.length === 0 && !l.forAll) return []
    const stage = load.room.stages[l.stage]?.stage
    const first = !told.has(l.stage)
    told.add(l.stage)
    return [
      {
        at: at(l.atMin),
        who: l.forAll ? t('everybody') : tablesOf(people, atMine ? rows : mine, called),
        what: `${runLineName(l.name)}, ${say.minutes(l.minutes)}`,
        know: stage && !l.alone && first ? t(stage.pass) : '',
        forAll: l.forAll === true,
        alone: l.alone === true,
      },
    ]
  })
  const hands = [...new Set(Object.values(load.room.stages).flatMap((x) => x.stage.cautions))]
  return {
    title: t('{0}, class {1}', workshop.title, placed.number),
    about: [
      t('{0}, {1} to {2}', sayDay(placed.from), sayClock(placed.from, clock), sayClock(placed.to, clock)),
      ...(placed.room ? [placed.room] : []),
      ...(only ? [t('for {0}', [only.name, only.tables.join(', ')].filter(Boolean).join(': '))] : []),
      t('clean by {0}', at(load.neededMin)),
    ].join(' · '),
    doubt: stop ? t('This plan does not hold yet: {0}.', say.finding(stop).title) : '',
    lines,
    cautions: hands.map((c) => `${t(cautions[c].where)}: ${t(cautions[c].text)}`),
  }
}

/** What each helper of a class looks after, by the posts on its room's floor: their tables, and who comes to their stations. */
export function runHelpers(plan: Plan, workshop: Workshop, house: House, session: string): RunFor[] {
  const placed = plan.sessions.find((s) => s.id === session)
  const load = plan.loads.find((l) => l.sessionId === session)
  if (!placed || !load) return []
  const stations = load.room.input.stations.map((s) => s.id).filter((s) => roomStations.some((r) => r.id === s))
  return postsFor(floorOf(house.floors, placed.room), plan.seating.length, workshop.group.helpers, stations).map((p, i) => ({
    name: t('Helper {0}', i + 1),
    tables: p.tables.map(tableName),
    stations: p.stations,
  }))
}

/** The tables of a workshop, by their letters. */
export const tableLetters = (plan: Plan, session: string): string[] => [
  ...new Set(plan.loads.find((l) => l.sessionId === session)?.room.input.pieces.map((p) => p.table) ?? []),
]

/** The same as Markdown. */
export const runMarkdown = (r: RunText): string =>
  [
    `# ${r.title}`,
    '',
    r.about,
    ...(r.doubt ? ['', `**${r.doubt}**`] : []),
    '',
    ...r.lines.map((l) => `- **${l.at}** ${l.who}: ${l.what}${l.know ? `. ${l.know}` : ''}`),
    ...(r.cautions.length ? ['', ...r.cautions.map((c) => `> ${c}`)] : []),
    '',
  ].join('\n')
