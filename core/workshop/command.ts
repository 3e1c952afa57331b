import * as v from 'valibot'

/** One field set: a path such as `group/helpers` or `group/participants/<id>/name`; elements of lists are named by id.
 *  `before` is what its author saw; null on either side means "not there". */
export interface Change {
  path: string
  before: unknown
  after: unknown
}

/** Something a command counts on without setting it: the length of a list, as its author saw it. */
export interface Guard {
  path: string
  count: number
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
  actor: string
  at: string
}

const path = v.pipe(
  v.string(),
  v.maxLength(200),
  v.regex(/^$|^[A-Za-z0-9 -]+(\/[A-Za-z0-9 -]+)*$/, 'not a path | Name fields with slashes between.'),
)
export const commandShape = v.object({
  id: v.pipe(v.string(), v.uuid('not a UUID | Make one for each command.')),
  subject: v.object({ kind: v.picklist(['workshop', 'house']), id: v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,64}$/)) }),
  baseVersion: v.pipe(v.number(), v.integer(), v.minValue(0)),
  kind: v.pipe(v.string(), v.regex(/^[a-z-]{1,40}$/)),
  changes: v.pipe(v.array(v.object({ path, before: v.unknown(), after: v.unknown() })), v.minLength(1), v.maxLength(2000)),
  guards: v.pipe(v.array(v.object({ path, count: v.pipe(v.number(), v.integer()) })), v.maxLength(20)),
  actor: v.pipe(v.string(), v.maxLength(80)),
  at: v.pipe(v.string(), v.maxLength(80)),
})

/** Where stored and expected differ: somebody else changed it first. */
export interface Clash {
  path: string
  stored: unknown
  yours: unknown
}

type Doc = Record<string, unknown>
type Listed = { id: string }
const isListed = (list: unknown): list is Listed[] => Array.isArray(list)

const step = (node: unknown, key: string): unknown => {
  if (isListed(node)) return node.find((x) => x.id === key)
  return typeof node === 'object' && node !== null && Object.hasOwn(node, key) ? (node as Doc)[key] : undefined
}

/** The value at a path; null when it is not there. The empty path is the whole. */
export function valueAt(doc: unknown, path: string): unknown {
  if (path === '') return doc ?? null
  return path.split('/').reduce<unknown>(step, doc) ?? null
}

const same = (a: unknown, b: unknown): boolean => {
  if (a === b) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return (a ?? null) === (b ?? null)
  const keys = new Set([...Object.keys(a), ...Object.keys(b)])
  return [...keys].every((k) => same((a as Doc)[k], (b as Doc)[k]))
}

/** What stands against a command: fields whose stored value is neither what its author saw nor what is wanted. */
export function clashes(doc: unknown, command: Pick<Command, 'changes' | 'guards'>): Clash[] {
  const fields = command.changes
    .map((c) => ({ path: c.path, stored: valueAt(doc, c.path), yours: c.after, before: c.before }))
    .filter((c) => !same(c.stored, c.before) && !same(c.stored, c.yours))
    .map(({ path, stored, yours }) => ({ path, stored, yours }))
  const counts = command.guards
    .map((g) => ({ path: g.path, stored: (valueAt(doc, g.path) as unknown[] | null)?.length ?? 0, yours: g.count }))
    .filter((g) => g.stored !== g.yours)
  return [...fields, ...counts]
}

/** The document with the changes applied, in order; the input is left as it is. Null: it is gone, or not there yet.
 *  A change below something that is not there is passed over. */
export function applyChanges<T>(doc: T | null, changes: readonly Change[]): T | null {
  return changes.reduce<unknown>((now, c) => (c.path === '' ? c.after : set(now, c.path.split('/'), c.after)), doc) as T | null
}

function set(node: unknown, [key, ...rest]: string[], after: unknown): unknown {
  if (key === undefined) return after
  if (isListed(node)) return setListed(node, key, rest, after)
  // The first of a list that is not there yet.
  if (node === undefined && rest.length === 0 && hasId(after, key)) return [after]
  if (typeof node !== 'object' || node === null) return node
  const next = { ...(node as Doc) }
  if (rest.length === 0 && after === null && !(key in next && next[key] === null) && !nullable.has(key)) delete next[key]
  else next[key] = rest.length === 0 ? after : set(next[key], rest, after)
  return next
}

const hasId = (x: unknown, id: string): boolean => typeof x === 'object' && x !== null && 'id' in x && x.id === id

/** Fields whose null is a value of its own and must stay. */
const nullable = new Set([
  'name',
  'tables',
  'spares',
  'samples',
  'archivedAt',
  'laidAt',
  'participant',
  'deleteOn',
  'mirrored',
  'mon',
  'tue',
  'wed',
  'thu',
  'fri',
  'sat',
  'sun',
])

function setListed(list: Listed[], key: string, rest: string[], after: unknown): Listed[] {
  if (rest.length === 0 && after === null) return list.filter((x) => x.id !== key)
  const at = list.findIndex((x) => x.id === key)
  if (at < 0) return rest.length === 0 ? [...list, after as Listed] : list
  return list.map((x, i) => (i === at ? (set(x, rest, after) as Listed) : x))
}

/** The changes that take a command back. */
export const inverse = (changes: readonly Change[]): Change[] =>
  [...changes].reverse().map((c) => ({ path: c.path, before: c.after, after: c.before }))

/** The document with pending commands on top, for the screen: those that no longer fit are left out. */
export const lenient = <T>(doc: T | null, pending: readonly Command[]): T | null =>
  pending.reduce<T | null>(
    (now, c) => (clashes(now, { changes: c.changes, guards: [] }).length === 0 ? applyChanges(now, c.changes) : now),
    doc,
  )
