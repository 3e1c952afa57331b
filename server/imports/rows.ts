import { CsvError, parse } from 'csv-parse/sync'
import { BadInput } from '#core/reasons'
import type { RosterRow } from '#core/roster'

/** Files may hold so much. */
const most = { lines: 20_000, columns: 60, cell: 2_000 }

/** A CSV's lines with their numbers; comma, semicolon or tab, whichever the heading line has most of. */
export function rowsOf(file: string): RosterRow[] {
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
