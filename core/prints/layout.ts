import { isRefusal, readInput, type Refusal } from '#core/reasons'
import {
  cutList,
  Ganging,
  mostPrints,
  sheetsInput,
  tooLarge,
  usualSteps,
  type Cut,
  type CutTree,
  type Ganged,
  type Lock,
  type SheetsInput,
} from '#core/sheets'
import type { PrintLock } from '#core/workshop'
import { borderOf, type Print } from './list'
import { onMarks } from './marks'
import { showLength, type LengthUnit, type Size } from '#core/units'
import type { Paper } from '#core/house'

/** A print on a sheet: its lower left corner, and its size as it lies (turned prints stand on their side). */
export interface LaidPrint {
  print: Print
  xMm: number
  yMm: number
  widthMm: number
  heightMm: number
  turned: boolean
  locked: boolean
}
export interface LaidSheet {
  places: LaidPrint[]
  cuts: Cut[]
  tree: CutTree
  /** A picture on it is not in yet. */
  waits: boolean
}
export interface Layout {
  sheets: LaidSheet[]
  /** No fewer are possible with straight cuts. */
  lowerBound: number
  /** So many steps give the same layout again, here or elsewhere; at the most `mostLayoutSteps`. */
  steps: number
  /** Share of the last sheet that stays whole. */
  wholeLeft: number
  /** Sheets' worth of picture and gutter. */
  fills: number
}

export interface LayoutAsk {
  prints: readonly Print[]
  paper: Paper
  gutterMm: number
  locks: readonly PrintLock[]
  /** What the trimmer's ruler is marked in. */
  unit: LengthUnit
}

const sizeKey = (p: Pick<Print, 'widthMm' | 'heightMm'>) => `${p.widthMm} x ${p.heightMm}`

/** A ganging of prints under way. Prints of one size can stand for each other on a sheet, so sizes are ganged and prints dealt
 *  out to the places in their own order: a table's prints lie together. */
export function beginLayout({ prints, paper, gutterMm, locks, unit }: LayoutAsk): { ganging: Ganging; layout: () => Layout } | Refusal {
  if (prints.length > mostPrints)
    return {
      refused: {
        what: `${prints.length} prints are too many at once`,
        why: `${mostPrints} are laid out together`,
        remedies: ['print fewer copies of each picture', 'make the piece small enough to need no tiles', 'plan two workshops'],
      },
    }
  const bySize = new Map<string, Print[]>()
  for (const p of prints) bySize.set(sizeKey(p), [...(bySize.get(sizeKey(p)) ?? []), p])
  const input: SheetsInput = readInput(sheetsInput, {
    sheet: { widthMm: paper.widthMm, heightMm: paper.heightMm, marginMm: paper.marginMm },
    gutterMm,
    pictures: [...bySize].map(([id, list]) => ({
      id,
      widthMm: list[0]!.widthMm,
      heightMm: list[0]!.heightMm,
      count: list.length,
      mayTurn: true,
    })),
  })
  const large = tooLarge(input)
  const sized = (s: Size) => `${showLength(s.widthMm, unit)} × ${showLength(s.heightMm, unit)}`
  if (large.length)
    return {
      refused: {
        what: `${large
          .map((id) => bySize.get(id)![0]!)
          .map(sized)
          .join(', ')} is larger than this paper prints`,
        why: `printable are ${sized({ widthMm: paper.widthMm - 2 * paper.marginMm, heightMm: paper.heightMm - 2 * paper.marginMm })}`,
        remedies: [
          ...(large.some((id) => bySize.get(id)!.some((x) => borderOf(x) > 0)) ? ['make the border to hold smaller'] : []),
          'make the piece smaller',
          'tile it across sheets with an overlap',
          'take larger paper',
        ],
      },
    }
  const held = locks.flatMap((l): Lock[] => {
    const print = prints.find((p) => p.id === l.id)
    if (!print) return []
    return [
      { sheet: l.sheet, id: sizeKey(print), copy: bySize.get(sizeKey(print))!.indexOf(print), xMm: l.xMm, yMm: l.yMm, turned: l.turned },
    ]
  })
  const ganging = Ganging.begin(input, { locks: held })
  if (isRefusal(ganging)) return named(ganging, held, bySize)
  return { ganging, layout: () => layoutOf(ganging.answer(), bySize, { prints, paper, gutterMm, unit }) }
}

/** Beyond so many steps nothing better is looked for: another machine has to be able to take them too. */
export const mostLayoutSteps = 300_000

/** A whole layout by so many steps: the same everywhere for the same prints and steps. */
export function layPrints(ask: LayoutAsk, steps = usualSteps): Layout | Refusal {
  const begun = beginLayout(ask)
  if (isRefusal(begun)) return begun
  while (begun.ganging.steps < steps && begun.ganging.step(steps - begun.ganging.steps));
  return begun.layout()
}

/** The refusal speaks of sizes; people know prints by their labels. */
function named(r: Refusal, held: readonly Lock[], bySize: ReadonlyMap<string, Print[]>): Refusal {
  const labels = held.map((l) => bySize.get(l.id)![l.copy]!.label)
  return { refused: { ...r.refused, what: `${labels.join(', ')} cannot stay there` } }
}

function layoutOf(g: Ganged, bySize: ReadonlyMap<string, Print[]>, { prints, paper, gutterMm, unit }: Omit<LayoutAsk, 'locks'>): Layout {
  const sheets = g.sheets.map((s): LaidSheet => {
    const places = s.places.map((p): LaidPrint => {
      const print = bySize.get(p.id)![p.copy]!
      const [widthMm, heightMm] = p.turned ? [print.heightMm, print.widthMm] : [print.widthMm, print.heightMm]
      return { print, xMm: p.xMm, yMm: p.yMm, widthMm, heightMm, turned: p.turned, locked: p.locked ?? false }
    })
    const tree = onMarks(s.cuts, places, paper, unit)
    return { places, cuts: cutList(tree, paper), tree, waits: places.some((p) => !p.print.picture) }
  })
  const area = prints.reduce((sum, p) => sum + (p.widthMm + gutterMm) * (p.heightMm + gutterMm), 0)
  const sheet = (paper.widthMm - 2 * paper.marginMm + gutterMm) * (paper.heightMm - 2 * paper.marginMm + gutterMm)
  return { sheets, lowerBound: g.lowerBound, steps: g.foundAt, wholeLeft: g.wholeLeft, fills: area / sheet }
}
