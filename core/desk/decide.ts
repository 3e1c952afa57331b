import * as v from 'valibot'
import { houseShape, type House } from '#core/house'
import { whereAndWhat } from '#core/reasons'
import { commandShape, land, brokenBetween, same, valueAt, workshopShape, type Clash, type Command, type Workshop } from '#core/workshop'

/** What is wrong, where, and the way out. */
export interface Problem {
  what: string
  path: string
  remedy: string
}

/** What becomes of a command on a document: it is made, somebody was first, or it would make something that cannot be. */
export type Decision =
  { status: 'applied'; after: House | Workshop | null } | { status: 'conflict'; clashes: Clash[] } | { status: 'refused'; error: Problem }

const refused = (what: string, path: string, remedy: string): Decision => ({ status: 'refused', error: { what, path, remedy } })

/** Decides a command on the stored document, null where there is none: the one rule of server and tests. Pure. A command that was
 *  declined before, and told, is never taken later: whoever sends it again gets a conflict to settle. */
export function decide(stored: House | Workshop | null, command: Command, declined = false): Decision {
  const decision = judge(stored, command)
  if (!declined || decision.status !== 'applied') return decision
  return { status: 'conflict', clashes: command.changes.map((c) => ({ path: c.path, stored: valueAt(stored, c.path), yours: c.after })) }
}

function judge(stored: House | Workshop | null, command: Command): Decision {
  const { subject, changes } = command
  const { after, clashes } = land(stored, command)
  // What follows from a field that somebody else has changed is not told beside it.
  const broken =
    clashes.length === 0 && subject.kind === 'workshop' ? brokenBetween(stored as Workshop | null, after as Workshop | null) : []
  if (clashes.length + broken.length > 0) return { status: 'conflict', clashes: [...clashes, ...broken] }
  if (after === null)
    return subject.kind === 'house'
      ? refused('a house cannot be taken away', '', 'Change its fields instead.')
      : { status: 'applied', after }
  const read = v.safeParse(subject.kind === 'house' ? houseShape : workshopShape, after)
  if (!read.success) return { status: 'refused', error: whereAndWhat(read.issues[0]) }
  if (after.id !== subject.id) return refused(`the document calls itself ${after.id}`, 'id', `Call it ${subject.id}.`)
  const kept = known(read.output, after)
  const unknown = kept === after ? undefined : changes.find((c) => c.after !== null && lost(valueAt(kept, c.path), valueAt(after, c.path)))
  if (unknown) return refused('a field that nobody knows', unknown.path, 'Leave it out.')
  return { status: 'applied', after: kept }
}

const lost = (kept: unknown, wanted: unknown) => !same(kept, wanted)

/** What a schema knows of a value, without the defaults that it would fill in; the very same value when it knows all of it. */
function known<T>(read: unknown, value: T): T {
  if (read === value || typeof value !== 'object' || value === null || typeof read !== 'object' || read === null) return value
  if (Array.isArray(value)) {
    const list = value.map((x, i) => known((read as unknown[])[i], x) as unknown)
    return list.every((x, i) => x === value[i]) ? value : (list as T)
  }
  const entries = Object.entries(value as object)
  const kept = entries.filter(([k]) => Object.hasOwn(read, k)).map(([k, x]) => [k, known((read as Record<string, unknown>)[k], x)] as const)
  const whole = kept.length === entries.length && kept.every(([, x], i) => x === entries[i]![1])
  return whole ? value : (Object.fromEntries(kept) as T)
}

/** How deep a change may nest; the deepest field of a workshop stands at 7. */
const deepest = 24

/** Why a value cannot be kept, undefined when it can: letters that no database takes, or nesting without end. Does not recurse. */
export function notStorable(value: unknown, path: string): Problem | undefined {
  const waiting: { value: unknown; depth: number }[] = [{ value, depth: 0 }]
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const { value: x, depth } = next
    if (depth > deepest) return { what: `nested more than ${deepest} deep`, path, remedy: 'Give the value itself.' }
    if (typeof x === 'string' && (x.includes('\0') || !isWellFormed(x)))
      return { what: 'a letter that cannot be kept', path, remedy: 'Type the text anew, without what was pasted.' }
    if (typeof x === 'object' && x !== null)
      for (const [k, y] of Object.entries(x)) waiting.push({ value: k, depth }, { value: y, depth: depth + 1 })
  }
  return undefined
}

/** No half of a pair of surrogates stands alone. */
const isWellFormed = (text: string): boolean => !/[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/.test(text)

/** Reads one command as it came in. */
export function readCommand(raw: unknown): { command: Command } | { error: Problem } {
  const unkept = notStorable(raw, 'changes')
  if (unkept) return { error: unkept }
  const read = v.safeParse(commandShape, raw)
  return read.success ? { command: read.output as Command } : { error: whereAndWhat(read.issues[0]) }
}
