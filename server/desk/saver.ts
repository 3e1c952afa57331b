import pg from 'pg'
import { readCommand, type Answered } from '#core/desk'
import type { Command } from '#core/workshop'
import { refusalOf } from '../db/constraints'
import { isAway } from '../db/pool'
import { applyAtOnce, applyCommands, keyOf, type Held } from './commands'

/** What a client gets back: an outcome for each command in order, and the documents that it cannot work out by itself. */
export interface Saved {
  outcomes: Answered[]
  documents: Held[]
}

interface Lot {
  commands: ({ command: Command } | { refused: Answered })[]
  at: string
  done: (s: Saved) => void
  failed: (e: unknown) => void
}

/** So many commands go into one transaction, and so many documents are remembered between them. */
const mostAtOnce = 200
const mostRemembered = 300

/** Saves commands. While one transaction commits, whatever else comes in waits and goes into the next one together, whoever sent
 *  it: many clients cost hardly more than one. When the database objects to one of them, each is tried by itself, so that none
 *  takes another with it; what the database objects to is refused by name, and the others of its lot go on. */
export class Saver {
  private readonly waiting: Lot[] = []
  private readonly seen = new Map<string, Held>()
  private readonly pool: pg.Pool
  private busy = false

  constructor(connectionString: string) {
    this.pool = new pg.Pool({ connectionString, max: 1, pipeline: true } as pg.PoolConfig)
    this.pool.on('error', () => undefined) // an idle connection that is lost is opened anew by the next lot
    this.pool.on('connect', (c) => c.on('error', () => undefined)) // and one at work tells its queries
  }

  /** Saves what a client sent, unread. Rejects when the database is away: then nothing of it may have been taken, or all. */
  save(raw: readonly unknown[], at: string): Promise<Saved> {
    const commands = raw.map((r) => {
      const read = readCommand(r)
      if ('command' in read) return read
      const id = (r as { id?: unknown } | null)?.id
      return { refused: { id: typeof id === 'string' ? id : null, status: 'refused' as const, error: read.error } }
    })
    return new Promise((done, failed) => {
      this.waiting.push({ commands, at, done, failed })
      if (!this.busy) void this.work()
    })
  }

  private async work(): Promise<void> {
    this.busy = true
    while (this.waiting.length > 0) {
      const lots: Lot[] = []
      for (let n = 0; this.waiting.length > 0 && (lots.length === 0 || n + this.waiting[0]!.commands.length <= mostAtOnce);) {
        n += this.waiting[0]!.commands.length
        lots.push(this.waiting.shift()!)
      }
      try {
        await this.saveAll(lots)
      } catch (e) {
        for (const l of lots) l.failed(e)
      }
    }
    this.busy = false
  }

  private async saveAll(lots: Lot[]): Promise<void> {
    const commands = lots.flatMap((l) => l.commands.flatMap((c) => ('command' in c ? [c.command] : [])))
    const found = await this.together(commands, lots[0]!.at)
    for (const lot of lots) lot.done(answer(lot, found))
  }

  private async together(commands: Command[], at: string): Promise<Map<Command, { outcome: Answered; held: Held | undefined }>> {
    if (commands.length === 0) return new Map()
    try {
      const { outcomes, held } = await this.transaction(commands, at)
      return new Map(commands.map((c, i) => [c, { outcome: outcomes[i]!, held: held.get(keyOf(c.subject)) }]))
    } catch (e) {
      if (isAway(e)) throw e
      if (commands.length === 1) {
        const error = refusalOf(e)
        if (!error) throw e
        return new Map([[commands[0]!, { outcome: { id: commands[0]!.id, status: 'refused', error }, held: undefined }]])
      }
      const alone = new Map<Command, { outcome: Answered; held: Held | undefined }>()
      for (const c of commands) for (const [k, v] of await this.together([c], at)) alone.set(k, v)
      return alone
    }
  }

  private async transaction(commands: Command[], at: string) {
    const db = await this.pool.connect()
    try {
      const saved = await applyAtOnce(db, commands, at, this.seen).catch((e: unknown) => {
        if (isAway(e)) throw e
        return undefined // somebody was there meanwhile, or it objects to one of them: looked at again below, with locks
      })
      if (saved) {
        db.release()
        this.remember(saved.held)
        return saved
      }
      const begun = db.query('begin')
      const [, applied] = await Promise.all([begun, applyCommands(db, commands, at, this.seen)])
      await db.query('commit')
      db.release()
      this.remember(applied.held)
      return applied
    } catch (e) {
      // Whatever the connection is in the middle of goes with it.
      await db.query('rollback').then(
        () => db.release(),
        () => db.release(true),
      )
      throw e
    }
  }

  private remember(held: ReadonlyMap<string, Held>): void {
    for (const [key, h] of held) {
      this.seen.delete(key)
      if (h.body) this.seen.set(key, h)
    }
    for (const key of this.seen.keys()) {
      if (this.seen.size <= mostRemembered) break
      this.seen.delete(key)
    }
  }

  close(): Promise<void> {
    return this.pool.end()
  }
}

/** Answers a lot: a document goes along when its client does not know it after this: something was refused, or somebody else
 *  changed it since. */
function answer(lot: Lot, found: ReadonlyMap<Command, { outcome: Answered; held: Held | undefined }>): Saved {
  const outcomes = lot.commands.map((c) => ('command' in c ? found.get(c.command)!.outcome : c.refused))
  const bySubject = new Map<string, Command[]>()
  for (const c of lot.commands)
    if ('command' in c) bySubject.set(keyOf(c.command.subject), [...(bySubject.get(keyOf(c.command.subject)) ?? []), c.command])
  const documents = [...bySubject.values()].flatMap((commands) => {
    const last = found.get(commands.at(-1)!)!
    const versions = commands.map((c) => found.get(c)!.outcome)
    const inStep = versions.every((o, i) => o.status === 'applied' && o.version === commands[0]!.baseVersion + i + 1)
    return inStep || !last.held ? [] : [last.held]
  })
  return { outcomes, documents }
}
