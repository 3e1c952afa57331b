import { CsvError, parse } from 'csv-parse/sync'
import { Router } from 'express'
import * as v from 'valibot'
import { readRecipeFile, readWorkshopFile } from '#core/exchange'
import { BadInput, readInput } from '#core/reasons'
import { readRoster, type RosterRow } from '#core/roster'

const text = v.pipe(v.string('no text | Choose a file.'), v.maxLength(2_000_000, 'more than 2 MB | A roster of 400 people is far smaller.'))
const rosterRequest = v.object({
  text,
  answers: v.optional(v.record(v.pipe(v.string(), v.regex(/^\d+$/)), v.picklist(['name', 'age', 'years', 'leave'])), {}),
})

/** Looks at files without taking anything in: the page shows the preview, and one press sends a command. */
export function importRoutes(): Router {
  const router = Router()

  router.post('/imports/roster', (req, res) => {
    const { text: file, answers } = readInput(rosterRequest, req.body)
    res.json(readRoster(rowsOf(file), Object.fromEntries(Object.entries(answers).map(([k, a]) => [Number(k), a]))))
  })

  router.post('/imports/workshop', (req, res) => {
    const { text: file } = readInput(v.object({ text }), req.body)
    res.json({ workshop: readWorkshopFile(file) })
  })

  router.post('/imports/recipe', (req, res) => {
    const { text: file } = readInput(v.object({ text }), req.body)
    res.json({ recipe: readRecipeFile(file) })
  })

  return router
}

/** A CSV's lines with their numbers; comma, semicolon or tab, whichever the heading line has most of. */
function rowsOf(file: string): RosterRow[] {
  const heading = /^.*/.exec(file.replace(/^\uFEFF/, ''))![0]
  const delimiter = [',', ';', '\t'].sort((a, b) => heading.split(b).length - heading.split(a).length)[0]!
  try {
    const records = parse(file, {
      bom: true,
      delimiter,
      relax_column_count: true,
      skip_empty_lines: true,
      info: true,
      cast: false,
    }) as unknown as { record: string[]; info: { lines: number } }[]
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
