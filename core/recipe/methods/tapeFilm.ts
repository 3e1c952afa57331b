import { figure } from '#core/reasons'
import type { Recipe } from '../shapes'

/** Tape film: clear tape takes the toner, the paper is soaked and rubbed off, the clear film is stuck on. */
export const tapeFilm: Recipe = {
  id: 'tape-film',
  version: 1,
  name: 'Tape film',
  summary: 'One sitting: tape, burnish, soak, rub, dry, mount.',
  whites: 'clear',
  forgives: 'little',
  filmApart: true,
  takesPages: true,
  print: { ink: 'toner', paper: 'copy paper, 75 to 90 g/m²', laidFaceDown: false, why: 'The film is seen from the tape’s side: it reads as it was printed.' },
  look: 'clear film, picture only',
  surfaces: {
    glass: { fit: 'best', note: 'clean and dry: the tack holds', mark: 'P' },
    card: { fit: 'good', note: 'glue the edges', mark: 'P' },
    'smooth-paper': { fit: 'good', note: 'glue the edges', mark: 'P' },
    'glossy-paper': { fit: 'good', note: 'the tack holds', mark: 'E' },
    journal: { fit: 'good', note: 'glue the edges', mark: 'P' },
    'mat-board': { fit: 'good', note: 'gloss medium under it', mark: 'E' },
    paper: { fit: 'best', note: 'keeps the tack for later', mark: 'P' },
    plywood: { fit: 'good', note: 'gloss medium under it', mark: 'P' },
    pine: { fit: 'good', note: 'gloss medium under it', mark: 'P' },
    panel: { fit: 'good', note: 'gloss medium under it', mark: 'P' },
    canvas: { fit: 'good', note: 'gloss medium under it', mark: 'P' },
    kraft: { fit: 'good', note: 'glue the edges', mark: 'P' },
    slate: { fit: 'good', note: 'gloss medium under it', mark: 'P' },
  },
  rounds: { least: figure(1, 'count', 'P'), most: figure(3, 'count', 'P'), usual: figure(2, 'count', 'P') },
  show: figure(10, 'min', 'E'),
  words: { laid: 'Taped', cured: 'Soaked', sealed: 'Mounted' },
  stages: [
    {
      id: 'print', name: 'Print', mayStop: true, makes: 'printed', attended: true, minutes: figure(20, 'min', 'E'), mayBe: ['ahead'],
      pass: 'Toner does not smear under a wet finger.', fail: 'It smears: liquid ink.', cautions: [],
    },
    {
      id: 'tape', name: 'Tape', makes: 'laid', attended: true, minutes: figure(8, 'min', 'E'), station: 'table', mayBe: ['session'],
      pass: 'Strips overlap, no folds, no air.', fail: 'Strips only touch, or wrinkles.', cautions: ['scissors'],
      then: { least: figure(0, 'min', 'P'), why: 'Taped prints keep.' },
    },
    {
      id: 'burnish', name: 'Burnish', mayStop: true, attended: true, minutes: figure(5, 'min', 'E'), station: 'table', mayBe: ['session'],
      pass: 'Darks darker, the picture brighter.', fail: 'Dotted or blotchy patches, air pockets.', cautions: ['fingers'],
      then: { least: figure(0, 'min', 'P'), why: 'Burnished tape keeps.' },
    },
    {
      id: 'trim', name: 'Trim', mayStop: true, attended: true, minutes: figure(5, 'min', 'E'), station: 'table', mayBe: ['session'],
      pass: 'A white margin left to hold.', fail: 'Tape sticks to the scissors.', cautions: ['scissors'],
    },
    {
      id: 'soak', name: 'Soak', makes: 'cured', attended: false, minutes: figure(6, 'min', 'P'), station: 'basin', mayBe: ['session', 'home'],
      pass: 'The picture shows through; paper slips under a finger.', fail: 'Paper holds at the edges: wait.', cautions: ['water', 'floor'],
      then: { least: figure(0, 'min', 'P'), most: figure(20, 'min', 'E'), why: 'Soaked paper is rubbed while wet.' },
      home: { title: 'Soak', few: 'Warm water, 2 to 10 minutes, until paper slips under a finger.', more: 'Lay it in warm, never hot water for 2 to 10 minutes, until the picture shows through and the paper slips under a finger, edges included.' },
    },
    {
      id: 'rub1', name: 'Rub, round 1', mayStop: true, makes: 'rub-1', attended: true, minutes: figure(8, 'min', 'E'), station: 'basin', mayBe: ['session', 'home'], round: 1,
      pass: 'Paper rolls off, film is see-through when wet.', fail: 'Colour on your finger: less water, less pressure.', cautions: ['pulp', 'fingers'],
      home: { title: 'Rub', few: 'Small circles, one fingertip, re-wet as needed.', more: 'Small circles with one fingertip; re-wet as needed. Too much water or pressure takes the ink.' },
    },
    {
      id: 'look1', name: 'Dry, then look', attended: false, minutes: figure(10, 'min', 'P'), station: 'rack', mayBe: ['session', 'home'], round: 2,
      pass: 'White haze shows where paper is left.', fail: 'Still wet: haze is hidden.', cautions: [],
      home: { title: 'Dry, then look', few: '10 minutes. White haze is leftover paper.', more: 'Pat, do not wipe, and dry about 10 minutes. White haze is leftover paper.' },
    },
    {
      id: 'rub2', name: 'Rub, round 2', mayStop: true, makes: 'rub-2', attended: true, minutes: figure(5, 'min', 'E'), station: 'basin', mayBe: ['session', 'home'], round: 2,
      pass: 'No haze once dry.', fail: 'Ink lifts: stop.', cautions: ['pulp', 'fingers'],
      home: { title: 'Rub again', few: 'A wet fingertip, only where haze is.', more: 'A wet fingertip, only where haze is left, then a last dip.' },
    },
    {
      id: 'rub3', name: 'Rub, round 3', mayStop: true, attended: true, minutes: figure(4, 'min', 'E'), station: 'basin', mayBe: ['session', 'home'], round: 3,
      pass: 'See-through and no haze once dry.', fail: 'Ink lifts: stop.', cautions: ['pulp'],
      home: { title: 'Once more', few: 'Dry, look, and one more soft round.', more: 'Dry it, look again, and rub only where haze is left.' },
    },
    {
      id: 'tack', name: 'Dry until it sticks', mayStop: true, attended: false, minutes: figure(10, 'min', 'P'), station: 'rack', mayBe: ['session', 'home'],
      pass: 'The tack is back.', fail: 'Slippery: still wet.', cautions: [],
      home: { title: 'Dry until it sticks', few: 'About 10 minutes, sticky side up, no towel on it.', more: 'Pat it and let it dry sticky side up for about 10 minutes. Never lay a towel on the sticky face.' },
    },
    {
      id: 'mount', name: 'Mount', mayStop: true, makes: 'sealed', attended: true, minutes: figure(6, 'min', 'E'), station: 'table', mayBe: ['session', 'home'],
      pass: 'Flat, edges down.', fail: 'Edges lift: glue stick there.', cautions: [],
      home: { title: 'Stick it on', few: 'Middle first, smooth to the edges.', more: 'Start in the middle and smooth to the edges. Spare films keep on baking paper.' },
    },
  ],
  materials: [
    { material: 'blank', note: '', basis: 'blank', amount: figure(1, 'count', 'P'), stages: ['mount'], bag: 'What it goes on' },
    { material: 'print', note: 'toner, copy paper', basis: 'print', amount: figure(1, 'count', 'P'), stages: ['tape'] },
    { material: 'clear-tape', note: 'packing tape, 48 mm', basis: 'strips', stages: ['tape'], bag: 'Tape strips, on baking paper' },
    { material: 'clear-film', note: 'adhesive, 300 mm wide', basis: 'strips', stages: ['tape'], optional: true, bag: 'Clear film, cut to size' },
    { material: 'scissors', note: '', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['trim'], share: { by: 'pair', options: ['each', 'pair', 'table', 'stagger'] }, durable: true },
    { material: 'bone-folder', note: 'or an old card or spoon', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['burnish'], share: { by: 'each', options: ['each', 'pair', 'table'] }, durable: true, bag: 'Old card, to burnish with' },
    { material: 'basin', note: 'warm water', basis: 'table', amount: figure(1, 'count', 'P'), stages: ['soak'], share: { by: 'table', options: ['table', 'stagger'] }, durable: true },
    { material: 'towel', note: 'to pat dry', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['rub1'], share: { by: 'pair', options: ['each', 'pair', 'table'] }, durable: true },
    { material: 'pulp-bin', note: 'for the paper crumbs', basis: 'table', amount: figure(1, 'count', 'P'), stages: ['rub1', 'rub2'], durable: true },
    { material: 'baking-paper', note: 'keeps spare films', basis: 'length', per: 'blank', amount: figure(150, 'mm', 'E'), stages: ['tack', 'mount'], bag: 'Baking paper' },
    { material: 'glue-stick', note: 'for the edges', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['mount'], share: { by: 'table', options: ['pair', 'table'] }, optional: true, bag: 'Glue stick' },
    { material: 'gloss-medium', note: 'glues the film down', basis: 'area', films: [{ stage: 'mount', film: 'light', coats: figure(1, 'count', 'P') }], held: figure(4, 'ml', 'E'), waste: figure(0.15, 'share', 'E'), share: { by: 'table', options: ['pair', 'table'] }, stages: ['mount'], optional: true, bag: 'Lidded pot of gloss medium, labelled' },
    { material: 'apron', note: '', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['soak'], durable: true },
    { material: 'table-cover', note: 'one a table', basis: 'table', amount: figure(1, 'count', 'P'), stages: ['tape'], durable: true },
  ],
  schools: [
    {
      id: 'tape-way', question: 'Tape', default: 'onto print', why: 'Short strips, easy to hold taut.',
      options: [
        { id: 'onto print', name: 'onto print', believes: 'Short strips, held taut, smoothed slowly.', effects: [] },
        { id: 'print onto tape', name: 'print onto tape', believes: 'Strips sticky side up, print laid on: fewer wrinkles.', effects: [{ kind: 'minutes', stage: 'tape', figure: figure(10, 'min', 'E') }] },
      ],
    },
    {
      id: 'which-print', question: 'Which print', default: 'toner', why: 'Its ink stays put in water; inkjet only after a smear test has passed.',
      options: [
        { id: 'toner', name: 'toner', believes: 'A powder: water and a rub leave it in place.', effects: [] },
        { id: 'inkjet', name: 'inkjet, dried long', believes: 'Left to dry long, its ink stays on top; a smear test has to pass.', effects: [
          { kind: 'print', ink: 'inkjet', paper: 'copy paper, dried for a day', smearTest: true },
          { kind: 'minutes', stage: 'rub1', figure: figure(10, 'min', 'E') },
          { kind: 'cues', stage: 'rub1', pass: 'Paper rolls off, no colour in the water.', fail: 'Colour in the water: liquid ink, redo with toner.' },
        ] },
      ],
    },
    {
      id: 'cut', question: 'Cut', default: 'after', why: 'White paper left on keeps the tape off the scissors; children always after.',
      options: [
        { id: 'after', name: 'after taping', believes: 'There is paper to hold.', effects: [] },
        { id: 'before', name: 'before', believes: 'The outline is cut dry and clean; more tape is left over round it.', effects: [
          { kind: 'minutes', stage: 'trim', figure: figure(2, 'min', 'E') }, { kind: 'minutes', stage: 'tape', figure: figure(12, 'min', 'E') },
          { kind: 'cues', stage: 'trim', pass: 'Tape trimmed to a rim round the outline.', fail: 'Tape cut into the picture.' },
        ] },
      ],
    },
    {
      id: 'film-width', question: 'Film', default: 'tape', why: 'Packing tape is everywhere.',
      options: [
        { id: 'tape', name: 'packing tape', believes: '48 mm; strips overlap.', effects: [] },
        { id: 'wide', name: 'wide clear film', believes: 'One sheet, no seams; dearer and harder to lay without air.', effects: [
          { kind: 'tape', width: figure(300, 'mm', 'P') }, { kind: 'exclude-material', material: 'clear-tape' }, { kind: 'include-material', material: 'clear-film' },
          { kind: 'minutes', stage: 'tape', figure: figure(6, 'min', 'E') },
        ] },
      ],
    },
    {
      id: 'second-tape', question: 'Second tape', default: 'none', why: 'Its own tack mounts it.',
      options: [
        { id: 'none', name: 'none', believes: 'Its own tack mounts it, or a glue stick at the edges.', effects: [] },
        { id: 'behind', name: 'one behind it', believes: 'A second strip seals the back of the ink: a true sticker, for bottles and books.', usualFor: ['stickers'], effects: [{ kind: 'tapes', tapes: 2 }, { kind: 'minutes', stage: 'mount', figure: figure(8, 'min', 'E') }] },
      ],
    },
    {
      id: 'wetting', question: 'Wet it by', default: 'soak', why: 'The film itself minds no water.',
      options: [
        { id: 'soak', name: 'soaking', believes: 'Soak through: the paper slips off.', effects: [] },
        { id: 'spray', name: 'misting', believes: 'Scuff the back and mist: less water, less lifting.', effects: [{ kind: 'minutes', stage: 'soak', figure: figure(3, 'min', 'E') }, { kind: 'minutes', stage: 'rub1', figure: figure(10, 'min', 'E') }] },
      ],
    },
    {
      id: 'rounds', question: 'Rounds', default: '2', why: 'Haze comes back when dry.',
      options: [
        { id: '1', name: '1', believes: 'For small stickers.', effects: [{ kind: 'rounds', rounds: 1 }] },
        { id: '2', name: '2', believes: 'Usual.', effects: [{ kind: 'rounds', rounds: 2 }] },
        { id: '3', name: '3', believes: 'For large pictures.', usualFor: ['clean'], effects: [{ kind: 'rounds', rounds: 3 }] },
      ],
    },
    {
      id: 'mount-by', question: 'Mount by', default: 'own tack', why: 'The tack comes back when dry.',
      options: [
        { id: 'own tack', name: 'its own tack', believes: 'Enough on glass and smooth card.', effects: [] },
        { id: 'glue stick', name: 'glue stick', usualFor: ['kraft', 'journal'], believes: 'Edges stay down on paper.', effects: [{ kind: 'include-material', material: 'glue-stick' }] },
        { id: 'gloss medium', name: 'gloss medium', usualFor: ['plywood', 'pine', 'panel', 'canvas', 'slate', 'mat-board'], believes: 'Holds for good; the tape may be peeled off after two weeks.', effects: [{ kind: 'include-material', material: 'gloss-medium' }, { kind: 'minutes', stage: 'mount', figure: figure(9, 'min', 'E') }, { kind: 'caution', stage: 'mount', caution: 'skin' }] },
      ],
    },
  ],
  samples: [
    { id: 'taped', name: 'taped and burnished', after: 'burnish' },
    { id: 'hazy', name: 'hazy after round 1', after: 'rub1' },
    { id: 'finished', name: 'finished', after: 'mount' },
  ],
  faults: [
    { seen: 'haze stays', now: 'wet it, rub only there', next: 'look only when dry' },
    { seen: 'bald spot', now: 'make one more from the spare print', next: 'burnish seams and corners again' },
    { seen: 'ink lifts', now: 'stop, less water, lighter', next: 'shorter soak' },
    { seen: 'won’t stick', now: 'dry longer, or a glue stick at the edges', next: 'no towel on the sticky face' },
  ],
  care: ['Keep it dry and out of the sun.', 'Not for food, heat or the dishwasher.'],
}
