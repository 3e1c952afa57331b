import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { isRefusal, readInput } from '../core/reasons'
import { checkSheets, gangSheets, sheetsInput, type SheetsInput } from '../core/sheets'

type Packed = InstanceType<typeof import('maxrects-packer').MaxRectsPacker>['rects'][number]
type Library = typeof import('maxrects-packer') & {
  Rectangle: new (w: number, h: number, x: number, y: number, turned: boolean, mayTurn: boolean) => Packed
}
// Its package says it is a module and is not one.
const { MaxRectsPacker, PACKING_LOGIC, Rectangle } = createRequire(import.meta.url)('maxrects-packer') as Library

interface Instance {
  id: string
  bound: number
  bestKnown: number
  input: unknown
}
const practice = JSON.parse(readFileSync(new URL('./practice/sheets.json', import.meta.url), 'utf8')) as Record<
  'class' | 'academic',
  Instance[]
>

/** Sheets that a general packing library takes for the same prints, by the better of two of its rules. An answer that
 *  turns what may not be turned does not count. Its arrangements need not be cuttable; it packs one size of sheet and knows no bound. */
function byLibrary(input: SheetsInput): number {
  const g = input.gutterMm
  const um = (x: number) => Math.round(x / 1e3)
  const [w, h] = [um(input.sheet.widthMm - 2 * input.sheet.marginMm + g), um(input.sheet.heightMm - 2 * input.sheet.marginMm + g)]
  const rules = [PACKING_LOGIC.MAX_AREA, PACKING_LOGIC.MAX_EDGE].map((logic) => {
    const packer = new MaxRectsPacker(w, h, 0, { smart: false, pot: false, square: false, allowRotation: true, border: 0, logic })
    const rects = input.pictures.flatMap((p) =>
      Array.from({ length: p.count }, () => new Rectangle(um(p.widthMm + g), um(p.heightMm + g), 0, 0, false, p.mayTurn)),
    )
    packer.addArray(rects as Parameters<typeof packer.addArray>[0])
    const turned = packer.bins.some((b) => b.rects.some((r) => r.rot && !r.allowRotation))
    return turned ? Infinity : packer.bins.length
  })
  return Math.min(...rules)
}

/** Sums over a set of instances after so many milliseconds each; every arrangement is checked. */
function run(which: 'class' | 'academic', ms: number): Record<string, number> {
  let [sheets, known, bound, proven, worse, better, library] = [0, 0, 0, 0, 0, 0, 0]
  for (const x of practice[which]) {
    const input = readInput(sheetsInput, x.input)
    const until = performance.now() + ms
    const answer = gangSheets(input, { steps: Infinity, enough: () => performance.now() >= until })
    if (isRefusal(answer)) throw new Error(`${x.id} was refused`)
    const wrong = checkSheets(input, answer.sheets)
    if (wrong.length) throw new Error(`${x.id}: ${wrong[0]}`)
    const n = answer.sheets.length
    const theirs = byLibrary(input)
    sheets += n
    known += x.bestKnown
    bound += x.bound
    library += theirs
    if (n === answer.lowerBound) proven++
    if (n > theirs) worse++
    if (n < x.bestKnown) better++
  }
  const name = `${which}, ${ms} ms`
  return {
    [`sheets: ${name}`]: sheets,
    [`sheets: ${name}, over the bounds, ratio`]: sheets / bound,
    [`sheets: ${name}, over the best known, ratio`]: sheets / known,
    [`sheets: ${name}, library's better rule over ours, ratio`]: library / sheets,
    [`sheets: ${name}, proven fewest`]: proven,
    [`sheets: ${name}, fewer than the best known`]: better,
    [`sheets: ${name}, more than the library`]: worse,
  }
}

/** Quality of the ganging on the practice instances, as figures and ratios. */
export const benchSheets = (): Record<string, number> => ({ ...run('class', 200), ...run('class', 2000), ...run('academic', 1000) })
