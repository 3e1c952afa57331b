import { figure } from '#core/reasons'
import { mirrorSchool } from '../schools'
import type { Recipe } from '../shapes'

/** Gesso ground: a misted print laid into wet gesso before it dries, left overnight, scuffed, misted and rubbed in three rounds. */
export const gessoGround: Recipe = {
  id: 'gesso-ground',
  version: 1,
  name: 'Gesso ground',
  summary: 'Two sittings with a night between: a race with a drying coat, then three fine rounds. Whites stay white.',
  whites: 'white',
  forgives: 'little',
  look: 'matt, chalky, whites kept',
  print: { ink: 'toner', paper: 'plain copy paper, 75 to 90 g/m²', laidFaceDown: true, why: 'The print is laid face down, which turns it round once.' },
  surfaces: {
    'mat-board': { fit: 'best', note: 'flat and thirsty', mark: 'P' },
    canvas: { fit: 'good', note: 'ready primed; press with a cloth', mark: 'P' },
    muslin: { fit: 'good', note: 'work the coat in, sometimes twice', mark: 'P' },
    kraft: { fit: 'good', note: 'the ground covers the brown', mark: 'P' },
    journal: { fit: 'good', note: 'a spare sheet under the page', mark: 'E' },
  },
  cure: { minimum: figure(240, 'min', 'E'), recommended: figure(720, 'min', 'E') },
  rounds: { least: figure(3, 'count', 'P'), most: figure(3, 'count', 'P'), usual: figure(3, 'count', 'P') },
  show: figure(10, 'min', 'E'),
  words: { 'rub-2': 'Rub 2', sealed: 'Finished' },
  stages: [
    {
      id: 'texture', name: 'Build the texture', mayStop: true, attended: true, minutes: figure(3, 'min', 'E'), per: 'blank', mayBe: ['ahead'], optional: true, lays: true,
      pass: 'Ridges stand, dry all through.', fail: 'Soft under a fingertip: not dry.', cautions: ['skin'],
      then: { least: figure(720, 'min', 'E'), why: 'The texture is dry before the thin wet coat goes on.' },
    },
    {
      id: 'print', name: 'Print', mayStop: true, makes: 'printed', attended: true, minutes: figure(20, 'min', 'E'), mayBe: ['ahead'],
      pass: 'Reads backwards on paper; edges whole.', fail: 'Reads right on paper, or cut off at the edge.', cautions: [],
    },
    {
      id: 'trim', name: 'Trim', mayStop: true, attended: true, minutes: figure(1, 'min', 'E'), per: 'print', station: 'trimmer', mayBe: ['ahead', 'session'],
      pass: 'Trimmed to the picture, named on the back.', fail: 'White rims, no name.', cautions: ['blade'],
    },
    {
      id: 'ready', name: 'Lay everything out', mayStop: true, attended: true, minutes: figure(5, 'min', 'E'), station: 'table', mayBe: ['session'],
      pass: 'Print, brush, card, mist and cloth within reach.', fail: 'Somebody has to fetch something.', cautions: [],
    },
    {
      id: 'mist', name: 'Mist the print', attended: true, minutes: figure(1, 'min', 'E'), station: 'table', mayBe: ['session'],
      pass: 'Limp and even, no drops.', fail: 'Dry print on wet gesso: it wrinkles.', cautions: ['floor'],
      then: { least: figure(0, 'min', 'P'), most: figure(5, 'min', 'E'), why: 'A misted print dries out again.' },
    },
    {
      id: 'coat', name: 'One thin wet coat', attended: true, minutes: figure(3, 'min', 'E'), station: 'table', mayBe: ['session'], lays: true,
      pass: 'Thin, quick, wet and shiny all over.', fail: 'Dull patches: it is drying.', cautions: ['skin'],
      then: { least: figure(0, 'min', 'P'), most: figure(2, 'min', 'E'), race: true, why: 'A thin coat of gesso is dry in minutes.' },
    },
    {
      id: 'lay', name: 'Lay and press', makes: 'laid', attended: true, minutes: figure(4, 'min', 'E'), station: 'table', mayBe: ['session'], lays: true,
      pass: 'Flat; its back wiped clean at once.', fail: 'Wrinkles, or gesso on its back.', cautions: ['skin'],
      then: { least: figure(0, 'min', 'P'), most: figure(30, 'min', 'E'), why: 'Wet pieces go to the shelf with the class.' },
    },
    {
      id: 'shelve', name: 'Name the back, to the shelf', mayStop: true, attended: true, minutes: figure(3, 'min', 'E'), station: 'shelf', mayBe: ['session'],
      pass: 'Face up, flat, nothing on top, on baking paper.', fail: 'Stacked, tilted or unnamed.', cautions: ['rinse'],
      then: { least: figure(240, 'min', 'E'), cures: true, makes: 'cured', why: 'Overnight. 4 to 5 h is a gamble; after 1 h it fails.' },
    },
    {
      id: 'scuff', name: 'Scuff and mist', attended: true, minutes: figure(5, 'min', 'E'), station: 'table', mayBe: ['session', 'home'],
      pass: 'Back roughened, evenly damp, a moment’s wait.', fail: 'Sanded through, or dripping.', cautions: ['dust', 'floor'],
      then: { least: figure(0, 'min', 'P'), most: figure(10, 'min', 'E'), why: 'Never rub dry paper.' },
      home: { title: 'Scuff and mist', few: 'A few strokes of fine sandpaper on the paper’s back, mist it, wait a moment.', more: 'Scuff the paper’s back with a few strokes of fine sandpaper so that water gets in, mist it evenly and wait a moment. Wipe the dust off damp.' },
    },
    {
      id: 'rub1', name: 'Rub, round 1', mayStop: true, makes: 'rub-1', attended: true, minutes: figure(12, 'min', 'E'), station: 'table', mayBe: ['session', 'home'], round: 1,
      pass: 'Most of the paper rolled off.', fail: 'Colour on your finger: stop, let it dry.', cautions: ['fingers', 'pulp'],
      home: { title: 'Rub', few: 'Soft circles, one fingertip, from the middle out.', more: 'Soft circles with one fingertip from the middle out. Colour on your finger means stop and let it dry.' },
    },
    {
      id: 'look1', name: 'Dry, then look', attended: false, minutes: figure(12, 'min', 'P'), station: 'rack', mayBe: ['session', 'home'], round: 2,
      pass: 'Grey fuzz shows where paper is left.', fail: 'Still dark and wet: wait.', cautions: [],
      home: { title: 'Dry, then look', few: '10 to 15 minutes. Fuzz is leftover paper.', more: 'Let it dry for 10 to 15 minutes and tilt it to the light. Grey fuzz is leftover paper.' },
    },
    {
      id: 'rub2', name: 'Rub, round 2, finer', mayStop: true, makes: 'rub-2', attended: true, minutes: figure(8, 'min', 'E'), station: 'table', mayBe: ['session', 'home'], round: 2,
      pass: 'No crumbs; whites clean.', fail: 'The white goes grey: ink lifts, stop.', cautions: ['fingers', 'pulp'],
      home: { title: 'Rub again, finer', few: 'No added water. Lightest on faces.', more: 'With no added water and a lighter hand; go lightest on faces. Wipe the crumbs off as you go.' },
    },
    {
      id: 'look2', name: 'Dry, then look', attended: false, minutes: figure(12, 'min', 'P'), station: 'rack', mayBe: ['session', 'home'], round: 3,
      pass: 'A last fuzz, or none.', fail: 'Still damp: wait.', cautions: [],
      home: { title: 'Look again', few: 'Dry it again, 10 to 15 minutes.', more: 'Dry it again for 10 to 15 minutes and tilt it to the light.' },
    },
    {
      id: 'rub3', name: 'Last fuzz, brown bag paper', mayStop: true, makes: 'sealed', attended: true, minutes: figure(6, 'min', 'E'), station: 'table', mayBe: ['session', 'home'], round: 3,
      pass: 'Smooth as the ground itself.', fail: 'Shiny spots: rubbed through.', cautions: ['fingers'],
      home: { title: 'The last fuzz', few: 'A trace of mist, then brown bag paper, lightly.', more: 'A trace of mist and a crumpled piece of brown bag paper take the last fuzz off. Lightly: shiny spots mean rubbed through.' },
    },
    {
      id: 'dry', name: 'Dry through', attended: false, minutes: figure(30, 'min', 'E'), station: 'rack', mayBe: ['session', 'home'], optional: true,
      pass: 'Dry through, not only on top.', fail: 'Cool to the touch.', cautions: [],
      home: { title: 'Dry it through', few: 'At least 30 minutes.', more: 'Let it dry through: at least 30 minutes, until it no longer feels cool.' },
    },
    {
      id: 'seal', name: 'Seal', covers: 'piece', mayStop: true, attended: true, minutes: figure(3, 'min', 'E'), station: 'seal table', mayBe: ['session', 'home'], optional: true, lays: true,
      pass: 'Thin and even, strokes one way.', fail: 'Puddles or brush lines.', cautions: ['varnish', 'rinse'],
      home: { title: 'Seal it', few: 'One thin coat of matt varnish, strokes one way.', more: 'One thin coat of water-based matt varnish from edge to edge, strokes one way.' },
    },
  ],
  materials: [
    { material: 'blank', note: '', basis: 'blank', amount: figure(1, 'count', 'P'), stages: ['coat'] },
    { material: 'print', note: 'mirrored', basis: 'print', amount: figure(1, 'count', 'P'), stages: ['lay'], bag: 'Spare print' },
    { material: 'gesso', note: 'white, thin enough to brush', basis: 'area', films: [{ stage: 'coat', film: 'chosen', coats: figure(1, 'count', 'P') }, { stage: 'texture', film: 'heavy', coats: figure(1, 'count', 'E') }], held: figure(4, 'ml', 'E'), waste: figure(0.15, 'share', 'E'), share: { by: 'pair', options: ['each', 'pair', 'table', 'stagger'] }, stages: ['coat', 'texture'], bag: 'Lidded pot of gesso, labelled' },
    { material: 'foam-brush', note: '25 mm', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['coat'], share: { by: 'each', options: ['each', 'pair', 'table', 'stagger'] }, bag: 'Foam brush' },
    { material: 'cup', note: 'for the gesso', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['coat'], share: { by: 'pair', options: ['each', 'pair', 'table', 'stagger'] }, durable: true },
    { material: 'mister', note: 'fine spray of water', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['mist', 'scuff'], share: { by: 'table', options: ['pair', 'table', 'stagger'] }, durable: true, bag: 'Mister' },
    { material: 'press-card', note: 'on smooth ground', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['lay'], share: { by: 'each', options: ['each', 'pair', 'table', 'stagger'] }, durable: true, bag: 'Old card, to press with' },
    { material: 'cloth', note: 'wipes the back; presses on texture', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['lay', 'rub1'], share: { by: 'each', options: ['each', 'pair', 'table'] }, durable: true, bag: 'Cloth' },
    { material: 'sandpaper', note: 'a quarter sheet, fine', basis: 'person', amount: figure(0.25, 'count', 'E'), stages: ['scuff'], share: { by: 'each', options: ['each', 'pair', 'table'] }, bag: 'A piece of fine sandpaper' },
    { material: 'bag-paper', note: 'brown, crumpled', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['rub3'], bag: 'Brown bag paper' },
    { material: 'trimmer', note: 'with a rail', basis: 'room', amount: figure(1, 'count', 'E'), stages: ['trim'], durable: true },
    { material: 'pulp-bin', note: 'for the paper crumbs', basis: 'table', amount: figure(1, 'count', 'P'), stages: ['rub1', 'rub2', 'rub3'], durable: true },
    { material: 'baking-paper', note: 'under each piece', basis: 'length', per: 'blank', amount: figure(250, 'mm', 'E'), stages: ['shelve'], bag: 'Baking paper' },
    { material: 'varnish', note: 'matt, water-based', basis: 'area', films: [{ stage: 'seal', film: 'light', coats: figure(1, 'count', 'P') }], held: figure(4, 'ml', 'E'), waste: figure(0.15, 'share', 'E'), share: { by: 'table', options: ['pair', 'table'] }, stages: ['seal'], optional: true, bag: 'Lidded pot of matt varnish, labelled' },
    { material: 'apron', note: '', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['coat', 'rub1'], durable: true },
    { material: 'table-cover', note: 'one a table, each day', basis: 'table', amount: figure(1, 'count', 'P'), stages: ['coat', 'rub1'], durable: true },
  ],
  schools: [
    {
      id: 'ground', question: 'Ground', default: 'smooth', why: 'The picture comes over whole.',
      options: [
        { id: 'smooth', name: 'smooth', believes: 'One thin quick wet coat; pressed with a card.', effects: [] },
        { id: 'texture', name: 'texture', believes: 'Ridges built the day before; pressed with a cloth; gaps belong to it.', effects: [{ kind: 'include-stage', stage: 'texture' }, { kind: 'minutes', stage: 'lay', figure: figure(5, 'min', 'E') }, { kind: 'cues', stage: 'lay', pass: 'Pressed into the hollows with a cloth; back clean.', fail: 'Bridges over the hollows, or gesso on its back.' }] },
        { id: 'bare cloth', name: 'bare cloth', believes: 'Muslin: worked in twice, the second time wet.', usualFor: ['muslin'], effects: [{ kind: 'coat', coat: 'moderate' }, { kind: 'coats', material: 'gesso', stage: 'coat', coats: figure(2, 'count', 'P') }, { kind: 'minutes', stage: 'coat', figure: figure(5, 'min', 'E') }] },
      ],
    },
    {
      id: 'thickness', question: 'How thick', default: 'light', why: 'One thin wet coat: thick gesso cracks and hides the print.',
      options: [
        { id: 'light', name: 'thin', believes: 'Quick and wet.', effects: [{ kind: 'coat', coat: 'light' }] },
        { id: 'moderate', name: 'moderate', believes: 'A little more time before it dries; cures the longer.', effects: [{ kind: 'coat', coat: 'moderate' }, { kind: 'lag', stage: 'coat', most: figure(4, 'min', 'E') }] },
      ],
    },
    {
      id: 'wait', question: 'Wait', default: 'overnight', why: '4 to 5 h is a gamble; after 1 h it fails.',
      options: [
        { id: 'overnight', name: 'overnight', believes: '12 h; 4 to 5 h is a gamble.', effects: [] },
        { id: 'a day', name: '24 h', believes: 'A full day in a cool or damp room.', effects: [{ kind: 'recommended-cure', figure: figure(1440, 'min', 'E') }] },
      ],
    },
    {
      id: 'later-water', question: 'Water in later rounds', default: 'none', why: 'Wet hides the pulp; dry shows it.',
      options: [
        { id: 'none', name: 'none', believes: 'Wet hides pulp.', effects: [] },
        { id: 'a little', name: 'a little', believes: 'A trace shows where pulp is.', effects: [{ kind: 'minutes', stage: 'rub2', figure: figure(10, 'min', 'E') }, { kind: 'home-step', stage: 'rub2', step: { title: 'Rub again, finer', few: 'A trace of mist. Lightest on faces.', more: 'With a trace of mist and a lighter hand; go lightest on faces. Wipe the crumbs off as you go.' } }] },
      ],
    },
    {
      id: 'top-coat', question: 'Top coat', default: 'none', why: 'Gesso is matt and tough enough indoors.',
      options: [
        { id: 'none', name: 'none', believes: 'Matt as it is.', effects: [] },
        { id: 'brushed', name: 'brushed', believes: 'Matt varnish, thin, once dry through.', effects: [{ kind: 'include-stage', stage: 'dry' }, { kind: 'include-stage', stage: 'seal' }, { kind: 'include-material', material: 'varnish' }] },
      ],
    },
    mirrorSchool,
  ],
  samples: [
    { id: 'pressed', name: 'just pressed', after: 'lay' },
    { id: 'cured', name: 'dry, unrubbed', after: 'shelve' },
    { id: 'hazy', name: 'fuzzy after round 1', after: 'look1' },
    { id: 'finished', name: 'finished', after: 'rub3' },
  ],
  faults: [
    { seen: 'wrinkles', now: 'press while wet', next: 'mist the print first' },
    { seen: 'did not take', now: 'patch from the spare print', next: 'thinner, quicker, wet to the edges' },
    { seen: 'grey fuzz', now: 'one more round, no added water', next: 'three rounds, each finer' },
    { seen: 'ink lifts', now: 'stop, dry longer, go lighter', next: 'overnight at the least' },
    { seen: 'paper sticks', now: 'scuff again, patience', next: 'wipe the back at once' },
  ],
  care: ['Keep it indoors and dry.', 'Not for food, heat or the dishwasher.'],
}
