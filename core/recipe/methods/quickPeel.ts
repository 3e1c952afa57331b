import { figure } from '#core/reasons'
import { mirrorSchool } from '../schools'
import type { Recipe } from '../shapes'

/** Quick peel: a print squeegeed into generous medium on a thirsty panel, peeled within minutes, cleaned now or weeks later. */
export const quickPeel: Recipe = {
  id: 'quick-peel',
  version: 1,
  name: 'Quick peel',
  summary: 'One sitting: coat, squeegee, wait minutes, peel by the corner test, clean.',
  whites: 'surface',
  forgives: 'a lot',
  look: 'weathered, with gaps that look meant',
  print: { ink: 'toner', paper: 'plain copy paper, 75 to 90 g/m²', laidFaceDown: true, why: 'The print is laid face down, which turns it round once.' },
  surfaces: {
    panel: { fit: 'best', note: 'it drinks the water out of the medium', mark: 'P' },
    'mat-board': { fit: 'good', note: 'thirsty enough; may buckle', mark: 'E' },
    plywood: { fit: 'good', note: 'bare: it has to drink', mark: 'P' },
    pine: { fit: 'good', note: 'bare: it has to drink', mark: 'P' },
    canvas: { fit: 'good', note: 'squeegee on a board, from behind too', mark: 'P' },
    muslin: { fit: 'good', note: 'a board under it', mark: 'E' },
  },
  rounds: { least: figure(1, 'count', 'P'), most: figure(2, 'count', 'P'), usual: figure(1, 'count', 'P') },
  show: figure(10, 'min', 'E'),
  words: { cured: 'Peeled' },
  stages: [
    {
      id: 'print', name: 'Print', mayStop: true, makes: 'printed', attended: true, minutes: figure(20, 'min', 'E'), mayBe: ['ahead'],
      pass: 'Reads backwards on paper; edges whole.', fail: 'Reads right on paper, or cut off at the edge.', cautions: [],
    },
    {
      id: 'trim', name: 'Trim', mayStop: true, attended: true, minutes: figure(1, 'min', 'E'), per: 'print', station: 'trimmer', mayBe: ['ahead', 'session'],
      pass: 'White edges gone, a corner left proud to hold.', fail: 'Nothing to take hold of when it is time to peel.', cautions: ['blade'],
    },
    {
      id: 'coat', name: 'Coat', attended: true, minutes: figure(3, 'min', 'E'), station: 'table', mayBe: ['session'], lays: true,
      pass: 'Generous, even and wet from edge to edge.', fail: 'Thin or dull patches: the panel has drunk it.', cautions: ['skin'],
      then: { least: figure(0, 'min', 'P'), most: figure(2, 'min', 'E'), race: true, why: 'A thirsty panel dries the coat under your hand.' },
    },
    {
      id: 'lay', name: 'Lay and squeegee', makes: 'laid', attended: true, minutes: figure(2, 'min', 'E'), station: 'table', mayBe: ['session'], lays: true,
      pass: 'Pressed hard from the middle out, back wiped dry.', fail: 'Air under it, or medium on its back.', cautions: ['skin'],
      then: { least: figure(3, 'min', 'P'), most: figure(5, 'min', 'P'), race: true, why: '3 to 5 minutes by the corner test: sooner takes the ink, later tears; less under hot lights.' },
    },
    {
      id: 'peel', name: 'Corner test, then peel', makes: 'cured', mayStop: true, attended: true, minutes: figure(2, 'min', 'E'), station: 'table', mayBe: ['session'],
      pass: 'At the corner the top of the paper parts from the lower layer.', fail: 'The ink comes with it: wait one minute more.', cautions: [],
    },
    {
      id: 'rub1', name: 'Clean off what stayed', mayStop: true, makes: 'rub-1', attended: true, minutes: figure(12, 'min', 'E'), station: 'table', mayBe: ['session', 'home'], round: 1,
      pass: 'Crumbs roll off, the picture is clear.', fail: 'Colour on your finger: too wet or too early, leave it.', cautions: ['fingers', 'pulp'],
      home: { title: 'Clean it', few: 'Damp, not wet fingertips. Today or in some weeks; later is easier.', more: 'Rub what paper is left away with damp, not wet fingertips. It can wait for weeks: longer is easier. Colour on your finger means stop.' },
    },
    {
      id: 'look1', name: 'Dry, then look', attended: false, minutes: figure(12, 'min', 'P'), station: 'rack', mayBe: ['session', 'home'], round: 2,
      pass: 'White haze shows where paper is left.', fail: 'Still dark and wet: wait.', cautions: [],
      home: { title: 'Dry, then look', few: '10 to 15 minutes. White haze is leftover paper.', more: 'Let it dry for 10 to 15 minutes and tilt it to the light. White haze is leftover paper.' },
    },
    {
      id: 'rub2', name: 'Clean, round 2', mayStop: true, makes: 'rub-2', attended: true, minutes: figure(8, 'min', 'E'), station: 'table', mayBe: ['session', 'home'], round: 2,
      pass: 'No haze once dry.', fail: 'Ink lifts: the paper is gone, stop.', cautions: ['fingers', 'pulp'],
      home: { title: 'Once more', few: 'Nearly dry fingertips, only where haze is.', more: 'Nearly dry fingertips, only where haze is left. Ink starting to lift means the paper is gone: stop.' },
    },
    {
      id: 'dry', name: 'Dry through', attended: false, minutes: figure(30, 'min', 'E'), station: 'rack', mayBe: ['session', 'home'],
      pass: 'Dry through, not only on top.', fail: 'Cool to the touch: the top coat would cloud.', cautions: [],
      home: { title: 'Dry it through', few: 'At least 30 minutes, until it no longer feels cool.', more: 'Let it dry through: at least 30 minutes, until it no longer feels cool. Sealed damp, the coat clouds.' },
    },
    {
      id: 'seal', name: 'Seal', covers: 'piece', mayStop: true, makes: 'sealed', attended: true, minutes: figure(3, 'min', 'E'), station: 'seal table', mayBe: ['session', 'home'], lays: true,
      pass: 'Thin and even, strokes one way.', fail: 'Puddles or brush lines.', cautions: ['varnish', 'rinse'],
      home: { title: 'Seal it', few: 'One thin coat, strokes one way.', more: 'One thin coat from edge to edge, strokes one way. Leave it open and flat until it no longer feels cool.' },
    },
  ],
  materials: [
    { material: 'blank', note: '', basis: 'blank', amount: figure(1, 'count', 'P'), stages: ['coat'] },
    { material: 'print', note: 'mirrored', basis: 'print', amount: figure(1, 'count', 'P'), stages: ['lay'], bag: 'Spare print' },
    {
      material: 'acrylic-gel', note: 'lays and seals', basis: 'area', stages: ['coat', 'seal'],
      films: [{ stage: 'coat', film: 'chosen', coats: figure(1, 'count', 'P') }, { stage: 'seal', film: 'light', coats: figure(1, 'count', 'P') }],
      held: figure(4, 'ml', 'E'), waste: figure(0.15, 'share', 'E'), share: { by: 'pair', options: ['each', 'pair', 'table'] }, bag: 'Lidded pot of acrylic gel medium, labelled',
    },
    { material: 'foam-brush', note: '25 mm', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['coat', 'seal'], share: { by: 'each', options: ['each', 'pair', 'table'] }, bag: 'Foam brush' },
    { material: 'cup', note: 'for the medium', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['coat'], share: { by: 'pair', options: ['each', 'pair', 'table'] }, durable: true },
    { material: 'squeegee', note: 'one each: nobody can wait for it', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['lay'], share: { by: 'pair', options: ['each', 'pair', 'table', 'stagger'] }, durable: true, bag: 'Old card, to press with' },
    { material: 'timer', note: 'in sight of all', basis: 'table', amount: figure(1, 'count', 'E'), stages: ['lay'], share: { by: 'table', options: ['table', 'room'] }, durable: true },
    { material: 'trimmer', note: 'with a rail', basis: 'room', amount: figure(1, 'count', 'E'), stages: ['trim'], durable: true },
    { material: 'cloth', note: 'to wipe the back at once', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['lay', 'rub1'], share: { by: 'pair', options: ['each', 'pair', 'table'] }, durable: true, bag: 'Cloth' },
    { material: 'basin', note: 'a finger’s depth of warm water', basis: 'table', amount: figure(1, 'count', 'P'), stages: ['rub1'], share: { by: 'table', options: ['table', 'stagger'] }, durable: true },
    { material: 'pulp-bin', note: 'for the paper crumbs', basis: 'table', amount: figure(1, 'count', 'P'), stages: ['peel', 'rub1'], durable: true },
    { material: 'baking-paper', note: 'under each piece', basis: 'length', per: 'blank', amount: figure(250, 'mm', 'E'), stages: ['peel'], bag: 'Baking paper' },
    { material: 'apron', note: '', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['coat'], durable: true },
    { material: 'table-cover', note: 'one a table', basis: 'table', amount: figure(1, 'count', 'P'), stages: ['coat'], durable: true },
  ],
  schools: [
    {
      id: 'thickness', question: 'How thick', default: 'generous', why: 'A thin coat is drunk before the print is down.',
      options: [
        { id: 'moderate', name: 'moderate', believes: 'Enough on board that drinks less.', effects: [{ kind: 'coat', coat: 'moderate' }] },
        { id: 'generous', name: 'generous', believes: 'Stays wet until the print is pressed.', effects: [{ kind: 'coat', coat: 'generous' }] },
        { id: 'heavy', name: 'heavy', believes: 'So thick that the picture nearly disappears.', effects: [{ kind: 'coat', coat: 'heavy' }] },
      ],
    },
    {
      id: 'clean-when', question: 'Clean it', default: 'now', why: 'Everybody goes home with a finished piece.',
      options: [
        { id: 'now', name: 'now', believes: 'In class, with damp fingertips.', effects: [] },
        { id: 'later', name: 'weeks later', believes: 'At home, months later if need be: longer is easier.', effects: [
          { kind: 'place', stage: 'rub1', place: 'home' },
          { kind: 'place', stage: 'look1', place: 'home' },
          { kind: 'place', stage: 'rub2', place: 'home' },
          { kind: 'place', stage: 'dry', place: 'home' },
          { kind: 'place', stage: 'seal', place: 'home' },
          { kind: 'home-step', stage: 'rub1', step: { title: 'Clean it, in some weeks', few: 'Damp, not wet fingertips, from two weeks on. Later is easier.', more: 'Leave it for two weeks or more, then rub the paper away with damp, not wet fingertips. Longer is easier. Colour on your finger means stop.' } },
        ] },
      ],
    },
    {
      id: 'rounds', question: 'Rounds', default: '1', why: 'Gaps are part of the look.',
      options: [
        { id: '1', name: '1', believes: 'Weathered is the aim.', effects: [{ kind: 'rounds', rounds: 1 }] },
        { id: '2', name: '2', believes: 'For faces and lettering.', effects: [{ kind: 'rounds', rounds: 2 }] },
      ],
    },
    {
      id: 'lights', question: 'Room', default: 'usual', why: 'Room light does not dry it faster.',
      options: [
        { id: 'usual', name: 'usual light', believes: '3 to 5 minutes.', effects: [] },
        { id: 'hot', name: 'hot lights', believes: 'Lamps or sun on the table: test the corner from 2 minutes on.', effects: [{ kind: 'lag', stage: 'lay', least: figure(2, 'min', 'E'), most: figure(4, 'min', 'E') }] },
      ],
    },
    mirrorSchool,
  ],
  samples: [
    { id: 'peeled', name: 'peeled, not cleaned', after: 'peel' },
    { id: 'finished', name: 'finished', after: 'seal' },
  ],
  faults: [
    { seen: 'ink comes with the paper', now: 'press it back, wait a minute', next: 'corner test before you peel' },
    { seen: 'paper tears, will not part', now: 'damp fingertips, or weeks later', next: 'peel sooner; more medium' },
    { seen: 'white haze', now: 'damp fingertips once dry', next: 'plan a second round' },
    { seen: 'bald spot', now: 'it looks meant, or patch from a spare', next: 'squeegee harder, from the middle' },
  ],
  care: ['Keep it indoors.', 'Not for food, heat or the dishwasher.', 'Follow the label on the pot.'],
}
