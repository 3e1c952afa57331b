import { figure } from '#core/reasons'
import type { Edge, Extra, Step } from '../extras'
import type { Stage } from '../shapes'

const min = (n: number) => figure(n, 'min', 'E')
const count = (n: number) => figure(n, 'count', 'E')
const wood = ['plywood', 'pine', 'cedar']
const each = { by: 'each' as const, options: ['each' as const, 'pair' as const, 'table' as const] }
const pair = { by: 'pair' as const, options: ['each' as const, 'pair' as const, 'table' as const] }
const table = { by: 'table' as const, options: ['pair' as const, 'table' as const] }
const worked = (at: Step['at'], step: Omit<Stage, 'attended' | 'mayStop' | 'mayBe'> & { mayBe?: Stage['mayBe'] }): Step => ({
  mayBe: ['session', 'home'],
  station: 'table',
  ...step,
  at,
  attended: true,
  mayStop: true,
})

/** Finishing, in the order in which it is done. */
export const finishes: readonly Extra[] = [
  {
    id: 'worn-edges',
    name: 'Worn edges',
    believes: 'Sanded back to the wood, all alike when one has gone.',
    on: wood,
    steps: [
      worked('top-coat', {
        id: 'finish-worn-edges',
        name: 'Wear the edges',
        minutes: min(3),
        pass: 'All edges worn alike.',
        fail: 'One bare edge beside three sharp ones: wear the others to match.',
        cautions: ['dust', 'old-paint'],
        home: {
          title: 'Wear the edges',
          few: 'Fine sandpaper along the edges, all alike. Wipe the dust off damp.',
          more: 'Draw fine sandpaper along the edges, all alike when one has gone; never over the picture. Wipe the dust off damp, don’t blow.',
        },
      }),
    ],
    materials: [
      {
        material: 'sandpaper',
        note: 'a quarter sheet, fine',
        basis: 'person',
        amount: count(0.25),
        stages: ['finish-worn-edges'],
        share: each,
        bag: 'Fine sandpaper',
      },
    ],
  },
  {
    id: 'stained-edges',
    name: 'Stained edges',
    believes: 'Dark edges frame the picture; stain never on the picture itself.',
    on: [...wood, 'panel'],
    steps: [
      worked('top-coat', {
        id: 'finish-stain',
        name: 'Stain the edges',
        minutes: min(4),
        mayBe: ['session'],
        pass: 'Edges dark, the face clean; wiped off at once.',
        fail: 'Stain creeps under the picture: too wet.',
        cautions: ['rags', 'skin', 'varnish'],
        then: { least: min(30), why: 'Stain dries before a coat goes over it, by touch and label.' },
      }),
    ],
    materials: [
      { material: 'wood-stain', note: 'water-based', basis: 'piece', amount: figure(2, 'ml', 'E'), stages: ['finish-stain'], share: table },
      {
        material: 'rag',
        note: 'dry flat outdoors before the bin',
        basis: 'person',
        amount: count(1),
        stages: ['finish-stain'],
        share: pair,
      },
    ],
  },
  {
    id: 'back',
    name: 'Writing on the back',
    believes: 'Name, year and place, before the top coat.',
    kinds: ['plaque', 'block', 'coaster', 'ornament', 'canvas', 'panel', 'card'],
    steps: [
      worked('top-coat', {
        id: 'finish-back',
        name: 'Write on the back',
        minutes: min(2),
        pass: 'Dry ink, legible.',
        fail: 'Pressed so hard that the face is marked.',
        cautions: [],
        home: {
          title: 'Write on the back',
          few: 'Name and year, lightly, in permanent ink.',
          more: 'Name and year in permanent ink, lightly: a hard point marks the face.',
        },
      }),
    ],
    materials: [
      {
        material: 'marker',
        note: 'permanent: for names and backs',
        basis: 'table',
        amount: count(1),
        stages: ['finish-back'],
        durable: true,
      },
    ],
  },
  {
    id: 'tint',
    name: 'Tinted top coat',
    believes: 'A glaze over all, wiped off the subject: it ages the rest.',
    on: [...wood, 'panel', 'canvas', 'muslin'],
    steps: [
      worked('last', {
        id: 'finish-tint',
        name: 'Tint, and wipe the subject',
        minutes: min(5),
        mayBe: ['session'],
        lays: true,
        covers: 'piece',
        pass: 'Subject clear, corners darker.',
        fail: 'Streaks: gone over again when half dry.',
        cautions: ['rinse', 'varnish'],
        then: { least: min(30), why: 'A coat dries before anything else touches it, by touch and label.' },
      }),
    ],
    materials: [
      {
        material: 'tint',
        note: 'water-based glaze',
        basis: 'area',
        films: [{ stage: 'finish-tint', film: 'light', coats: count(1) }],
        held: figure(4, 'ml', 'E'),
        waste: figure(0.15, 'share', 'E'),
        share: table,
        stages: ['finish-tint'],
      },
      {
        material: 'rag',
        note: 'lint-free, to wipe the subject clear',
        basis: 'person',
        amount: count(1),
        stages: ['finish-tint'],
        share: pair,
      },
    ],
  },
  {
    id: 'drilled',
    name: 'Drilled, on a cord',
    believes: 'Drilled ahead, clamped, by an adult; taped end as a needle, knot behind.',
    kinds: ['plaque', 'ornament', 'coaster', 'block'],
    on: wood,
    steps: [
      worked('first', {
        id: 'finish-drill',
        name: 'Drill',
        station: 'drill',
        minutes: min(3),
        mayBe: ['ahead', 'session'],
        pass: 'Two clean holes, edges sanded.',
        fail: 'Split wood: too near the edge.',
        cautions: ['drill', 'mains', 'dust'],
      }),
      worked('last', {
        id: 'finish-cord',
        name: 'Cord through',
        minutes: min(3),
        pass: 'Knots behind, hangs level.',
        fail: 'Knot pulled through: knot it twice.',
        cautions: [],
        home: {
          title: 'Put the cord through',
          few: 'Tape the end as a needle; knot it behind.',
          more: 'Wind tape round the end as a needle, put it through from the front, knot it behind, twice. Hang it where it is dry.',
        },
      }),
    ],
    materials: [
      { material: 'drill', note: 'an adult at it', basis: 'room', amount: count(1), stages: ['finish-drill'], durable: true },
      { material: 'clamp', note: 'with a scrap board under', basis: 'room', amount: count(2), stages: ['finish-drill'], durable: true },
      { material: 'eye-protection', note: 'for whoever drills', basis: 'room', amount: count(1), stages: ['finish-drill'], durable: true },
      {
        material: 'cord',
        note: 'to hang',
        basis: 'length',
        per: 'piece',
        amount: figure(400, 'mm', 'E'),
        stages: ['finish-cord'],
        bag: 'Cord',
      },
    ],
  },
  {
    id: 'feet',
    name: 'Felt feet',
    believes: 'Four, on a dry back: it marks no table.',
    kinds: ['coaster', 'block', 'glass-block', 'stone'],
    steps: [
      worked('last', {
        id: 'finish-feet',
        name: 'Felt feet',
        minutes: min(2),
        pass: 'Stands without rocking.',
        fail: 'Stuck on a damp back: they come off.',
        cautions: [],
        home: {
          title: 'Felt feet',
          few: 'Four under the corners, on a dry back.',
          more: 'Press four felt feet under the corners once the back is dry all through.',
        },
      }),
    ],
    materials: [
      { material: 'felt-foot', note: 'four each', basis: 'piece', amount: count(4), stages: ['finish-feet'], bag: 'Four felt feet' },
    ],
  },
  {
    id: 'backing',
    name: 'Backing',
    believes: 'Cork or felt over the whole back.',
    kinds: ['coaster', 'plaque', 'panel', 'glass-block', 'stickers'],
    steps: [
      worked('last', {
        id: 'finish-backing',
        name: 'Back it',
        minutes: min(4),
        pass: 'Flat to its edges.',
        fail: 'Bubbles or a corner loose.',
        cautions: ['scissors'],
        home: {
          title: 'Back it',
          few: 'Peel, lay the middle first, smooth outwards.',
          more: 'Cut the backing a little small, peel it, lay the middle first and smooth it outwards.',
        },
      }),
    ],
    materials: [
      {
        material: 'backing-sheet',
        note: 'cork or felt, self-adhesive',
        basis: 'piece',
        amount: count(1),
        stages: ['finish-backing'],
        bag: 'Backing',
      },
    ],
  },
  {
    id: 'frame',
    name: 'Frame',
    believes: 'For what must be perfect, or must not be touched.',
    kinds: ['canvas', 'panel', 'card', 'plaque'],
    steps: [
      worked('last', {
        id: 'finish-frame',
        name: 'Frame it',
        minutes: min(5),
        pass: 'Sits square, nothing touches the picture.',
        fail: 'Glass on a soft coat: it sticks.',
        cautions: ['glass'],
        home: {
          title: 'Frame it',
          few: 'Only once it no longer feels cool or tacky.',
          more: 'Frame it once the coat is hard, after some days, not before: glass sticks to a soft coat. Check the glass for chips.',
        },
      }),
    ],
    materials: [
      { material: 'frame', note: 'to the piece’s size', basis: 'piece', amount: count(1), stages: ['finish-frame'], bag: 'Frame' },
    ],
  },
  {
    id: 'letters',
    name: 'Applied letters',
    believes: 'Cut or stamped letters glued on last; they must not cover the subject.',
    kinds: ['plaque', 'block', 'canvas', 'panel', 'accordion'],
    steps: [
      worked('last', {
        id: 'finish-letters',
        name: 'Letters on',
        minutes: min(6),
        pass: 'Laid out dry first, then glued, level.',
        fail: 'Glue squeezed out round them.',
        cautions: [],
        home: {
          title: 'Letters on',
          few: 'Lay them out dry, then glue one by one.',
          more: 'Lay them out dry until they are level, then glue one by one with a dot of glue.',
        },
      }),
    ],
    materials: [{ material: 'letters', note: 'a word each', basis: 'piece', amount: count(6), stages: ['finish-letters'], bag: 'Letters' }],
  },
]

/** Where a picture comes from that is not printed here: nothing goes through a printer. */
export const sources: Readonly<Record<'magazine' | 'brought', Extra>> = {
  magazine: {
    id: 'magazine',
    name: 'magazine pages',
    believes: 'An inside page, its ink on uncoated paper; the page gives the size.',
    without: { stages: ['print', 'carrier', 'trim'], materials: ['print'] },
    steps: [
      worked('cut', {
        id: 'choose',
        name: 'Choose and cut out',
        makes: 'printed',
        minutes: min(10),
        mayBe: ['session', 'ahead'],
        pass: 'An inside page, nothing on its back that shows through.',
        fail: 'A cover, or a glossy page: the water stays out.',
        cautions: ['scissors'],
      }),
    ],
    materials: [
      { material: 'magazine-page', note: 'inside pages, to choose from', basis: 'piece', amount: count(3), stages: ['choose'] },
      { material: 'scissors', note: '', basis: 'person', amount: count(1), stages: ['choose'], share: pair, durable: true },
    ],
  },
  brought: {
    id: 'brought',
    name: 'what people bring',
    believes: 'A print, tissue or photocopy from home; an original is copied first.',
    without: { stages: ['print', 'carrier', 'trim'], materials: ['print'] },
    steps: [
      worked('cut', {
        id: 'choose',
        name: 'Look over and trim',
        makes: 'printed',
        minutes: min(5),
        mayBe: ['session', 'ahead'],
        pass: 'Toner: a wet finger takes no colour; white edges off.',
        fail: 'Colour on the finger, or photo paper: photocopy it first.',
        cautions: ['scissors'],
      }),
    ],
    materials: [
      { material: 'brought-print', note: 'brought along, two of each', basis: 'piece', amount: count(2), stages: ['choose'] },
      { material: 'scissors', note: '', basis: 'person', amount: count(1), stages: ['choose'], share: pair, durable: true },
    ],
  },
}

/** What an edge asks for beside the method; a straight or round one asks for nothing of its own. */
export const edgeWork: Readonly<Partial<Record<Edge, Extra>>> = {
  outline: {
    id: 'outline',
    name: 'cut to its outline',
    believes: 'Better than a square: no rim of film or paper shows.', without: { stages: ['trim'], materials: [] },
    steps: [
      worked('cut', {
        id: 'edge-outline',
        name: 'Cut to the outline',
        minutes: min(6),
        mayBe: ['session', 'ahead'],
        pass: 'Close to the picture, no white rim.',
        fail: 'Cut into the picture, or a rim left.',
        cautions: ['scissors'],
      }),
    ],
    materials: [
      {
        material: 'scissors',
        note: 'round the outline',
        basis: 'person',
        amount: count(1),
        stages: ['edge-outline'],
        share: pair,
        durable: true,
      },
    ],
  },
  torn: {
    id: 'torn',
    name: 'torn',
    believes: 'Torn against a ruler or by hand, towards you: a soft edge without a blade.', without: { stages: ['trim'], materials: [] },
    steps: [
      worked('cut', {
        id: 'edge-tear',
        name: 'Tear the edges',
        minutes: min(3),
        mayBe: ['session', 'ahead'],
        pass: 'Soft and uneven all round.',
        fail: 'Torn into the picture: use the spare.',
        cautions: [],
      }),
    ],
    materials: [],
  },
  faded: {
    id: 'faded',
    name: 'faded',
    believes: 'Rubbed thinner towards the edge in the last round: the picture runs into the piece.',
    steps: [
      worked('top-coat', {
        id: 'edge-fade',
        name: 'Fade the edges',
        minutes: min(3),
        pass: 'No line where the picture ends.',
        fail: 'A bald patch inside: stop further out.',
        cautions: ['fingers'],
        home: {
          title: 'Fade the edges',
          few: 'A damp fingertip round the rim until no line is left.',
          more: 'Rub round the rim with a damp fingertip, less and less towards the middle, until no line is left where the picture ends.',
        },
      }),
    ],
    materials: [],
  },
}
