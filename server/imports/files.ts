import { CsvError, parse } from 'csv-parse/sync'
import * as v from 'valibot'
import { readRecipeFile, readWorkshopFile } from '#core/exchange'
import { BadInput, readInput } from '#core/reasons'
import { headings, readRoster, type RosterRow } from '#core/roster'
import { lookAtClosedDays } from './closedDays'

/** Files may hold so much. */
const most = { letters: 2_000_000, lines: 20_000, columns: 60, cell: 2_000 }

const text = v.pipe(
  v.string('no text | Choose a file.'),
  v.maxLength(most.letters, 'more than 2 MB | A roster of 400 people is far smaller.'),
)
const rosterRequest = v.object({
  text,
  answers: v.optional(v.record(v.pipe(v.string(), v.regex(/^\d+$/)), v.picklist(headings)), {}),
})

const readers = {
  roster: (body: unknown) => {
    const { text: file, answers } = readInput(rosterRequest, body)
    return readRoster(rowsOf(file), Object.fromEntries(Object.entries(answers).map(([k, a]) => [Number(k), a])))
  },
  workshop: (body: unknown) => ({ workshop: readWorkshopFile(readInput(v.object({ text }), body).text) }),
  'closed-days': lookAtClosedDays,
  recipe: (body: unknown) => ({ recipe: readRecipeFile(readInput(v.object({ text }), body).text) }),
}
export const fileKinds = Object.keys(readers) as (keyof typeof readers)[]
export interface FileAsked {
  kind: keyof typeof readers
  body: unknown
}

/** Looks at a file without taking anything in: the page shows what it holds, and one press sends a command. */
export const lookAt = ({ kind, body }: FileAsked): unknown => readers[kind](body)

/** A CSV's lines with their numbers; comma, semicolon or tab, whichever the heading line has most of. */
function rowsOf(file: string): RosterRow[] {
  const heading = /^.*/.exec(file.replace(/^\uFEFF/, ''))![0]
  const delimiter = [',', ';', '\t'].sort((a, b) => heading.split(b).length - heading.split(a).length)[0]!
  if (delimitersIn(heading, delimiter) >= most.columns)
    throw new BadInput(`Line 1 has more than ${most.columns} columns.`, 'line 1', 'Keep the columns with names and ages.')
  try {
    const records = parse(file, {
      bom: true,
      delimiter,
      relax_column_count: true,
      skip_empty_lines: true,
      info: true,
      cast: false,
      max_record_size: most.columns * most.cell,
      to: most.lines + 1,
    }) as unknown as { record: string[]; info: { lines: number } }[]
    if (records.length > most.lines)
      throw new BadInput(`More than ${most.lines} lines.`, `line ${most.lines + 1}`, 'Keep the lines of this class: 400 people at most.')
    const long = records.find((r) => r.record.length > most.columns || r.record.some((c) => c.length > most.cell))
    if (long)
      throw new BadInput(
        `Line ${long.info.lines} has more than ${most.columns} columns, or a cell of more than ${most.cell} letters.`,
        `line ${long.info.lines}`,
        'Look at that line: a quotation mark may be missing.',
      )
    return records.map((r) => ({ line: r.info.lines, cells: r.record }))
  } catch (e) {
    if (!(e instanceof CsvError)) throw e
    const { lines = 1, column = 0 } = e as CsvError & { lines?: number; column?: number }
    throw new BadInput(
      `Line ${lines} cannot be read: ${e.message.split('.')[0]}.`,
      `line ${lines}, column ${Number(column) + 1}`,
      'Close the quotation mark, or write two for one inside.',
    )
  }
}

const delimitersIn = (line: string, delimiter: string): number => line.split(delimiter).length - 1
