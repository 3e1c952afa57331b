import type { FindingCode } from '#core/codes'
import { describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import type { House } from '#core/house'
import { phrases } from '#core/phrases'
import { planWorkshop } from '#core/plan'
import { applyChanges, type Design, type Workshop } from '#core/workshop'

const now = '2026-05-12T09:00:00-04:00[America/New_York]'
const house: House = demoHouses[0]!
const all = demoWorkshops('2026-05-15')
const moths = all.find((w) => w.id === 'moths-of-the-marsh')!
const lanterns = all.find((w) => w.id === 'ferry-lanterns')!
const withDesign = (w: Workshop, change: Partial<Design>): Workshop => ({ ...w, pieces: [], designs: [{ ...w.designs[0]!, ...change }] })
const plan = (w: Workshop, h = house) => planWorkshop({ workshop: w, house: h, now })
const size = (mm: number) => ({ mm, text: `${mm} mm` })

/** A workshop with one thing against it, the code that says so, and ways out that only say more and do not mend. */
const cases: [string, Workshop, FindingCode, string[]][] = [
  ['inkjet prints on wood', withDesign(moths, { print: { printer: 'inkjet' } }), 'wrong-ink', []],
  ['a smear', withDesign(moths, { print: { smear: 'failed' } }), 'smear-failed', []],
  [
    'inkjet film, not tested',
    withDesign(lanterns, { choices: { 'which-print': 'inkjet' }, print: { printer: 'inkjet' } }),
    'smear-test',
    [],
  ],
  ['coated paper', withDesign(moths, { print: { coated: true } }), 'coated', []],
  ['heavy paper', withDesign(moths, { print: { gsm: 120 } }), 'paper-heavy', []],
  ['card', withDesign(moths, { print: { gsm: 200 } }), 'paper-thick', []],
  ['skies on bare wood', withDesign(moths, { choices: { ground: 'bare' }, picture: { pale: true } }), 'whites-vanish', []],
  ['white wanted on bare wood', withDesign(moths, { choices: { ground: 'bare' }, whites: 'white' }), 'whites-wish', []],
  ['wood wanted on a white ground', withDesign(moths, { choices: { ground: 'white' }, whites: 'surface' }), 'whites-wish', []],
  ['too few pixels', withDesign(moths, { picture: { pixels: { width: 600, height: 430 } } }), 'blurred', []],
  ['few pixels', withDesign(moths, { picture: { pixels: { width: 900, height: 640 } } }), 'soft', []],
  ['originals', withDesign(moths, { picture: { precious: true } }), 'precious', []],
  ['water lift without an inkjet', withDesign(moths, { recipe: { id: 'water-lift', version: 1 } }), 'printer-missing', []],
  [
    'a face all over',
    withDesign(lanterns, {
      width: size(90),
      height: size(60),
      keepClear: [{ id: 'f', xMm: 0, yMm: 0, widthMm: 90, lengthMm: 60, what: 'face' }],
    }),
    'seam-on-face',
    [],
  ],
]

describe('pictures and prints in the plan', () => {
  test.each(cases)('%s: is found, and every button does what it says', (_name, w, code) => {
    const found = plan(w).findings.find((f) => f.code === code)!
    expect(found, code).toBeDefined()
    const say = phrases(house, now)
    expect(say.finding(found).title).not.toBe('')
    expect(found.remedies.length).toBeGreaterThan(0)
    for (const r of found.remedies) {
      expect(say.remedy(r)).not.toBe('')
      if (r.changes.length === 0) {
        expect(r.link).toBe('house')
        continue
      }
      if (r.code === 'smear-did-fail') continue
      const after = plan(applyChanges<Workshop>(w, r.changes)!)
      expect([r.code, after.findings.map((f) => f.code).includes(code)]).toEqual([r.code, false])
    }
  })

  it('a failed smear test of an inkjet print leads to a photocopy, and the film to toner again', () => {
    const w = withDesign(lanterns, { choices: { 'which-print': 'inkjet' }, print: { printer: 'inkjet', smear: 'failed' } })
    const found = plan(w).findings.find((f) => f.code === 'smear-failed')!
    const after = plan(applyChanges<Workshop>(w, found.remedies[0]!.changes)!)
    expect(after.ink).toBe('toner')
    expect(after.findings.map((f) => f.code)).not.toContain('wrong-ink')
  })
  it('a small face is kept clear of the seam without a word', () => {
    const w = withDesign(lanterns, {
      width: size(90),
      height: size(60),
      keepClear: [{ id: 'f', xMm: 5, yMm: 4, widthMm: 20, lengthMm: 10, what: 'face' }],
    })
    const p = plan(w)
    expect(p.tape!.seamOnKeepClearMm).toBe(0)
    expect(p.findings.map((f) => f.code)).not.toContain('seam-on-face')
  })
  it('a wide film has no seams at all', () => {
    const p = plan(withDesign(lanterns, { choices: { 'film-width': 'wide' } }))
    expect(p.tape).toMatchObject({ strips: 1, seams: [] })
    expect(p.kit.map((l) => l.material)).toContain('clear-film')
    expect(p.kit.map((l) => l.material)).not.toContain('clear-tape')
  })
  it('“only lettering” prints a moth as it is and lettering mirrored, both without complaint', () => {
    const moth = plan(withDesign(moths, { choices: { mirror: 'lettering' }, lettering: false }))
    expect(moth.print).toMatchObject({ mirrored: false, orientation: { verdict: 'fine' } })
    const words = plan(withDesign(moths, { choices: { mirror: 'lettering' }, lettering: true }))
    expect(words.print).toMatchObject({ mirrored: true, orientation: { verdict: 'fine' } })
  })
})

describe('what is allowed', () => {
  const allow = (w: Workshop, x: Partial<{ heat: boolean; spray: boolean; blade: boolean }>): Workshop => ({
    ...w,
    choices: { ...w.choices, allow: { heat: true, spray: false, blade: true, ...x } },
  })
  it('a blade that is not allowed in class goes ahead, by staff', () => {
    const inClass = { ...moths, pieces: [], choices: { ...moths.choices, split: { trim: 'moths-of-the-marsh-1' } } }
    const w = allow(inClass, { blade: false })
    const found = plan(w).findings.find((f) => f.code === 'blade-not-allowed')!
    expect(found).toMatchObject({ level: 'stop', values: { session: 1 } })
    const ahead = found.remedies.find((r) => r.code === 'do-ahead')!
    expect(plan(applyChanges<Workshop>(w, ahead.changes)!).findings.map((f) => f.code)).not.toContain('blade-not-allowed')
  })
  it('spray at home or outdoors is no matter of the class', () => {
    const sprayed = withDesign(moths, { choices: { 'top-coat': 'spray' } })
    expect(plan(sprayed).findings.map((f) => f.code)).toContain('spray-indoors')
    expect(plan(allow(sprayed, { spray: true })).findings.map((f) => f.code)).not.toContain('spray-indoors')
  })
})
