import * as v from 'valibot'
import { refuse, type Refusal } from '#core/reasons'
import { decimal, fromMicro, micro } from '#core/units'
import { cheapestStart, type Band, type Side } from './slide'

const most = 100_000
const strips = 500
const mm = (limits: { min?: number; above?: number }) => v.pipe(decimal({ ...limits, max: most }), v.transform(micro))

/** Lengths in mm, read as decimals of up to 6 places and held as whole millionths.
 *  At most 50 keep-clear boxes; x runs along the picture's width, y along its length. */
export const tapeInput = v.object({
  picture: v.object({ widthMm: mm({ above: 0 }), lengthMm: mm({ above: 0 }) }),
  tape: v.object({ widthMm: mm({ above: 0 }), overlapMm: mm({ min: 0 }) }),
  marginMm: mm({ min: 0 }),
  keepClear: v.optional(
    v.pipe(
      v.array(
        v.object({ xMm: mm({ min: -most }), yMm: mm({ min: -most }), widthMm: mm({ min: 0 }), lengthMm: mm({ min: 0 }) }),
        'not a list of boxes | Give a list, or leave it out.',
      ),
      v.maxLength(50, 'more than 50 keep-clear boxes | Give 50 or fewer.'),
    ),
    [],
  ),
})
export type TapeInput = v.InferInput<typeof tapeInput>
type Read = v.InferOutput<typeof tapeInput>

export interface StripLayout {
  direction: 'along length' | 'along width'
  strips: number
  stripLengthMm: number
  /** All strips together. */
  tapeMm: number
  slackMm: number
  /** The set's first edge, from the picture's edge; at most minus the margin. */
  startMm: number
  seams: { fromMm: number; toMm: number }[]
  /** Length of seam over keep-clear boxes; 0 when clear. */
  seamOnKeepClearMm: number
  /** The largest margin at which one strip fewer would do, where there is one below the margin asked for. */
  fewerAt?: { marginMm: number; strips: number }
}

interface Way {
  direction: StripLayout['direction']
  /** The side the seams are spread over, and the side they run along. */
  across: number
  along: number
  n: number
  length: number
  slack: number
}

/** Strips of tape that cover a picture with a margin, seams kept off faces and lettering.
 *
 *      |<------------ W + 2m ------------>|
 *      [ strip 0    [o]                     strips overlap by o,
 *                   [ strip 1    [o]        pitch t - o
 *                                [ strip 2 ... ]
 *
 *  Refuses an overlap not below the tape's width, and more than 500 strips. Exact: arithmetic in whole millionths of a
 *  mm; the set slides over every breakpoint. Ties: fewest strips, least tape, most slack, then keep-clear, then along
 *  the length; of equal offsets the one whose nearest seam is farthest from the middle (to 0.1 mm), then the smallest start.
 *  O((strips x boxes)^2) at worst. Own method. */
export function layStrips(input: Read): StripLayout | Refusal {
  const { widthMm: t, overlapMm: o } = input.tape
  if (o >= t)
    return refuse('These strips cannot overlap.', `An overlap of ${fromMicro(o)} mm leaves nothing of a tape ${fromMicro(t)} mm wide.`, [
      `Overlap by less than ${fromMicro(t)} mm; 12 mm is common.`,
      'Use a wider tape.',
    ])
  const ways = [way(input, 'along length'), way(input, 'along width')] as const
  const least = Math.min(ways[0].n, ways[1].n)
  if (least > strips)
    return refuse('Too many strips.', `${least} strips would be needed; the limit is ${strips}.`, [
      'Use a wider tape or a smaller overlap.',
    ])
  const order = compare(ways[0], ways[1])
  if (order !== 0) return laid(input, ways[order < 0 ? 0 : 1])
  const [along, across] = [laid(input, ways[0]), laid(input, ways[1])]
  return across.seamOnKeepClearMm < along.seamOnKeepClearMm ? across : along
}

const needed = (span: number, t: number, o: number) => Math.max(1, Math.ceil((span - o) / (t - o)))

function way({ picture, tape, marginMm: m }: Read, direction: Way['direction']): Way {
  const [across, along] = direction === 'along length' ? [picture.widthMm, picture.lengthMm] : [picture.lengthMm, picture.widthMm]
  const { widthMm: t, overlapMm: o } = tape
  const n = needed(across + 2 * m, t, o)
  return { direction, across, along, n, length: along + 2 * m, slack: n * (t - o) + o - (across + 2 * m) }
}

const compare = (a: Way, b: Way) => a.n - b.n || a.n * a.length - b.n * b.length || b.slack - a.slack

function laid(input: Read, w: Way): StripLayout {
  const { widthMm: t, overlapMm: o } = input.tape
  const m = input.marginMm
  const boxes: Band[] = input.keepClear.map((b) => band(b, w)).filter((b) => b.to > b.from && b.end > b.begin)
  const side: Side = { length: w.across, n: w.n, pitch: t - o, overlap: o, first: -m - w.slack, last: -m }
  const { start, onKeepClear } = cheapestStart(side, boxes)
  const seams = Array.from({ length: w.n - 1 }, (_, k) => start + (k + 1) * (t - o))
  return {
    direction: w.direction,
    strips: w.n,
    stripLengthMm: fromMicro(w.length),
    tapeMm: fromMicro(w.n * w.length),
    slackMm: fromMicro(w.slack),
    startMm: fromMicro(start),
    seams: seams.map((from) => ({ fromMm: fromMicro(from), toMm: fromMicro(from + o) })),
    seamOnKeepClearMm: fromMicro(onKeepClear),
    ...fewer(input, w.n),
  }
}

/** A keep-clear box clipped to the picture, as a band over the side the seams are spread over. */
function band(box: Read['keepClear'][number], w: Way): Band {
  const along = w.direction === 'along length'
  const [from, span, begin, run] = along ? [box.xMm, box.widthMm, box.yMm, box.lengthMm] : [box.yMm, box.lengthMm, box.xMm, box.widthMm]
  return { from: Math.max(0, from), to: Math.min(w.across, from + span), begin: Math.max(0, begin), end: Math.min(w.along, begin + run) }
}

/** The largest margin at which one strip fewer would do, either way round: n-1 strips cover (n-1)(t-o)+o. */
function fewer({ picture, tape, marginMm }: Read, n: number): Pick<StripLayout, 'fewerAt'> {
  if (n === 1) return {}
  const covered = (n - 1) * (tape.widthMm - tape.overlapMm) + tape.overlapMm
  const margin = Math.floor((covered - Math.min(picture.widthMm, picture.lengthMm)) / 2)
  return margin >= 0 && margin < marginMm ? { fewerAt: { marginMm: fromMicro(margin), strips: n - 1 } } : {}
}
