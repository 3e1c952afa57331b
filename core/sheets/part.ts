/** A part of a sheet that straight cuts make: a picture, or parts side by side or one above the other. Whole numbers, gutters
 *  added. Each part is as small as its pieces allow; how much it may grow follows from the sheet (see {@link Slack}).
 *
 *      beside: w = sum, h = most          above: w = most, h = sum
 *      +----+---+                         +----------+
 *      | a  | b |                         |    b     |
 *      |    +---+                         +-------+--+
 *      +----+                             |   a   |
 *                                         +-------+
 */
export interface Part {
  w: number
  h: number
  /** Children stand side by side (true) or one above the other. */
  beside: boolean
  kids: Part[]
  /** The piece that it is; -1 where it has children. */
  piece: number
  parent: Part | undefined
}

export const leaf = (piece: number, w: number, h: number): Part => ({ w, h, beside: false, kids: [], piece, parent: undefined })

export function copyPart(p: Part, parent?: Part): Part {
  const made: Part = { w: p.w, h: p.h, beside: p.beside, kids: [], piece: p.piece, parent }
  for (const k of p.kids) made.kids.push(copyPart(k, made))
  return made
}

/** The size that its children give it, here and in all that hold it. */
function measure(part: Part | undefined): void {
  for (let p = part; p; p = p.parent) {
    let sum = 0
    let most = 0
    for (const k of p.kids) {
      sum += p.beside ? k.w : k.h
      most = Math.max(most, p.beside ? k.h : k.w)
    }
    p.w = p.beside ? sum : most
    p.h = p.beside ? most : sum
  }
}

/** Parts side by side or one above the other; what is missing is left out, a row in a row is one row. */
export function putTogether(beside: boolean, parts: readonly (Part | undefined)[]): Part | undefined {
  const kids = parts.filter((p) => p !== undefined).flatMap((p) => (p.piece < 0 && p.beside === beside ? p.kids : [p]))
  if (kids.length <= 1) return kids[0]
  const made: Part = { w: 0, h: 0, beside, kids, piece: -1, parent: undefined }
  for (const k of kids) k.parent = made
  measure(made)
  return made
}

/** Puts a leaf into a sheet: as one more child of `at`, or beside it (`beside` true) or above it. Returns the sheet's root. */
export function putIn(root: Part, at: Part, how: 'child' | 'wrap', beside: boolean, made: Part): Part {
  if (how === 'child') {
    at.kids.push(made)
    made.parent = at
    measure(at)
    return root
  }
  const { parent } = at
  const holder: Part = { w: 0, h: 0, beside, kids: [at, made], piece: -1, parent }
  if (parent) parent.kids[parent.kids.indexOf(at)] = holder
  at.parent = made.parent = holder
  measure(holder)
  return parent ? root : holder
}

/** Takes a part out of a sheet. A part with one child left is that child; a row in a row is one row. Returns the sheet's root,
 *  or undefined when nothing is left. */
export function takeOut(root: Part, part: Part): Part | undefined {
  const { parent } = part
  if (!parent) return undefined
  parent.kids.splice(parent.kids.indexOf(part), 1)
  if (parent.kids.length > 1) {
    measure(parent)
    return root
  }
  const only = parent.kids[0]!
  const above = parent.parent
  only.parent = above
  if (!above) return only
  if (only.piece < 0) {
    // Its row runs as the row above does.
    for (const k of only.kids) k.parent = above
    above.kids.splice(above.kids.indexOf(parent), 1, ...only.kids)
  } else above.kids[above.kids.indexOf(parent)] = only
  measure(above)
  return root
}

export function piecesOf(part: Part | undefined, into: number[] = []): number[] {
  if (!part) return into
  if (part.piece >= 0) into.push(part.piece)
  for (const k of part.kids) piecesOf(k, into)
  return into
}

export function listParts(part: Part, into: Part[] = []): Part[] {
  into.push(part)
  for (const k of part.kids) listParts(k, into)
  return into
}
