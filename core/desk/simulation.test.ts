import { describe, expect, it } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import type { House } from '#core/house'
import { seeded } from '#core/sheets'
import { again, setHeadcount, summaryOf, type Change, type Command, type Workshop } from '#core/workshop'
import {
  decide,
  emptyDesk,
  redoOf,
  seenAs,
  step,
  undoOf,
  type Answered,
  type Deed,
  type DeskEvent,
  type DeskState,
  type Document,
  type Waiting,
} from '#core/desk'

const id = 'moths-of-the-marsh'
const base = demoWorkshops('2026-05-15').find((w) => w.id === id)!

/** The server in memory: the real rule, and what it has acknowledged. It forgets nothing when it starts anew. */
class Server {
  version = 1
  body: Workshop = base
  known = new Map<string, number>()
  declined = new Set<string>()
  /** What every applied command said, in the order of the versions. */
  log: Command[] = []
  up = true
  take(commands: readonly Command[]): { outcomes: Answered[]; documents: Document[] } {
    const outcomes = commands.map((c): Answered => {
      const known = this.known.get(c.id)
      if (known !== undefined) return { id: c.id, status: 'applied', version: known }
      const d = decide(this.body, c, this.declined.has(c.id))
      if (d.status !== 'applied') this.declined.add(c.id)
      if (d.status === 'conflict') return { id: c.id, status: 'conflict', version: this.version, clashes: d.clashes }
      if (d.status === 'refused') return { id: c.id, status: 'refused', error: d.error }
      this.version++
      this.body = d.after as Workshop
      this.known.set(c.id, this.version)
      this.log.push(c)
      return { id: c.id, status: 'applied', version: this.version }
    })
    const inStep = outcomes.every((o, i) => o.status === 'applied' && o.version === commands[0]!.baseVersion + i + 1)
    return { outcomes, documents: inStep ? [] : [this.document()] }
  }
  document(): Document {
    return { kind: 'workshop', id, version: this.version, body: this.body }
  }
}

/** A device with the real desk: what it has done waits in a queue that survives its restarts; the network between delays, repeats and
 *  loses. */
class Device {
  state: DeskState
  queue: Waiting[] = []
  kept: DeskState['unsettled'] = []
  told = new Set<string>()
  mine = new Map<string, Command>()
  made = 0
  /** Messages on their way, both directions: what happens when they arrive. */
  wire: (() => void)[] = []
  sending = false
  constructor(
    readonly name: string,
    readonly server: Server,
    readonly random: () => number,
  ) {
    this.state = this.fresh()
  }
  private fresh(): DeskState {
    const house = { version: 1, body: demoHouses[0] as House }
    const workshop = { version: this.server.version, body: this.server.body }
    const loaded: DeskEvent = {
      kind: 'loaded',
      houses: [house],
      summaries: [{ version: workshop.version, body: summaryOf(workshop.body) }],
      workshops: [workshop],
    }
    return step(step(emptyDesk(this.name), loaded), { kind: 'kept', pending: this.queue, unsettled: this.kept })
  }
  happen(e: DeskEvent): void {
    this.state = step(this.state, e)
    this.kept = this.state.unsettled
    for (const u of this.kept) this.told.add(u.command.id)
  }
  get doc(): Workshop {
    return seenAs<Workshop>(this.state, 'workshop', id)!
  }
  perform(kind: 'did' | 'undid' | 'redid', deed: Deed): void {
    if (deed.changes.length === 0) return
    const command: Command = {
      id: `${this.name}-${++this.made}`,
      subject: deed.subject,
      baseVersion: (this.state.workshops[id]?.version ?? 0) + this.state.pending.length,
      kind: deed.kind,
      changes: deed.changes,
      guards: deed.guards ?? [],
      ...(deed.intent && { intent: deed.intent }),
      actor: this.name,
      at: '',
    }
    const before = this.state.pending.length
    this.happen({ kind, deed, command })
    for (const w of this.state.pending.slice(before)) {
      this.queue.push(w)
      this.mine.set(w.command.id, w.command)
    }
  }
  /** Sends the first of what waits, unless an answer is still awaited; the message or its answer may be lost, or come twice. */
  send(): void {
    if (this.sending || this.queue.length === 0) return
    const lot = this.queue.slice(0, 1 + Math.floor(this.random() * 6))
    this.sending = true
    const lost = () => {
      this.sending = false
      this.happen({ kind: 'lost' })
    }
    if (this.random() < 0.1) return void this.wire.push(lost)
    this.wire.push(() => {
      if (!this.server.up) return lost()
      const answer = this.server.take(lot.map((w) => w.command))
      if (this.random() < 0.1) this.wire.push(() => void this.server.take(lot.map((w) => w.command))) // the network repeats it, late
      if (this.random() < 0.12) return void this.wire.push(lost)
      const arrive = () => {
        this.sending = false
        this.happen({ kind: 'answered', commands: lot, ...answer })
        this.queue = this.queue.filter((w) => !lot.includes(w))
      }
      this.wire.push(arrive)
      if (this.random() < 0.1) this.wire.push(() => this.happen({ kind: 'answered', commands: lot, ...answer }))
    })
  }
  /** Another's change is heard of, and fetched; the answer may be an old one by the time it arrives. */
  hear(version: number): void {
    if (this.random() < 0.3) return
    this.wire.push(() => {
      this.happen({ kind: 'heard', subject: { kind: 'workshop', id }, version })
      const found = this.server.document()
      this.wire.push(() => this.happen({ kind: 'fetched', documents: [found] }))
    })
  }
  restart(): void {
    this.wire = []
    this.sending = false
    this.state = this.fresh()
  }
  settle(): void {
    const [u] = this.state.unsettled
    if (!u) return
    this.happen({ kind: 'settled', id: u.command.id })
    if (this.random() < 0.5) return
    let came = 0
    const fresh = () => `${this.name}-again-${this.made}-${came++}`
    const { subject, kind, intent } = u.command
    this.perform('did', { kind, label: u.label, subject, ...(intent && { intent }), ...again(this.doc, u.command, fresh) })
  }
}

const pick = <T>(random: () => number, list: readonly T[]): T => list[Math.floor(random() * list.length)]!
const field = (path: string, after: Change['after'], before: Change['before']): Deed => ({
  kind: path === 'title' || path.endsWith('/name') ? `type-${path.split('/').at(-1)}` : 'set',
  label: path,
  subject: { kind: 'workshop', id },
  changes: [{ path, before, after }],
})
/** Something that somebody would do. */
function deed(device: Device): void {
  const { random, doc } = device
  const person = pick(random, doc.group.participants)
  const n = Math.floor(random() * 100)
  const roll = random()
  if (roll < 0.1 && device.state.done.length) {
    const back = undoOf(device.state)
    if (back) device.perform('undid', back)
  } else if (roll < 0.14 && device.state.undone.length) {
    const on = redoOf(device.state)
    if (on) device.perform('redid', on)
  } else if (roll < 0.3) device.perform('did', field('group/helpers', n % 9, doc.group.helpers))
  else if (roll < 0.45) device.perform('did', field('title', `Title ${device.name}${n}`, doc.title))
  else if (roll < 0.65 && person) device.perform('did', field(`group/participants/${person.id}/name`, `N${device.name}${n}`, person.name))
  else if (roll < 0.75) {
    const errand = `e-${n % 6}`
    const on = doc.errandsDone.includes(errand)
    device.perform('did', field(`errandsDone/${errand}`, on ? null : errand, on ? errand : null))
  } else if (roll < 0.85 && person && !doc.pieces.some((p) => p.participant === person.id)) {
    const piece = { id: `${person.id}-d1`, participant: person.id, state: 'printed' as const, laidAt: null }
    device.perform('did', field(`pieces/${piece.id}`, piece, null))
  } else {
    const ids = Array.from({ length: 40 }, (_, i) => `${device.name}-p${device.made}-${i}`)
    const edit = setHeadcount(doc, 12 + (n % 12), ids)
    device.perform('did', { kind: 'headcount', label: 'people', subject: { kind: 'workshop', id }, ...edit })
  }
}

function run(seed: number, steps: number): { server: Server; devices: Device[] } {
  const random = seeded(seed)
  const server = new Server()
  const devices = ['a', 'b', 'c'].map((name) => new Device(name, server, random))
  const arrive = (d: Device) => {
    const [message] = d.wire.splice(Math.floor(random() * Math.min(d.wire.length, 3)), 1)
    const before = server.version
    message?.()
    if (server.version !== before) for (const other of devices) if (other !== d) other.hear(server.version)
  }
  for (let n = 0; n < steps; n++) {
    const d = pick(random, devices)
    const roll = random()
    if (roll < 0.3) deed(d)
    else if (roll < 0.5) d.send()
    else if (roll < 0.9) arrive(d)
    else if (roll < 0.94) d.settle()
    else if (roll < 0.96) d.restart()
    else if (roll < 0.98) server.up = !server.up
  }
  server.up = true
  // Everything arrives; then everybody looks once more.
  for (let n = 0; n < 4000 && devices.some((d) => d.wire.length || d.queue.length); n++)
    for (const d of devices) {
      arrive(d)
      d.send()
    }
  for (const d of devices) d.happen({ kind: 'fetched', documents: [server.document()] })
  return { server, devices }
}

describe('three devices and a network that delays, repeats, reorders, fails and restarts', () => {
  it.each([1, 2, 3, 4, 5, 6])('agree in the end; nothing acknowledged is lost, everything refused is told (seed %i)', (seed) => {
    const { server, devices } = run(seed, 2500)
    expect(server.log.length).toBeGreaterThan(80)
    for (const d of devices) {
      expect(d.queue).toEqual([])
      expect(d.state.pending).toEqual([])
      expect(d.doc).toEqual(server.body)
      expect(d.state.workshops[id]!.version).toBe(server.version)
      // Each command was taken once, or was told to who made it; what was amended while it waited counts as told.
      for (const commandId of d.mine.keys())
        expect(server.known.has(commandId) || d.told.has(commandId) || amended(d, commandId)).toBe(true)
      for (const done of d.state.done) for (const c of done.commands) expect(server.known.has(c)).toBe(true)
    }
    const versions = [...server.known.values()]
    expect(new Set(versions).size).toBe(versions.length)
    expect(server.version).toBe(server.log.length + 1)
    // In the order in which each device made them.
    for (const d of devices) {
      const numbers = server.log.filter((c) => c.actor === d.name).map((c) => Number(c.id.split('-')[1]))
      expect(numbers).toEqual([...numbers].sort((a, b) => a - b))
    }
    const seats = server.body.group.participants.map((p) => p.seat)
    expect(new Set(seats).size).toBe(seats.length)
    const people = new Set(server.body.group.participants.map((p) => p.id))
    expect(server.body.pieces.filter((p) => !people.has(p.participant))).toEqual([])
  })
})

/** Typing on in a field whose two texts wait goes into the text that waits: its later commands are told as that one. */
function amended(d: Device, commandId: string): boolean {
  const c = d.mine.get(commandId)!
  return c.kind.startsWith('type-') && [...d.told].some((t) => d.mine.get(t)?.changes[0]?.path === c.changes[0]!.path)
}
