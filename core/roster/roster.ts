import { ageBands, type AgeBand } from '#core/recipe'
import { changed, freeSeats, inWorkshop, limits, pathText, seated, type Change, type Guard, type Participant } from '#core/workshop'

/** A line of a roster file, as the CSV reader gave it. */
export interface RosterRow {
  line: number
  cells: string[]
}

/** What a column holds. `leave` is left out. */
export const headings = ['name', 'age', 'years', 'picture', 'leave'] as const
export type Heading = (typeof headings)[number]

/** A heading that is not understood: asked about, never guessed. */
export interface RosterQuestion {
  column: number
  heading: string
  example: string
  guess?: Heading
}

export interface RosterPreview {
  /** `picture` is the file that the roster names; it is for bringing pictures in and is not kept. */
  good: { line: number; name: string | null; age: AgeBand; picture?: string }[]
  bad: { line: number; column: number; text: string; what: string; remedy: string }[]
  questions: RosterQuestion[]
  headings: (Heading | null)[]
}

const known: Record<string, Heading> = {
  name: 'name',
  'first name': 'name',
  firstname: 'name',
  participant: 'name',
  age: 'age',
  'age band': 'age',
  band: 'age',
  picture: 'picture',
  'picture file': 'picture',
  pictures: 'picture',
  photo: 'picture',
  seat: 'leave',
}
const maybe: Record<string, Heading> = {
  yrs: 'years',
  years: 'years',
  'age (years)': 'years',
  nombre: 'name',
  nom: 'name',
  vorname: 'name',
  kid: 'name',
  child: 'name',
  file: 'picture',
  image: 'picture',
  foto: 'picture',
  bild: 'picture',
}

/** Reads a roster: first line headings, then a person a line. Good lines and bad ones side by side; a heading that is not
 *  known is a question, unless `answers` (by column) settle it. Years become bands and are not kept. */
export function readRoster(rows: readonly RosterRow[], answers: Record<number, Heading> = {}): RosterPreview {
  const [top, ...people] = rows
  if (!top)
    return {
      good: [],
      bad: [
        { line: 1, column: 1, text: '', what: 'The file is empty.', remedy: 'Give a heading line such as name,age and a person a line.' },
      ],
      questions: [],
      headings: [],
    }
  const headings = top.cells.map((h, i) => answers[i] ?? known[h.trim().toLowerCase()] ?? null)
  const questions = headings.flatMap((h, i): RosterQuestion[] => {
    if (h !== null) return []
    const guess = maybe[top.cells[i]!.trim().toLowerCase()]
    return [{ column: i, heading: top.cells[i]!, example: people[0]?.cells[i] ?? '', ...(guess && { guess }) }]
  })
  const preview: RosterPreview = { good: [], bad: [], questions, headings }
  for (const row of people) {
    const read = readPerson(row, headings, top.cells.length)
    if ('what' in read) preview.bad.push({ line: row.line, text: row.cells.join(','), ...read })
    else if (preview.good.length >= limits.people)
      preview.bad.push({
        line: row.line,
        column: 1,
        text: row.cells.join(','),
        what: `More than ${limits.people} people.`,
        remedy: 'Plan a second workshop.',
      })
    else preview.good.push({ line: row.line, ...read })
  }
  return preview
}

type Person = { name: string | null; age: AgeBand; picture?: string }
const fileNameLimit = 200
type Wrong = { column: number; what: string; remedy: string }

function readPerson(row: RosterRow, headings: (Heading | null)[], columns: number): Person | Wrong {
  if (row.cells.length !== columns)
    return {
      column: Math.min(row.cells.length, columns) + 1,
      what: `Line ${row.line} has ${row.cells.length} fields, the heading ${columns}.`,
      remedy: 'Add or take out a separator, or put text with one in quotes.',
    }
  let name: string | null = null
  let age: AgeBand = 'adult'
  let picture = ''
  for (const [i, heading] of headings.entries()) {
    const cell = unsafed(row.cells[i]!.trim())
    if (heading === 'name') {
      if (cell.length > limits.name)
        return { column: i + 1, what: `A name of ${cell.length} letters.`, remedy: `First names only, ${limits.name} letters at most.` }
      name = cell === '' ? null : cell
    }
    if (heading === 'picture') {
      if (cell.length > fileNameLimit)
        return { column: i + 1, what: `A file name of ${cell.length} letters.`, remedy: `${fileNameLimit} letters at most.` }
      picture = cell
    }
    if (heading === 'age' || heading === 'years') {
      const read = readAge(cell, heading)
      if (!read)
        return {
          column: i + 1,
          what: `“${cell.slice(0, 30)}” is not an age.`,
          remedy: `Say ${ageBands.join(', ')}${heading === 'years' ? ' or whole years' : ''}.`,
        }
      age = read
    }
  }
  return { name, age, ...(picture && { picture }) }
}

function readAge(cell: string, heading: Heading): AgeBand | undefined {
  if (cell === '') return 'adult'
  const plain = cell
    .toLowerCase()
    .replace(/\s*(to|–|—|bis|-)\s*/, '-')
    .replace(/^(under|<)[\s-]*8$/, 'under-8')
  const band = ageBands.find((b) => b === plain)
  if (band) return band
  const years = /^\d{1,3}$/.test(cell) ? Number(cell) : NaN
  if (heading !== 'years' && Number.isNaN(years)) return undefined
  if (!(years >= 0 && years <= 120)) return undefined
  return years < 8 ? 'under-8' : years < 13 ? '8-12' : years < 18 ? '13-17' : 'adult'
}

/** A cell that a spreadsheet would run as a formula gets an apostrophe in front, which readRoster takes off again. */
export const safeCell = (text: string): string => (formula.test(text) ? `'${text}` : text)
const unsafed = (text: string): string => (text.startsWith("'") && formula.test(text.slice(1)) ? text.slice(1) : text)
/** What some spreadsheet runs: the signs, also full-width, also behind blanks and marks that are not seen. */
const formula = /^[\s\p{Cf}\p{Cc}]*[=+\-@\uFF1D\uFF0B\uFF0D\uFF20]|^[\t\r\n]/u

/** A roster as rows: heading first. */
export const rosterRows = (people: readonly Participant[]): string[][] => [
  ['name', 'age'],
  ...seated(people).map((p) => [safeCell(p.name ?? ''), p.age]),
]

/** What bringing a roster in changes: names fill the unnamed seats in their order, who is left over gets a free seat; `left` is how
 *  many a workshop cannot hold (then nothing should come in). Counts on the number of people that its author saw. */
export function rosterChanges(
  people: readonly Participant[],
  good: RosterPreview['good'],
  fresh: () => string,
): { changes: Change[]; guards: Guard[]; left: number } {
  const free = seated(people.filter((p) => p.name === null))
  const seats = freeSeats(people, Math.max(0, good.length - free.length))
  const changes = good.flatMap((g, i): Change[] => {
    const seat = free[i]
    if (seat)
      return [
        changed(inWorkshop.group.participants(seat.id).name, seat.name, g.name),
        changed(inWorkshop.group.participants(seat.id).age, seat.age, g.age),
      ]
    const after: Participant = { id: fresh(), seat: seats[i - free.length]!, name: g.name, age: g.age, misses: [] }
    return [changed(inWorkshop.group.participants(after.id), null, after)]
  })
  const left = Math.max(0, people.length + seats.length - limits.people)
  return { changes, guards: [{ path: pathText(inWorkshop.group.participants), count: people.length }], left }
}
