import { ageBands, pieceStates, type AgeBand, type PieceState } from '#core/recipe'
import * as v from 'valibot'
import { mayBeNull } from './nullable'

/** What JSON can carry. A value that is not there is null; `undefined` is no value, so that no change can be built from one. */
export type Json = null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json | undefined }

/** One field set: a path such as `group/helpers` or `group/participants/<id>/name`; elements of lists are named by id, those of a
 *  list of words by the word itself (`errandsDone/print`). `before` is what its author saw; null on either side means "not there".
 *  `place` is where in its list what is taken out stood, so that taking it back puts it there again. */
export interface Change {
  path: string
  before: Json
  after: Json
  place?: number
}

/** Something a command counts on without setting it: the length of a list, as its author saw it. */
export interface Guard {
  path: string
  count: number
}

/** What a deed was meant to do, so that it can be done again on a document that has changed meanwhile. */
export type Intent = { [K in keyof Intents]: { kind: K; args: Intents[K] } }[keyof Intents]

/** Deeds whose changes are worked out from the document: what they were meant to reach. Nobody's name stands in them. */
export interface Intents {
  headcount: { people: number }
  ages: { band: AgeBand; people: number }
  'swap-seats': { a: string; b: string }
  'piece-states': StatesOfPieces
}
export interface StatesOfPieces {
  pieces: { participant: string; designId: string; number: number }[]
  state: PieceState
  laidAt: string | null
}

/** A change of a workshop or house, made once by its client (UUIDv7), applied in one transaction, idempotent. */
export interface Command {
  id: string
  subject: { kind: 'workshop' | 'house'; id: string }
  baseVersion: number
  /** The deed in the trade's words, a phrase code: "headcount", "move-session". */
  kind: string
  changes: Change[]
  guards: Guard[]
  intent?: Intent
  actor: string
  at: string
}

const path = v.pipe(
  v.string(),
  v.maxLength(200),
  v.regex(/^$|^[A-Za-z0-9 -][A-Za-z0-9. -]*(\/[A-Za-z0-9 -][A-Za-z0-9. -]*)*$/, 'not a path | Name fields with slashes between.'),
)
/** Whole numbers that a database column of four bytes takes. */
const small = () => v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(2_147_483_647))
const id = v.pipe(v.string(), v.maxLength(120))
const intentShape = v.variant('kind', [
  v.pipe(
    // A page from before told its people beside the kind.
    v.object({ kind: v.literal('headcount'), args: v.optional(v.object({ people: small() })), people: v.optional(small()) }),
    v.transform(({ args, people }) => ({ kind: 'headcount' as const, args: args ?? { people: people ?? 0 } })),
  ),
  v.object({ kind: v.literal('ages'), args: v.object({ band: v.picklist(ageBands), people: small() }) }),
  v.object({ kind: v.literal('swap-seats'), args: v.object({ a: id, b: id }) }),
  v.object({
    kind: v.literal('piece-states'),
    args: v.object({
      pieces: v.pipe(v.array(v.object({ participant: id, designId: id, number: small() })), v.maxLength(2400)),
      state: v.picklist(pieceStates),
      laidAt: v.nullable(v.pipe(v.string(), v.maxLength(80))),
    }),
  }),
])
export const commandShape = v.object({
  id: v.pipe(v.string(), v.uuid('not a UUID | Make one for each command.')),
  subject: v.object({ kind: v.picklist(['workshop', 'house']), id: v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,64}$/)) }),
  baseVersion: small(),
  kind: v.pipe(v.string(), v.regex(/^[a-z-]{1,40}$/)),
  changes: v.pipe(
    v.array(v.object({ path, before: v.unknown(), after: v.unknown(), place: v.optional(small()) })),
    v.minLength(1),
    v.maxLength(2000),
  ),
  guards: v.pipe(v.array(v.object({ path, count: small() })), v.maxLength(20)),
  intent: v.optional(intentShape),
  actor: v.pipe(v.string(), v.maxLength(80)),
  at: v.pipe(v.string(), v.maxLength(80)),
})

/** Where stored and expected differ: somebody else changed it first, or what it stood in is gone. */
export interface Clash {
  path: string
  stored: Json
  yours: Json
}

type Doc = Record<string, unknown>
type Listed = { id: string } | string
const isListed = (list: unknown): list is Listed[] => Array.isArray(list)
const isNamed = (x: Listed, key: string): boolean => (typeof x === 'string' ? x : x?.id) === key

const step = (node: unknown, key: string): unknown => {
  if (isListed(node)) return node.find((x) => isNamed(x, key))
  return typeof node === 'object' && node !== null && Object.hasOwn(node, key) ? (node as Doc)[key] : undefined
}

/** The value at a path; null when it is not there. The empty path is the whole. */
export function valueAt(doc: unknown, path: string): Json {
  if (path === '') return (doc ?? null) as Json
  return (path.split('/').reduce<unknown>(step, doc) ?? null) as Json
}

/** Whether two values are one: absent, undefined and null are; a list and a record never. */
export function same(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return (a ?? null) === (b ?? null)
  if (Array.isArray(a) !== Array.isArray(b)) return false
  if (Array.isArray(a) && a.length !== (b as unknown[]).length) return false
  const keys = new Set([...Object.keys(a), ...Object.keys(b)])
  return [...keys].every((k) => same((a as Doc)[k], (b as Doc)[k]))
}

/** A document with a command's changes on it, in their order, and what stands against them: fields whose stored value is neither
 *  what its author saw nor what is wanted, and changes that have nothing left to stand in. */
export function land<T>(doc: T | null, command: Pick<Command, 'changes' | 'guards'>): { after: T | null; clashes: Clash[] } {
  const clashes: Clash[] = command.guards
    .map((g) => ({ path: g.path, stored: (valueAt(doc, g.path) as unknown[] | null)?.length ?? 0, yours: g.count }))
    .filter((g) => g.stored !== g.yours)
  let after = doc
  for (const c of command.changes) {
    const stored = valueAt(after, c.path)
    after = applyChanges(after, [c])
    const [seen, taken] = [same(stored, c.before) || same(stored, c.after), same(valueAt(after, c.path), c.after)]
    if (!seen || !taken) clashes.push({ path: c.path, stored, yours: c.after ?? null })
  }
  return { after, clashes }
}

/** What stands against a command. */
export const clashes = (doc: unknown, command: Pick<Command, 'changes' | 'guards'>): Clash[] => land(doc, command).clashes

/** The document with the changes applied, in order; the input is left as it is. Null: it is gone, or not there yet.
 *  A change below something that is not there is passed over. */
export function applyChanges<T>(doc: T | null, changes: readonly Change[]): T | null {
  return changes.reduce<unknown>(
    (now, c) => (c.path === '' ? c.after : set(now, c.path.split('/'), { ...c, stays: c.after !== null || mayBeNull(c.path) })),
    doc,
  ) as T | null
}

/** `stays`: its value is one of its own, null too. */
type Setting = Pick<Change, 'after' | 'place'> & { stays: boolean }

function set(node: unknown, [key, ...rest]: string[], c: Setting): unknown {
  const after: unknown = c.after
  if (key === undefined) return after
  if (isListed(node)) return setListed(node, key, rest, c)
  // The first of a list that is not there yet.
  if (node === undefined && rest.length === 0 && isElement(after, key)) return [after]
  if (typeof node !== 'object' || node === null) return node
  const next = { ...(node as Doc) }
  if (rest.length === 0 && !c.stays) delete next[key]
  else {
    const value = rest.length === 0 ? after : set(next[key], rest, c)
    // A change below what is not there leaves no trace.
    if (value !== undefined || key in next) next[key] = value
  }
  return next
}

const isElement = (x: unknown, key: string): x is Listed => x === key || (typeof x === 'object' && x !== null && 'id' in x && x.id === key)

function setListed(list: Listed[], key: string, rest: string[], c: Setting): Listed[] {
  if (rest.length === 0 && c.after === null) return list.filter((x) => !isNamed(x, key))
  const at = list.findIndex((x) => isNamed(x, key))
  if (at < 0) {
    if (rest.length > 0 || !isElement(c.after, key)) return list
    return list.toSpliced(c.place ?? list.length, 0, c.after)
  }
  return list.map((x, i) => (i === at ? (set(x, rest, c) as Listed) : x))
}

/** The changes with the places of what they take out of lists, as the document has them. */
export function withPlaces(doc: unknown, changes: readonly Change[]): Change[] {
  let now = doc
  return changes.map((c) => {
    const [parent, key] = [valueAt(now, c.path.split('/').slice(0, -1).join('/')), c.path.split('/').at(-1)!]
    now = applyChanges(now, [c])
    const place = c.after === null && c.path.includes('/') && isListed(parent) ? parent.findIndex((x) => isNamed(x, key)) : -1
    return place < 0 ? c : { ...c, place }
  })
}

/** The changes that take a command back. */
export const inverse = (changes: readonly Change[]): Change[] =>
  [...changes].reverse().map((c) => ({ ...c, before: c.after, after: c.before }))

/** The document with pending commands on top, for the screen: those that no longer fit are left out. */
export const lenient = <T>(doc: T | null, pending: readonly Command[]): T | null =>
  pending.reduce<T | null>((now, c) => {
    const { after, clashes } = land(now, { changes: c.changes, guards: [] })
    return clashes.length === 0 ? after : now
  }, doc)
