import { describe, expect, it } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { readWorkshopFile, writeWorkshop } from '#core/exchange'
import { phrases, sheetMarkdown, sheetText } from '#core/phrases'
import { difference, planWorkshop, type PlanInput } from '#core/plan'
import { checkRecipe, recipes } from '#core/recipe'
import { readRoster } from '#core/roster'
import { addMinutes, minutesBetween } from '#core/time'
import { applyChanges, clashes, inverse, setHeadcount, type Workshop } from '#core/workshop'

const now = '2026-05-13T09:00:00-04:00[America/New_York]'
const house = demoHouses[0]!
const moths = demoWorkshops('2026-05-15')[0]!
const fresh: Workshop = { ...moths, pieces: [], errandsDone: [] }
const plan = (workshop: Workshop, more: Partial<PlanInput> = {}) => planWorkshop({ workshop, house, now, ...more })
const headcount = (n: number) =>
  applyChanges(
    fresh,
    setHeadcount(
      fresh,
      n,
      Array.from({ length: n }, (_, i) => `x${i}`),
    ).changes,
  )!
const secondAt = (date: string, start: string, end: string): Workshop => ({
  ...fresh,
  sessions: [fresh.sessions[0]!, { ...fresh.sessions[1]!, date, start, end }],
})

describe('recipes', () => {
  it('pass their data check', () => expect(recipes.flatMap(checkRecipe)).toEqual([]))
  it('are refused without a cue', () => {
    const broken = { ...recipes[0]!, stages: recipes[0]!.stages.map((s) => ({ ...s, pass: '' })) }
    expect(checkRecipe(broken).length).toBeGreaterThan(0)
  })
})

describe('plan', () => {
  it('is deterministic and every figure has its reason', () => {
    expect(plan(fresh)).toEqual(plan(fresh))
    const say = phrases(house, now)
    for (const f of Object.values(plan(fresh).figures)) {
      expect(say.rule(f.because)).not.toBe('')
      f.because.inputs.forEach((i) => expect(say.input(i).name).not.toBe(''))
    }
  })
  it('says too soon 9 h after laying, with ways out that work', () => {
    const soon = secondAt('2026-05-15', '05:00', '08:00')
    const found = plan(soon).findings.find((f) => f.code === 'too-soon')!
    expect(found.level).toBe('stop')
    expect(found.remedies.map((r) => r.code)).toEqual(expect.arrayContaining(['move-session-ready', 'finish-at-home']))
    for (const r of found.remedies.filter((x) => x.code.startsWith('move') || x.code === 'finish-at-home')) {
      const after = applyChanges(soon, r.changes)!
      expect(plan(after).findings.map((f) => f.code)).not.toContain('too-soon')
      expect(applyChanges(after, inverse(r.changes))).toEqual(soon)
    }
  })
  it('tells nobody to rub early', () => {
    const home = { ...fresh, sessions: [fresh.sessions[0]!] }
    for (const s of plan(home).takeHome.filter((x) => x.ready)) {
      expect(minutesBetween(s.ready!.recommendedAt, s.ready!.tellAt)).toBeGreaterThanOrEqual(0)
      expect(minutesBetween(s.ready!.laidAt, s.ready!.neverBefore)).toBe(720)
    }
    expect(plan(home).takeHome.filter((s) => s.group === 'rub-at-home')).toHaveLength(17)
  })
  it('refuses laying below 10 C', () => {
    const cold = { ...house, climate: { celsius: 9, humidityPct: 50 } }
    expect(plan(fresh, { house: cold }).findings[0]).toMatchObject({ code: 'too-cold', level: 'stop' })
  })
  it('marks what 18 people becoming 19 changes', () => {
    const changed = difference(plan(fresh), plan(headcount(19))).map((d) => d.key)
    expect(changed).toEqual(expect.arrayContaining(['people', 'prints', 'kit/blank', 'kit/decoupage-glue', 'shelf']))
  })
  it.each([0, 1, 40, 400])('holds for %i people', (n) => {
    const p = plan(headcount(n))
    expect(p.people).toBe(n)
    expect(p.seating.reduce((a, b) => a + b, 0)).toBe(n)
    expect(p.takeHome).toHaveLength(n)
  })
  it('asks before a named person goes', () => {
    expect(setHeadcount(fresh, 17, [])).toMatchObject({ ask: 'remove-named', names: ['Wren'] })
  })
  it('proposes a moment inside opening hours', () => {
    const p = plan(secondAt('2026-05-15', '05:00', '08:00'))
    expect(minutesBetween(p.split.cure!.recommendedAt, p.proposals.better!)).toBeGreaterThanOrEqual(0)
    expect(addMinutes(p.proposals.better!, 0)).toBe(p.proposals.better)
  })
})

describe('what leaves and enters', () => {
  it('comes back as it went', () =>
    expect(readWorkshopFile(writeWorkshop({ ...moths, pictures: undefined }))).toEqual({ ...moths, pictures: undefined }))
  it('refuses a later version by name', () =>
    expect(() => readWorkshopFile('{"format":"imprenta-workshop","version":3}')).toThrow(/version 3; this Imprenta reads versions 1 to 2/))
  it('escapes HTML in names', () => {
    const p = plan(fresh)
    const text = sheetText({ ...p.takeHome[0]!, name: '<b>x</b>' }, p, fresh, house, 'few')
    expect(sheetMarkdown(text)).toContain('\\<b\\>x')
  })
  it('asks about odd headings and names bad lines', () => {
    const rows = [
      ['name', 'yrs'],
      ['Pia', '7'],
      ['Odo', 'x', 'y'],
    ].map((cells, i) => ({ line: i + 1, cells }))
    expect(readRoster(rows).questions).toMatchObject([{ heading: 'yrs', guess: 'years' }])
    expect(readRoster(rows, { 1: 'years' })).toMatchObject({ good: [{ name: 'Pia', age: 'under-8' }], bad: [{ line: 3 }] })
  })
})

describe('commands', () => {
  it('find what stands against them, field by field', () => {
    const mine = { changes: [{ path: 'group/helpers', before: 1, after: 3 }], guards: [] }
    expect(clashes(fresh, mine)).toEqual([])
    expect(clashes({ ...fresh, group: { ...fresh.group, helpers: 2 } }, mine)).toEqual([{ path: 'group/helpers', stored: 2, yours: 3 }])
  })
})
