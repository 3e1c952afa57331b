import type { House } from '#core/house'
import {
  below,
  inWorkshop,
  pathText,
  separateNames,
  applyChanges,
  lenient,
  summaryOf,
  undoing,
  valueAt,
  type Change,
  type Clash,
  type Command,
  type Guard,
  type Intent,
  type Json,
  type Summary,
  type Workshop,
} from '#core/workshop'
import type { Problem } from './decide'

/** A document with its version, and the version at which everybody's names in it were last erased (0: never). */
export interface Stored<T> {
  version: number
  erased?: number
  body: T
}
type Docs<T> = Readonly<Record<string, Stored<T>>>

/** Something a person does: what it was, for Undo and for "since …", and what it changes. */
export interface Deed {
  kind: string
  label: string
  subject: Command['subject']
  changes: Change[]
  guards?: Guard[]
  intent?: Intent
}

/** A command that the server has not answered: what it was, and the tab in which it was done. */
export interface Waiting {
  command: Command
  label: string
  tab: string
  /** The last erasing of names in its workshop that its author knew of. */
  erased?: number
}

/** What the server did not take as it was meant, kept until a person settles it: somebody was first, or it cannot be. */
export interface Unsettled extends Waiting {
  clashes?: Clash[]
  error?: Problem
}

/** A deed of this visit, and the commands that it was sent as. */
export interface Done {
  deed: Deed
  commands: readonly string[]
}

/** What became of a command, as the server says it and a page hears it. A repeated one answers as it did the first time. `id` is null
 *  where it could not be read. */
export type Answered =
  | { id: string | null; status: 'applied'; version: number }
  | { id: string | null; status: 'conflict'; version: number; clashes: Clash[] }
  | { id: string | null; status: 'refused'; error: Problem }
export type Document = { kind: 'workshop' | 'house'; id: string; version: number; erased?: number; body: House | Workshop | null }

export interface DeskState {
  tab: string
  houses: Docs<House>
  summaries: Docs<Summary>
  /** The workshops that are open here, whole. */
  workshops: Docs<Workshop>
  /** In the order of their making. */
  pending: readonly Waiting[]
  unsettled: readonly Unsettled[]
  done: readonly Done[]
  undone: readonly Done[]
  offline: boolean
  /** Documents that have changed elsewhere since they were loaded, by key: to be fetched. */
  stale: readonly string[]
  /** The versions at which names were last erased, by workshop, as far as is known here. */
  erased: Readonly<Record<string, number>>
}

export type DeskEvent =
  | { kind: 'loaded'; houses: Stored<House>[]; summaries: Stored<Summary>[]; workshops: Stored<Workshop>[] }
  | { kind: 'fetched'; documents: readonly Document[] }
  /** A document is not there any more, the server says. */
  | { kind: 'gone'; subject: Command['subject'] }
  | { kind: 'heard'; subject: Command['subject']; version: number | undefined }
  | { kind: 'did'; deed: Deed; command: Command }
  | { kind: 'undid' | 'redid'; deed: Deed; command: Command }
  | { kind: 'answered'; commands: readonly Waiting[]; outcomes: readonly Answered[]; documents: readonly Document[] }
  | { kind: 'kept'; pending: readonly Waiting[]; unsettled: readonly Unsettled[] }
  | { kind: 'settled'; id: string }
  /** Everybody's name in a workshop was erased for good: nothing made before on this desk brings one back. */
  | { kind: 'forgot'; id: string; version: number }
  | { kind: 'lost' }
  | { kind: 'back' }

export const emptyDesk = (tab: string): DeskState => ({
  tab,
  houses: {},
  summaries: {},
  workshops: {},
  pending: [],
  unsettled: [],
  done: [],
  undone: [],
  offline: false,
  stale: [],
  erased: {},
})

export const keyOf = (s: Command['subject']): string => `${s.kind}/${s.id}`

/** What happens to a desk: its documents as the server has them, what waits on top, what has to be settled, and the deeds of this
 *  visit. Pure: the same events in the same order give the same desk. */
export function step(s: DeskState, e: DeskEvent): DeskState {
  switch (e.kind) {
    case 'loaded':
      return loaded(
        e.summaries.reduce((now, d) => forgot(now, d.body.id, d.erased), s),
        e,
      )
    case 'fetched':
      return { ...e.documents.reduce((now, d) => newer(forgot(now, d.id, d.erased), d), s), offline: false }
    case 'gone':
      return without(s, e.subject)
    case 'heard':
      return heard(s, e.subject, e.version)
    case 'did':
      return did(s, e.deed, e.command)
    case 'undid':
      return { ...waits(s, e), done: s.done.slice(0, -1), undone: [...s.undone, s.done.at(-1)!] }
    case 'redid':
      return { ...waits(s, e), undone: s.undone.slice(0, -1), done: [...s.done, { deed: s.undone.at(-1)!.deed, commands: [e.command.id] }] }
    case 'answered':
      return { ...e.outcomes.reduce((now, o, i) => answered(now, e.commands[i]!, o), e.documents.reduce(newer, s)), offline: false }
    case 'kept':
      return kept(s, e)
    case 'settled':
      return { ...s, unsettled: s.unsettled.filter((u) => u.command.id !== e.id) }
    case 'forgot':
      return forgot(s, e.id, e.version)
    case 'lost':
      return { ...s, offline: true }
    case 'back':
      return { ...s, offline: false }
  }
}

const byId = <T extends { id: string }>(list: readonly Stored<T>[]): Docs<T> => Object.fromEntries(list.map((d) => [d.body.id, d]))

/** Everything anew. An open workshop stays as it is where what came is older, and is fetched where its summary is newer. */
function loaded(s: DeskState, e: Extract<DeskEvent, { kind: 'loaded' }>): DeskState {
  const summaries = { ...byId(e.summaries) }
  const workshops: Record<string, Stored<Workshop>> = byId(e.workshops)
  const stale: string[] = []
  for (const [id, open] of Object.entries(s.workshops)) {
    const [listed, came] = [summaries[id], workshops[id]]
    if (!listed || (came && came.version >= open.version)) continue
    workshops[id] = open
    if (open.version > listed.version) summaries[id] = { version: open.version, body: summaryOf(open.body) }
    if (open.version < listed.version) stale.push(keyOf({ kind: 'workshop', id }))
  }
  const houses: Record<string, Stored<House>> = byId(e.houses)
  for (const [id, h] of Object.entries(s.houses)) if (houses[id] && h.version > houses[id].version) houses[id] = h
  return { ...s, houses, summaries, workshops, stale, offline: false }
}

/** A document as it came, unless a newer one is here already. */
function newer(s: DeskState, d: Document): DeskState {
  const stale = s.stale.filter((k) => k !== keyOf(d))
  if (d.kind === 'house') {
    if (!d.body || (s.houses[d.id]?.version ?? 0) > d.version) return s
    return { ...s, stale, houses: { ...s.houses, [d.id]: { version: d.version, body: d.body as House } } }
  }
  if (!d.body) return without(s, d)
  if ((s.workshops[d.id]?.version ?? 0) > d.version) return s
  const stored = { version: d.version, body: d.body as Workshop }
  const summary = { version: d.version, body: summaryOf(stored.body) }
  return { ...s, stale, workshops: { ...s.workshops, [d.id]: stored }, summaries: { ...s.summaries, [d.id]: summary } }
}

function without(s: DeskState, { kind, id }: Command['subject']): DeskState {
  if (kind === 'house') return s
  const { [id]: _workshop, ...workshops } = s.workshops
  const { [id]: _summary, ...summaries } = s.summaries
  return { ...s, workshops, summaries, stale: s.stale.filter((k) => k !== keyOf({ kind, id })) }
}

function heard(s: DeskState, subject: Command['subject'], version: number | undefined): DeskState {
  const key = keyOf(subject)
  const here = (subject.kind === 'house' ? s.houses : s.workshops)[subject.id]?.version ?? s.summaries[subject.id]?.version ?? 0
  if ((version !== undefined && here >= version) || s.stale.includes(key)) return s
  return { ...s, stale: [...s.stale, key] }
}

const typed = (d: Pick<Deed, 'kind' | 'changes'>): boolean => d.kind.startsWith('type-') && d.changes.length === 1
const sameField = (a: Pick<Deed, 'subject' | 'changes' | 'kind'>, b: Pick<Deed, 'subject' | 'changes' | 'kind'>): boolean =>
  a.kind === b.kind && keyOf(a.subject) === keyOf(b.subject) && a.changes[0]!.path === b.changes[0]!.path

const waits = (s: DeskState, { deed, command }: { deed: Deed; command: Command }): DeskState => ({
  ...s,
  pending: [...s.pending, { command, label: deed.label, tab: s.tab, erased: s.erased[command.subject.id] ?? 0 }],
})

/** A deed: seen at once, sent when it can be. Typing on in a field is one deed; and while both texts of a field wait to be settled,
 *  what is typed on goes into the text that waits, never into a mixture. */
function did(s: DeskState, deed: Deed, command: Command): DeskState {
  const open = typed(deed) ? s.unsettled.find((u) => u.clashes && typed(u.command) && sameField(u.command, deed)) : undefined
  if (open) return { ...s, unsettled: s.unsettled.map((u) => (u === open ? retyped(u, deed.changes[0]!.after) : u)) }
  const last = s.done.at(-1)
  if (!last || !typed(deed) || !typed(last.deed) || !sameField(last.deed, deed))
    return { ...waits(s, { deed, command }), done: [...s.done, { deed, commands: [command.id] }], undone: [] }
  const changes = [{ ...last.deed.changes[0]!, after: deed.changes[0]!.after }]
  const longer = { deed: { ...last.deed, label: deed.label, changes }, commands: [...last.commands, command.id] }
  return { ...waits(s, { deed, command }), done: [...s.done.slice(0, -1), longer], undone: [] }
}

const retyped = (u: Unsettled, after: Json): Unsettled => ({
  ...u,
  command: { ...u.command, changes: [{ ...u.command.changes[0]!, after }] },
  clashes: u.clashes!.map((c) => ({ ...c, yours: after })),
})

/** One answer. What was taken is on the document as it is here, or the document is fetched; what was not is kept for a person, and is
 *  no deed that could be undone. */
function answered(s: DeskState, waiting: Waiting, o: Answered): DeskState {
  const { command } = waiting
  const rest = { ...s, pending: s.pending.filter((w) => w.command.id !== command.id) }
  if (o.status === 'applied') return follow(rest, command, o.version)
  const forgotten = {
    ...rest,
    done: s.done.filter((d) => !d.commands.includes(command.id)),
    undone: s.undone.filter((d) => !d.commands.includes(command.id)),
  }
  const found = o.status === 'conflict' ? heard(forgotten, command.subject, o.version) : forgotten
  if (waiting.tab !== s.tab) return found
  const known = s.unsettled.find((u) => u.clashes && typed(u.command) && typed(command) && sameField(u.command, command))
  if (known && o.status === 'conflict')
    return { ...found, unsettled: s.unsettled.map((u) => (u === known ? retyped(u, command.changes[0]!.after) : u)) }
  if (s.unsettled.some((u) => u.command.id === command.id)) return found
  const entry: Unsettled = o.status === 'conflict' ? { ...waiting, clashes: o.clashes } : { ...waiting, error: o.error }
  return { ...found, unsettled: [...s.unsettled, entry] }
}

/** A command that was taken as the next version of a document that is here gives that version; else the document is stale. */
function follow(s: DeskState, { subject, changes }: Command, version: number): DeskState {
  const here: Stored<House | Workshop> | undefined = (subject.kind === 'house' ? s.houses : s.workshops)[subject.id]
  if (here && here.version >= version) return s
  if ((here?.version ?? 0) !== version - 1) return heard(s, subject, version)
  const body = applyChanges<House | Workshop>(here?.body ?? null, changes)
  return newer(s, { ...subject, version, body })
}

/** What this browser kept from before, and of other tabs: each once. */
function kept(s: DeskState, e: { pending: readonly Waiting[]; unsettled: readonly Unsettled[] }): DeskState {
  const before = new Set(e.pending.map((w) => w.command.id))
  const known = new Set(s.unsettled.map((u) => u.command.id))
  const here: DeskState = {
    ...s,
    pending: [...e.pending, ...s.pending.filter((w) => !before.has(w.command.id))],
    unsettled: [...s.unsettled, ...e.unsettled.filter((u) => u.tab === s.tab && !known.has(u.command.id))],
  }
  return Object.entries(s.erased).reduce<DeskState>((now, [id, version]) => withoutNames(now, id, version), here)
}

/** Names in a workshop were erased at a version. Each erasing is taken in once: what is typed after it stays. */
function forgot(s: DeskState, id: string, version = 0): DeskState {
  if (version <= (s.erased[id] ?? 0)) return s
  const ofPeople = ({ subject, changes }: Pick<Deed, 'subject' | 'changes'>) =>
    subject.kind === 'workshop' &&
    subject.id === id &&
    changes.some((c) => c.path === pathText(inWorkshop) || below(c.path, inWorkshop.group.participants))
  const here = {
    ...s,
    erased: { ...s.erased, [id]: version },
    done: s.done.filter((d) => !ofPeople(d.deed)),
    undone: s.undone.filter((d) => !ofPeople(d.deed)),
  }
  return withoutNames(here, id, version)
}

/** What waits and what is unsettled, without the names that were erased; a person is told of a name that was never sent. */
function withoutNames(s: DeskState, id: string, version: number): DeskState {
  const lost = s.pending.find((w) => w.tab === s.tab && withoutErased(w, id, version) !== w)
  const pending = s.pending.flatMap((w) => withoutErased(w, id, version) ?? [])
  const unsettled = s.unsettled.flatMap((u) => withoutErased(u, id, version) ?? [])
  if (!lost) return { ...s, pending, unsettled }
  const command = { ...lost.command, changes: separateNames(lost.command.changes).changes }
  return { ...s, pending, unsettled: [...unsettled, { ...lost, command, label: 'a name typed here', erased: version, error: namesWent }] }
}
const namesWent: Problem = {
  what: 'everybody’s names were taken out of this workshop meanwhile',
  path: '',
  remedy: 'Type it again if it is still needed.',
}

/** What waits or is unsettled after names in a workshop were erased at a version: itself where it tells of nobody or was made after,
 *  without the names where it also says something else, undefined where it does not. */
export function withoutErased<T extends Waiting | Unsettled>(w: T, id: string, version: number): T | undefined {
  if (w.command.subject.kind !== 'workshop' || w.command.subject.id !== id || (w.erased ?? 0) >= version) return w
  const { changes, names } = separateNames(w.command.changes)
  const clashing = 'clashes' in w && w.clashes!.some((c) => below(c.path, inWorkshop.group.participants) || c.path === pathText(inWorkshop))
  if (clashing) return undefined
  if (names.length === 0) return w
  // What set a name and nothing else goes; what said more says the rest.
  const rest = changes.filter((_, i) => !names.some((n) => n.place === `${i}/before` || n.place === `${i}/after`))
  return rest.length === 0 ? undefined : { ...w, label: w.command.kind, erased: version, command: { ...w.command, changes: rest } }
}

/** A document as it is seen here: as the server has it, with what waits on top. */
export function seenAs<T extends House | Workshop>(s: DeskState, kind: 'house' | 'workshop', id: string): T | null {
  const stored = ((kind === 'house' ? s.houses : s.workshops)[id]?.body ?? null) as T | null
  const mine = s.pending.filter((w) => w.command.subject.kind === kind && w.command.subject.id === id).map((w) => w.command)
  return lenient<T>(stored, mine)
}

/** The deed that takes the last one back, on the document as it is now. */
export function undoOf(s: DeskState): Deed | undefined {
  const last = s.done.at(-1)?.deed
  if (!last) return undefined
  const doc = last.subject.kind === 'workshop' ? seenAs<Workshop>(s, 'workshop', last.subject.id) : null
  const changes = last.subject.kind === 'workshop' ? undoing(doc, last.changes) : undoing(null, last.changes)
  // It counts on what it sees now, as the deed did: who came meanwhile is not counted twice.
  const guards = (last.guards ?? []).map((g) => ({ path: g.path, count: (valueAt(doc, g.path) as unknown[] | null)?.length ?? 0 }))
  return { kind: 'undo', label: `undo: ${last.label}`, subject: last.subject, changes, guards }
}

export const redoOf = (s: DeskState): Deed | undefined => {
  const last = s.undone.at(-1)?.deed
  return last && { ...last, kind: 'redo', guards: [] }
}
