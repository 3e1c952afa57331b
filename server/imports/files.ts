import * as v from 'valibot'
import { readRecipeFile, readWorkshopFile } from '#core/exchange'
import { readInput } from '#core/reasons'
import { headings, readRoster } from '#core/roster'
import { lookAtAir } from './air'
import { lookAtClosedDays } from './closedDays'
import { rowsOf } from './rows'

/** Files may hold so much. */
const most = { letters: 2_000_000 }

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
  air: lookAtAir,
  recipe: (body: unknown) => ({ recipe: readRecipeFile(readInput(v.object({ text }), body).text) }),
}
export const fileKinds = Object.keys(readers) as (keyof typeof readers)[]
export interface FileAsked {
  kind: keyof typeof readers
  body: unknown
}

/** Looks at a file without taking anything in: the page shows what it holds, and one press sends a command. */
export const lookAt = ({ kind, body }: FileAsked): unknown => readers[kind](body)
