import * as v from 'valibot'
import { ageBands, edges, inks, outlines, pieceStates, shareBys, whitesBecome } from '#core/recipe'
import { remembered } from './remembered'
import { erasedShape, pictureShape, printLock } from './picture'
import { instant, isClock, isDate } from '#core/time'

/** The stated limits of a workshop. */
export const limits = { designs: 6, people: 400, tables: 80, helpers: 60, sessions: 5, name: 80, title: 120 }

export const drawings = ['moth', 'ferry', 'kelp', 'lighthouse', 'heron', 'tide'] as const
export type Drawing = (typeof drawings)[number]

const id = () => v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,64}$/, 'not an id | Use small letters, digits and hyphens.'))
const text = (most: number) =>
  v.pipe(v.string('not text | Give text.'), v.maxLength(most, `longer than ${most} letters | Shorten it to ${most} letters.`))
const count = (min: number, max: number) =>
  v.pipe(
    v.number('not a number | Give a whole number.'),
    v.integer('not a whole number | Give a whole number.'),
    v.minValue(min, `less than ${min} | Give ${min} or more.`),
    v.maxValue(max, `more than ${max} | Give ${max} or fewer.`),
  )
const mm = () =>
  v.pipe(
    v.number('not a number | Give millimetres.'),
    v.gtValue(0, 'not above 0 | Give more than 0 mm.'),
    v.maxValue(2000, 'more than 2000 mm | Give 2000 mm or less.'),
  )
const date = () => v.pipe(v.string(), v.check(isDate, 'a day that no calendar has | Write it like 2027-03-04.'))
const clock = () => v.pipe(v.string(), v.check(isClock, 'not a time of day | Write it like 18:30.'))

/** A length as it was typed, and what it means in mm. */
const typedLength = v.object({ mm: mm(), text: text(24) })
export type TypedLength = v.InferOutput<typeof typedLength>

const participant = v.object({
  id: id(),
  /** Place in the row of seats, from 1; tables are filled in this order. */
  seat: count(1, limits.people),
  /** First name only; null where only the seat is known. Kept in an erasable row on the server. */
  name: v.nullable(text(limits.name)),
  age: v.picklist(ageBands, `not an age band | Say one of ${ageBands.join(', ')}.`),
  /** Ids of the sessions this person will miss, or has missed. */
  misses: v.pipe(v.array(id()), v.maxLength(limits.sessions)),
  /** When the piece of somebody who misses the laying is laid all the same: by a helper for them, or by themselves at another hour. */
  catchUp: v.optional(v.object({ at: instant(), by: v.picklist(['helper', 'self']) })),
  /** Comes at an hour of their own to rub, and does there what the class does. */
  rubsAt: v.optional(instant()),
  /** Does everything at home, from a kit to go; left out, comes to the classes. */
  kit: v.optional(v.boolean()),
  /** How many of each design this person makes, where it is not what everybody does. */
  makes: v.optional(v.record(id(), count(0, 9))),
})
export type Participant = v.InferOutput<typeof participant>

const side = () => v.pipe(v.number(), v.minValue(0, 'below 0 | Give 0 mm or more.'), v.maxValue(2000))
const keepClearBox = v.object({
  id: id(),
  xMm: side(),
  yMm: side(),
  widthMm: side(),
  lengthMm: side(),
  what: v.picklist(['face', 'lettering']),
})
export type KeepClear = v.InferOutput<typeof keepClearBox>

/** What pictures are made of: those of the house stand in for each other; of own ones each has two; magazine pages and what people bring
 *  are not printed. */
export const pictureSources = ['house', 'own', 'magazine', 'brought'] as const
export type PictureSource = (typeof pictureSources)[number]

/** A picture that does not fill its piece: its size, where its lower left corner is on the face (left out: in the middle), its edge. */
const placed = v.object({
  width: typedLength,
  height: typedLength,
  at: v.optional(v.object({ xMm: side(), yMm: side() })),
})

const design = v.object({
  id: id(),
  kind: id(),
  material: id(),
  width: typedLength,
  height: typedLength,
  thickness: v.optional(typedLength),
  recipe: v.object({ id: id(), version: count(1, 1000) }),
  choices: v.record(v.pipe(v.string(), v.maxLength(40)), v.pipe(v.string(), v.maxLength(40))),
  pictures: v.picklist(pictureSources, `not a source of pictures | Say one of ${pictureSources.join(', ')}.`),
  /** Left out, the picture fills the face. */
  on: v.optional(placed),
  /** How the picture ends; left out, straight, or as the piece. */
  edge: v.optional(v.picklist(edges, `not an edge | Say one of ${edges.join(', ')}.`)),
  /** Finishing, by id. */
  finish: v.optional(v.pipe(v.array(id()), v.maxLength(12))),
  /** What is aimed at; left out, nobody has said. */
  quality: v.optional(v.picklist(['clean', 'worn'], 'not an aim | Say clean or worn.')),
  /** People bring their own blanks: stones, boards. */
  brings: v.optional(v.boolean()),
  lettering: v.boolean(),
  /** The print setting; null means as the plan advises. */
  mirrored: v.nullable(v.boolean()),
  /** What a piece of one's own kind is called. */
  called: v.optional(text(40)),
  /** What its face looks like from above; left out, as its kind usually does. */
  outline: v.optional(v.picklist(outlines, `not an outline | Say one of ${outlines.join(', ')}.`)),
  /** Panels of an accordion book. */
  panels: v.optional(count(2, 60)),
  /** The prints at hand: printer, what the smear test showed, paper. What is missing is not known. */
  print: v.optional(
    v.object({
      printer: v.optional(v.picklist(inks, 'not a kind of ink | Say toner or inkjet.')),
      smear: v.optional(v.picklist(['passed', 'failed'], 'not an outcome | Say passed or failed.')),
      gsm: v.optional(count(10, 1000)),
      coated: v.optional(v.boolean()),
    }),
  ),
  /** What the pictures are like. Pixels of the smallest picture, at the size it is printed. */
  picture: v.optional(
    v.object({
      faces: v.optional(v.boolean()),
      fine: v.optional(v.boolean()),
      pale: v.optional(v.boolean()),
      precious: v.optional(v.boolean()),
      pixels: v.optional(v.object({ width: count(1, 100_000), height: count(1, 100_000) })),
    }),
  ),
  /** Boxes of the picture that no seam may cross, in mm from its lower left corner. */
  keepClear: v.optional(v.pipe(v.array(keepClearBox), v.maxLength(20, 'more than 20 boxes | Draw 20 or fewer.'))),
  /** How many each person makes; left out, one of the first design and none of another. */
  each: v.optional(count(0, 9)),
  /** Of a design after the first: its own spares, samples and split, as `choices` has them for the first. */
  spares: v.optional(v.nullable(count(0, 400))),
  samples: v.optional(v.nullable(count(0, 12))),
  split: v.optional(v.record(v.pipe(v.string(), v.maxLength(40)), v.pipe(v.string(), v.maxLength(64)))),
  /** A person chose the method: another kind of piece keeps it as long as it takes it. */
  methodChosen: v.optional(v.boolean()),
  /** What the whites should become; left out, anything will do. */
  whites: v.optional(v.picklist(whitesBecome)),
})
export type Design = v.InferOutput<typeof design>

const session = v.object({
  id: id(),
  date: date(),
  start: clock(),
  end: clock(),
  /** The second of a doubled hour, where the clock goes back. */
  later: v.optional(v.boolean()),
  room: text(60),
  /** Who comes so many minutes after it begins; tables begin so many minutes one after the other. */
  late: v.optional(v.record(id(), count(1, 1440))),
  stagger: v.optional(count(1, 60)),
  /** When what else is shown to everybody, in minutes from its start. */
  shows: v.optional(
    v.pipe(v.array(v.object({ id: id(), atMin: count(0, 1440), minutes: count(1, 240), what: text(60) })), v.maxLength(12)),
  ),
  /** Stages that are to begin at a minute, by person and "design.stage". */
  pins: v.optional(v.record(id(), v.record(v.pipe(v.string(), v.maxLength(140)), count(0, 10_000)))),
  /** A plan of its room that somebody kept: of which room, every stage's start in minutes. */
  kept: v.optional(
    v.object({
      of: v.pipe(v.string(), v.maxLength(40)),
      starts: v.pipe(v.array(count(0, 20_000)), v.maxLength(20_000)),
      seed: count(0, 2_147_483_647),
      steps: count(0, 2_147_483_647),
    }),
  ),
})
/** What of a class is set by hand, about who does what when. */
export type SessionRun = Pick<Session, 'late' | 'stagger' | 'shows' | 'pins' | 'kept'>
export type Session = v.InferOutput<typeof session>

/** What is known of a real piece; a piece nobody touched has no entry and follows the plan. */
const piece = v.object({
  id: id(),
  participant: id(),
  /** The design it is of; left out, the first. */
  design: v.optional(id()),
  /** Which of somebody's pieces of this design; left out, the first. */
  number: v.optional(count(1, 9)),
  state: v.picklist(pieceStates, `not a state | Say one of ${pieceStates.join(', ')}.`),
  laidAt: v.nullable(instant()),
  /** Goes home as it is, whatever the plan still has for it. */
  asIs: v.optional(v.boolean()),
  /** On how many spares it was begun again, by class. */
  spares: v.optional(v.record(id(), count(1, 99))),
})
export type Piece = v.InferOutput<typeof piece>

const unique = <T extends { id: string }>(list: T[]) => new Set(list.map((x) => x.id)).size === list.length

/** A workshop: who, what, when and the choices. Whatever is left open has a default, marked as one in the plan. */
export const workshopShape = v.pipe(
  v.object({
    id: id(),
    houseId: id(),
    title: v.pipe(
      text(limits.title),
      v.check((t) => t.trim() !== '', 'empty | Give the workshop a name.'),
    ),
    drawing: v.picklist(drawings),
    createdAt: instant(),
    archivedAt: v.nullable(instant()),
    group: v.object({
      tables: v.nullable(count(1, limits.tables)),
      helpers: count(0, limits.helpers),
      /** Age bands that somebody has set: other bands take nobody from them. */
      agesSet: v.optional(v.pipe(v.array(v.picklist(ageBands)), v.maxLength(ageBands.length))),
      participants: v.pipe(
        v.array(remembered(participant)),
        v.maxLength(limits.people, `more than ${limits.people} people | Plan two workshops.`),
        v.check(unique, 'two people have one id | Give each an id of its own.'),
      ),
    }),
    designs: v.pipe(
      v.array(remembered(design)),
      v.minLength(1, 'nothing is made | Give one design.'),
      v.maxLength(limits.designs, `more than ${limits.designs} designs | Plan a second workshop.`),
      v.check(unique, 'two designs have one id | Give each an id of its own.'),
    ),
    /** Held at home, from kits to go: the first date is the pick-up, a second the return. Left out, in classes. */
    held: v.optional(v.literal('home')),
    sessions: v.pipe(
      v.array(remembered(session)),
      v.maxLength(limits.sessions, `more than ${limits.sessions} sessions | Plan a second workshop.`),
      v.check(unique, 'two sessions have one id | Give each an id of its own.'),
    ),
    choices: v.object({
      /** null: as many as the confidence asks for. */
      spares: v.nullable(count(0, 400)),
      /** null: one for each stage sample of the recipe. */
      samples: v.nullable(count(0, 12)),
      confidence: v.pipe(v.number(), v.minValue(0.5, 'below 0.5 | Give 0.5 to 0.99.'), v.maxValue(0.99, 'above 0.99 | Give 0.5 to 0.99.')),
      share: v.record(v.pipe(v.string(), v.maxLength(40)), v.picklist(shareBys)),
      /** A split chosen by hand: stage id to "ahead", a session id or "home". */
      split: v.record(v.pipe(v.string(), v.maxLength(40)), v.pipe(v.string(), v.maxLength(64))),
      /** What is allowed and arranged: heat tools, spraying outdoors by an adult, blades. Left out: heat and blades are, spray
       *  is not. */
      allow: v.optional(v.object({ heat: v.boolean(), spray: v.boolean(), blade: v.boolean() })),
      /** The paper for the prints; left out, the house's. */
      paper: v.optional(v.picklist(['letter', 'a4', 'tabloid', 'a3'], 'not a paper | Say letter, a4, tabloid or a3.')),
      /** Pictures larger than the paper are printed in tiles. */
      tile: v.optional(v.boolean()),
      /** Copies of each own picture; left out, as many as the confidence asks for. With a printer in the room one is enough. */
      copies: v.optional(count(1, 9)),
      /** House pictures stand in for own ones that are not in. */
      standIn: v.optional(v.boolean()),
      /** Of a hundred such classes so many are to end in time; left out, ninety. */
      wish: v.optional(count(50, 99)),
      /** Places at hand in the room by station (basin, heat tool); what is left out is not known and not judged. */
      stations: v.optional(v.record(v.pipe(v.string(), v.maxLength(40)), count(0, 60))),
    }),
    pieces: v.pipe(
      v.array(remembered(piece)),
      v.maxLength(limits.people * limits.designs),
      v.check(unique, 'two pieces have one id | Give each an id of its own.'),
    ),
    /** Pictures that are in; their bytes stand apart. */
    pictures: v.optional(
      v.pipe(
        v.array(remembered(pictureShape)),
        v.maxLength(limits.people, `more than ${limits.people} pictures | Plan two workshops.`),
        v.check(unique, 'two pictures have one id | Give each an id of its own.'),
      ),
    ),
    picturesErased: v.optional(v.pipe(v.array(erasedShape), v.maxLength(400))),
    /** Prints put where they lie by hand; the others are ganged round them. */
    locks: v.optional(v.pipe(v.array(printLock), v.maxLength(200, 'more than 200 locked prints | Unlock some.'))),
    /** What was read of the air where pieces lie, by hand or by a logger, which may be the simulated one. */
    air: v.optional(
      v.pipe(
        v.array(
          v.object({
            id: id(),
            at: instant(),
            celsius: v.pipe(
              v.number(),
              v.minValue(-10, 'below −10 °C | Look at the thermometer again.'),
              v.maxValue(45, 'above 45 °C | Look at the thermometer again.'),
            ),
            humidityPct: v.pipe(v.number(), v.minValue(0, 'below 0 % | Give 0 to 100.'), v.maxValue(100, 'above 100 % | Give 0 to 100.')),
            from: v.picklist(['hand', 'logger', 'simulated']),
            /** Read in the room of a class; left out, where pieces lie. */
            session: v.optional(id()),
          }),
        ),
        v.maxLength(1500, 'more than 1500 readings | Take some out.'),
      ),
    ),
    errandsDone: v.pipe(v.array(v.pipe(v.string(), v.maxLength(80))), v.maxLength(200)),
  }),
)
export type Workshop = v.InferOutput<typeof workshopShape>
export type AirReading = NonNullable<Workshop['air']>[number]

export type Allow = NonNullable<Workshop['choices']['allow']>
export const allowed = (w: Pick<Workshop, 'choices'>): Allow => w.choices.allow ?? { heat: true, spray: false, blade: true }

/** A new workshop: so many seats, coaster-size on wood, no date yet. Ids come from outside: core has no randomness. */
export function newWorkshop(
  ids: { id: string; design: string; participants: string[] },
  houseId: string,
  title: string,
  at: string,
): Workshop {
  return {
    id: ids.id,
    houseId,
    title,
    drawing: 'moth',
    createdAt: at,
    archivedAt: null,
    group: {
      tables: null,
      helpers: 1,
      participants: ids.participants.map((p, i) => ({ id: p, seat: i + 1, name: null, age: 'adult', misses: [] })),
    },
    designs: [
      {
        id: ids.design,
        kind: 'coaster',
        material: 'plywood',
        width: { mm: 101.6, text: '4 in' },
        height: { mm: 101.6, text: '4 in' },
        recipe: { id: 'medium-transfer', version: 1 },
        choices: {},
        pictures: 'house',
        lettering: false,
        mirrored: null,
      },
    ],
    sessions: [],
    choices: { spares: null, samples: null, confidence: 0.9, share: {}, split: {} },
    pieces: [],
    errandsDone: [],
  }
}

/** Seat as people say it at a table of `seats`: "B3". */
export const seatNumber = (table: number, place: number): string => `${tableName(table)}${place + 1}`
export const tableName = (table: number): string =>
  table < 26 ? String.fromCharCode(65 + table) : `${tableName(Math.floor(table / 26) - 1)}${tableName(table % 26)}`
