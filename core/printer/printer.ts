import type { Ink } from '#core/recipe'

/** A printer that stands in for a real one and says so. It can be told to jam or to run low. */
export const lettings = ['run', 'jam', 'low'] as const
export type Letting = (typeof lettings)[number]
export interface Printer {
  ink: Ink
  /** What is left in it: 0 to 1. */
  level: number
  /** The paper in its tray. */
  paper: string
  letIt: Letting
  /** Sheets printed since it was new. */
  printed: number
}

export const freshPrinter = (ink: Ink, paper: string): Printer => ({ ink, level: 0.34, paper, letIt: 'run', printed: 0 })

/** What a sheet takes, where "low" begins and what it leaves; seconds a sheet. All E. */
const perSheet = 0.01
const lowLevel = 0.02
const secondsASheet: Record<Ink, number> = { toner: 4, inkjet: 20 }

/** How a job went: sheets that lie in the out-tray, the one that was lost, and why it stopped. */
export interface Ran {
  printed: number
  lost: number
  stopped: 'jam' | 'empty' | 'wrong-paper' | null
  printer: Printer
}

/** Runs a job of so many sheets. A jam takes the sheet in the middle; an empty printer stops before the sheet that it can't
 *  print; the wrong paper in the tray stops it before the first. Deterministic. */
export function runJob(printer: Printer, sheets: number, paper: string): Ran {
  if (printer.paper !== paper) return { printed: 0, lost: 0, stopped: 'wrong-paper', printer }
  const level = printer.letIt === 'low' ? Math.min(printer.level, lowLevel) : printer.level
  const enough = Math.floor(level / perSheet + 1e-9)
  const jamAt = printer.letIt === 'jam' ? Math.ceil((sheets + 1) / 2) : Infinity
  const printed = Math.min(sheets, enough, jamAt - 1)
  const jammed = printed < sheets && printed === jamAt - 1
  const lost = jammed && enough > printed ? 1 : 0
  const used = printed + lost
  return {
    printed,
    lost,
    stopped: lost ? 'jam' : printed < sheets ? 'empty' : null,
    printer: {
      ...printer,
      level: Math.max(0, Number((level - used * perSheet).toFixed(4))),
      letIt: 'run',
      printed: printer.printed + used,
    },
  }
}

/** Whether a job of this length would break off before its end. */
export const brokenOff = (printer: Printer, sheets: number): boolean => Math.floor(printer.level / perSheet + 1e-9) < sheets

export const minutesFor = (ink: Ink, sheets: number): number => Math.max(1, Math.ceil((sheets * secondsASheet[ink]) / 60))

/** What a wet finger does to its prints: toner is a powder and stays; liquid ink smears. */
export const smearOf = (ink: Ink): 'passed' | 'failed' => (ink === 'toner' ? 'passed' : 'failed')

/** What to do before a stopped job goes on. */
export const cautionsOf: Record<NonNullable<Ran['stopped']>, string[]> = {
  jam: ['open it, let the hot part cool', 'take the torn sheet out, all of it', 'fan the paper'],
  empty: ['put a new cartridge in', 'wipe spilled toner with a dry cloth, never a vacuum'],
  'wrong-paper': ['put the right paper in the tray'],
}
