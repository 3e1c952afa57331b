import { describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { planWorkshop } from '#core/plan'
import { seatOf, sheetMarkdown, sheetText } from '#core/phrases'
import { minutesBetween } from '#core/time'
import type { Piece, Workshop } from '#core/workshop'

const moths = demoWorkshops('2026-05-15')[0]!
const house = demoHouses[0]!
const friday = '2026-05-15T15:00:00-04:00[America/New_York]'
const sunday = '2026-05-17T15:00:00-04:00[America/New_York]'
const plan = (workshop: Workshop, now = friday) => planWorkshop({ workshop, house, now })
const sheet = (workshop: Workshop, name: string, now = friday) => plan(workshop, now).takeHome.find((s) => s.name === name)!
const withPiece = (name: string, piece: Partial<Piece>): Workshop => {
  const p = moths.group.participants.find((x) => x.name === name)!
  return {
    ...moths,
    pieces: [
      ...moths.pieces.filter((x) => x.participant !== p.id),
      { id: 'own', participant: p.id, state: 'laid', laidAt: null, ...piece },
    ],
  }
}

describe('the state in which a piece goes home', () => {
  it('is what the sessions to come will make of it', () =>
    expect(sheet(moths, 'Rune')).toMatchObject({ group: 'finished', state: 'sealed', known: true }))
  it('is what it is, once all sessions are over', () =>
    expect(sheet(moths, 'Rune', sunday)).toMatchObject({ group: 'rub-at-home', state: 'laid' }))
  it('says what will be done, for who missed the laying, and never that it was', () => {
    const p = plan(moths)
    const one = p.takeHome.find((s) => s.name === 'Edda')!
    const text = sheetText(one, p, moths, house, 'few')
    expect(text.stepsTitle).toBe('What will be done')
    expect(text.steps.map((s) => s.title)).toEqual(expect.arrayContaining(['For one', 'Coat', 'Rub, round 1']))
    expect(text.steps.length).toBe(p.stages.filter((s) => s.id !== 'print').length + 1)
    expect(text.bag).toEqual([])
  })
  it('is nothing, for who missed the laying', () => expect(sheet(moths, 'Edda')).toMatchObject({ group: 'not-laid', steps: [], bag: [] }))
  it('is laid, for a piece that would be rubbed before its own least time', () => {
    const edda = sheet(withPiece('Edda', { laidAt: '2026-05-15T23:30:00-04:00[America/New_York]' }), 'Edda')
    expect(edda).toMatchObject({ group: 'rub-at-home', state: 'laid' })
    expect(edda.ready!.neverBefore).toBe('2026-05-16T11:30:00-04:00[America/New_York]')
    // 24 h later is half past eleven at night, told as the next morning at 8, before the library opens at 9:30.
    expect(edda.ready!.tellAt).toBe('2026-05-17T08:00:00-04:00[America/New_York]')
  })
  it('laid nobody knows when is never told that it need not wait', () => {
    const w = withPiece('Edda', { laidAt: null, asIs: true })
    const edda = sheet(w, 'Edda')
    expect(edda).toMatchObject({ group: 'rub-at-home', state: 'laid', wait: { recommendedMin: 1440, requiredMin: 720, mark: 'P' } })
    expect(edda.ready).toBeUndefined()
    expect(sheetText(edda, plan(w), w, house, 'few')).toMatchObject({
      headline: 'Ready to rub',
      when: '24 h after it was laid',
      never: 'Never before 12 h.',
      why: 'Nobody noted when that was. Count from when the glue went on; if that is not known, from now.',
    })
    // Cured already, or with its time known: nothing of the kind.
    for (const more of [{ state: 'cured' as const }, { laidAt: '2026-05-15T16:00:00-04:00[America/New_York]' }])
      expect(sheet(withPiece('Edda', { laidAt: null, asIs: true, ...more }), 'Edda').wait).toBeUndefined()
  })
  it('is sealed, for a late piece that is just in time', () => {
    expect(sheet(withPiece('Edda', { laidAt: '2026-05-15T16:00:00-04:00[America/New_York]' }), 'Edda').state).toBe('sealed')
  })
  it('stops at the session its owner misses', () => {
    const away = {
      ...moths,
      group: {
        ...moths.group,
        participants: moths.group.participants.map((p) => (p.name === 'Rune' ? { ...p, misses: ['moths-of-the-marsh-2'] } : p)),
      },
    }
    expect(sheet(away, 'Rune')).toMatchObject({ group: 'rub-at-home', state: 'laid' })
  })
  test.each([
    ['laid', 'rub-at-home', 6],
    ['cured', 'rub-at-home', 6],
    ['rub-1', 'rub-on', 4],
    ['rub-2', 'seal-at-home', 2],
    ['sealed', 'finished', 0],
    ['printed', 'not-laid', 0],
  ] as const)('as it is, %s: %s with %i steps', (state, group, steps) => {
    const s = sheet(withPiece('Rune', { state, asIs: true, laidAt: '2026-05-14T19:10:00-04:00[America/New_York]' }), 'Rune')
    expect([s.group, s.steps.length]).toEqual([group, steps])
  })
  it('a rub that the plan refuses is not promised', () => {
    const soon: Workshop = {
      ...moths,
      pieces: [],
      sessions: [moths.sessions[0]!, { ...moths.sessions[1]!, date: '2026-05-15', start: '05:00', end: '08:00' }],
    }
    for (const s of plan(soon, '2026-05-14T09:00:00-04:00[America/New_York]').takeHome.filter((x) => x.group !== 'not-laid'))
      expect(s.group).toBe('rub-at-home')
  })
})

describe('ready times', () => {
  const home: Workshop = { ...moths, pieces: [], sessions: [moths.sessions[0]!] }
  it('follow the room, the coat and the surface, and are told in full hours', () => {
    const damp = planWorkshop({ workshop: home, house: { ...house, climate: { celsius: 21, humidityPct: 65 } }, now: friday })
    const r = damp.takeHome.find((s) => s.ready)!.ready!
    expect(r.recommendedMin).toBe(Math.ceil(1440 * (10 / 7) - 1e-6))
    expect(r.mark).toBe('E')
    const hour = Number(r.tellAt.slice(11, 13))
    expect([hour >= 8, hour <= 22]).toEqual([true, true])
    expect(minutesBetween(r.recommendedAt, r.tellAt)).toBeGreaterThanOrEqual(0)
  })
  it('practice alone carries practice’s mark', () => {
    const bare: Workshop = { ...home, designs: [{ ...home.designs[0]!, choices: { ground: 'bare' } }] }
    expect(plan(bare).takeHome.find((s) => s.ready)!.ready).toMatchObject({ recommendedMin: 1440, requiredMin: 720, mark: 'P' })
  })
})

describe('the sheet as text', () => {
  const late = withPiece('Edda', { laidAt: '2026-05-15T16:40:00-04:00[America/New_York]', asIs: true })
  const p = plan(late)
  const text = (words: 'few' | 'more' | 'large', h = house) =>
    sheetText(
      p.takeHome.find((s) => s.name === 'Edda')!,
      p,
      late,
      h,
      words,
    )
  it('tells when, and never before', () => {
    expect(text('few')).toMatchObject({
      who: 'Edda',
      headline: 'Ready to rub',
      when: 'Saturday 16 May, after 5 in the afternoon',
      never: 'Never before Saturday 16 May, 4:40 am.',
    })
  })
  it('says it in a 24-hour clock where the house does', () => {
    expect(text('few', { ...house, units: 'metric' }).when).toBe('Saturday 16 May, after 17:00')
  })
  it('of a finished piece carries how it was made, so that it can be done again', () => {
    const all = plan(moths)
    const rune = sheetText(
      all.takeHome.find((s) => s.name === 'Rune')!,
      all,
      moths,
      house,
      'few',
    )
    expect(rune).toMatchObject({ headline: 'What it is now', when: 'Sealed, still soft', stepsTitle: 'How it was made, to do it again' })
    expect(rune.steps[0]).toEqual({
      title: 'For one',
      text: 'A toner print, mirrored, on plain paper, the thinner the better; decoupage glue 2 ¼ tsp; white paint 1 ¼ tsp; cord 15 ¾ in.',
    })
    expect(rune.steps.find((s) => s.title.startsWith('Name the back'))!.text).toContain('Then 24 h, never under 12 h.')
    expect(rune.steps.map((s) => s.title)).toContain('Dry, then look, 12 min')
    expect(sheetMarkdown(rune)).toContain('### How it was made, to do it again')
    expect(text('few').stepsTitle).toBe('')
  })
  it('of a plan that does not hold says so, but for what is known and what is still true', () => {
    const short: Workshop = { ...moths, pieces: [], sessions: [moths.sessions[0]!, { ...moths.sessions[1]!, end: '11:00' }] }
    const p1 = plan(short, '2026-05-14T09:00:00-04:00[America/New_York]')
    const of = (name: string, q = p1, w = short) =>
      sheetText(
        q.takeHome.find((s) => s.name === name)!,
        q,
        w,
        house,
        'few',
      )
    expect(of('Rune')).toMatchObject({ headline: 'Not to hand out yet', when: 'This plan does not hold', never: '' })
    expect(of('Rune').why).toMatch(/Class 2 .*Once that is settled, print it again\.$/)
    const soon: Workshop = {
      ...moths,
      pieces: [],
      sessions: [moths.sessions[0]!, { ...moths.sessions[1]!, date: '2026-05-15', start: '05:00', end: '08:00' }],
    }
    const p2 = plan(soon, '2026-05-14T09:00:00-04:00[America/New_York]')
    expect(of('Rune', p2, soon).headline).toBe('Ready to rub')
    const known = withPiece('Edda', { state: 'sealed', asIs: true })
    const p3 = plan({ ...known, sessions: short.sessions })
    expect(of('Edda', p3, known).headline).toBe('What it is now')
  })
  it('says when a piece is laid that is not yet, or that no date is set, or whom to ask when all is over', () => {
    const none: Workshop = { ...moths, pieces: [], sessions: [] }
    const of = (w: Workshop, now?: string) => {
      const q = plan(w, now)
      return sheetText(
        q.takeHome.find((s) => s.name === 'Edda')!,
        q,
        w,
        house,
        'few',
      )
    }
    expect(of(none)).toMatchObject({ when: 'No date is set', why: 'Ask Noor at the craft desk when it is.' })
    expect(of(moths)).toMatchObject({
      when: 'Saturday 16 May, 10:00 am',
      why: 'Yours is laid then, in Craft room, class 2 of 2. A piece waits for you.',
    })
    expect(of(moths, sunday).why).toBe('The classes are over and yours has still to be laid. Ask Noor at the craft desk.')
  })
  it('more words say more', () => {
    expect(text('more').steps[0]!.text.length).toBeGreaterThan(text('few').steps[0]!.text.length)
  })
  it('children work with an adult', () => {
    const young: Workshop = {
      ...late,
      group: { ...late.group, participants: late.group.participants.map((x) => ({ ...x, age: '8-12' as const })) },
    }
    expect(plan(young).takeHome.find((s) => s.name === 'Edda')!.cautions).toContain('Children: with an adult')
    expect(p.takeHome.find((s) => s.name === 'Edda')!.cautions).not.toContain('Children: with an adult')
  })
  it('puts into the bag what the steps need', () => {
    expect(text('few').bag).toEqual(expect.arrayContaining(['Your plaque', 'Spare print', 'Cloth', 'Foam brush', 'Cord']))
  })
  it('who has no name is a seat', () => {
    const nameless: Workshop = {
      ...late,
      group: { ...late.group, participants: late.group.participants.map((x) => ({ ...x, name: null })) },
    }
    const q = plan(nameless)
    expect(sheetText(q.takeHome[4]!, q, nameless, house, 'few').who).toBe('Seat B1')
    expect(seatOf(q, { participant: 'nobody', seat: 100 })).toBe('100')
  })
  it('Markdown escapes what people typed', () => {
    const md = sheetMarkdown({ ...text('few'), who: '# <script>*x*', workshop: 'a\nb' })
    expect(md).toContain('# \\# \\<script\\>\\*x\\*')
    expect(md).not.toContain('a\nb')
    expect(md).toContain('**Never before Saturday 16 May, 4:40 am.**')
  })
})
