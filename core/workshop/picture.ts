import * as v from 'valibot'
import { isDate } from '#core/time'

const id = () => v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,64}$/, 'not an id | Use small letters, digits and hyphens.'))
const share = () => v.pipe(v.number('not a number | Give a share from 0 to 1.'), v.minValue(0), v.maxValue(1))
const side = () => v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(100_000))

/** A face or lettering, marked by hand: a box of the stored picture in shares of its sides, from its upper left corner. */
const mark = v.object({ id: id(), what: v.picklist(['face', 'lettering']), x: share(), y: share(), w: share(), h: share() })
export type PictureMark = v.InferOutput<typeof mark>

/** Where the measuring at arrival saw lettering, perhaps (E): for a person to confirm or put aside. */
const suggestion = v.object({ id: id(), x: share(), y: share(), w: share(), h: share(), sure: v.picklist(['likely', 'perhaps']) })
export type LetteringSuggestion = v.InferOutput<typeof suggestion>

/** How a picture is placed on its piece. The stored picture is turned clockwise (degrees), and the crop taken from the box round
 *  what is turned, in shares of that box from its upper left corner. The stored picture itself never changes. */
const edit = v.object({
  turn: v.optional(v.pipe(v.number(), v.minValue(-180), v.maxValue(180)), 0),
  crop: v.optional(v.object({ x: share(), y: share(), w: share(), h: share() })),
  blackWhite: v.optional(v.boolean(), false),
  /** How much lighter, for a dark board: 0 to 1. */
  lighten: v.optional(share(), 0),
  /** White paper left round it to hold. */
  borderMm: v.optional(
    v.pipe(v.number(), v.minValue(0, 'below 0 | Give 0 mm or more.'), v.maxValue(30, 'more than 30 mm | Give 30 mm or less.')),
    0,
  ),
  /** A thin line to trim along. */
  outline: v.optional(v.boolean(), false),
})
export type PictureEdit = v.InferOutput<typeof edit>
export const asItIs: PictureEdit = { turn: 0, blackWhite: false, lighten: 0, borderMm: 0, outline: false }

/** A picture of a workshop: whose it is, what was measured of it, how it is placed. Its bytes and its file's name stand apart,
 *  where they can be erased. */
export const pictureShape = v.object({
  id: id(),
  /** null: the house's, for everybody. */
  participant: v.nullable(id()),
  /** The design it is for; left out, the first. */
  design: v.optional(id()),
  /** Pixels of the stored picture, upright. */
  width: side(),
  height: side(),
  /** How much of its pixels is real detail, along a side (E); left out where it was not measured. */
  detail: v.optional(share()),
  /** How much of it is nearly white (E). */
  pale: v.optional(share()),
  /** Its owner, or a child's guardian, allows it to be used here. */
  permitted: v.boolean(),
  /** The day on which it came in. */
  addedOn: v.optional(v.pipe(v.string(), v.check(isDate, 'a day that no calendar has | Write it like 2027-03-04.'))),
  /** The day on which it is erased, where a person set one; null: two weeks after the last class, whenever that is. */
  deleteOn: v.nullable(v.pipe(v.string(), v.check(isDate, 'a day that no calendar has | Write it like 2027-03-04.'))),
  edit: v.optional(edit),
  marks: v.optional(v.pipe(v.array(mark), v.maxLength(20, 'more than 20 marks | Mark 20 or fewer.'))),
  suggested: v.optional(v.pipe(v.array(suggestion), v.maxLength(6))),
  /** Findings that somebody has looked at and accepts. */
  accepted: v.optional(v.pipe(v.array(v.pipe(v.string(), v.maxLength(40))), v.maxLength(20))),
})
export type Picture = v.InferOutput<typeof pictureShape>

/** Pictures that were erased: how many, when and why. Nothing else of them is kept. */
export const erasedShape = v.object({
  id: id(),
  at: v.pipe(v.string(), v.maxLength(80)),
  count: v.pipe(v.number(), v.integer(), v.minValue(1)),
  why: v.picklist(['due', 'by hand']),
})
export type Erased = v.InferOutput<typeof erasedShape>

/** A print that was put on a sheet by hand and stays there. `print` is its id in the list of prints; mm from the sheet's lower
 *  left corner. */
export const printLock = v.object({
  id: v.pipe(v.string(), v.maxLength(80)),
  sheet: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(4000)),
  xMm: v.pipe(v.number(), v.minValue(0), v.maxValue(2000)),
  yMm: v.pipe(v.number(), v.minValue(0), v.maxValue(2000)),
  turned: v.boolean(),
})
export type PrintLock = v.InferOutput<typeof printLock>
