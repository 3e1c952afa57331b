import { shallowRef } from 'vue'
import { uuidv7 } from 'uuidv7'
import { redoOf, undoOf, type Deed, type Unsettled } from '#core/desk'
import { difference, type Difference, type Plan } from '#core/plan'
import { again, type Command } from '#core/workshop'
import type { Documents } from './documents'
import type { Heart } from './heart'
import { queue } from './queue'

interface Around {
  heart: Heart
  documents: Documents
  plan: (id: string) => Plan | undefined
  actor: () => string
  now: () => string
  flush: () => Promise<void>
}

/** What a person does: seen at once, kept in the browser until the server has it, taken back and done again. */
export function makeHistory({ heart, documents, plan, actor, now, flush }: Around) {
  const { state, happen } = heart
  const since = shallowRef<{ workshop: string; label: string; before: Plan }>()

  /** What changed in a workshop's plan since the last deed, by figure. */
  function changesSince(id: string): { label: string; by: Map<string, Difference> } | undefined {
    const p = plan(id)
    if (!since.value || since.value.workshop !== id || !p) return undefined
    return { label: since.value.label, by: new Map(difference(since.value.before, p).map((d) => [d.key, d])) }
  }

  function makeCommand(d: Deed): Command {
    const s = state.value
    const stored = (d.subject.kind === 'house' ? s.houses : s.workshops)[d.subject.id]
    const ahead = s.pending.filter((w) => w.command.subject.kind === d.subject.kind && w.command.subject.id === d.subject.id).length
    return JSON.parse(
      JSON.stringify({
        id: uuidv7(),
        subject: d.subject,
        baseVersion: (stored?.version ?? 0) + ahead,
        kind: d.kind,
        changes: d.changes,
        guards: d.guards ?? [],
        ...(d.intent && { intent: d.intent }),
        actor: actor() || 'this device',
        at: now(),
      }),
    ) as Command
  }

  function perform(kind: 'did' | 'undid' | 'redid', d: Deed): void {
    if (d.changes.length === 0) return
    if (d.subject.kind === 'workshop') {
      const before = plan(d.subject.id)
      if (before) since.value = { workshop: d.subject.id, label: d.label, before }
    }
    const command = makeCommand(d)
    const waiting = state.value.pending.length
    happen({ kind, deed: { ...d, changes: command.changes }, command })
    const put = state.value.pending.slice(waiting)
    void Promise.all(put.map((w) => queue.put(w))).then(flush)
  }
  const act = (d: Deed) => perform('did', d)
  const undo = () => {
    const d = undoOf(state.value)
    if (d) perform('undid', d)
  }
  const redo = () => {
    const d = redoOf(state.value)
    if (d) perform('redid', d)
  }

  /** Settles what waits for a person: what stands here stays, or mine is done again on top of it. */
  function settle(u: Unsettled, mineAgain: boolean): void {
    happen({ kind: 'settled', id: u.command.id })
    if (!mineAgain) return
    const { subject, intent } = u.command
    const doc = subject.kind === 'house' ? documents.house(subject.id) : documents.workshop(subject.id)
    act({ kind: u.command.kind, label: u.label, subject, ...(intent && { intent }), ...again(doc ?? null, u.command, uuidv7) })
  }

  return { changesSince, act, undo, redo, settle }
}
