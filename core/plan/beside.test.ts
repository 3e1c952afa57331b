import { describe, expect, it, test } from 'vitest'
import { mayStay } from '#core/clinic'
import { demoHouses } from '#core/demo'
import { planWorkshop, type Plan } from '#core/plan'
import { sheetText } from '#core/phrases'
import { printsOf } from '#core/prints'
import { extras, finishes, finishesFor, pieceKind, pieceKinds, withExtras, recipes } from '#core/recipe'
import { applyChanges, newWorkshop, type Design, type Workshop } from '#core/workshop'

/** What is done beside a method: the picture apart from its piece, its edge and its source, finishing, what is aimed at, own blanks. Each
 *  has to change kit, minutes, cautions, errands and sheets alike. */
const now = '2026-05-01T09:00:00-04:00[America/New_York]'
const house = { ...demoHouses[0]!, cupboard: {}, printers: ['toner', 'inkjet'] as ('toner' | 'inkjet')[] }
const size = (mm: number) => ({ mm, text: `${mm} mm` })
const dates = ['2026-05-20', '2026-05-22', '2026-05-24']

function make(kindId: string, more: Partial<Design> = {}, classes = 2, whole: Partial<Workshop> = {}): Workshop {
  const kind = pieceKind(kindId)
  const ids = Array.from({ length: 12 }, (_, i) => `p${i}`)
  const w = newWorkshop({ id: 'w', design: 'd', participants: ids }, house.id, 'X', now)
  const design = { kind: kind.id, material: kind.materials[0]!, width: size(kind.widthMm), height: size(kind.heightMm) }
  return {
    ...w,
    designs: [{ ...w.designs[0]!, ...design, recipe: { id: kind.recipe, version: 1 }, ...more }],
    sessions: dates.slice(0, classes).map((date, i) => ({ id: `s${i}`, date, start: '17:00', end: '20:30', room: 'R' })),
    ...whole,
  }
}
const plan = (w: Workshop, at = now): Plan => planWorkshop({ workshop: w, house, now: at })
const need = (p: Plan, material: string) => p.kit.find((l) => l.material === material)?.need ?? 0
const codes = (p: Plan) => p.findings.map((f) => f.code)
const minutes = (p: Plan, n: number) => p.loads[n]!.neededMin

describe('a picture that does not fill its piece', () => {
  const whole = plan(make('plaque'))
  const on = { width: size(60), height: size(50) }
  const part = plan(make('plaque', { on }))
  it('has a print of its own size, several a sheet; the piece stays what it is', () => {
    expect([part.print.widthMm, part.print.heightMm]).toEqual([60, 50])
    expect(part.print.sheets).toBeLessThan(whole.print.sheets)
    expect(part.face).toEqual(whole.face)
    expect(need(part, 'blank')).toBe(need(whole, 'blank'))
  })
  it('is laid in less medium; the top coat still goes over all of the face', () => {
    const glue = (p: Plan) => p.kit.find((l) => l.material === 'decoupage-glue')!
    // 3000 mm2 at 300 um, 177.8 x 127 mm at 120 um, 15 % waste.
    expect(glue(part).each).toBeCloseTo(((3000 * 300 + 177.8 * 127 * 120) / 1e6) * 1.15, 2)
    expect(glue(whole).each).toBeCloseTo(((177.8 * 127 * 420) / 1e6) * 1.15, 2)
    expect(
      glue(part)
        .because.inputs.filter((i) => i.name === 'area' || i.name === 'face')
        .map((i) => i.value),
    ).toEqual([3000, 22580.6])
    expect(glue(whole).because.inputs.some((i) => i.name === 'face')).toBe(false)
  })
  it('white ground goes under all of it', () => {
    const paint = (p: Plan) => need(p, 'white-paint')
    expect(paint(plan(make('plaque', { on, choices: { ground: 'white' } })))).toBe(
      paint(plan(make('plaque', { choices: { ground: 'white' } }))),
    )
  })
  test.each([
    ['too wide', { width: size(200), height: size(50) }, ['picture-whole']],
    ['over the edge', { ...on, at: { xMm: 130, yMm: 0 } }, ['picture-middle', 'picture-whole']],
  ])('%s is refused, with ways out that work', (_name, wrong, ways) => {
    const w = make('plaque', { on: wrong })
    const found = plan(w).findings.find((f) => f.code === 'beyond-piece')!
    expect([found.level, found.remedies.map((r) => r.code)]).toEqual(['stop', ways])
    for (const r of found.remedies) expect(codes(plan(applyChanges<Workshop>(w, r.changes)!))).not.toContain('beyond-piece')
  })
  it('too coarse or too large for the paper becomes smaller itself, not its piece', () => {
    const large = { width: size(400), height: size(300) }
    for (const w of [
      make('canvas', { width: size(500), height: size(400), on: large }),
      make('canvas', { width: size(500), height: size(400), on, picture: { pixels: { width: 200, height: 160 } } }),
    ]) {
      const way = plan(w)
        .findings.flatMap((f) => f.remedies)
        .find((r) => r.code === 'smaller-piece')!
      const after = applyChanges<Workshop>(w, way.changes)!
      expect([after.designs[0]!.width.mm, after.designs[0]!.height.mm]).toEqual([500, 400])
      expect(after.designs[0]!.on!.width.mm).toBeLessThan(w.designs[0]!.on!.width.mm)
      expect(codes(plan(after)).filter((c) => ['larger-than-paper', 'blurred', 'soft'].includes(c))).toEqual([])
    }
  })
  it('up to the very edge is fine', () => {
    const w = make('plaque', { on: { ...on, at: { xMm: 117.8, yMm: 77 } } })
    expect(codes(plan(w))).not.toContain('beyond-piece')
  })
})

describe('an edge', () => {
  const straight = plan(make('plaque'))
  const of = (edge: Design['edge']) => plan(make('plaque', { edge }))
  it('cut to its outline takes scissors in place of the trimmer, and less medium', () => {
    const p = of('outline')
    expect([need(p, 'scissors'), need(p, 'trimmer'), p.stages.some((s) => s.id === 'trim')]).toEqual([6, 0, false])
    expect(minutes(p, 0)).toBe(minutes(straight, 0) + 6)
    expect(need(p, 'decoupage-glue')).toBeLessThan(need(straight, 'decoupage-glue'))
    expect(p.stages.find((s) => s.id === 'edge-outline')!.cautions).toEqual(['scissors'])
  })
  it('torn takes neither; faded is a step of the last class, and of a sheet where that is at home', () => {
    const torn = of('torn')
    expect([need(torn, 'scissors'), need(torn, 'trimmer'), minutes(torn, 0) - minutes(straight, 0)]).toEqual([0, 0, 3])
    const faded = of('faded')
    expect([minutes(faded, 0) - minutes(straight, 0), minutes(faded, 1) - minutes(straight, 1)]).toEqual([0, 3])
    const home = plan(make('plaque', { edge: 'faded' }, 1))
    expect(home.takeHome[0]!.steps.map((s) => s.title)).toContain('Fade the edges')
  })
  it('round is a round print, in less medium', () => {
    const p = of('round')
    expect([p.cut, p.outline, need(p, 'scissors')]).toEqual(['round', 'straight', 6])
    expect(need(p, 'decoupage-glue')).toBeLessThan(need(straight, 'decoupage-glue'))
  })
  it('of its own on a round piece is the picture’s, not the piece’s', () => {
    const p = plan(make('plaque', { outline: 'round', edge: 'torn' }))
    expect([p.cut, p.outline, need(p, 'scissors')]).toEqual(['straight', 'round', 0])
    expect(plan(make('plaque', { outline: 'round' })).cut).toBe('round')
  })
  it('to its outline is what film and tissue are cut to anyway', () => {
    for (const kind of ['stickers', 'candle'])
      expect(plan(make(kind, { edge: 'outline' }, 1)).stages.map((s) => s.id)).not.toContain('edge-outline')
  })
})

describe('pictures that are not printed here', () => {
  test.each(['magazine', 'brought'] as const)('%s: no sheet, no print, no print errand, nothing sent to the printer', (pictures) => {
    const w = make('stickers', { pictures }, 1)
    const p = plan(w)
    expect([p.print.prints, p.print.sheets, need(p, 'print')]).toEqual([0, 0, 0])
    expect(p.kit.map((l) => l.material)).not.toContain('print')
    expect(p.errands.map((e) => e.code)).not.toContain('print')
    expect(printsOf(p, w, { widthMm: 200, heightMm: 280 })).toEqual([])
    expect(p.stages.map((s) => s.id).slice(0, 2)).toEqual(['choose', 'tape'])
    // A film is trimmed after it is taped, wherever its picture comes from.
    expect(p.stages.map((s) => s.id)).toContain('trim')
    expect(p.states).toContain('printed')
    expect(p.errands.find((e) => e.code === 'gather')).toMatchObject({
      values: { pieces: pictures === 'magazine' ? 'magazines' : 'prints' },
      state: 'open',
    })
  })
  it('pages to choose from, and tape for what is taken of them', () => {
    const p = plan(make('stickers', { pictures: 'magazine' }, 1))
    expect([need(p, 'magazine-page'), p.kit.find((l) => l.material === 'magazine-page')!.boughtMinor]).toEqual([36, 0])
    expect(need(p, 'clear-tape')).toBe(p.tape!.perFilm * (12 + p.spares.count + p.samples.count))
  })
  it('a page under wet medium wants a look, and lettering on it comes out backwards; film takes both as they are', () => {
    const wood = plan(make('plaque', { pictures: 'magazine', lettering: true }))
    expect(codes(wood)).toEqual(expect.arrayContaining(['pages-not-here', 'pages-backwards']))
    const take = wood.findings.find((f) => f.code === 'pages-not-here')!.remedies
    expect(take.map((r) => r.code)).toEqual(['take-method', 'print-it'])
    expect(codes(plan(make('stickers', { pictures: 'magazine', lettering: true }, 1))).filter((c) => c.startsWith('pages'))).toEqual([])
  })
  it('a cover is coated; how sharp it is nobody asks', () => {
    const p = plan(make('stickers', { pictures: 'magazine', print: { coated: true }, picture: { pixels: { width: 10, height: 10 } } }, 1))
    expect(codes(p).filter((c) => ['coated', 'blurred', 'soft', 'printer-missing'].includes(c))).toEqual(['coated'])
  })
  it('an original that people bring is copied first', () =>
    expect(codes(plan(make('canvas', { pictures: 'brought', picture: { precious: true } })))).toContain('precious'))
})

describe('tape', () => {
  const of = (mm: [number, number], choices: Record<string, string> = {}) =>
    plan(make('stickers', { width: size(mm[0]), height: size(mm[1]), choices: { 'second-tape': 'none', ...choices } }, 1))
  const tapeOf = (p: Plan) => [p.tape!.strips, p.tape!.abreast, p.tape!.stripLengthMm, p.tape!.perFilm]
  it('small films lie beside each other on one strip, the way round that takes least tape', () => {
    // 15 mm and 4.5 mm at each side: two on 48 mm; the other way round only one of 40 mm fits.
    expect(tapeOf(of([15, 40]))).toEqual([1, 2, 49, 0.5])
    expect(tapeOf(of([40, 15]))).toEqual([1, 2, 49, 0.5])
    expect(tapeOf(of([38, 38]))).toEqual([1, 1, 48, 1])
    expect(tapeOf(of([60, 90]))[1]).toBe(1)
    expect(tapeOf(of([15, 40], { 'second-tape': 'behind' }))).toEqual([1, 2, 49, 1])
  })
  it('counts whole strips for all of them', () => {
    const p = of([15, 40])
    expect(need(p, 'clear-tape')).toBe(Math.ceil(p.print.prints / 2))
    expect(p.figures['strips']!.because.inputs.find((i) => i.name === 'abreast')!.value).toBe(2)
  })
  it('a sticker has a second tape behind it, counted; other films have not', () => {
    const [none, both] = [of([60, 45]), of([60, 45], { 'second-tape': 'behind' })]
    expect(need(both, 'clear-tape')).toBe(2 * need(none, 'clear-tape'))
    expect(plan(make('stickers', {}, 1)).tape!.tapes).toBe(2)
    expect([plan(make('jar', {}, 1)).tape!.tapes, plan(make('card', {}, 1)).tape!.tapes]).toEqual([1, 1])
  })
})

describe('minutes are for what they are spent on', () => {
  it('trimming ahead takes a minute a print, painting three a board and an hour between its coats', () => {
    const p = plan(make('plaque', { choices: { ground: 'white' } }))
    const [trim, paint] = [p.errands.find((e) => e.id === 'trim')!, p.errands.find((e) => e.id === 'paint')!]
    expect(trim.values).toEqual({ stage: 'Trim', minutes: p.print.prints })
    expect(paint.values).toEqual({ stage: 'Paint white', minutes: 39 })
    const always = Object.fromEntries(Object.keys(house.hours).map((d) => [d, { from: '00:00', to: '23:59' }])) as typeof house.hours
    const open = planWorkshop({ workshop: make('plaque', { choices: { ground: 'white' } }), house: { ...house, hours: always }, now })
    // 12 h before 17:00, less 39 minutes of work and the hour between.
    expect(open.errands.find((e) => e.id === 'paint')!.by).toBe('2026-05-20T03:21:00-04:00[America/New_York]')
    expect(paint.because.inputs.map((i) => [i.name, i.value])).toEqual([
      ['dry', 720],
      ['between-coats', 60],
      ['minutes-blank', 3],
      ['blanks', 13],
    ])
  })
  it('in class each trims what is theirs', () => {
    const w = make('plaque')
    const moved = plan({ ...w, choices: { ...w.choices, split: { trim: 's0' } } })
    expect(moved.loads[0]!.neededMin - plan(w).loads[0]!.neededMin).toBe(1)
    const two = make('accordion')
    const book = plan({ ...two, choices: { ...two.choices, split: { trim: 's0' } } })
    expect(book.split.loads[0]!.stages.find((s) => s.id === 'trim')!.minutes).toBe(2)
  })
  it('a spray is done for everybody by one adult, all in a row', () => {
    const w = make('plaque', { choices: { 'top-coat': 'spray' } })
    const p = plan({ ...w, choices: { ...w.choices, allow: { heat: true, blade: true, spray: true } } })
    expect(p.turns.find((t) => t.stages[0] === 'seal1')).toMatchObject({
      people: 12,
      turns: 12,
      minutesEach: 1,
      adults: 1,
      apartMin: expect.toSatisfy((n: number) => n >= 11),
    })
  })
  it('with heat or blades one adult has fewer children', () => {
    const w = make('plaque')
    const group = { ...w.group, helpers: 4, participants: w.group.participants.map((x) => ({ ...x, age: '8-12' as const })) }
    const blades = plan({ ...w, group, choices: { ...w.choices, split: { trim: 's0' } } })
    // 12 at 1 to 6 beside the one at the blade; without it 12 at 1 to 8.
    expect([blades.adults.needed, plan({ ...w, group }).adults.needed]).toEqual([3, 2])
    expect(blades.adults.because.inputs.find((i) => i.name === 'ratio-blade')).toMatchObject({ value: 6, mark: 'E', key: 'ratio.blade' })
  })
})

describe('finishing', () => {
  const base = (kind: string, material?: string) => plan(make(kind, material ? { material } : {}))
  test.each(finishes.map((f) => [f.id, f] as const))(
    '%s is a step with its things, minutes and cue; without it there is none of that',
    (id, f) => {
      const kind = pieceKinds.find((k) => k.materials.some((m) => finishesFor(k.id, m).includes(f)) && k.recipe === 'medium-transfer')!
      const material = kind.materials.find((m) => finishesFor(kind.id, m).includes(f))!
      const [with_, without] = [plan(make(kind.id, { material, finish: [id] })), base(kind.id, material)]
      for (const step of f.steps) {
        expect(without.stages.map((s) => s.id)).not.toContain(step.id)
        expect(with_.stages.find((s) => s.id === step.id)).toMatchObject({
          pass: step.pass,
          fail: step.fail,
          minutes: { value: step.minutes.value },
        })
      }
      for (const m of f.materials) {
        const [now_, before] = [need(with_, m.material), need(without, m.material)]
        // Cord and sandpaper are there already, and serve both.
        expect([m.material, now_ > 0, now_ > before || before > 0]).toEqual([m.material, true, true])
      }
      const inClass = f.steps.filter((s) => s.mayBe[0] === 'session')
      const work = inClass.reduce((sum, s) => sum + s.minutes.value, 0)
      const more = with_.loads.reduce((sum, l) => sum + l.neededMin, 0) - without.loads.reduce((sum, l) => sum + l.neededMin, 0)
      expect(more).toBeGreaterThanOrEqual(work)
      expect(with_.takeHome[0]!.group).toBe('finished')
    },
  )
  it('edges come before the top coat, what is stuck on after it, the drill first of all', () => {
    const at = plan(make('plaque', { finish: ['frame', 'worn-edges', 'drilled'] })).stages.map((s) => s.id)
    expect(at[0]).toBe('finish-drill')
    expect(at.indexOf('finish-worn-edges')).toBeLessThan(at.indexOf('seal1'))
    expect(at.slice(at.indexOf('seal1') + 1)).toEqual(['finish-cord', 'finish-frame'])
  })
  it('the drill is an adult’s, ahead and errand of its own; in class it is done for children', () => {
    const w = make('plaque', { finish: ['drilled'] })
    expect(plan(w).errands.find((e) => e.id === 'finish-drill')).toMatchObject({ code: 'trim', values: { stage: 'Drill' } })
    const young = { ...w.group, helpers: 4, participants: w.group.participants.map((p) => ({ ...p, age: '8-12' as const })) }
    const p = plan({ ...w, group: young, choices: { ...w.choices, split: { 'finish-drill': 's0' } } })
    expect(p.findings.find((f) => f.code === 'done-for-them' && f.values.stage === 'Drill')).toBeDefined()
    expect(codes(p)).toContain('too-young')
  })
  it('stain leaves rags that are dried flat; glass is looked over; a tint covers the whole face', () => {
    const cautionsOf = (p: Plan, stage: string) => p.stages.find((s) => s.id === stage)!.cautions
    expect(cautionsOf(plan(make('plaque', { finish: ['stained-edges'] })), 'finish-stain')).toContain('rags')
    expect(cautionsOf(plan(make('jar', {}, 1)), 'mount')).toContain('glass')
    expect(cautionsOf(plan(make('card', {}, 1)), 'mount')).not.toContain('glass')
    const on = { width: size(40), height: size(40) }
    const tint = (d: Partial<Design>) => need(plan(make('plaque', { finish: ['tint'], ...d })), 'tint')
    expect(tint({ on })).toBe(tint({}))
  })
  it('one line of the kit for what serves twice', () => {
    const p = plan(make('plaque', { finish: ['worn-edges', 'drilled'] }))
    const lines = p.kit.map((l) => l.key)
    expect(new Set(lines).size).toBe(lines.length)
    expect([need(p, 'sandpaper'), need(p, 'cord')]).toEqual([3, 4800])
  })
  it('what does not suit a piece is passed over', () => {
    expect(plan(make('candle', { finish: ['frame', 'worn-edges'] }, 1)).stages.some((s) => s.id.startsWith('finish'))).toBe(false)
    expect(finishesFor('card', 'card').map((f) => f.id)).toEqual(['back', 'frame'])
  })
  it('done at home it is on the sheet, with its things in the bag', () => {
    const w = make('coaster', { finish: ['feet'] })
    const p = plan({ ...w, choices: { ...w.choices, split: { 'finish-feet': 'home' } } })
    expect(p.takeHome[0]).toMatchObject({ group: 'finish-at-home', bag: ['Your coaster', 'Spare print', 'Four felt feet'] })
    expect(p.takeHome[0]!.steps.map((s) => s.title)).toEqual(['Felt feet'])
  })
  it('every step may be done somewhere, and says how when that is at home', () => {
    for (const x of extras)
      for (const s of x.steps) {
        expect([s.id, s.mayBe.length > 0]).toEqual([s.id, true])
        if (s.mayBe.includes('home')) expect([s.id, s.home !== undefined]).toEqual([s.id, true])
        for (const m of x.materials) expect(x.steps.map((y) => y.id)).toEqual(expect.arrayContaining(m.stages))
      }
  })
  it('nothing beside is the recipe itself', () => expect(withExtras(recipes[0]!, [], 'plaque')).toBe(recipes[0]!))
})

describe('grounds, coats and layers', () => {
  const p = (choices: Record<string, string>, classes = 2) => plan(make('plaque', { choices }, classes))
  it('a coloured ground is painted ahead over all of the face, and hides no white', () => {
    const coloured = p({ ground: 'colour' })
    expect([coloured.stages[0]!.id, need(coloured, 'colour-paint') > 0, need(coloured, 'white-paint'), coloured.whites]).toEqual([
      'paint-colour',
      true,
      0,
      'surface',
    ])
    expect(p({ ground: 'prepared' }).whites).toBe('white')
  })
  it('a double coat is twice the film under the print, not over it', () => {
    const each = (c: Record<string, string>) => p(c).kit.find((l) => l.material === 'decoupage-glue')!.each!
    expect(each({ 'coat-where': 'both' }) - each({})).toBeCloseTo(((177.8 * 127 * 300) / 1e6) * 1.15, 2)
  })
  describe('a second transfer over the first', () => {
    const three = p({ layers: 'second' }, 3)
    const two = p({ layers: 'second' })
    it('takes a print more for each piece, a third sitting and another cure', () => {
      expect(three.print.prints - three.spares.count - three.samples.count).toBe(24)
      expect([three.split.split['over-lay'], three.split.split['over-rub']]).toEqual(['s1', 's2'])
      expect(three.takeHome[0]!.group).toBe('finished')
    })
    it('too soon after the second is refused as after the first', () => {
      const w = make('plaque', { choices: { layers: 'second' } }, 3)
      const soon = plan({
        ...w,
        sessions: [
          w.sessions[0]!,
          { ...w.sessions[1]!, start: '10:00', end: '13:00' },
          { ...w.sessions[2]!, date: '2026-05-22', start: '17:00', end: '20:00' },
        ],
      })
      expect(soon.split.cure).toMatchObject({ laidIn: 's1', rubIn: 's2', verdict: 'too soon' })
      expect(codes(soon)).toContain('too-soon')
    })
    it('rubbed at home it waits from the second laying, whatever the first has come to', () => {
      const s = two.takeHome[0]!
      expect(s.group).toBe('rub-at-home')
      expect(s.ready).toMatchObject({
        laidAt: '2026-05-22T18:27:00-04:00[America/New_York]',
        neverBefore: '2026-05-23T06:27:00-04:00[America/New_York]',
      })
      expect(s.steps.map((x) => x.title)).toEqual(
        ['Wet and rub the second', 'Dry it through', 'Seal it', 'Put the cord through'].slice(0, 3),
      )
    })
  })
})

describe('what is aimed at', () => {
  const of = (quality?: Design['quality']) => plan(make('plaque', quality ? { quality } : {}))
  it('clean: three rounds, white under it, more spares; worn: one round, fewer', () => {
    expect([of('clean').rounds, of().rounds, of('worn').rounds]).toEqual([3, 2, 1])
    expect([of('clean').spares.count > of().spares.count, of('worn').spares.count < of().spares.count]).toEqual([true, true])
    expect([of('clean').painted, of().painted, of('worn').painted]).toEqual([true, false, false])
    const why = of('clean').figures['spares']!.because.inputs.find((i) => i.name === 'failed-good')!
    expect([why.key, why.value]).toEqual(['fails.clean', '2 to 8'])
  })
  it('a choice of the plan goes before it', () =>
    expect(plan(make('plaque', { quality: 'worn', choices: { rounds: '3' } })).rounds).toBe(3))
  it('the clinic calls no fault what belongs to worn', () => {
    expect(mayStay(['haze', 'runs'], 'worn').map((s) => s.id)).toEqual(['haze'])
    expect([mayStay(['haze'], 'clean'), mayStay(['haze'], undefined), mayStay(['backwards'], 'worn')]).toEqual([[], [], []])
  })
})

describe('blanks that people bring', () => {
  const p = plan(make('stone', { brings: true }))
  it('are not bought, not spared, and in before they are washed', () => {
    const blank = p.kit.find((l) => l.material === 'blank')!
    expect([blank.need, blank.boughtMinor, blank.usedMinor, blank.toGet.packs]).toEqual([12, 0, 0, []])
    const [gather, wash] = [p.errands.find((e) => e.code === 'gather')!, p.errands.find((e) => e.id === 'wash')!]
    expect(gather.values).toEqual({ pieces: 'stones' })
    expect(gather.by < wash.by).toBe(true)
  })
  it('what the house brings is bought', () =>
    expect(plan(make('stone')).kit.find((l) => l.material === 'blank')!.boughtMinor).toBeGreaterThan(0))
})

describe('kits to go', () => {
  const w = make('plaque', {}, 1, { held: 'home' })
  const p = plan(w)
  const text = (q: Plan, whose = w) => sheetText(q.takeHome[0]!, q, whose, house, 'few')
  it('nothing is done in class: no load, no shelf, no samples, no adults, nothing for tables', () => {
    expect([p.loads, p.shelf, p.samples.count, p.adults.needed]).toEqual([[], null, 0, 0])
    expect(Object.values(p.split.split).every((x) => x === 'ahead' || x === 'home')).toBe(true)
    for (const m of ['table-cover', 'apron', 'basin', 'cup', 'pulp-bin', 'bucket', 'fan', 'home-tray'])
      expect([m, p.kit.some((l) => l.material === m)]).toEqual([m, false])
    expect(codes(p)).toEqual([])
  })
  it('everything is in the bag, one for each household, the medium measured', () => {
    for (const [m, n] of Object.entries({
      blank: 13,
      print: 24,
      'foam-brush': 12,
      cloth: 12,
      'press-card': 12,
      pot: 12,
      'home-bag': 12,
      cord: 4800,
    }))
      expect([m, need(p, m)]).toEqual([m, n])
    const glue = p.kit.find((l) => l.material === 'decoupage-glue')!
    expect(glue.pot).toBe(Math.ceil(glue.each! + 16))
    expect(text(p).bag).toEqual([
      'Your plaque',
      'Your print and a spare, cut',
      `Lidded pot of decoupage glue, labelled: ${(glue.pot! / 29.5735).toFixed(1)} fl oz`,
      'Foam brush',
      'Old card, to press with',
      'Baking paper',
      'Cloth',
      'Cord',
    ])
  })
  it('all steps are on the sheet, in their order, with what is right and what is not, and the wait as a rule', () => {
    const t = text(p)
    expect([t.headline, t.when, t.never]).toEqual(['A kit to go', 'Lay it one day, rub it the next: 24 h after', 'Never before 12 h.'])
    expect(t.steps.map((s) => s.title)).toEqual([
      'Coat',
      'Lay and press',
      'Leave it flat',
      'Wet it',
      'Rub',
      'Dry, then look',
      'Rub again',
      'Dry it through',
      'Seal it',
    ])
    expect(t.steps[0]!.text).toBe(
      'Brush the glue over the piece, as large as the picture, edge to edge. Not: Missed spots or ridges. Go on within 3 min.',
    )
    expect(t.steps[2]!.text).toContain('Laid on ____________ at ________. Then 24 h flat, never under 12 h.')
    expect(t.steps.filter((s) => s.text.includes('Laid on'))).toHaveLength(1)
    // A step that is said for home says its wait once.
    expect(t.steps.at(-1)!.text).toBe('One thin coat from edge to edge, strokes one way. Then leave it: at least 30 minutes.')
    expect(p.takeHome.every((s) => s.ready === undefined && s.group === 'all-at-home')).toBe(true)
  })
  it('cautions are for a home with children, whoever takes it', () =>
    expect(p.takeHome[0]!.cautions).toContain('Out of reach of small children and pets, away from food'))
  it('pick-up and return in place of classes', () => {
    expect(p.errands.map((e) => e.code)).toEqual(['order', 'print', 'trim', 'trim', 'pack-kits', 'hand-out'])
    expect(p.errands.at(-1)).toMatchObject({ values: { kits: 12 }, sessionId: 's0' })
    expect(plan(make('plaque', {}, 2, { held: 'home' })).errands.at(-1)).toMatchObject({ code: 'take-back', sessionId: 's1' })
    expect(codes(plan(make('plaque', {}, 0, { held: 'home' })))).toEqual(['no-pick-up'])
  })
  it('what was laid at home and told counts from when it was', () => {
    const laidAt = '2026-05-21T19:00:00-04:00[America/New_York]'
    const told = plan(
      { ...w, pieces: [{ id: 'p0-d1', participant: 'p0', state: 'laid', laidAt }] },
      '2026-05-21T20:00:00-04:00[America/New_York]',
    )
    expect(told.takeHome[0]).toMatchObject({
      group: 'rub-at-home',
      ready: { laidAt, neverBefore: '2026-05-22T07:00:00-04:00[America/New_York]' },
    })
    expect(told.takeHome[1]!.group).toBe('all-at-home')
  })
  test.each([
    ['candle', true],
    ['plaque', false],
    ['stickers', false],
    ['panel', false],
    ['page', false],
    ['canvas', false],
  ])('%s: a heat tool goes home with nobody (%s)', (kind, refused) => {
    const q = plan(make(kind, {}, 1, { held: 'home' }))
    expect(codes(q).includes('not-for-home')).toBe(refused)
    if (refused)
      expect(codes(plan(applyChanges<Workshop>(make(kind, {}, 1, { held: 'home' }), q.findings[0]!.remedies[0]!.changes)!))).not.toContain(
        'not-for-home',
      )
  })
  it('done in one go where nothing cures', () =>
    expect(text(plan(make('stickers', {}, 1, { held: 'home' })), make('stickers', {}, 1, { held: 'home' }))).toMatchObject({
      when: 'All in one go, when it suits you',
      never: '',
    }))
})

describe('a class for some, kits for others', () => {
  const w = make('plaque')
  const mixed = { ...w, group: { ...w.group, participants: w.group.participants.map((x, i) => (i < 3 ? { ...x, kit: true } : x)) } }
  const [all, some] = [plan(w), plan(mixed)]
  it('the class is that of nine, the pieces those of twelve', () => {
    expect([need(some, 'apron'), need(all, 'apron'), need(some, 'blank'), need(some, 'cord')]).toEqual([9, 12, 13, 4800])
    expect([need(some, 'home-bag'), need(some, 'pot'), need(some, 'home-tray')]).toEqual([3, 3, 0])
    expect(some.shelf!.places).toBe(all.shelf!.places - 3)
  })
  it('three have a kit’s sheet, nine a finished piece’s', () => {
    expect(some.takeHome.filter((s) => s.group === 'all-at-home').map((s) => s.participant)).toEqual(['p0', 'p1', 'p2'])
    expect(some.takeHome.filter((s) => s.group === 'finished')).toHaveLength(9)
    expect(some.takeHome.map((s) => s.seat)).toEqual([...Array(12).keys()].map((i) => i + 1))
  })
  it('kits are packed and handed out with the first class', () =>
    expect(some.errands.filter((e) => e.code === 'pack-kits' || e.code === 'hand-out').map((e) => [e.code, e.sessionId])).toEqual([
      ['pack-kits', 's0'],
      ['hand-out', 's0'],
    ]))
  it('a class that is too short is nothing to who does it at home', () => {
    const short = { ...mixed, sessions: mixed.sessions.map((x) => ({ ...x, end: '17:45' })) }
    const p = plan(short)
    expect(codes(p)).toContain('does-not-fit')
    const head = (i: number) => sheetText(p.takeHome[i]!, p, short, house, 'few').headline
    expect([head(0), head(5)]).toEqual(['A kit to go', 'Not to hand out yet'])
  })
  it('nobody is told that who takes a kit misses the laying', () => {
    const away = {
      ...mixed,
      group: { ...mixed.group, participants: mixed.group.participants.map((x) => (x.kit ? { ...x, misses: ['s0'] } : x)) },
    }
    expect(codes(plan(away))).not.toContain('misses-laying')
  })
})
