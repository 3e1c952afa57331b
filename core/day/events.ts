import * as v from 'valibot'
import { instant, type Zoned } from '#core/time'

/** What a tap on the day can say. Each is about one subject; `value` carries the rest. */
export const dayKinds = [
  // the room
  'begin',
  'end',
  'check',
  'climate',
  'note',
  'ran-out',
  'longer',
  'stop',
  // a table, or some of its people
  'began',
  'did',
  'said',
  'skip',
  // a person
  'here',
  'absent',
  'left',
  'guest',
  // a piece
  'needs',
  'helped',
  'spare',
  'home',
  'shelf',
  'outcome',
  // a station
  'places',
  // another event
  'undo',
] as const
export type DayKind = (typeof dayKinds)[number]
export const outcomes = ['good', 'hazy', 'bald', 'torn', 'redone'] as const
export type Outcome = (typeof outcomes)[number]

const id = () => v.pipe(v.string(), v.minLength(1), v.maxLength(140))
const ids = v.pipe(v.array(id()), v.maxLength(500, 'more than 500 people | Tap table by table.'))
const values = {
  ...{ begin: v.object({}), end: v.object({}), here: v.object({}), absent: v.object({}), left: v.object({}), helped: v.object({}) },
  /** Whose hands: people by their ids; `stage` is "design.stage". A word that was said begins its stage unless it says that it does not. */
  began: v.object({ stage: id(), people: ids }),
  did: v.object({ stage: id(), people: ids }),
  said: v.object({ cue: id(), stage: v.optional(id()), people: v.optional(ids), neverBefore: v.optional(instant()) }),
  skip: v.object({ cue: id() }),
  check: v.object({ what: v.pipe(v.string(), v.maxLength(80)), on: v.boolean() }),
  climate: v.object({
    celsius: v.pipe(v.number(), v.minValue(-10, 'below −10 °C | Look at the thermometer again.'), v.maxValue(45)),
    humidityPct: v.pipe(v.number(), v.minValue(0), v.maxValue(100)),
  }),
  note: v.object({ text: v.pipe(v.string(), v.maxLength(500, 'longer than 500 letters | Shorten it.')) }),
  'ran-out': v.object({ material: id() }),
  longer: v.object({ stage: id() }),
  /** Work ends after a stage for all who are not past it; the rest is done at home. */
  stop: v.object({ stage: id() }),
  guest: v.object({ table: v.pipe(v.string(), v.maxLength(4)) }),
  needs: v.object({ what: v.picklist(['you', 'patch']) }),
  spare: v.object({}),
  home: v.object({}),
  shelf: v.object({ place: v.pipe(v.string(), v.maxLength(20)) }),
  outcome: v.object({ how: v.picklist(outcomes) }),
  places: v.object({ places: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(60)) }),
  undo: v.object({ event: v.pipe(v.string(), v.uuid()) }),
} satisfies Record<DayKind, v.GenericSchema>

const around = {
  id: v.pipe(v.string(), v.uuid('no UUID | Give the event an id of its own.')),
  workshop: id(),
  session: id(),
  subject: v.object({ kind: v.picklist(['piece', 'table', 'station', 'person', 'room']), id: id() }),
  /** By the tablet's own clock. */
  at: instant(),
  device: v.pipe(v.string(), v.minLength(1), v.maxLength(64)),
  /** Counted by the tablet, so that two taps of one second keep their order. */
  seq: v.pipe(v.number(), v.integer(), v.minValue(0)),
  /** So many milliseconds the tablet's clock is ahead of the server's, as it was measured last. */
  skew: v.pipe(v.number(), v.integer(), v.minValue(-1e11), v.maxValue(1e11)),
  actor: v.pipe(v.string(), v.maxLength(80)),
  /** The same for all that one press said, where it said several: undo takes them back together. */
  press: v.optional(v.pipe(v.string(), v.uuid('no UUID | Give all of one press the same id.'))),
}
export const dayEvent = v.variant(
  'kind',
  dayKinds.map((kind) => v.object({ ...around, kind: v.literal(kind), value: values[kind] })) as unknown as [
    v.ObjectSchema<typeof around & { kind: v.LiteralSchema<DayKind, undefined>; value: v.GenericSchema }, undefined>,
  ],
)
export type ValueOf<K extends DayKind> = v.InferOutput<(typeof values)[K]>
interface Around {
  id: string
  workshop: string
  session: string
  subject: { kind: 'piece' | 'table' | 'station' | 'person' | 'room'; id: string }
  at: Zoned
  device: string
  seq: number
  skew: number
  actor: string
  press?: string | undefined
}
export type DayEvent = { [K in DayKind]: Around & { kind: K; value: ValueOf<K> } }[DayKind]

/** The instant of an event as milliseconds, by the server's clock as well as the tablet knew it. */
export const correctedMs = (e: Pick<DayEvent, 'at' | 'skew'>): number => Date.parse(e.at.replace(/\[.*$/, '')) - e.skew

const order = (a: { e: DayEvent; ms: number }, b: { e: DayEvent; ms: number }) =>
  a.ms - b.ms ||
  (a.e.device < b.e.device ? -1 : a.e.device > b.e.device ? 1 : a.e.seq - b.e.seq || (a.e.id < b.e.id ? -1 : a.e.id > b.e.id ? 1 : 0))

/** So much a measured clock may jump back and a tablet's taps keep their order, in milliseconds. */
const jitterMs = 600_000

/** Each event with its corrected time. A tablet's clock is measured again and again: where that would put a tap a little before the one that it
 *  followed on the same tablet, it comes with it; a larger step is a clock that was put right. */
function steadied(events: readonly DayEvent[]): { e: DayEvent; ms: number }[] {
  const last = new Map<string, number>()
  return [...events]
    .sort((a, b) => (a.device < b.device ? -1 : a.device > b.device ? 1 : a.seq - b.seq || (a.id < b.id ? -1 : 1)))
    .map((e) => {
      const [ms, before] = [correctedMs(e), last.get(e.device) ?? -Infinity]
      const steady = ms < before && before - ms <= jitterMs ? before : ms
      last.set(e.device, steady)
      return { e, ms: steady }
    })
}

/** The events that hold, each once, in the order of corrected time, device and count: whatever order they came in, the same list. What was
 *  taken back is left out; taking that back brings it in again. */
export function liveEvents(events: readonly DayEvent[]): { e: DayEvent; ms: number }[] {
  const once = new Map(events.map((e) => [e.id, e]))
  const all = steadied([...once.values()]).sort(order)
  const gone = new Set<string>()
  // From the last to the first: whether an undo holds is known before what it takes back is met. It takes back what came before it only.
  for (let i = all.length - 1; i >= 0; i--) {
    const { e } = all[i]!
    if (e.kind === 'undo' && !gone.has(e.id)) gone.add(e.value.event)
  }
  return all.filter(({ e }) => e.kind !== 'undo' && !gone.has(e.id))
}
