import { describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { planWorkshop, type Finding } from '#core/plan'
import { beforeMarkdown, beforeText, phrases } from '#core/phrases'
import { recipes } from '#core/recipe'
import type { Workshop } from '#core/workshop'

const blocks = demoWorkshops('2026-05-15').find((w) => w.id === 'lighthouse-blocks')!
const club = demoHouses[1]!
const now = '2026-05-15T15:00:00-04:00[America/New_York]'
const of = (w: Workshop, house = club) => beforeText(planWorkshop({ workshop: w, house, now }), w, house)

describe('the page before the class', () => {
  const t = of(blocks)
  const part = (title: string) => t.parts.find((p) => p.title === title)!
  it('says what, who, when and where', () => {
    expect(t.about).toEqual([
      '16 × 125 × 125 mm block, medium transfer',
      '3 under 8, 8 of 8 to 12 and 5 of 13 to 17; tables of 4, 4, 4, 4; 3 adults needed, 3 coming',
      'Class 1: Saturday 30 May, 16:00 to 18:15, Craft room',
      'Class 2: Monday 1 June, 15:00 to 18:15, Craft room',
    ])
    expect(t.doubt).toBe('')
  })
  it('says one of a thing as one', () => {
    const one = { ...blocks, group: { ...blocks.group, participants: blocks.group.participants.slice(0, 1), tables: 1 } }
    const alone = of({ ...one, choices: { ...one.choices, copies: 1, spares: 0, samples: 0 } })
    expect(alone.parts.find((p) => p.title === 'Print')!.lines[0]).toBe('1 print on 1 sheet, A4, mirrored')
    expect(alone.parts.find((p) => p.title === 'Print')!.lines.at(-1)).toBe('1 take-home sheet')
  })
  it('names what keeps the plan from holding, whatever stands before it; an empty group is not it', () => {
    const plan = planWorkshop({ workshop: blocks, house: club, now })
    const stop = (code: 'no-people' | 'all-past'): Finding => ({ code, level: 'stop', decision: 'group', values: {}, remedies: [] })
    const doubtOf = (...found: Finding[]) => beforeText({ ...plan, findings: found }, blocks, club).doubt
    expect(doubtOf(stop('no-people'))).toBe('')
    const over = stop('all-past')
    expect(doubtOf(stop('no-people'), over)).toBe(`This plan does not hold yet: ${phrases(club, now).finding(over).title}.`)
  })
  it('asks for adults only where children come', () => {
    const grown = {
      ...blocks,
      group: { ...blocks.group, participants: blocks.group.participants.map((p) => ({ ...p, age: 'adult' as const })) },
    }
    expect(of(grown).about[1]).toBe('16 adults; tables of 4, 4, 4, 4')
    const room = (w: Workshop) => {
      const plan = planWorkshop({ workshop: w, house: club, now })
      return phrases(club, now).decision(plan.decisions.find((d) => d.id === 'room')!)
    }
    expect([room(grown), room(blocks)]).toEqual(['4 tables', '4 tables, 3 adults needed'])
  })
  it('says what to buy, print, prepare, begin and bring, each by when', () => {
    expect(t.parts.map((p) => [p.title, p.by])).toEqual([
      ['Buy', 'by Sat 23 May, 16:00'],
      ['Print', 'by Fri 29 May, 16:00'],
      ['Prepare', ''],
      ['Samples to show', ''],
      ['Bring', 'by Fri 29 May, 21:00'],
    ])
    expect(part('Buy').lines).toContain('Decoupage glue, lays and seals: 1 bottle of 473 ml')
    expect(part('Buy').lines.at(-1)).toBe('In all €64.62, estimated')
    expect(part('Print').lines).toEqual([
      '36 prints on 18 sheets, A4, mirrored',
      '125 mm × 125 mm each, on plain paper, the thinner the better',
      'toner only',
      '16 take-home sheets',
    ])
    expect(part('Prepare').lines).toEqual(['Paint white: by Fri 29 May, 21:00', 'Trim ahead: by Fri 29 May, 21:00'])
    expect(part('Samples to show').lines).toHaveLength(4)
    expect(part('Bring').lines).toEqual(expect.arrayContaining(['17 blocks', '381 ml decoupage glue', '16 foam brushes', '1 fan']))
    expect(part('Bring').lines.some((l) => /prints/.test(l))).toBe(false)
  })
  it('has a half for the helper: each class’s steps with their cues, and where the hands are', () => {
    expect(t.helper.map((h) => h.title)).toEqual([
      'Class 1, Saturday 30 May, 16:00: 79 min of 2 h 15 min',
      'Class 2, Monday 1 June, 15:00: 2 h 10 min of 3 h 15 min',
    ])
    expect(t.helper[0]!.lines[2]).toBe(
      'Lay and press, 6 min. Right: Flat, no bubbles, no medium on its back. Wrong: Bubbles against the light; wet paper back.',
    )
    expect(t.helper[1]!.lines.at(-1)).toMatch(/^Take care\. Water: warm, never hot\. .*Pulp: into the bin, never down the sink/)
  })
  it('what is done says so, what is late too', () => {
    const done = of({ ...blocks, errandsDone: ['order', 'paint'] })
    expect(done.parts[0]!.by).toBe('by Sat 23 May, 16:00, done')
    expect(done.parts[2]!.lines[0]).toBe('Paint white: by Fri 29 May, 21:00, done')
    const soon = of({ ...blocks, sessions: blocks.sessions.map((s, i) => ({ ...s, date: i ? '2026-05-18' : '2026-05-16' })) })
    expect(soon.parts[0]!.by).toMatch(/, late$/)
  })
  it('of a plan that does not hold says so first; without a date it has no helper and no dates', () => {
    expect(of({ ...blocks, sessions: [{ ...blocks.sessions[0]!, end: '16:30' }] }).doubt).toMatch(
      /^This plan does not hold yet: Class 1 .*\.$/,
    )
    const none = of({ ...blocks, sessions: [] })
    expect([none.helper, none.parts.map((p) => p.by).join('')]).toEqual([[], ''])
  })
  it('nothing printed, nothing to print', () => {
    const candle = {
      ...blocks.designs[0]!,
      kind: 'candle',
      material: 'candle',
      recipe: { id: 'wax-tissue', version: 1 },
      choices: { 'picture-by': 'stamped' },
    }
    const stamped = of({ ...blocks, designs: [candle] })
    expect(stamped.parts.map((p) => p.title)).not.toContain('Print')
    expect(stamped.parts.find((p) => p.title === 'Bring')!.lines).toContain('8 stamps')
  })
  test.each(recipes.map((r) => [r.name, r] as const))('of %s says everything whole', (_name, r) => {
    const design = { ...blocks.designs[0]!, material: Object.keys(r.surfaces)[0]!, recipe: { id: r.id, version: r.version }, choices: {} }
    for (const line of JSON.stringify(of({ ...blocks, designs: [design] })).split('"'))
      expect(line).not.toMatch(/undefined|NaN|\[object|null/)
  })
  it('as Markdown has boxes to tick, and what people typed is escaped', () => {
    const md = beforeMarkdown(of({ ...blocks, title: '*<b>Bo</b>*\n# x' }))
    expect(md).toContain('# Before the class: \\*\\<b\\>Bo\\</b\\>\\* \\# x')
    expect(md).toContain('- [ ] 17 blocks')
    expect(md.split('\n').filter((l) => l.startsWith('# '))).toEqual([expect.stringContaining('Before the class'), '# For the helper'])
  })
})
