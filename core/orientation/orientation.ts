import * as v from 'valibot'

const flag = () => v.boolean('not true or false | Give true or false.')

export const orientationInput = v.object({
  printedMirrored: flag(),
  laidFaceDown: flag(),
  seenThrough: flag(),
  lettering: flag(),
})
export type OrientationInput = v.InferOutput<typeof orientationInput>

export interface Orientation {
  flips: number
  readsRight: boolean
  verdict: 'fine' | 'warning' | 'blocker'
  /** The print setting that makes the picture read right. */
  printMirrored: boolean
}

/** Whether the finished picture reads right, and how to print it so that it does.
 *  It is a mirror image exactly when the flips are odd. Lettering makes that a blocker, else a warning. */
export function orient(input: OrientationInput): Orientation {
  const laid = Number(input.laidFaceDown) + Number(input.seenThrough)
  const flips = laid + Number(input.printedMirrored)
  const readsRight = flips % 2 === 0
  const verdict = readsRight ? 'fine' : input.lettering ? 'blocker' : 'warning'
  return { flips, readsRight, verdict, printMirrored: laid % 2 === 1 }
}
