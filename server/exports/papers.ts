import type pg from 'pg'
import * as v from 'valibot'
import { planFormat, writeWorkshop } from '#core/exchange'
import type { House } from '#core/house'
import { inLanguage, languages, t, teach, type Language } from '#core/language'
import {
  beforeMarkdown,
  beforeText,
  inBoth,
  runHelpers,
  runMarkdown,
  runText,
  shelfLabels,
  sayPlan,
  seatOf,
  sheetMarkdown,
  sheetText,
  tableLetters,
  type RunFor,
  type RunText,
} from '#core/phrases'
import { readInput } from '#core/reasons'
import { spanish } from '#core/spanish'
import type { Clock } from '../clock'
import { planOfDesk, plansOfHouse, type Planned } from '../desk/planning'
import { NotFound } from '../errors'
import { addressesOf } from '../mine/mine'
import { beforePdf } from './beforePdf'
import { cardsPdf } from './cardsPdf'
import { calendarOf, houseFeed, personFeed, tasksOf, workshopFeed } from './calendar'
import { labelsPdf } from './labelsPdf'
import { runPdf } from './runPdf'
import { sheetsPdf } from './sheetPdf'
import { kitCsv, rosterCsv } from './tables'

const options = v.object({
  wording: v.optional(v.picklist(['few', 'more', 'large'], 'not a wording | Say few, more or large.'), 'few'),
  paper: v.optional(v.picklist(['letter', 'a4'], 'not a paper | Say letter or a4.')),
  black: v.optional(v.picklist(['0', '1']), '0'),
  /** With the code of each participant's own page. */
  codes: v.optional(v.picklist(['0', '1']), '0'),
  who: v.optional(v.string()),
  /** A class by its id, and tables by their letters with commas between. */
  session: v.optional(v.string()),
  tables: v.optional(v.string()),
  /** A page for each helper, by the posts on the room's floor. */
  helpers: v.optional(v.picklist(['each'], 'not said | Say each.')),
  /** One language, or two with a comma between for both on one sheet; left out, the house's. */
  language: v.optional(
    v.pipe(
      v.string(),
      v.transform((text) => text.split(',')),
      v.array(v.picklist(languages, `not a language | Say one of ${languages.join(', ')}, or two with a comma between.`)),
      v.minLength(1),
      v.maxLength(2, 'more than two languages | Two fit on a sheet.'),
    ),
  ),
})

teach(spanish)
const spoken = (house: House, asked: { language?: Language[] | undefined }): Language[] => asked.language ?? [house.language ?? 'en']

export interface Paper {
  type: string
  name: string
  body: string | Buffer
}

/** What some papers ask for beside the plan: every workshop of the house planned (what lies on one shelf), and the address of each participant's
 *  own page. */
interface Around {
  all: () => ReturnType<typeof plansOfHouse>
  addresses: () => Promise<Map<string, string>>
}
type MakePaper = (p: Planned, query: unknown, around: Around) => Paper | Promise<Paper>

const makers = {
  'workshop.json': ({ workshop }) => ({ type: 'application/json', name: `${workshop.id}.json`, body: writeWorkshop(workshop) }),
  'plan.json': ({ workshop, plan, house }) => ({
    type: 'application/json',
    name: `${workshop.id}-plan.json`,
    body: JSON.stringify({ ...planFormat, plan, said: inLanguage(house.language ?? 'en', () => sayPlan(plan, house)) }, null, 2),
  }),
  'roster.csv': ({ workshop }) => ({ type: 'text/csv', name: `${workshop.id}-roster.csv`, body: rosterCsv(workshop) }),
  'kit.csv': ({ workshop, plan, house }) => ({
    type: 'text/csv',
    name: `${workshop.id}-kit.csv`,
    body: inLanguage(house.language ?? 'en', () => kitCsv(plan, house)),
  }),
  'sessions.ics': ({ workshop, plan, house }) => ({
    type: 'text/calendar',
    name: `${workshop.id}.ics`,
    body: inLanguage(house.language ?? 'en', () => calendarOf(workshop, house, plan)),
  }),
  'errands.ics': ({ workshop, plan, house }) => ({
    type: 'text/calendar',
    name: `${workshop.id}-errands.ics`,
    body: inLanguage(house.language ?? 'en', () => tasksOf({ workshop, plan }, house)),
  }),
  'before.md': ({ workshop, plan, house }, query) => ({
    type: 'text/markdown',
    name: `${workshop.id}-before.md`,
    body: inLanguage(spoken(house, readInput(options, query))[0]!, () => beforeMarkdown(beforeText(plan, workshop, house))),
  }),
  'before.pdf': async ({ workshop, plan, house }, query) => {
    const asked = readInput(options, query)
    const body = await inLanguage(spoken(house, asked)[0]!, () => beforePdf(beforeText(plan, workshop, house), asked.paper ?? house.paper))
    return { type: 'application/pdf', name: `${workshop.id}-before.pdf`, body }
  },
  'run.md': (p, query) => ({
    type: 'text/markdown',
    name: `${p.workshop.id}-run.md`,
    body: inLanguage(spoken(p.house, readInput(options, query))[0]!, () => runSheets(p, query).map(runMarkdown).join('\n---\n\n')),
  }),
  'run.pdf': async (p, query) => {
    const asked = readInput(options, query)
    const body = await inLanguage(spoken(p.house, asked)[0]!, () => runPdf(runSheets(p, query), asked.paper ?? p.house.paper))
    return { type: 'application/pdf', name: `${p.workshop.id}-run.pdf`, body }
  },
  'labels.pdf': async ({ workshop, house, plan }, query, { all }) => {
    const asked = readInput(options, query)
    const { planned } = await all()
    const labels = inLanguage(spoken(house, asked)[0]!, () => shelfLabels(house, planned, plan.now, workshop.id))
    if (labels.length === 0) throw new NotFound('Nothing of this workshop lies on the shelf.')
    const body = await inLanguage(spoken(house, asked)[0]!, () => labelsPdf(labels, asked.paper ?? house.paper, workshop.title))
    return { type: 'application/pdf', name: `${workshop.id}-labels.pdf`, body }
  },
  'take-home.md': (p, query) => ({
    type: 'text/markdown',
    name: `${p.workshop.id}-take-home.md`,
    body: sheets(p, query)
      .texts.map((t) => sheetMarkdown(t.text))
      .join('\n---\n\n'),
  }),
  'cards.pdf': async ({ workshop, house, plan }, query, { addresses }) => {
    const asked = readInput(options, query)
    const of = await addresses()
    const cards = workshop.group.participants.map((p) => {
      const seat = plan.seats[p.id] ?? String(p.seat)
      return { seat, who: p.name?.trim().split(/\s+/)[0] || seat, address: of.get(p.id)! }
    })
    if (cards.length === 0) throw new NotFound('Nobody is in this workshop yet.')
    const body = await inLanguage(spoken(house, asked)[0]!, () => cardsPdf(cards, asked.paper ?? house.paper, workshop.title))
    return { type: 'application/pdf', name: `${workshop.id}-cards.pdf`, body }
  },
  'take-home.pdf': async (p, query, { addresses }) => {
    const { texts, asked } = sheets(p, query)
    const of = asked.codes === '1' ? await addresses() : undefined
    const coded = texts.map((s) => ({ ...s, ...(of?.has(s.participant) && { code: of.get(s.participant)! }) }))
    const { workshop, house } = p
    const look = { paper: asked.paper ?? house.paper, wording: asked.wording, black: asked.black === '1' }
    return {
      type: 'application/pdf',
      name: `${workshop.id}-take-home.pdf`,
      body: await sheetsPdf(coded, look, `${workshop.title}: ${inLanguage(spoken(house, asked)[0]!, () => t('take-home'))}`),
    }
  },
} satisfies Record<string, MakePaper>

export const paperNames = Object.keys(makers) as (keyof typeof makers)[]
export interface PaperAsked {
  which: keyof typeof makers
  id: string
  query: unknown
  /** Where this server was asked: what phones are sent to. */
  origin?: string
}

export interface FeedAsked {
  of: 'workshop' | 'house' | 'person'
  id: string
  person?: string
}

/** A calendar to subscribe to, of a workshop, a house or a person of a workshop; the same as long as nothing changed. */
export async function makeFeed(pool: pg.Pool, clock: Clock, { of, id, person = '' }: FeedAsked): Promise<string> {
  if (of === 'house') {
    const { house, planned } = await plansOfHouse(pool, clock, id)
    return inLanguage(house.language ?? 'en', () => houseFeed(house, planned))
  }
  const p = await planOfDesk(pool, clock, id)
  const feed = inLanguage(p.house.language ?? 'en', () => (of === 'workshop' ? workshopFeed(p, p.house) : personFeed(p, p.house, person)))
  if (feed === undefined) throw new NotFound('Nobody of that name is in this workshop.')
  return feed
}

/** A workshop in an open format: JSON, CSV, iCalendar, PDF or Markdown. */
export async function makePaper(pool: pg.Pool, clock: Clock, { which, id, query, origin = '' }: PaperAsked): Promise<Paper> {
  const make: MakePaper = makers[which]
  const planned = await planOfDesk(pool, clock, id)
  return make(planned, query, {
    all: () => plansOfHouse(pool, clock, planned.house.id),
    addresses: async () => new Map([...(await addressesOf(pool, planned.workshop))].map(([who, token]) => [who, `${origin}/m/${token}`])),
  })
}

/** The run sheet of a class (the next one unless said) for the room; `tables=each` for a page for each table, or for the tables named. */
function runSheets({ plan, workshop, house }: Planned, query: unknown): RunText[] {
  const asked = readInput(options, query)
  const next = plan.sessions.find((s) => !s.problems.includes('past') && plan.loads.some((l) => l.sessionId === s.id))
  const session = asked.session ?? next?.id ?? plan.loads.at(-1)?.sessionId ?? ''
  const groups: (RunFor | undefined)[] = asked.helpers
    ? runHelpers(plan, workshop, house, session)
    : asked.tables === undefined
      ? [undefined]
      : asked.tables === 'each'
        ? tableLetters(plan, session).map((t) => ({ tables: [t] }))
        : [{ tables: asked.tables.split(',') }]
  if (asked.helpers && groups.length === 0) throw new NotFound('No helper comes to this class.')
  const texts = groups.flatMap((g) => runText(plan, workshop, house, session, g) ?? [])
  if (texts.length === 0) throw new NotFound('There is no such class, or nothing is done in it.')
  return texts
}

function sheets({ plan, workshop, house }: Planned, query: unknown) {
  const asked = readInput(options, query)
  const who = asked.who?.split(',')
  const chosen = plan.takeHome.filter((s) => !who || who.includes(s.participant))
  if (who && chosen.length === 0) throw new NotFound('Nobody of that name is in this workshop.')
  const said = spoken(house, asked)
  const texts = chosen.map((s) => {
    const [first, second] = said.map((l) => inLanguage(l, () => sheetText(s, plan, workshop, house, asked.wording)))
    return { text: second ? inBoth(first!, second) : first!, seat: seatOf(plan, s), participant: s.participant }
  })
  return { asked, texts }
}
