import type { Coded, ErrandValues } from '#core/codes'
import type { Figures } from '#core/figures'
import { because, from, keysOf, type Because, type Input } from '#core/reasons'
import type { ResolvedRecipe, Stage } from '#core/recipe'
import { addMinutes, lastOpenBefore, minutesBetween, type Hours, type Zoned } from '#core/time'
import type { Judged, PlacedSession } from '#core/sessions'

/** Something to do before a session, and by when at the latest. `code` and `values` go through the phrase catalogue. */
export type Errand = Coded<ErrandValues> & {
  id: string
  sessionId: string
  by: Zoned
  /** Must have begun by `by`; otherwise finished by it. */
  startBy: boolean
  state: 'open' | 'done' | 'late'
  because: Because
}

export interface ErrandInput {
  resolved: ResolvedRecipe
  judged: Judged
  sessions: readonly PlacedSession[]
  hours: Hours
  supplierDays: number
  thingsToBuy: number
  sheets: number
  /** What is trimmed, and what is painted, washed, drilled. */
  prints: number
  blanks: number
  bags: number
  ownPictures: boolean
  /** What people bring of their own, to be prepared the day before: "stones". */
  gather?: readonly string[]
  samples: boolean
  cureMin: number
  figures: Figures
  /** Held at home: the first date is the pick-up of so many kits, the second the return. */
  held?: boolean
  kits?: number
  done: readonly string[]
  /** Sets the errands of a further design's stages apart; empty for the first. */
  of?: string
  now: Zoned
}

const day = 1440
/** What is done once for all designs. */
const shared: readonly Errand['code'][] = ['order', 'collect', 'print', 'pack', 'set-up', 'pack-kits', 'hand-out', 'take-back']

/** Back from each session: what must be ordered, collected, painted, printed, begun and packed by when. Due times move
 *  back to the last open hour; cure and drying go on while the house is closed. */
export function errandsFor(input: ErrandInput): Errand[] {
  const first = firstOf(input)
  if (!first) return []
  const ahead = input.figures('ahead.print')
  const print = lead(input, 'print', first, ahead.value, { sheets: input.sheets }, [from('lead', ahead)])
  const errands = [
    ...ordering(input, print),
    ...(input.ownPictures && input.sheets > 0 ? [collecting(input, print)] : []),
    ...(input.gather ?? []).map((what) => gathering(input, first, what)),
    ...painting(input, first),
    ...(input.sheets > 0 ? [print] : []),
    ...trimming(input, first),
  ]
  const samples = input.samples ? input.resolved.recipe.samples.flatMap((s) => sample(input, s)) : []
  const days = [...input.judged.loads.flatMap((l) => packing(input, l.sessionId)), ...kitsToGo(input, first)]
  return [...errands, ...samples, ...days].sort((a, b) => minutesBetween(b.by, a.by))
}

/** What all is done before: the first class, or the pick-up of the kits. */
const firstOf = (i: ErrandInput): PlacedSession | undefined =>
  i.held ? i.sessions[0] : i.sessions.find((s) => i.judged.loads.some((l) => l.sessionId === s.id))

/** Kits are packed before they are handed out, at the pick-up or in the first class; of a workshop held at home what is used again comes
 *  back on the second date. */
function kitsToGo(i: ErrandInput, first: PlacedSession): Errand[] {
  const kits = i.kits ?? 0
  if (kits === 0) return []
  const ahead = i.figures('ahead.pack')
  const back = i.held ? i.sessions[1] : undefined
  return [
    lead(i, 'pack-kits', first, ahead.value, { kits }, [from('lead', ahead)]),
    lead(i, 'hand-out', first, 0, { kits }, []),
    ...(back ? [lead(i, 'take-back', back, 0, { kits }, [])] : []),
  ]
}

function lead<C extends keyof ErrandValues>(
  i: ErrandInput,
  code: C,
  session: PlacedSession,
  minutes: number,
  values: ErrandValues[C],
  inputs: Input[],
  id: string = code,
): Errand {
  return errand(i, id, code, session.id, addMinutes(session.from, -minutes), values, inputs)
}

function errand<C extends keyof ErrandValues>(
  i: ErrandInput,
  name: string,
  code: C,
  sessionId: string,
  wanted: Zoned,
  values: ErrandValues[C],
  inputs: Input[],
  startBy = false,
): Errand {
  const id = i.of && !shared.includes(code) ? `${name}.${i.of}` : name
  const by = code === 'set-up' ? wanted : lastOpenBefore(wanted, i.hours)
  const state = i.done.includes(id) ? 'done' : minutesBetween(by, i.now) > 0 ? 'late' : 'open'
  return { id, code, values, sessionId, by, startBy, state, because: because('errand', inputs) } as Errand
}

const ordering = (i: ErrandInput, print: Errand): Errand[] =>
  i.thingsToBuy === 0
    ? []
    : [
        errand(i, 'order', 'order', print.sessionId, addMinutes(print.by, -(i.supplierDays + 1) * day), { things: i.thingsToBuy }, [
          { name: 'supplier', value: i.supplierDays, unit: 'days', mark: 'E', ofHouse: true },
        ]),
      ]

function collecting(i: ErrandInput, print: Errand): Errand {
  const ahead = i.figures('ahead.collect')
  return errand(i, 'collect', 'collect', print.sessionId, addMinutes(print.by, -ahead.value), {}, [from('lead', ahead)])
}

/** Minutes of work on all of it by one pair of hands; and how long that takes with what dries between. */
const work = (i: ErrandInput, s: Stage): number => Math.round(s.minutes.value * (s.per === 'print' ? i.prints : i.blanks))
const effort = (i: ErrandInput, s: Stage): number => work(i, s) + (s.pauses?.value ?? 0)

/** What people bring is in before the earliest stage that is done ahead begins, and a day before the class at the latest. */
function gathering(i: ErrandInput, first: PlacedSession, pieces: string): Errand {
  const ahead = i.figures('ahead.gather')
  const prepared = painting(i, first)[0]
  const [at, why] = [prepared ? minutesBetween(prepared.by, first.from) : 0, ahead.value]
  const inputs: Input[] = [from('lead', ahead), ...(prepared ? prepared.because.inputs : [])]
  return lead(i, 'gather', first, at + why, { pieces }, inputs, `gather-${pieces.replaceAll(' ', '-')}`)
}

function painting(i: ErrandInput, first: PlacedSession): Errand[] {
  const ahead = i.resolved.stages.filter((s) => i.judged.split[s.id] === 'ahead' && s.then && s.then.least.value > 0)
  return ahead.map((s) =>
    errand(
      i,
      s.id,
      'paint',
      first.id,
      addMinutes(first.from, -s.then!.least.value - effort(i, s)),
      { stage: s.name, minutes: work(i, s) },
      [
        from('dry', s.then!.least),
        ...(s.pauses ? [from('between-coats', s.pauses)] : []),
        from(s.per === 'print' ? 'minutes-print' : 'minutes-blank', s.minutes),
        { name: 'blanks', value: i.blanks },
      ],
    ),
  )
}

function trimming(i: ErrandInput, first: PlacedSession): Errand[] {
  const ahead = i.resolved.stages.filter((s) => i.judged.split[s.id] === 'ahead' && (s.mayBe.includes('session') || (i.held && s.station)))
  return ahead.map((s) =>
    lead(
      i,
      'trim',
      first,
      i.figures('ahead.pack').value,
      { stage: s.name, minutes: work(i, s) },
      [from('lead', i.figures('ahead.pack')), from(s.per === 'print' ? 'minutes-print' : 'minutes-blank', s.minutes)],
      s.id,
    ),
  )
}

/** A sample is begun so that all before its state, waits and cure included, is over when the first class begins: it is shown there. */
function sample(i: ErrandInput, wanted: { id: string; name: string; after: string }): Errand[] {
  const stages = i.resolved.stages
  const last = stages.findIndex((s) => s.id === wanted.after)
  if (last < 0) return []
  const shownIn = sessionThatShows(i)
  const done = stages.slice(0, last + 1).filter((s) => s.mayBe.includes('session'))
  const waits = done.map((s, k) => (k === done.length - 1 && !s.then?.cures ? 0 : s.then?.cures ? i.cureMin : (s.then?.least.value ?? 0)))
  const minutes = done.reduce((sum, s, k) => sum + s.minutes.value + waits[k]!, 0)
  if (!shownIn || minutes < 60) return []
  const rests = keysOf(done.flatMap((s) => [s.minutes, ...(s.then ? [s.then.least] : [])]))
  const inputs: Input[] = [{ name: 'sample-minutes', value: minutes, unit: 'min', mark: 'E', rests }]
  return [errand(i, `sample-${wanted.id}`, 'sample', shownIn.id, addMinutes(shownIn.from, -minutes), { sample: wanted.name }, inputs, true)]
}

/** All samples are shown from the first class on. */
const sessionThatShows = (i: ErrandInput): PlacedSession | undefined =>
  i.sessions.find((s) => i.judged.loads.some((l) => l.sessionId === s.id))

function packing(i: ErrandInput, sessionId: string): Errand[] {
  const session = i.sessions.find((s) => s.id === sessionId)!
  return [
    lead(
      i,
      'pack',
      session,
      i.figures('ahead.pack').value,
      { bags: i.bags, session: session.number },
      [from('lead', i.figures('ahead.pack'))],
      `pack-${session.id}`,
    ),
    errand(i, `set-up-${session.id}`, 'set-up', session.id, session.from, { session: session.number }, [
      from('set-up', i.figures('set-up')),
    ]),
  ]
}

/** The errands of several designs in one list: what is done once for all of them is done by the first time that any asks for. `things` to
 *  buy are those of the whole kit. */
export function mergeErrands(lists: readonly (readonly Errand[])[], things: number): Errand[] {
  if (lists.length === 1) return [...lists[0]!]
  const by = new Map<string, Errand>()
  for (const e of lists.flat()) {
    const known = by.get(e.id)
    if (!known) by.set(e.id, e)
    else {
      const first = minutesBetween(known.by, e.by) < 0 ? e : known
      const both = known.code === 'print' && e.code === 'print' ? known.values.sheets + e.values.sheets : 0
      by.set(e.id, first.code === 'print' ? { ...first, values: { sheets: both } } : first)
    }
  }
  return [...by.values()].map((e) => (e.code === 'order' ? { ...e, values: { things } } : e)).sort((a, b) => minutesBetween(b.by, a.by))
}
