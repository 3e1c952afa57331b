import { afterEach, describe, expect, it, test } from 'vitest'
import { symptoms } from '#core/clinic'
import { demoHouses, demoWorkshops } from '#core/demo'
import { inLanguage, speak, speaking, t, teach } from '#core/language'
import { recipesOf } from '#core/house'
import { materials } from '#core/kit'
import { planWorkshop } from '#core/plan'
import { kitSteps } from '../phrases/kitSteps'
import { beforeText, englishLines, figureName, inBoth, phrases, sayField, sayPlan, sheetMarkdown, sheetText } from '#core/phrases'
import { cautions, extras, pieceKinds, recipes, roomStations, takesPiece, woods } from '#core/recipe'
import { figureList } from '#core/plan'
import { sayClock, sayDay, sayDayClock } from '#core/time'
import { newWorkshop, type Workshop } from '#core/workshop'
import { sayings } from '../../bin/sayings'
import { spanish } from './spanish'

teach(spanish)
afterEach(() => speak('en'))
const house = demoHouses[0]!
const now = '2026-05-15T15:00:00-04:00[America/New_York]'
const es = <T>(say: () => T): T => inLanguage('es', say)

/** Words that no Spanish sentence has. */
const english =
  /\b(the|and|with|without|from|your|you|until|once|every|each|not|is|are|of|for|to|or|on|in|by|what|when|dry|wet|rub|lay|piece|print|sheet|class)\b/i
/** What people typed, or what is the same in both, put aside. */
const bare = (text: string) =>
  [house.name, house.contact, 'Craft room', 'Moths of the marsh', 'Letter', 'in.', ...demoWorkshops('2026-05-15').map((w) => w.title)]
    .reduce((x, typed) => x.split(typed).join(''), text)
    .replace(/\d+(\.\d+)?( ?[½¼¾⅛⅜⅝⅞])? in\b/g, '')
    .replace(/[⅛¼⅜½⅝¾⅞] in\b/g, '')
    .replace(/\bE\b/g, '')

describe('nothing is missing', () => {
  it('every sentence that the code says', () => {
    const said = [...sayings()].filter(([text]) => /\p{L}{2}/u.test(text.replace(/\{\d\}/g, '')))
    expect(said.length).toBeGreaterThan(140)
    expect(said.filter(([text]) => es(() => t(text)) === text && !same.has(text)).map(([text, file]) => `${file}: ${text}`)).toEqual([])
  })
  it('every word of the craft', () => {
    const wanted = new Set(
      'paper text where dries note goesHome heightName widthName name plural noun care next now seen forgives look bag why question believes fail pass few more title summary one prepare not'.split(
        ' ',
      ),
    )
    const missing = new Set<string>()
    const walk = (x: unknown, key: string): void => {
      if (typeof x === 'string') return void (wanted.has(key) && /[A-Za-z]{2}/.test(x) && !(x in spanish.words) && missing.add(x))
      if (Array.isArray(x)) return x.forEach((y) => walk(y, key))
      if (typeof x === 'object' && x !== null) for (const [k, y] of Object.entries(x)) walk(y, k)
    }
    for (const x of [recipes, kitSteps, extras, pieceKinds, cautions, roomStations, woods, materials]) walk(x, '')
    for (const { name, look, feel } of symptoms) for (const x of [name, look, feel]) if (!(x in spanish.words)) missing.add(x)
    for (const r of recipes) for (const word of Object.values(r.words ?? {})) if (!(word in spanish.words)) missing.add(word)
    expect([...missing]).toEqual([])
  })
  it('every line that is said by code, and no other', () => {
    for (const kind of ['findings', 'remedies', 'conditions', 'decisions', 'errands'] as const)
      expect([kind, Object.keys(spanish.lines[kind]).sort()]).toEqual([kind, Object.keys(englishLines[kind]).sort()])
  })
  it('no text has lost a value that the English has', () => {
    const places = (text: string) => [...new Set(text.match(/\{\d\}/g))].sort()
    const lost = Object.entries(spanish.words).filter(([a, b]) => JSON.stringify(places(a)) !== JSON.stringify(places(b)))
    expect(lost).toEqual([])
    expect(Object.entries(spanish.words).filter(([, b]) => b.trim() === '')).toEqual([])
  })
})
/** Said in the same letters in both languages. */
const same = new Set([
  'no',
  '{0} min',
  '{0}, {1} min',
  '{0} min{1}',
  '{0}{1} min',
  ', ml',
  ', mm',
  'mm',
  'mm ',
  'in, fl oz',
  'mm, ml',
  'PDF',
  'Imprenta',
  'FERRY',
  'ferry',
  'name,age',
])

/** Every text in something. */
const leaves = (x: unknown): string[] =>
  typeof x === 'string' ? [x] : typeof x === 'object' && x !== null ? Object.values(x).flatMap(leaves) : []

describe('plans of every method', () => {
  const made = (method: string, one: boolean): Workshop => {
    const kind =
      pieceKinds.find((k) => k.recipe === method) ??
      pieceKinds.find((k) =>
        takesPiece(
          recipes.find((r) => r.id === method)!,
          k,
        ),
      )!
    const w = newWorkshop({ id: 'w', design: 'd', participants: Array.from({ length: 6 }, (_, i) => `p${i}`) }, house.id, 'X', now)
    const size = (mm: number) => ({ mm, text: `${mm} mm` })
    const dates = one ? ['2026-05-20'] : ['2026-05-20', '2026-05-22']
    return {
      ...w,
      group: {
        ...w.group,
        participants: w.group.participants.map((p, i) => ({ ...p, age: i < 3 ? ('8-12' as const) : ('adult' as const) })),
      },
      designs: [
        {
          ...w.designs[0]!,
          kind: kind.id,
          material: kind.materials[0]!,
          width: size(kind.widthMm),
          height: size(kind.heightMm),
          recipe: { id: method, version: 1 },
        },
      ],
      sessions: dates.map((date, i) => ({ id: `s${i}`, date, start: '17:00', end: '20:00', room: '' })),
    }
  }
  test.each(
    recipes.flatMap(
      (r) =>
        [
          [r.id, true],
          [r.id, false],
        ] as const,
    ),
  )('%s, one class: %s, is said in Spanish, whole', (method, one) => {
    const w = made(method, one)
    const plan = planWorkshop({ workshop: w, house, now })
    const said = es(() => sayPlan(plan, house))
    const texts = [
      ...said.findings.flatMap((f) => [f.title, f.body, ...f.remedies]),
      ...said.errands,
      ...said.decisions,
      ...plan.takeHome.flatMap((s) =>
        (['few', 'more'] as const).map((wording) => es(() => sheetMarkdown(sheetText(s, plan, w, house, wording)))),
      ),
      ...es(() => leaves(beforeText(plan, w, house))),
      ...es(() =>
        Object.values(plan.figures).flatMap((f) => [
          phrases(house, plan.now).rule(f.because),
          ...f.because.inputs.map((i) => Object.values(phrases(house, plan.now).input(i)).join(' ')),
        ]),
      ),
    ]
    const left = texts.flatMap((x) => bare(x).split('\n')).filter((line) => english.test(line))
    expect([...new Set(left)]).toEqual([])
    // English is as it was: nothing stays spoken.
    expect([speaking(), sheetText(plan.takeHome[0]!, plan, w, house, 'few').headline]).not.toContain('es')
  })
})

describe('times and numbers', () => {
  const at = '2026-05-16T19:10:00-04:00[America/New_York]'
  it('days, clocks and what is near', () => {
    expect(es(() => [sayDay(at), sayClock(at, 12), sayClock(at, 24), sayDayClock(at, 12, now), sayDayClock(at, 24)])).toEqual([
      'sábado 16 may',
      '7:10 p.\u00a0m.',
      '19:10',
      'sáb 7:10 p.\u00a0m.',
      'sáb 16 may, 19:10',
    ])
    expect([sayDay(at), sayClock(at, 12)]).toEqual(['Saturday 16 May', '7:10 pm'])
  })
  it('a comma where people measure in metres, a point where in inches', () => {
    const metric = { ...house, units: 'metric' as const, currency: 'EUR' as const }
    const say = (h: typeof house) =>
      es(() => [phrases(h, now).length(4.5), phrases(h, now).money(351), phrases(h, now).volume(4.25), phrases(h, now).minutes(4380)])
    expect(say(metric)).toEqual(['4,5 mm', '€3,51', '4,3 ml', '3 días 1 h'])
    expect(say(house).slice(1, 2)).toEqual(['$3.51'])
    expect(phrases(metric, now).length(4.5)).toBe('4.5 mm')
  })
  it('a sentence that ends with an hour has one full stop', () => {
    expect(es(() => t('Never before {0}, {1}.', 'sábado 16 may', '7:10 p.\u00a0m.'))).toBe('Nunca antes del sábado 16 may, 7:10 p.\u00a0m.')
  })
})

describe('a text', () => {
  it('that nobody has translated stays as it was typed', () => {
    expect(es(() => [t('Noor’s own way'), t(''), t('{0} flies', 3)])).toEqual(['Noor’s own way', '', '3 flies'])
  })
  it('keeps its capital, or has none in the middle of a sentence', () => {
    expect(es(() => [t('Plaques'), t('plaques'), t('Trim'), t('trim')])).toEqual(['Placas', 'placas', 'Recortar', 'recortar'])
  })
  it('that was put together is taken apart', () => {
    expect(es(() => [t('7 × 5 in plaque'), t('Juno, Rune and 3 more'), t('Your candle'), t('Seat B3')])).toEqual([
      'placa de 7 × 5 in',
      'Juno, Rune y 3 más',
      'Su vela',
      'Sitio B3',
    ])
  })
  it('fields and figures have their names', () => {
    expect(es(() => [sayField('group/helpers'), sayField('sessions/x/start'), figureName('tape.margin')])).toEqual([
      'ayudantes',
      'comienzo de una clase que ya no está',
      'Cinta: más allá de cada borde',
    ])
    const names = es(() => figureList(house).map((f) => figureName(f.key, recipesOf(house))))
    expect(names.filter((n) => /\b(minutes|coats|waste|how many|then|rounds)\b/.test(n))).toEqual([])
  })
  it('an error while something is said leaves the language as it was', () => {
    expect(() =>
      inLanguage('es', () => {
        throw new Error('x')
      }),
    ).toThrow('x')
    expect(speaking()).toBe('en')
  })
})

describe('both languages on a sheet', () => {
  const w = { ...demoWorkshops('2026-05-15')[0]!, sessions: demoWorkshops('2026-05-15')[0]!.sessions.slice(0, 1) }
  const plan = planWorkshop({ workshop: w, house, now })
  const sheet = plan.takeHome.find((s) => s.ready)!
  const [a, b] = [es(() => sheetText(sheet, plan, w, house, 'more')), sheetText(sheet, plan, w, house, 'more')]
  const both = inBoth(a, b)
  it('say everything twice, what is the same once', () => {
    expect([both.headline, both.who, both.house]).toEqual(['Lista para frotar · Ready to rub', b.who, house.name])
    for (const [k, list] of [
      ['steps', both.steps],
      ['bag', both.bag],
      ['faults', both.faults],
      ['cautions', both.cautions],
    ] as const)
      expect([k, list.length]).toEqual([k, b[k].length])
    for (const text of [b.never, a.never, b.care, a.care, b.ask, a.ask]) expect(JSON.stringify(both).replace(/\\n/g, '\n')).toContain(text)
    both.steps.forEach((s, i) => expect(s.text).toBe(`${a.steps[i]!.text}\n${b.steps[i]!.text}`))
  })
  it('keep every time that is told', () => {
    expect(both.when.split('\n')).toEqual([a.when, b.when])
    expect(inBoth(b, b)).toEqual({ ...b, steps: b.steps.map((s) => ({ ...s, text: `${s.text}\n${s.text}` })) })
  })
})
