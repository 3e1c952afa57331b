import type { Ran } from '#core/printer'
import type { Ink } from '#core/recipe'
import type { Print } from './list'

/** What is known of a job in the out-tray: which prints lie on which of its sheets, how many came out, which are to be done
 *  again. */
export interface PrintedJob {
  id: string
  sheets: { prints: string[] }[]
  printed: number
  redo: string[]
}

/** A job as the server tells it and the screen shows it; `whole` says that its PDF is still there. */
export interface Job extends PrintedJob {
  ink: Ink
  paper: string
  actor: string
  at: string
  number: number
  sheets: { prints: string[]; labels: string[] }[]
  lost: number
  stopped: Ran['stopped']
  whole: boolean
}

/** Prints that lie in the out-tray and are not to be done again, with the job they came in. */
export function printedIn(jobs: readonly PrintedJob[]): Map<string, string> {
  const done = new Map<string, string>()
  for (const job of jobs)
    for (const sheet of job.sheets.slice(0, job.printed)) for (const p of sheet.prints) if (!job.redo.includes(p)) done.set(p, job.id)
  return done
}

/** Prints that have still to be printed: nothing is printed twice. */
export const stillToPrint = (prints: readonly Print[], jobs: readonly PrintedJob[]): Print[] => {
  const done = printedIn(jobs)
  return prints.filter((p) => !done.has(p.id))
}

/** Prints of a job that a stop took along: those of the lost sheet and of the sheets that had not started. */
export const missingFrom = (job: PrintedJob): string[] => job.sheets.slice(job.printed).flatMap((s) => s.prints)

/** So many sheets go to the printer, or into a file, at once: what a tray holds, and a server's memory. */
export const mostSheetsAtOnce = 120

/** Whether everything that is printed for a person has come out: a large picture is several tiles. */
export const allOut = (prints: readonly Print[], piece: { participant: string; number: number }, out: ReadonlySet<string>): boolean => {
  const own = prints.filter((p) => p.participant === piece.participant && p.number === piece.number && p.purpose === 'piece')
  return own.length > 0 && own.every((p) => out.has(p.id))
}
