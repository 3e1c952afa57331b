import * as v from 'valibot'
import { figureKey, figuresWith, ownFigureShape, type Figures } from '#core/figures'
import { floorKinds } from '#core/floor'
import { inks, makeRecipe, ownRecipeShape, recipes as practice, withFigures, type Ink, type Recipe } from '#core/recipe'
import { languages } from '#core/language'
import { currencies, type LengthUnit } from '#core/units'
import { isClock, isDate, isTimeZone, weekdays } from '#core/time'

const clock = () => v.pipe(v.string(), v.check(isClock, 'not a time of day | Write it like 09:00.'))
const span = v.pipe(
  v.object({ from: clock(), to: clock() }),
  v.check((s) => s.from < s.to, 'closes before it opens | Put the opening first.'),
)
const share = (min: number, max: number, what: string) =>
  v.pipe(v.number(), v.minValue(min, `${what} below ${min}`), v.maxValue(max, `${what} above ${max}`))
const whole = (max: number) => v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(max))

/** A house: how it measures, when it is open, its room, its cupboard and its ways. */
export const houseShape = v.object({
  id: v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,64}$/)),
  name: v.pipe(v.string(), v.minLength(1, 'empty | Give the house a name.'), v.maxLength(80)),
  units: v.picklist(['imperial', 'metric']),
  paper: v.picklist(['letter', 'a4']),
  currency: v.picklist(currencies),
  timeZone: v.pipe(v.string(), v.check(isTimeZone, 'a time zone nobody knows | Write it like Europe/Madrid.')),
  weekStart: v.picklist(['mon', 'sun']),
  /** What this house speaks; left out, English. A device may have its own, and so may each sheet of paper. */
  language: v.optional(v.picklist(languages, `not a language | Say one of ${languages.join(', ')}.`)),
  hours: v.object(
    Object.fromEntries(weekdays.map((d) => [d, v.nullable(span)])) as Record<
      (typeof weekdays)[number],
      v.NullableSchema<typeof span, undefined>
    >,
  ),
  closedDays: v.pipe(
    v.array(v.pipe(v.string(), v.check(isDate, 'a day that no calendar has | Write it like 2027-03-04.'))),
    v.maxLength(400),
  ),
  climate: v.object({ celsius: share(-10, 45, 'temperature'), humidityPct: share(0, 100, 'humidity') }),
  /** Places on the drying rack. */
  shelfPlaces: whole(2000),
  /** The boards of the rack, where they were measured: places then follow from what lies on them. Left out, the places above count. */
  rack: v.optional(
    v.pipe(
      v.array(
        v.object({
          id: v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,64}$/)),
          name: v.pipe(v.string(), v.minLength(1, 'empty | Give the board a letter or a number.'), v.maxLength(12)),
          widthMm: share(50, 5000, 'width'),
          depthMm: share(50, 2000, 'depth'),
          clearMm: share(5, 2000, 'height'),
        }),
      ),
      v.maxLength(40, 'more than 40 boards | Count two as one.'),
    ),
  ),
  /** The floors of its rooms as they were drawn: counts of tables and places follow, unless a workshop says its own. */
  floors: v.optional(
    v.pipe(
      v.array(
        v.object({
          id: v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,64}$/)),
          room: v.pipe(v.string(), v.minLength(1, 'empty | Give the room its name.'), v.maxLength(60)),
          /** The air that is usual there; left out, as it is usual in the house. */
          climate: v.optional(v.object({ celsius: share(-10, 45, 'temperature'), humidityPct: share(0, 100, 'humidity') })),
          widthMm: share(1000, 60_000, 'width'),
          depthMm: share(1000, 60_000, 'depth'),
          items: v.pipe(
            v.array(
              v.object({
                id: v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,64}$/)),
                kind: v.picklist(floorKinds),
                xMm: share(0, 60_000, 'place'),
                yMm: share(0, 60_000, 'place'),
                turned: v.optional(v.boolean()),
                places: v.optional(whole(60)),
              }),
            ),
            v.maxLength(150, 'more than 150 things | Take some out.'),
          ),
        }),
      ),
      v.maxLength(20, 'more than 20 rooms | Take one out.'),
    ),
  ),
  /** Days from an order to its parcel. */
  supplierDays: whole(60),
  /** What the printer cannot reach, at each edge. */
  printerMarginMm: share(0, 40, 'margin'),
  /** What prints here; left out, a toner printer does. */
  printers: v.optional(v.pipe(v.array(v.picklist(inks)), v.minLength(1, 'no printer | Say toner, inkjet or both.'), v.maxLength(2))),
  /** The house's own cautions beside the craft's: at a stage, or at all of them. */
  cautions: v.optional(
    v.pipe(
      v.array(
        v.object({
          id: v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,64}$/)),
          where: v.pipe(v.string(), v.minLength(1, 'empty | Say where the hand is.'), v.maxLength(40)),
          text: v.pipe(v.string(), v.minLength(1, 'empty | Say what to do.'), v.maxLength(160)),
          stage: v.nullable(v.pipe(v.string(), v.maxLength(40))),
        }),
      ),
      v.maxLength(20, 'more than 20 cautions | Keep those that are read.'),
    ),
  ),
  /** Recipes of the house, every version. */
  recipes: v.optional(v.pipe(v.array(ownRecipeShape), v.maxLength(60, 'more than 60 recipes | Take old versions out.'))),
  /** recipe id -> school id -> option id. */
  recipeChoices: v.record(v.string(), v.record(v.string(), v.string())),
  /** material id -> what is in the cupboard, in the material's unit. */
  cupboard: v.record(v.string(), v.pipe(v.number(), v.minValue(0), v.maxValue(1e6))),
  /** The house's own values of figures, by their keys. */
  figures: v.optional(v.record(figureKey, ownFigureShape)),
  /** Whom to ask, on the take-home sheet. */
  contact: v.pipe(v.string(), v.maxLength(80)),
})
export type House = v.InferOutput<typeof houseShape>

export type HouseCaution = NonNullable<House['cautions']>[number]

export const sizeUnit = (house: Pick<House, 'units'>): LengthUnit => (house.units === 'imperial' ? 'in' : 'mm')
export const clockOf = (house: Pick<House, 'units'>): 12 | 24 => (house.units === 'imperial' ? 12 : 24)

export const printersOf = (house: Pick<House, 'printers'>): readonly Ink[] => house.printers ?? ['toner']

/** The figures as they hold in a house. */
export const figuresOf = (house: Pick<House, 'figures'>): Figures => figuresWith(house.figures)

const nothing = {}
const known = new WeakMap<object, WeakMap<object, readonly Recipe[]>>()

/** The practice and the house's own recipes, their figures as they hold in the house; one that cannot be made (its method is gone, its
 *  data broken) is left out. The very same list as long as neither recipes nor figures of the house have changed. */
export function recipesOf(house: Pick<House, 'recipes' | 'figures'>): readonly Recipe[] {
  const [own, figures] = [house.recipes ?? nothing, house.figures ?? nothing]
  const byFigures = known.get(own) ?? new WeakMap<object, readonly Recipe[]>()
  known.set(own, byFigures)
  const found = byFigures.get(figures)
  if (found) return found
  const made = (house.recipes ?? []).flatMap((o) => {
    const read = makeRecipe(o)
    return 'recipe' in read ? [read.recipe] : []
  })
  const list = [...practice, ...made].map((r) => withFigures(r, figuresOf(house)))
  byFigures.set(figures, list)
  return list
}
