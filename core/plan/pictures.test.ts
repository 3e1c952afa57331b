import { describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { paperOf } from '#core/house'
import { phrases } from '#core/phrases'
import { planWorkshop, type Finding } from '#core/plan'
import { applyChanges, type Design, type Picture, type Workshop } from '#core/workshop'

const now = '2026-05-15T15:00:00-04:00[America/New_York]'
const club = demoHouses[1]!
const blocks = demoWorkshops('2026-05-15').find((w) => w.id === 'lighthouse-blocks')!
const plan = (w: Workshop, at = now) => planWorkshop({ workshop: w, house: club, now: at })
const looks = (w: Workshop, at = now): Finding[] => plan(w, at).findings.filter((f) => f.decision === 'pictures')
const find = (w: Workshop, code: string, at = now) => looks(w, at).find((f) => f.code === code)
const withPictures = (change: (p: Picture) => Picture): Workshop => ({ ...blocks, pictures: blocks.pictures!.map(change) })
const design = (w: Workshop, change: Partial<Design>): Workshop => ({ ...w, designs: [{ ...w.designs[0]!, ...change }] })
const say = phrases(club, now)

describe('what a plan says of its pictures', () => {
  it('names who is missing, those whose prints soften, and whom to ask', () => {
    expect(looks(blocks).map((f) => say.finding(f).title)).toEqual([
      '3 of 16 pictures are not in',
      'Lark prints poor',
      'May Sorrel’s picture be used?',
      '2 copies of each picture',
    ])
    expect(say.finding(find(blocks, 'pictures-missing')!).body).toBe('Emry, Ana, Jory. Their prints wait.')
    expect(plan(blocks).decisions.find((d) => d.id === 'pictures')).toMatchObject({ state: 'look', values: { in: 13, people: 16 } })
  })
  it('says nothing when all are in, sharp and allowed', () => {
    const all = withPictures((p) => ({ ...p, width: 1500, height: 1500, permitted: true }))
    const people = {
      ...all,
      group: { ...all.group, participants: all.group.participants.filter((p) => !['Emry', 'Ana', 'Jory'].includes(p.name!)) },
    }
    expect(looks({ ...people, choices: { ...people.choices, copies: 1 } })).toEqual([])
  })
  it('says that copies are many and that one is enough with a printer in the room, until somebody chooses', () => {
    const found = find(blocks, 'many-copies')!
    expect([found.level, found.mark, say.finding(found).body]).toEqual([
      'note',
      'E',
      '36 prints: one to lay, one to patch or start again. Everybody has a good one, 81 % sure. With a printer in the room one is enough.',
    ])
    const [more, one] = found.remedies
    expect(say.remedy(more!)).toBe('3 of each: 90 % sure')
    expect(plan(applyChanges<Workshop>(blocks, more!.changes)!).print).toMatchObject({ copies: 3, prints: 52 })
    const chosen = applyChanges<Workshop>(blocks, one!.changes)!
    expect([plan(chosen).print.copies, plan(chosen).print.prints, find(chosen, 'many-copies')]).toEqual([1, 20, undefined])
    expect(find({ ...blocks, designs: [{ ...blocks.designs[0]!, pictures: 'house' }] }, 'many-copies')).toBeUndefined()
  })
  it('only notes it long before the class when none is in, and looks when it comes near', () => {
    const none = { ...blocks, pictures: [] }
    expect(find(none, 'pictures-missing')).toMatchObject({ level: 'note' })
    expect(find(none, 'pictures-missing', '2026-05-27T15:00:00-04:00[America/New_York]')).toMatchObject({ level: 'look' })
    expect(say.finding(find(none, 'pictures-missing')!).title).toBe('No picture is in yet')
  })
  it('lets house pictures stand in, when there are some', () => {
    const house: Picture = { ...blocks.pictures![0]!, id: 'house', participant: null }
    const w = { ...blocks, pictures: [...blocks.pictures!, house] }
    const way = find(w, 'pictures-missing')!.remedies[0]!
    expect(say.remedy(way)).toBe('House pictures stand in')
    expect(find(applyChanges<Workshop>(w, way.changes)!, 'pictures-missing')).toBeUndefined()
    expect(find(blocks, 'pictures-missing')!.remedies).toEqual([])
  })
  it('offers the size at which the softest is fair', () => {
    const way = find(blocks, 'picture-poor')!.remedies[0]!
    const after = applyChanges<Workshop>(blocks, way.changes)!
    expect([find(after, 'picture-poor'), find(after, 'picture-soft')]).toEqual([undefined, undefined])
  })
  it('reads lettering off the pictures: mirrored as advised it is fine, not mirrored it stops the plan', () => {
    expect(plan(blocks).print.mirrored).toBe(true)
    const wrong = design(blocks, { mirrored: false })
    expect(find(wrong, 'picture-reads-backwards')).toMatchObject({ level: 'stop' })
    const way = find(wrong, 'picture-reads-backwards')!.remedies[0]!
    expect(say.remedy(way)).toBe('Print mirrored')
    const right = applyChanges<Workshop>(wrong, way.changes)!
    expect(find(right, 'picture-reads-backwards')).toBeUndefined()
  })
  it('loses whites on bare wood and keeps them on white, with that as the way out', () => {
    const bare = design(
      withPictures((p) => ({ ...p, pale: 0.6 })),
      { choices: { ground: 'bare' } },
    )
    const found = find(bare, 'picture-whites-go')!
    expect(say.finding(found).title).toMatch(/lose their whites$/)
    const after = applyChanges<Workshop>(bare, found.remedies[0]!.changes)!
    expect(find(after, 'picture-whites-go')).toBeUndefined()
  })
  test.each([1, 3])('prints so many copies of each own picture as somebody chose: %d', (copies) => {
    const chosen = plan({ ...blocks, choices: { ...blocks.choices, copies } })
    expect([chosen.print.copies, chosen.print.prints]).toEqual([copies, 16 * copies + chosen.samples.count])
    expect(chosen.figures['prints']!.because.inputs.find((i) => i.name === 'copies')).toEqual({ name: 'copies', value: copies })
  })
})

describe('the paper of a plan', () => {
  test.each([
    ['a3', 6],
    ['a4', 2],
    ['letter', 2],
  ] as const)('%s holds %d blocks', (paper, perSheet) => {
    const found = plan({ ...blocks, choices: { ...blocks.choices, paper } })
    expect([found.print.paper.id, found.print.grid.perSheet]).toEqual([paper, perSheet])
  })
  it('is the house’s when nobody says, with its margin', () => {
    expect(paperOf(undefined, club)).toEqual({ id: 'a4', name: 'A4', widthMm: 210, heightMm: 297, marginMm: 5 })
  })
  it('larger is a way out only where it helps', () => {
    const size = (n: number) => ({ mm: n, text: `${n} mm` })
    const codes = (w: number, h: number) =>
      plan(design(blocks, { kind: 'panel', material: 'panel', recipe: { id: 'quick-peel', version: 1 }, width: size(w), height: size(h) }))
        .findings.find((f) => f.code === 'larger-than-paper')
        ?.remedies.map((r) => (r.code === 'larger-paper' ? `${r.code} ${r.values.paper}` : r.code))
    expect(codes(250, 250)).toEqual(['smaller-piece', 'larger-paper Tabloid', 'tile-it'])
    expect(codes(280, 400)).toEqual(['smaller-piece', 'larger-paper A3', 'tile-it'])
    expect(codes(600, 400)).toEqual(['smaller-piece', 'tile-it'])
    expect(codes(100, 100)).toBeUndefined()
  })
})
