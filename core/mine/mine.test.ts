import { describe, expect, it } from 'vitest'
import { dayRoom, foldDay, replan, type DayEvent, type DayKind } from '#core/day'
import { demoHouses, demoWorkshops } from '#core/demo'
import { inLanguage, isTaught, teach } from '#core/language'
import { laidAtHome, mineEnds, mineLabels, minePage, type MinePiece } from '#core/mine'
import { planWorkshop } from '#core/plan'
import { spanish } from '#core/spanish'
import { addMinutes, minutesBetween } from '#core/time'
import { applyChanges, type Workshop } from '#core/workshop'

if (!isTaught('es')) teach(spanish)
const house = demoHouses[0]!
const moths: Workshop = demoWorkshops('2026-05-15')[0]!
const d = 'moths-of-the-marsh-d1'
const from = '2026-05-16T10:00:00-04:00[America/New_York]'
const at = (min: number) => addMinutes(from, min)
const who = (name: string) => moths.group.participants.find((p) => p.name === name)!.id
let n = 0
const tap = (min: number, kind: DayKind, value: object = {}, subject: DayEvent['subject'] = { kind: 'room', id: 'room' }) =>
  ({
    ...{
      id: `018f0000-0000-7000-8000-${String(++n).padStart(12, '0')}`,
      workshop: moths.id,
      session: 'moths-of-the-marsh-2',
      subject,
      kind,
      value,
    },
    ...{ at: at(min), device: 'a', seq: n, skew: 0, actor: 'Noor' },
  }) as unknown as DayEvent
const at2 = (min: number, events: readonly DayEvent[], w = moths) => {
  const plan = planWorkshop({ workshop: w, house, now: at(min) })
  const room = dayRoom(w, plan, 'moths-of-the-marsh-2')!
  const state = foldDay(room, events)
  return { plan, day: { room, state, left: replan(room, state, at(min)) } }
}
const page = (name: string, min: number, events: readonly DayEvent[] = [], w = moths) => {
  const { plan, day } = at2(min, events, w)
  return minePage({ workshop: w, house, plan }, who(name), day, at(min))!
}
const piece = (...of: Parameters<typeof page>): MinePiece => page(...of).pieces[0]!
const begin = tap(0, 'begin')
const did = (min: number, stage: string, ...names: string[]) => tap(min, 'did', { stage: `${d}.${stage}`, people: names.map(who) })
const began = (min: number, stage: string, ...names: string[]) => tap(min, 'began', { stage: `${d}.${stage}`, people: names.map(who) })

describe('before the class', () => {
  it('a piece that lies is laid, whatever the plan will have made of it: never, risky, ready, in that order and by its own times', () => {
    const p = piece('Rune', -1500)
    expect([p.state, p.stateWord, p.asks]).toEqual(['laid', 'Laid', false])
    const { laidAt, neverBefore, tellAt } = p.wait!
    expect(laidAt.slice(0, 16)).toBe('2026-05-14T19:10')
    expect(minutesBetween(laidAt, neverBefore)).toBe(720)
    expect(p.phases.map((x) => [x.from, x.until])).toEqual([
      [null, tellAt],
      [neverBefore, tellAt],
      [tellAt, null],
    ])
    expect(p.phases.map((x) => x.title)).toEqual(['Let it lie', 'Better let it lie', 'It waits for class'])
    // What is rubbed in class is not proposed at home.
    expect(
      p.phases.every((x) => !x.title.includes('may be rubbed') && x.words.includes('It is rubbed in class, Saturday 16 May, 10:00 am.')),
    ).toBe(true)
    expect(p.never).toBe('Never before Friday 15 May, 7:10 am.')
    expect(p.chain.map((c) => c.done)).toEqual([true, false, false, false, false])
    expect([p.steps, p.stepsTitle]).toEqual([[], ''])
  })
  it('who missed the laying has nothing that could be rubbed: the class, and no wait', () => {
    const p = piece('Edda', -1500)
    expect([p.wait, p.never, p.cue, p.phases.length]).toEqual([null, '', null, 1])
    expect(p.phases[0]).toMatchObject({
      from: null,
      until: null,
      title: 'Saturday 16 May, 10:00 am',
      words: 'It is begun then, in class 2.',
    })
    expect(p.chain.some((c) => c.done)).toBe(false)
  })
})

describe('a piece that is laid by taps', () => {
  const w: Workshop = { ...moths, pieces: [] }
  const start = '2026-05-14T17:45:00-04:00[America/New_York]'
  const lay = (min: number) => addMinutes(start, min)
  const first = (min: number, ...events: DayEvent[]) => {
    const plan = planWorkshop({ workshop: w, house, now: lay(min) })
    const room = dayRoom(w, plan, 'moths-of-the-marsh-1')!
    const state = foldDay(room, events)
    const day = { room, state, left: replan(room, state, lay(min)) }
    return minePage({ workshop: w, house, plan }, who('Rune'), day, lay(min))!.pieces[0]!
  }
  const of = (min: number, kind: DayKind, value: object) =>
    ({ ...tap(0, kind, value), session: 'moths-of-the-marsh-1', at: lay(min) }) as DayEvent
  it('waits from when it was laid, not from when the plan would have it laid', () => {
    const taps = [
      of(0, 'begin', {}),
      of(90, 'did', { stage: `${d}.lay`, people: [who('Rune')] }),
      of(95, 'did', { stage: `${d}.shelve`, people: [who('Rune')] }),
      of(96, 'end', {}),
    ]
    const p = first(100, ...taps)
    expect(p.wait).toMatchObject({ laidAt: lay(90), neverBefore: addMinutes(lay(90), 720) })
    // Told to the full hour, and never sooner than the recommended time.
    const told = minutesBetween(lay(90), p.wait!.tellAt)
    expect([told >= 1440, told < 1500, p.wait!.tellAt.slice(14, 16)]).toEqual([true, true, '00'])
    expect(p.chain[0]).toMatchObject({ state: 'laid', done: true, when: '7:15' })
  })
  it('before it is laid nothing waits', () => {
    const p = first(20, of(0, 'begin', {}))
    expect([p.wait, p.never, p.state, p.asks]).toEqual([null, '', 'printed', false])
  })
  it('whose catch-up is still to come has nothing that lies', () => {
    const later = '2026-05-15T18:00:00-04:00[America/New_York]'
    const caught: Workshop = {
      ...moths,
      group: {
        ...moths.group,
        participants: moths.group.participants.map((p) =>
          p.name === 'Edda' ? { ...p, catchUp: { at: later, by: 'helper' as const } } : p,
        ),
      },
    }
    expect(piece('Edda', -1140, [], caught).wait).toBeNull()
    expect(piece('Edda', -900, [], caught).wait).toMatchObject({ laidAt: later })
  })
})

describe('while it runs', () => {
  it('what is in their hands: its words, its cue, so long; then look, and wait for the word', () => {
    const events = [begin, began(40, 'wet', 'Rune')]
    const p = piece('Rune', 41, events)
    expect(p.phases.map((x) => [x.from, x.title, x.until])).toEqual([
      [null, 'Wet the paper', p.phases[1]!.from],
      [p.phases[0]!.until, 'Look at it, then wait for the word', null],
    ])
    expect(minutesBetween(at(40), p.phases[0]!.until!)).toBeGreaterThan(0)
    expect(p.cue).toMatchObject({ stage: 'wet', right: p.phases[0]!.words })
    expect([p.wait, p.asks, page('Rune', 41, events).running]).toEqual([null, false, true])
  })
  it('what dries: hands off', () => {
    const p = piece('Rune', 60, [begin, did(58, 'rub1', 'Rune')])
    expect(p.phases[0]).toMatchObject({ title: 'Dry, then look', words: 'It dries by itself. Hands off.' })
    expect([p.state, p.chain.map((c) => c.when)]).toEqual(['rub-1', ['Thu 14 May', '', '10:58', '', '']])
  })
  it('what is next waits for the word; nobody is told to begin by their phone', () => {
    const p = piece('Rune', 5, [begin])
    expect(p.phases.every((x) => x.title === 'Wait for the word')).toBe(true)
    expect(p.phases[0]!.words).toMatch(/^Then: Wet the paper, about \d+:\d\d\.$/)
    expect(minutesBetween(at(5), p.phases[0]!.until!)).toBeGreaterThan(0)
  })
  it('a piece laid too lately waits, also in a class that rubs the others, and no count ends before its time', () => {
    const late: Workshop = {
      ...moths,
      pieces: moths.pieces.map((x) => (x.participant === who('Rune') ? { ...x, laidAt: at(-180) } : x)),
    }
    const p = piece('Rune', 30, [begin], late)
    expect(p.phases[0]!.title).toBe('Let it lie')
    expect(p.wait).toMatchObject({ laidAt: at(-180), neverBefore: at(540) })
    for (const x of p.phases) if (x.until) expect(minutesBetween(p.wait!.neverBefore, x.until)).toBeGreaterThanOrEqual(0)
  })
  it('a seat that is away, or goes home as it is, is told what its piece is, not what the room does', () => {
    const away = piece('Rune', 60, [begin, tap(1, 'absent', {}, { kind: 'person', id: who('Rune') })])
    expect([away.phases.map((x) => x.title), away.cue?.stage]).toEqual([['Let it lie', 'Better let it lie', 'It waits for you'], 'wet'])
    const home = piece('Rune', 60, [begin, tap(50, 'home', {}, { kind: 'piece', id: `${who('Rune')}.${d}.1` })])
    expect(home.phases.some((x) => x.title === 'Wait for the word')).toBe(false)
  })
})

describe('after it', () => {
  const end = [begin, did(100, 'seal1', 'Rune'), tap(120, 'end')]
  it('its true state, how it was made, and how it came out is asked', () => {
    const p = piece('Rune', 130, end)
    expect([p.state, p.asks, p.outcome]).toEqual(['sealed', true, null])
    expect(p.chain.every((c) => c.done)).toBe(true)
    expect([p.stepsTitle, p.steps.length > 3, p.wait, p.cue]).toEqual(['How it was made, to do it again', true, null, null])
    const told = [...end, tap(131, 'outcome', { how: 'hazy' }, { kind: 'piece', id: p.id })]
    expect(piece('Rune', 132, told).outcome).toBe('hazy')
    expect(page('Rune', 132, told).running).toBe(false)
  })
})

describe('a kit to go', () => {
  const kelp = demoWorkshops('2026-05-15').find((w) => w.id === 'kelp-canvases')!
  const now = '2026-05-15T15:00:00-04:00[America/New_York]'
  const me = kelp.group.participants[0]!.id
  const of = (w: Workshop, at = now, participant = me) => {
    const plan = planWorkshop({ workshop: w, house, now: at })
    return { plan, page: minePage({ workshop: w, house, plan }, participant, undefined, at)! }
  }
  const say = (w: Workshop, id: string, laid: boolean, at = now, participant = me) => {
    const change = laidAtHome({ workshop: w, plan: of(w, at).plan }, participant, id, laid, at)
    return change && applyChanges<Workshop>(w, [change])!
  }
  const own = of(kelp).page.pieces[0]!
  it('asks when its picture was laid; from then on the wait is counted, and it may be taken back', () => {
    expect([own.lay, own.wait, own.state]).toEqual(['ask', null, 'printed'])
    // Its steps are there, without the lines that are written on paper.
    expect([own.stepsTitle, own.steps.length > 5, own.steps.some((s) => s.text.includes('__'))]).toEqual(['Step by step', true, false])
    expect(own.steps[2]!.text).toMatch(/Stacked, tilted or unnamed\. Then \d+ h flat, never under \d+ h\./)
    const after = say(kelp, own.id, true)!
    const p = of(after).page.pieces[0]!
    expect([p.lay, p.state, p.wait!.laidAt]).toEqual(['said', 'laid', now])
    const required = minutesBetween(now, p.wait!.neverBefore)
    expect(required).toBeGreaterThan(60)
    expect(p.phases.map((x) => [x.title, x.from])).toEqual([
      ['Let it lie', null],
      ['Better let it lie', p.wait!.neverBefore],
      ['It may be rubbed', p.wait!.tellAt],
    ])
    expect(minutesBetween(p.wait!.neverBefore, p.wait!.tellAt)).toBeGreaterThanOrEqual(0)
    // Nobody else's piece moves, nor the rest of the workshop.
    expect(of(after, now, kelp.group.participants[1]!.id).page.pieces[0]!.wait).toBeNull()
    expect({ ...after, pieces: [] }).toEqual({ ...kelp, pieces: [] })
    expect(say(after, own.id, false)).toEqual(kelp)
  })
  it('is not asked twice, nor of another’s piece, nor of one that is rubbed, nor of what is made in class', () => {
    const after = say(kelp, own.id, true)!
    expect([say(after, own.id, true), say(kelp, own.id, false)]).toEqual([undefined, undefined])
    expect(say(kelp, own.id, true, now, kelp.group.participants[1]!.id)).toBeUndefined()
    const rubbed = { ...after, pieces: after.pieces.map((p) => ({ ...p, state: 'rub-1' as const })) }
    expect([of(rubbed).page.pieces[0]!.lay, say(rubbed, own.id, false)]).toEqual([null, undefined])
    const inClass = piece('Edda', -1500)
    expect([inClass.lay, piece('Rune', -1500).lay]).toEqual([null, null])
    const plan = planWorkshop({ workshop: moths, house, now: from })
    expect(laidAtHome({ workshop: moths, plan }, who('Edda'), inClass.id, true, from)).toBeUndefined()
    // What lies from a class is not the phone's to take back.
    expect(laidAtHome({ workshop: moths, plan }, who('Rune'), piece('Rune', -1500).id, false, from)).toBeUndefined()
  })
  it('of a class that somebody takes home alone, follows no class', () => {
    const w = {
      ...moths,
      group: { ...moths.group, participants: moths.group.participants.map((p) => (p.name === 'Edda' ? { ...p, kit: true } : p)) },
    }
    const p = page('Edda', 30, [begin], w).pieces[0]!
    expect([p.lay, p.phases.some((x) => x.title === 'Wait for the word')]).toEqual(['ask', false])
    const before = page('Edda', -1500, [], w).pieces[0]!
    expect([before.phases[0]!.title.startsWith('Lay it'), before.steps.length > 5]).toEqual([true, true])
  })
})

describe('the page', () => {
  it('has the first name or the seat, nobody else’s, and says when it goes', () => {
    const named = {
      ...moths,
      group: {
        ...moths.group,
        participants: moths.group.participants.map((p, i) => ({ ...p, name: i === 1 ? 'Rune <b>Holm' : i === 2 ? null : p.name })),
      },
    }
    const rune = named.group.participants[1]!
    const { plan, day } = at2(0, [], named)
    const one = minePage({ workshop: named, house, plan }, rune.id, day, at(0))!
    expect([one.who, one.gone]).toEqual(['Rune', 'Only your own piece, no account; gone on Saturday 30 May.'])
    const text = JSON.stringify(one)
    for (const p of named.group.participants) if (p.name && p.id !== rune.id) expect(text).not.toContain(`"${p.name}"`)
    expect(text).not.toContain('Holm')
    expect(minePage({ workshop: named, house, plan }, named.group.participants[2]!.id, day, at(0))!.who).toBe('Seat A3')
    expect(minePage({ workshop: named, house, plan }, 'nobody', day, at(0))).toBeUndefined()
  })
  it('ends two weeks after the last class', () => expect(mineEnds(moths)).toBe('2026-05-30'))
  it('speaks Spanish from the first word to the last label', () => {
    const es = inLanguage('es', () => page('Rune', -1500))
    expect([es.who, es.pieces[0]!.phases[0]!.title, es.labels.came]).toEqual(['Rune', 'Déjala reposar', '¿Cómo quedó?'])
    for (const [label, text] of Object.entries(mineLabels)) expect(spanish.words[text], label).toBeTruthy()
  })
})
