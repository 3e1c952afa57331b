import { figure } from '#core/reasons'
import { mirrorSchool } from '../schools'
import type { Recipe } from '../shapes'

/** Water lift: inkjet ink on a transparency (or plain paper) is laid on a wetted surface, pressed and lifted again. */
export const waterLift: Recipe = {
  id: 'water-lift',
  version: 1,
  name: 'Water lift',
  summary: 'One sitting: wet the surface, lay, press, lift promptly, dry, fix.',
  whites: 'surface',
  forgives: 'little',
  look: 'soft, like watercolour',
  print: { ink: 'inkjet', paper: 'inkjet transparency, rough side', laidFaceDown: true, why: 'The ink goes face down onto the wet surface.' },
  surfaces: {
    'smooth-paper': { fit: 'best', note: 'takes the finest line; lift promptly', mark: 'P' },
    journal: { fit: 'good', note: 'wet it evenly; a spare sheet under it', mark: 'E' },
    card: { fit: 'good', note: 'heavy enough to be wetted through', mark: 'E' },
    plywood: { fit: 'good', note: 'bare wood gives more time', mark: 'P' },
    pine: { fit: 'good', note: 'bare wood gives more time', mark: 'P' },
    'glossy-paper': { fit: 'good', note: 'for prints on plain paper, dabbed', mark: 'P' },
  },
  rounds: { least: figure(0, 'count', 'P'), most: figure(0, 'count', 'P'), usual: figure(0, 'count', 'P') },
  show: figure(10, 'min', 'E'),
  words: { laid: 'Lifted', sealed: 'Fixed' },
  stages: [
    {
      id: 'print', name: 'Print', mayStop: true, makes: 'printed', attended: true, minutes: figure(30, 'min', 'E'), mayBe: ['ahead'],
      pass: 'Mirrored, rough side, best quality, a border to hold.', fail: 'Beads on the smooth side; no border.', cautions: [],
    },
    {
      id: 'trim', name: 'Cut apart, border on', mayStop: true, attended: true, minutes: figure(1, 'min', 'E'), per: 'print', station: 'trimmer', mayBe: ['ahead', 'session'],
      pass: 'A border left on to hold.', fail: 'Fingers on the ink.', cautions: ['blade'],
    },
    {
      id: 'wet', name: 'Wet the surface', attended: true, minutes: figure(2, 'min', 'E'), station: 'table', mayBe: ['session'],
      pass: 'Evenly wet, a shine and no puddles.', fail: 'Dry islands: nothing goes over there.', cautions: ['floor'],
      then: { least: figure(0, 'min', 'P'), most: figure(2, 'min', 'E'), race: true, why: 'The water sinks in.' },
    },
    {
      id: 'lay', name: 'Lay face down, press', attended: true, minutes: figure(2, 'min', 'E'), station: 'table', mayBe: ['session'],
      pass: 'Laid once, pressed with a card, not moved.', fail: 'Shifted: the line doubles.', cautions: [],
      then: { least: figure(0, 'min', 'P'), most: figure(1, 'min', 'E'), race: true, why: 'Paper grips and tears if you wait; bare wood gives more time.' },
    },
    {
      id: 'lift', name: 'Lift promptly', makes: 'laid', mayStop: true, attended: true, minutes: figure(1, 'min', 'E'), station: 'table', mayBe: ['session'],
      pass: 'The carrier comes away clean.', fail: 'The paper’s face tears: too late.', cautions: [],
      then: { least: figure(20, 'min', 'E'), why: 'Dry before it is touched or fixed.' },
    },
    {
      id: 'fix', name: 'Fix with a clear spray', covers: 'piece', makes: 'sealed', mayStop: true, attended: true, minutes: figure(2, 'min', 'E'), station: 'outdoors', mayBe: ['home', 'session'],
      pass: 'Two light passes, no wet shine.', fail: 'Too close: the ink runs again.', cautions: ['spray'],
      home: { title: 'Fix it', few: 'An adult sprays two light passes outdoors. Water still runs it until then.', more: 'Until it is fixed, water makes it run. An adult sprays two light passes of clear fixative outdoors, away from flames; let it dry by its label.' },
    },
  ],
  materials: [
    { material: 'blank', note: '', basis: 'blank', amount: figure(1, 'count', 'P'), stages: ['wet'] },
    { material: 'print', note: 'mirrored, inkjet', basis: 'print', amount: figure(1, 'count', 'P'), stages: ['lay'] },
    { material: 'transparency', note: 'inkjet, a rough side', basis: 'sheet', amount: figure(1, 'count', 'P'), stages: ['lay'] },
    { material: 'sponge', note: 'for even wetting', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['wet'], share: { by: 'pair', options: ['each', 'pair', 'table', 'stagger'] }, durable: true },
    { material: 'mister', note: 'dabs the back of plain paper', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['lay'], share: { by: 'table', options: ['pair', 'table'] }, durable: true, optional: true },
    { material: 'press-card', note: 'old plastic card', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['lay'], share: { by: 'each', options: ['each', 'pair', 'table', 'stagger'] }, durable: true, bag: 'Old card, to press with' },
    { material: 'basin', note: 'clean water', basis: 'table', amount: figure(1, 'count', 'P'), stages: ['wet'], share: { by: 'table', options: ['table', 'stagger'] }, durable: true },
    { material: 'clear-spray', note: 'fixative, outdoors, by an adult', basis: 'area', films: [{ stage: 'fix', film: 'light', coats: figure(2, 'count', 'E') }], held: figure(0, 'ml', 'E'), waste: figure(0.4, 'share', 'E'), share: { by: 'room', options: ['room'] }, stages: ['fix'] },
    { material: 'trimmer', note: 'with a rail', basis: 'room', amount: figure(1, 'count', 'E'), stages: ['trim'], durable: true },
    { material: 'baking-paper', note: 'under each piece', basis: 'length', per: 'blank', amount: figure(250, 'mm', 'E'), stages: ['lift'], bag: 'Baking paper' },
    { material: 'apron', note: '', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['wet'], durable: true },
    { material: 'table-cover', note: 'one a table', basis: 'table', amount: figure(1, 'count', 'P'), stages: ['wet'], durable: true },
  ],
  schools: [
    {
      id: 'carrier', question: 'Print on', default: 'transparency', why: 'Gives the most ink and the finest line.',
      options: [
        { id: 'transparency', name: 'transparency', believes: 'Rough side, best quality, a border to hold.', effects: [] },
        { id: 'plain paper', name: 'plain paper', believes: 'Softer; onto glossy paper, the back misted and dabbed.', usualFor: ['glossy-paper'], effects: [
          { kind: 'print', ink: 'inkjet', paper: 'plain paper' },
          { kind: 'exclude-material', material: 'transparency' },
          { kind: 'include-material', material: 'mister' },
          { kind: 'minutes', stage: 'lay', figure: figure(4, 'min', 'E') },
          { kind: 'lag', stage: 'lay', most: figure(3, 'min', 'E') },
          { kind: 'cues', stage: 'lay', pass: 'Back misted and dabbed, not rubbed.', fail: 'Too wet: the ink blooms.' },
        ] },
      ],
    },
    {
      id: 'ground', question: 'Surface', default: 'paper', why: 'Paper takes the finest line.',
      options: [
        { id: 'paper', name: 'paper', believes: 'Lift promptly: it grips and tears.', effects: [] },
        { id: 'wood', name: 'bare wood', believes: 'More time before it grips.', usualFor: ['plywood', 'pine'], effects: [{ kind: 'lag', stage: 'lay', most: figure(4, 'min', 'E') }] },
      ],
    },
    {
      id: 'top-coat', question: 'Fix', default: 'spray', why: 'A brush would move the ink.',
      options: [
        { id: 'spray', name: 'clear spray', believes: 'Two light passes outdoors, by an adult.', effects: [] },
        { id: 'none', name: 'behind glass', believes: 'Left unfixed and framed; never wetted again.', effects: [{ kind: 'exclude-stage', stage: 'fix' }] },
      ],
    },
    mirrorSchool,
  ],
  samples: [
    { id: 'lifted', name: 'lifted, beside its carrier', after: 'lift' },
    { id: 'finished', name: 'fixed', after: 'fix' },
  ],
  faults: [
    { seen: 'colours run', now: 'nothing: lay another', next: 'less water; fix before it is touched' },
    { seen: 'paper torn', now: 'keep it, or lay another', next: 'lift promptly; heavier paper' },
    { seen: 'pale', now: 'lay a second print over it', next: 'best quality; wetter surface' },
    { seen: 'doubled line', now: 'lay another', next: 'lay once, do not move it' },
  ],
  care: ['Keep it dry and out of the sun; behind glass it lasts.', 'Not for food, heat or the dishwasher.'],
}
