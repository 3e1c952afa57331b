import { describe, expect, it, test } from 'vitest'
import { recipesOf } from '#core/house'
import { demoHouses, demoWorkshops } from '#core/demo'
import { findMethods, type Verdict } from '#core/finder'
import type { House } from '#core/house'
import { phrases } from '#core/phrases'
import { pieceKind, type AgeBand, type Ink, type Whites } from '#core/recipe'
import { applyChanges, type Workshop } from '#core/workshop'
import { planWorkshop } from '#core/plan'

const now = '2026-05-11T09:00:00-04:00[America/New_York]'

interface Situation {
  kind: string
  material: string
  people?: number
  age?: AgeBand
  helpers?: number
  /** Days and times of the sessions. */
  sessions: [string, string, string][]
  printers?: Ink[]
  whites?: Whites
  allow?: { heat: boolean; spray: boolean; blade: boolean }
  celsius?: number
  stations?: Record<string, number>
}

const evening: [string, string, string] = ['2026-05-14', '17:00', '20:30']
const saturday: [string, string, string] = ['2026-05-16', '10:00', '14:00']
const one: Situation['sessions'] = [['2026-05-16', '10:00', '14:00']]
const two: Situation['sessions'] = [evening, saturday]
const both: Ink[] = ['toner', 'inkjet']
const yes = 'possible'
const perhaps = 'possible-if'
const no = 'not-possible'

/** Written down by hand from what practitioners say, before the finder was asked. */
const table: [string, Situation, Record<string, Verdict>][] = [
  [
    'wooden plaques, two days',
    { kind: 'plaque', material: 'plywood', sessions: two },
    { 'medium-transfer': yes, 'quick-peel': yes, 'tape-film': yes, 'wax-tissue': no },
  ],
  ['wooden plaques, one day: the medium has to cure', { kind: 'plaque', material: 'plywood', sessions: one }, { 'medium-transfer': yes }],
  [
    'rubbing two hours after laying',
    {
      kind: 'plaque',
      material: 'plywood',
      sessions: [
        ['2026-05-16', '10:00', '12:00'],
        ['2026-05-16', '14:00', '17:00'],
      ],
    },
    { 'medium-transfer': perhaps },
  ],
  [
    'jars: only film holds on glass',
    { kind: 'jar', material: 'glass', sessions: one },
    { 'tape-film': yes, 'medium-transfer': no, 'gesso-ground': no, 'quick-peel': no, 'water-lift': no, 'wax-tissue': no },
  ],
  ['jars, printed on inkjet only', { kind: 'jar', material: 'glass', sessions: one, printers: ['inkjet'] }, { 'tape-film': perhaps }],
  ['candles', { kind: 'candle', material: 'candle', sessions: one }, { 'wax-tissue': yes, 'tape-film': no, 'medium-transfer': no }],
  [
    'candles where no heat tool is allowed',
    { kind: 'candle', material: 'candle', sessions: one, allow: { heat: false, spray: false, blade: true } },
    { 'wax-tissue': perhaps },
  ],
  ['candles with an inkjet printer', { kind: 'candle', material: 'candle', sessions: one, printers: ['inkjet'] }, { 'wax-tissue': yes }],
  ['art panels in one evening', { kind: 'panel', material: 'panel', sessions: [evening] }, { 'quick-peel': yes }],
  ['art panels, a toner printer: no water lift', { kind: 'panel', material: 'panel', sessions: two }, { 'water-lift': no }],
  ['cards in one sitting', { kind: 'card', material: 'card', sessions: one }, { 'tape-film': yes, 'gesso-ground': perhaps }],
  ['cards, an inkjet printer', { kind: 'card', material: 'smooth-paper', sessions: one, printers: both }, { 'water-lift': yes }],
  ['smooth paper, toner only', { kind: 'card', material: 'smooth-paper', sessions: one, printers: ['toner'] }, { 'water-lift': no }],
  [
    'mat board over a night',
    { kind: 'card', material: 'mat-board', sessions: two },
    { 'gesso-ground': yes, 'tape-film': yes, 'medium-transfer': yes, 'quick-peel': yes },
  ],
  [
    'gesso rubbed after four hours: a gamble',
    {
      kind: 'card',
      material: 'mat-board',
      sessions: [
        ['2026-05-16', '10:00', '12:00'],
        ['2026-05-16', '16:00', '18:30'],
      ],
    },
    { 'gesso-ground': yes },
  ],
  [
    'journal pages over a night',
    { kind: 'page', material: 'journal', sessions: two },
    { 'gesso-ground': yes, 'medium-transfer': yes, 'tape-film': yes },
  ],
  [
    'brown kraft pages with whites kept',
    { kind: 'page', material: 'kraft', sessions: two, whites: 'white' },
    { 'gesso-ground': yes, 'medium-transfer': no },
  ],
  [
    'plaques with whites kept: painted first',
    { kind: 'plaque', material: 'plywood', sessions: two, whites: 'white' },
    { 'medium-transfer': yes },
  ],
  ['bare wood wanted', { kind: 'plaque', material: 'plywood', sessions: two, whites: 'surface' }, { 'medium-transfer': perhaps }],
  ['whites clear, on glass', { kind: 'jar', material: 'glass', sessions: one, whites: 'clear' }, { 'tape-film': yes }],
  ['whites kept, on glass: film cannot', { kind: 'jar', material: 'glass', sessions: one, whites: 'white' }, { 'tape-film': no }],
  [
    'canvas over a night',
    { kind: 'canvas', material: 'canvas', sessions: two },
    { 'medium-transfer': yes, 'gesso-ground': yes, 'tape-film': yes },
  ],
  ['muslin over a night', { kind: 'canvas', material: 'muslin', sessions: two }, { 'medium-transfer': yes, 'gesso-ground': yes }],
  ['stones', { kind: 'stone', material: 'slate', sessions: two }, { 'medium-transfer': yes, 'gesso-ground': no, 'tape-film': yes }],
  ['cedar wrinkles but takes it', { kind: 'block', material: 'cedar', sessions: two }, { 'medium-transfer': yes }],
  [
    'a cold room: nothing with a film forms',
    { kind: 'card', material: 'card', sessions: one, celsius: 8 },
    { 'tape-film': yes, 'medium-transfer': no, 'gesso-ground': no, 'quick-peel': no },
  ],
  [
    'stickers for children',
    { kind: 'stickers', material: 'paper', people: 12, age: '8-12', helpers: 3, sessions: one },
    { 'tape-film': yes, 'water-lift': no },
  ],
  [
    'bare wood with an inkjet: lifted, with more time',
    { kind: 'plaque', material: 'pine', sessions: one, printers: both },
    { 'water-lift': yes },
  ],
  [
    'an hour for eighteen adults is too short for film',
    { kind: 'card', material: 'card', people: 18, sessions: [['2026-05-16', '10:00', '11:00']] },
    { 'tape-film': perhaps },
  ],
  [
    'accordion books over a night',
    { kind: 'accordion', material: 'canvas', sessions: two },
    { 'gesso-ground': yes, 'medium-transfer': yes, 'tape-film': yes },
  ],
]

function make(x: Situation): { workshop: Workshop; house: House } {
  const base = demoWorkshops('2026-05-15')[0]!
  const kind = pieceKind(x.kind)
  const size = (mm: number) => ({ mm, text: `${mm} mm` })
  return {
    house: {
      ...demoHouses[0]!,
      printers: x.printers ?? ['toner'],
      recipeChoices: {},
      climate: { celsius: x.celsius ?? 21, humidityPct: 50 },
    },
    workshop: {
      ...base,
      pieces: [],
      errandsDone: [],
      group: {
        tables: null,
        helpers: x.helpers ?? 2,
        participants: Array.from({ length: x.people ?? 12 }, (_, i) => ({
          id: `p${i + 1}`,
          seat: i + 1,
          name: null,
          age: x.age ?? 'adult',
          misses: [],
        })),
      },
      designs: [
        {
          ...base.designs[0]!,
          kind: x.kind,
          material: x.material,
          width: size(kind.widthMm),
          height: size(kind.heightMm),
          recipe: { id: kind.recipe, version: 1 },
          choices: {},
          lettering: false,
          ...(x.whites && { whites: x.whites }),
        },
      ],
      sessions: x.sessions.map(([date, start, end], i) => ({ id: `s${i + 1}`, date, start, end, room: 'Craft room' })),
      choices: {
        ...base.choices,
        split: {},
        share: {},
        spares: null,
        samples: null,
        ...(x.allow && { allow: x.allow }),
        ...(x.stations && { stations: x.stations }),
      },
    },
  }
}

describe('the method finder', () => {
  it('is asked about thirty situations', () => expect(table).toHaveLength(30))
  test.each(table)('%s', (_name, situation, expected) => {
    const rows = findMethods({ ...make(situation), now })
    const said = Object.fromEntries(rows.map((r) => [r.recipe.id, r.verdict]))
    expect(said).toMatchObject(expected)
  })
  test.each(table)('%s: what it offers works when it is taken, and every "no" has a reason', (_name, situation) => {
    const { workshop, house } = make(situation)
    const say = phrases(house, now)
    for (const r of findMethods({ workshop, house, now })) {
      if (r.verdict !== 'possible') expect(say.finding(r.reason!).title).not.toBe('')
      if (r.verdict === 'not-possible') continue
      const after = planWorkshop({ workshop: applyChanges<Workshop>(workshop, r.changes)!, house, now })
      expect([r.recipe.id, after.recipe.id, after.findings.filter((f) => f.level === 'stop').map((f) => f.code)]).toEqual([
        r.recipe.id,
        r.recipe.id,
        [],
      ])
      if (r.verdict === 'possible-if') expect(r.conditions.map(say.remedy).join('')).not.toBe('')
    }
  })
  test.each<[string, Situation, string, Verdict, string | undefined]>([
    [
      'no heat tool in the room',
      { kind: 'candle', material: 'candle', sessions: one, stations: { 'heat tool': 0 } },
      'wax-tissue',
      perhaps,
      'Bring 1 more heat tool',
    ],
    [
      'one heat tool for three',
      { kind: 'candle', material: 'candle', people: 3, sessions: one, stations: { 'heat tool': 1 } },
      'wax-tissue',
      yes,
      undefined,
    ],
    [
      'no basin, film',
      { kind: 'card', material: 'card', sessions: one, stations: { basin: 0 } },
      'tape-film',
      perhaps,
      'Bring 2 more places at a basin',
    ],
    [
      'no basin, water lift needs none',
      { kind: 'card', material: 'smooth-paper', sessions: one, printers: both, stations: { basin: 0 } },
      'water-lift',
      yes,
      undefined,
    ],
  ])('stations at hand: %s', (_name, situation, method, verdict, way) => {
    const { workshop, house } = make(situation)
    const row = findMethods({ workshop, house, now }).find((r) => r.recipe.id === method)!
    expect([row.verdict, row.conditions.map(phrases(house, now).remedy)[0]]).toEqual([verdict, way])
  })
  it('says how long too few places take, and how many would do', () => {
    const { workshop, house } = make({ kind: 'card', material: 'card', people: 30, sessions: one, stations: { basin: 2 } })
    const row = findMethods({ workshop, house, now }).find((r) => r.recipe.id === 'tape-film')!
    const film = { ...workshop, designs: [{ ...workshop.designs[0]!, recipe: { id: 'tape-film', version: 1 } }] }
    const asItIs = planWorkshop({ workshop: film, house, now })
    expect(row.verdict).toBe('possible-if')
    const short = asItIs.findings.find((f) => f.code === 'does-not-fit')!
    const load = asItIs.split.loads[0]!
    // Two places for thirty: soak and rub, then the second round, fifteen times over; the last waits all but their own turns.
    const waited = load.stages.reduce((sum, x) => sum + x.queue, 0)
    expect(waited).toBeGreaterThanOrEqual(13 * (6 + 8 + 5))
    expect(load.stages.filter((x) => x.queue > 0).map((x) => x.id)).toEqual(['soak', 'rub2'])
    expect(short.values['over']).toBe(load.neededMin - load.availableMin)
    expect(short.remedies[0]!.code).toBe('bring-station')
    const after = planWorkshop({
      workshop: applyChanges<Workshop>(
        row.plan && { ...workshop, designs: [{ ...workshop.designs[0]!, recipe: { id: 'tape-film', version: 1 } }] },
        short.remedies[0]!.changes,
      )!,
      house,
      now,
    })
    expect(after.findings.some((f) => f.code === 'does-not-fit')).toBe(false)
  })
  it('puts what is possible first and shows every method once', () => {
    const rows = findMethods({ ...make(table[0]![1]), now })
    expect(new Set(rows.map((r) => r.recipe.id)).size).toBe(recipesOf(demoHouses[0]!).length)
    expect(rows.map((r) => ['possible', 'possible-if', 'not-possible'].indexOf(r.verdict))).toEqual(
      [...rows.map((r) => ['possible', 'possible-if', 'not-possible'].indexOf(r.verdict))].sort(),
    )
    expect(rows[0]!.chosen).toBe(true)
  })
})
