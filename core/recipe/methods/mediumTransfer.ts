import { figure } from '#core/reasons'
import { hazeSchool, laterWaterSchool, mirrorSchool } from '../schools'
import type { Recipe } from '../shapes'

/** Medium transfer: a toner print laid face down in wet medium, cured, wetted, and its paper rubbed away. */
export const mediumTransfer: Recipe = {
  id: 'medium-transfer',
  version: 1,
  name: 'Medium transfer',
  summary: 'Two sittings with a night between: lay and press, cure, rub the paper off, seal.',
  whites: 'surface',
  forgives: 'some',
  print: { ink: 'toner', paper: 'plain paper, the thinner the better', laidFaceDown: true, why: 'The print is laid face down, which turns it round once.' },
  look: 'soft matt picture in the surface',
  surfaces: {
    plywood: { fit: 'best', note: 'the most forgiving', mark: 'P' },
    pine: { fit: 'good', note: 'good; knots show', mark: 'P' },
    cedar: { fit: 'hard', note: 'wrinkles the print', mark: 'P' },
    panel: { fit: 'good', note: 'drinks: coat generously', mark: 'E' },
    canvas: { fit: 'good', note: 'ready primed; coat generously', mark: 'P' },
    muslin: { fit: 'good', note: 'work the coat in', mark: 'P' },
    slate: { fit: 'good', note: 'washed and dried; a light coat', mark: 'P' },
    'mat-board': { fit: 'good', note: 'may buckle: weigh it once dry', mark: 'E' },
    journal: { fit: 'good', note: 'a spare sheet under the page', mark: 'P' },
    kraft: { fit: 'good', note: 'whites become brown', mark: 'E' },
  },
  cure: { minimum: figure(720, 'min', 'P'), recommended: figure(1440, 'min', 'P') },
  rounds: { least: figure(1, 'count', 'P'), most: figure(3, 'count', 'P'), usual: figure(2, 'count', 'P') },
  show: figure(10, 'min', 'E'),
  words: {},
  stages: [
    {
      id: 'paint', name: 'Paint white', mayStop: true, attended: true, minutes: figure(3, 'min', 'E'), per: 'blank', pauses: figure(60, 'min', 'E'), mayBe: ['ahead'], optional: true, lays: true, covers: 'piece',
      pass: 'Even white, dry to the touch, sanded smooth.', fail: 'Cool or tacky: not dry yet.', cautions: ['old-paint', 'dust'],
      then: { least: figure(720, 'min', 'E'), why: 'Any paint must be dry before the print is laid.' },
    },
    {
      id: 'paint-colour', name: 'Paint the ground', mayStop: true, attended: true, minutes: figure(3, 'min', 'E'), per: 'blank', pauses: figure(60, 'min', 'E'), mayBe: ['ahead'], optional: true, lays: true, covers: 'piece',
      pass: 'Even colour, pale enough that the picture shows, dry to the touch.', fail: 'Cool or tacky: not dry yet.', cautions: ['old-paint', 'dust'],
      then: { least: figure(720, 'min', 'E'), why: 'Any paint must be dry before the print is laid.' },
    },
    {
      id: 'prime', name: 'Lay a ground', mayStop: true, attended: true, minutes: figure(2, 'min', 'E'), per: 'blank', mayBe: ['ahead'], optional: true, lays: true, covers: 'piece',
      pass: 'Thin, matt and even; dry to the touch.', fail: 'Ridges: they show through the print.', cautions: ['rinse'],
      then: { least: figure(720, 'min', 'E'), why: 'A ground must be dry before the print is laid.' },
    },
    {
      id: 'print', name: 'Print', mayStop: true, makes: 'printed', attended: true, minutes: figure(20, 'min', 'E'), mayBe: ['ahead'],
      pass: 'Reads backwards on paper; edges whole.', fail: 'Reads right on paper, or cut off at the edge.', cautions: [],
    },
    {
      id: 'trim', name: 'Trim', mayStop: true, attended: true, minutes: figure(1, 'min', 'E'), per: 'print', station: 'trimmer', mayBe: ['ahead', 'session'],
      pass: 'White edges gone, a named tab left on.', fail: 'A white rim shows on the piece.', cautions: ['blade'],
    },
    {
      id: 'wash', name: 'Wash and dry', mayStop: true, attended: true, minutes: figure(1, 'min', 'E'), per: 'blank', mayBe: ['ahead'], onlyOn: ['slate'],
      pass: 'Clean and dry all through: left from the day before.', fail: 'Soapy, dusty or damp: it will not hold.', cautions: [],
      then: { least: figure(720, 'min', 'E'), why: 'Stone looks dry long before it is.' },
    },
    {
      id: 'sand', name: 'Sand and dust', mayStop: true, onlyOn: ['plywood', 'pine', 'cedar'], attended: true, minutes: figure(5, 'min', 'E'), station: 'table', mayBe: ['session', 'ahead'],
      pass: 'Smooth under a fingertip, no dust.', fail: 'Fuzz or grit: it will show as specks.', cautions: ['dust', 'old-paint'],
    },
    {
      id: 'coat', name: 'Coat', attended: true, minutes: figure(4, 'min', 'E'), station: 'table', mayBe: ['session'], lays: true,
      pass: 'Even and wet from edge to edge.', fail: 'Missed spots or ridges.', cautions: ['skin'],
      then: { least: figure(0, 'min', 'P'), most: figure(3, 'min', 'E'), why: 'The print goes down while the coat is wet.' },
    },
    {
      id: 'lay', name: 'Lay and press', makes: 'laid', attended: true, minutes: figure(6, 'min', 'E'), station: 'table', mayBe: ['session'], lays: true,
      pass: 'Flat, no bubbles, no medium on its back.', fail: 'Bubbles against the light; wet paper back.', cautions: ['skin'],
      then: { least: figure(0, 'min', 'P'), most: figure(30, 'min', 'E'), why: 'Wet pieces go to the shelf with the class.' },
    },
    {
      id: 'shelve', name: 'Name the back, to the shelf', mayStop: true, attended: true, minutes: figure(3, 'min', 'E'), station: 'shelf', mayBe: ['session'],
      pass: 'Face up, flat, nothing on top, on baking paper.', fail: 'Stacked, tilted or unnamed.', cautions: ['rinse'],
      then: { least: figure(720, 'min', 'P'), cures: true, makes: 'cured', why: 'Rubbed sooner, the ink comes off with the paper.' },
    },
    {
      id: 'wet', name: 'Wet the paper', attended: true, minutes: figure(5, 'min', 'E'), station: 'basin', mayBe: ['session', 'home'],
      pass: 'The picture reads through, no dry patch.', fail: 'White patches: still dry.', cautions: ['water', 'floor'],
      then: { least: figure(0, 'min', 'P'), most: figure(10, 'min', 'E'), why: 'Never rub dry paper.' },
      home: { title: 'Wet it', few: 'Damp cloth on top until the picture shows through everywhere.', more: 'Wring a cloth out in warm water and lay it on top until the picture reads through and no dry patch is left. Never rub dry paper.' },
    },
    {
      id: 'rub1', name: 'Rub, round 1', mayStop: true, makes: 'rub-1', attended: true, minutes: figure(12, 'min', 'E'), station: 'table', mayBe: ['session', 'home'], round: 1,
      pass: 'Most paper rolled off; the glue feels tacky: stop.', fail: 'Colour on your finger: stop, dry longer.', cautions: ['fingers', 'pulp'],
      home: { title: 'Rub', few: 'Soft circles, one fingertip. Paper rolls off. Sticky? Stop.', more: 'Small soft circles with one fingertip from the middle out. The paper rolls off in crumbs. Stop when the surface feels tacky; go lightest on faces.' },
    },
    {
      id: 'look1', name: 'Dry, then look', attended: false, minutes: figure(12, 'min', 'P'), station: 'rack', mayBe: ['session', 'home'], round: 2,
      pass: 'White haze shows where paper is left.', fail: 'Still dark and wet: wait.', cautions: [],
      home: { title: 'Dry, then look', few: '10 to 15 minutes. White haze is leftover paper.', more: 'Let it dry for 10 to 15 minutes and tilt it to the light. White haze is leftover paper.' },
    },
    {
      id: 'rub2', name: 'Rub, round 2', mayStop: true, makes: 'rub-2', attended: true, minutes: figure(8, 'min', 'E'), station: 'table', mayBe: ['session', 'home'], round: 2,
      pass: 'No crumbs, the picture is clear.', fail: 'Ink lifts: the paper is gone, stop.', cautions: ['fingers', 'pulp'],
      home: { title: 'Rub again', few: 'Nearly dry fingertips. Wipe crumbs off. Go lightest on fine lines.', more: 'Nearly dry fingertips, slightly firmer. Wipe the crumbs off as you go. Ink starting to lift means the paper is gone: stop.' },
    },
    {
      id: 'look2', name: 'Dry, then look', attended: false, minutes: figure(12, 'min', 'P'), station: 'rack', mayBe: ['session', 'home'], round: 3,
      pass: 'White haze shows where paper is left.', fail: 'Still dark and wet: wait.', cautions: [],
      home: { title: 'Look again', few: 'Dry it again, 10 to 15 minutes. Still haze? One more round.', more: 'Dry it again for 10 to 15 minutes and tilt it to the light. Where haze is left, it wants one more soft round.' },
    },
    {
      id: 'rub3', name: 'Rub, round 3', mayStop: true, attended: true, minutes: figure(6, 'min', 'E'), station: 'table', mayBe: ['session', 'home'], round: 3,
      pass: 'No haze when dry.', fail: 'Ink lifts: stop.', cautions: ['fingers', 'pulp'],
      home: { title: 'Rub once more', few: 'A dry fingertip, only where haze is.', more: 'One more soft round with a dry fingertip, only where haze is left.' },
    },
    {
      id: 'over-coat', name: 'Coat again', attended: true, minutes: figure(4, 'min', 'E'), station: 'table', mayBe: ['session'], optional: true, lays: true,
      pass: 'Thin and even over the dry first picture.', fail: 'The first picture smears: it was not dry.', cautions: ['skin'],
      then: { least: figure(0, 'min', 'P'), most: figure(3, 'min', 'E'), why: 'The print goes down while the coat is wet.' },
    },
    {
      id: 'over-lay', name: 'Lay the second print', attended: true, minutes: figure(6, 'min', 'E'), station: 'table', mayBe: ['session'], optional: true, lays: true,
      pass: 'Where it was meant: nothing shows through the paper.', fail: 'Bubbles, or beside its place.', cautions: ['skin', 'rinse'], mayStop: true,
      then: { least: figure(720, 'min', 'P'), cures: true, why: 'Rubbed sooner, the ink comes off with the paper.' },
    },
    {
      id: 'over-rub', name: 'Wet and rub the second', round: 1, mayStop: true, attended: true, minutes: figure(15, 'min', 'E'), station: 'table', mayBe: ['session', 'home'], optional: true,
      pass: 'Both pictures clear, no crumbs.', fail: 'Colour on your finger: stop, dry longer.', cautions: ['water', 'fingers', 'pulp'],
      home: { title: 'Wet and rub the second', few: 'A damp cloth until it reads through, then soft circles. Sticky? Stop.', more: 'Lay a damp cloth on top until the second picture reads through, then rub in small soft circles with one fingertip. Colour on the finger means stop.' },
    },
    {
      id: 'dry', name: 'Dry through', attended: false, minutes: figure(30, 'min', 'E'), station: 'rack', mayBe: ['session', 'home'],
      pass: 'Dry through, not only on top.', fail: 'Cool to the touch: the top coat would cloud.', cautions: [],
      home: { title: 'Dry it through', few: 'At least 30 minutes, until it no longer feels cool.', more: 'Let it dry through, not only on top: at least 30 minutes, until it no longer feels cool. Sealed damp, the coat clouds.' },
    },
    {
      id: 'seal1', name: 'Seal', mayStop: true, makes: 'sealed', attended: true, minutes: figure(3, 'min', 'E'), station: 'seal table', mayBe: ['session', 'home'], lays: true, covers: 'piece',
      pass: 'Thin and even, strokes one way.', fail: 'Puddles or brush lines.', cautions: ['varnish', 'rinse'],
      then: { least: figure(30, 'min', 'E'), why: 'A coat dries before anything else touches it, by touch and label; a fan helps.' },
      home: { title: 'Seal it', few: 'One thin coat from edge to edge, strokes one way. Then leave it: at least 30 minutes.', more: 'One thin coat from edge to edge, strokes one way, not gone over again. Let it dry by touch and label, at least 30 minutes; leave it open and flat until it no longer feels cool.' },
    },
    {
      id: 'seal2', name: 'Seal, second coat', mayStop: true, makes: 'sealed', optional: true, attended: true, minutes: figure(3, 'min', 'E'), station: 'seal table', mayBe: ['session', 'home'], lays: true, covers: 'piece',
      pass: 'Clear once dry, no tack.', fail: 'Cloudy: too thick or too damp.', cautions: ['varnish'],
      home: { title: 'Seal again', few: 'A second thin coat across the first.', more: 'A second thin coat. Leave it open and flat until it no longer feels cool.' },
    },
  ],
  materials: [
    { material: 'blank', note: '', basis: 'blank', amount: figure(1, 'count', 'P'), stages: ['coat'] },
    { material: 'print', note: 'mirrored, thin paper', basis: 'print', amount: figure(1, 'count', 'P'), stages: ['lay'], bag: 'Spare print' },
    {
      material: 'decoupage-glue', note: 'lays and seals', basis: 'area', stages: ['coat', 'over-coat', 'seal1', 'seal2'],
      films: [{ stage: 'coat', film: 'chosen', coats: figure(1, 'count', 'P') }, { stage: 'over-coat', film: 'light', coats: figure(1, 'count', 'E') }, { stage: 'seal1', film: 'light', coats: figure(1, 'count', 'P') }, { stage: 'seal2', film: 'light', coats: figure(1, 'count', 'P') }],
      held: figure(4, 'ml', 'E'), waste: figure(0.15, 'share', 'E'), share: { by: 'pair', options: ['each', 'pair', 'table'] }, bag: 'Lidded pot of decoupage glue, labelled',
    },
    { material: 'white-paint', note: 'two coats, by staff', basis: 'area', films: [{ stage: 'paint', film: 'light', coats: figure(2, 'count', 'E') }], held: figure(10, 'ml', 'E'), waste: figure(0.15, 'share', 'E'), share: { by: 'room', options: ['room'] }, stages: ['paint'], optional: true },
    { material: 'colour-paint', note: 'two thin coats, by staff', basis: 'area', films: [{ stage: 'paint-colour', film: 'light', coats: figure(2, 'count', 'E') }], held: figure(10, 'ml', 'E'), waste: figure(0.15, 'share', 'E'), share: { by: 'room', options: ['room'] }, stages: ['paint-colour'], optional: true },
    { material: 'gesso', note: 'one thin coat, by staff', basis: 'area', films: [{ stage: 'prime', film: 'light', coats: figure(1, 'count', 'E') }], held: figure(10, 'ml', 'E'), waste: figure(0.15, 'share', 'E'), share: { by: 'room', options: ['room'] }, stages: ['prime'], optional: true },
    { material: 'varnish', note: 'water-based, acrylic', basis: 'area', films: [{ stage: 'seal1', film: 'light', coats: figure(1, 'count', 'P') }, { stage: 'seal2', film: 'light', coats: figure(1, 'count', 'P') }], held: figure(4, 'ml', 'E'), waste: figure(0.15, 'share', 'E'), share: { by: 'table', options: ['pair', 'table'] }, stages: ['seal1', 'seal2'], optional: true, bag: 'Lidded pot of varnish, labelled' },
    { material: 'clear-spray', note: 'outdoors, by an adult', basis: 'area', films: [{ stage: 'seal1', film: 'light', coats: figure(1, 'count', 'P') }, { stage: 'seal2', film: 'light', coats: figure(1, 'count', 'P') }], held: figure(0, 'ml', 'E'), waste: figure(0.4, 'share', 'E'), share: { by: 'room', options: ['room'] }, stages: ['seal1', 'seal2'], optional: true },
    { material: 'foam-brush', note: '25 mm, used on both days', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['coat', 'seal1', 'seal2'], share: { by: 'each', options: ['each', 'pair', 'table'] }, bag: 'Foam brush' },
    { material: 'cup', note: 'for the medium', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['coat', 'seal1'], share: { by: 'pair', options: ['each', 'pair', 'table'] }, durable: true },
    { material: 'sandpaper', note: 'a quarter sheet, fine', basis: 'person', amount: figure(0.25, 'count', 'E'), stages: ['sand'], share: { by: 'each', options: ['each', 'pair', 'table'] } },
    { material: 'press-card', note: 'old plastic card or squeegee', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['lay'], share: { by: 'pair', options: ['each', 'pair', 'table', 'stagger'] }, durable: true, bag: 'Old card, to press with' },
    { material: 'trimmer', note: 'with a rail', basis: 'room', amount: figure(1, 'count', 'E'), stages: ['trim'], durable: true },
    { material: 'baking-paper', note: 'under each piece', basis: 'length', per: 'blank', amount: figure(250, 'mm', 'E'), stages: ['shelve'], bag: 'Baking paper' },
    { material: 'cloth', note: 'wrung out, to wet', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['wet'], share: { by: 'pair', options: ['each', 'pair', 'table'] }, durable: true, bag: 'Cloth' },
    { material: 'sponge', note: 'scrub side, wrung out', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['rub1'], share: { by: 'pair', options: ['each', 'pair', 'table'] }, durable: true, optional: true },
    { material: 'basin', note: 'warm water', basis: 'table', amount: figure(1, 'count', 'P'), stages: ['wet'], share: { by: 'table', options: ['table', 'stagger'] }, durable: true },
    { material: 'pulp-bin', note: 'for the paper crumbs', basis: 'table', amount: figure(1, 'count', 'P'), stages: ['rub1', 'rub2'], durable: true },
    { material: 'cord', note: 'to hang', basis: 'length', per: 'piece', amount: figure(400, 'mm', 'E'), stages: ['seal1', 'seal2'], onlyFor: ['plaque', 'ornament'], bag: 'Cord' },
    { material: 'apron', note: '', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['sand', 'coat', 'wet', 'seal1'], durable: true },
    { material: 'table-cover', note: 'one a table, each day', basis: 'table', amount: figure(1, 'count', 'P'), stages: ['coat', 'wet'], durable: true },
  ],
  schools: [
    {
      id: 'ground', question: 'Ground', default: 'bare', why: 'White where the picture is pale: it would vanish into the wood.',
      options: [
        { id: 'white', name: 'white', believes: 'Painted first: whites stay, grain and stains are hidden.', usualFor: ['pale', 'clean'], notFor: ['canvas', 'muslin', 'journal', 'kraft', 'mat-board', 'slate'], effects: [{ kind: 'surface', surface: 'painted' }, { kind: 'include-stage', stage: 'paint' }, { kind: 'include-material', material: 'white-paint' }, { kind: 'whites', whites: 'white' }] },
        { id: 'bare', name: 'bare', believes: 'Rustic: whites become the wood.', effects: [] },
        { id: 'colour', name: 'coloured', believes: 'A pale colour under all: whites become that colour.', notFor: ['journal', 'mat-board', 'slate'], effects: [{ kind: 'surface', surface: 'painted' }, { kind: 'include-stage', stage: 'paint-colour' }, { kind: 'include-material', material: 'colour-paint' }] },
        { id: 'prepared', name: 'prepared', believes: 'A thin matt ground the day before: it drinks evenly, and whites stay.', notFor: ['canvas', 'muslin', 'journal', 'kraft', 'mat-board', 'slate'], effects: [{ kind: 'include-stage', stage: 'prime' }, { kind: 'include-material', material: 'gesso' }, { kind: 'whites', whites: 'white' }] },
      ],
    },
    {
      id: 'coat-where', question: 'Coat the', default: 'surface', why: 'Evener, and the print stays flat.',
      options: [
        { id: 'surface', name: 'surface', believes: 'Evener, the print stays flat.', effects: [] },
        { id: 'print', name: 'print', believes: 'Easy at a child’s seat, and on small or curved pieces.', usualFor: ['under-8', '8-12', 'stone', 'ornament'], effects: [{ kind: 'minutes', stage: 'coat', figure: figure(5, 'min', 'E') }, { kind: 'cues', stage: 'coat', pass: 'Print evenly wet to its edges, its back clean.', fail: 'Missed spots, or medium on the back.' }] },
        { id: 'both', name: 'both', believes: 'A double coat: for thirsty wood, and where nothing may be missed.', effects: [{ kind: 'minutes', stage: 'coat', figure: figure(7, 'min', 'E') }, { kind: 'coats', material: 'decoupage-glue', stage: 'coat', coats: figure(2, 'count', 'P') }] },
      ],
    },
    {
      id: 'thickness', question: 'How thick', default: 'moderate', why: 'Even matters most.',
      options: [
        { id: 'light', name: 'light', believes: 'Dries fast; a missed spot is a blank. Stone wants no more.', usualFor: ['slate'], effects: [{ kind: 'coat', coat: 'light' }] },
        { id: 'moderate', name: 'moderate', believes: 'Even and moderate.', effects: [{ kind: 'coat', coat: 'moderate' }] },
        { id: 'generous', name: 'generous', believes: 'Wood and canvas drink it; what oozes out is wiped off.', usualFor: ['plywood', 'pine', 'cedar', 'panel', 'canvas', 'muslin'], effects: [{ kind: 'coat', coat: 'generous' }] },
        { id: 'heavy', name: 'heavy', believes: 'So thick that the picture nearly disappears.', effects: [{ kind: 'coat', coat: 'heavy' }] },
      ],
    },
    {
      id: 'wait', question: 'Wait', default: '24 h', why: '10 h was tried and was worse; a day forgives.',
      options: [
        { id: '12 h', name: '12 h', believes: 'Overnight is enough in a warm dry room.', effects: [{ kind: 'recommended-cure', figure: figure(720, 'min', 'P') }] },
        { id: '24 h', name: '24 h', believes: 'A full day: the paper goes, the ink stays.', effects: [] },
      ],
    },
    {
      id: 'wetting', question: 'Wet it', default: 'damp', why: 'Water lifts ink; damp is enough on a hard surface.',
      options: [
        { id: 'damp', name: 'barely damp', believes: 'A wrung-out cloth on top: water lifts ink.', effects: [] },
        { id: 'soak', name: 'soaked through', believes: 'The paper rolls off sooner; the piece must dry right through before its coat.', effects: [
          { kind: 'minutes', stage: 'wet', figure: figure(8, 'min', 'E') },
          { kind: 'minutes', stage: 'rub1', figure: figure(9, 'min', 'E') },
          { kind: 'minutes', stage: 'dry', figure: figure(60, 'min', 'E') },
          { kind: 'home-step', stage: 'dry', step: { title: 'Dry it through', few: 'At least an hour, until it no longer feels cool.', more: 'It was soaked: let it dry through, not only on top, for at least an hour and until it no longer feels cool. Sealed damp, the coat clouds.' } },
        ] },
      ],
    },
    {
      id: 'rub-with', question: 'Rub with', default: 'finger', why: 'Feels the paper and adds no water.',
      options: [
        { id: 'finger', name: 'finger', believes: 'Feels the paper, adds no water.', effects: [] },
        { id: 'cloth', name: 'cloth', believes: 'Faster in round 1 of large pieces; takes ink more easily.', usualFor: ['large'], effects: [
          { kind: 'minutes', stage: 'rub1', figure: figure(9, 'min', 'E') },
          { kind: 'home-step', stage: 'rub1', step: { title: 'Rub', few: 'A damp cloth over one finger, soft circles. Sticky? Stop.', more: 'A damp cloth over one finger, soft circles from the middle out. Colour on the cloth means stop.' } },
        ] },
        { id: 'sponge', name: 'scrub sponge', believes: 'Quickest, and the hardest on the ink: round 1 of large pieces only.', effects: [
          { kind: 'minutes', stage: 'rub1', figure: figure(7, 'min', 'E') },
          { kind: 'include-material', material: 'sponge' },
          { kind: 'home-step', stage: 'rub1', step: { title: 'Rub', few: 'Wrung-out scrub sponge, feather-light circles. Colour on it? Stop.', more: 'A wrung-out scrub sponge in feather-light circles, only for the first layer. Colour on the sponge means stop.' } },
        ] },
      ],
    },
    laterWaterSchool,
    hazeSchool,
    mirrorSchool,
    {
      id: 'seal-when', question: 'Seal it', default: 'dry', why: 'Haze shows only when dry.',
      options: [
        { id: 'dry', name: 'after a dry look', believes: 'Haze shows only when dry, and a damp piece clouds its coat.', effects: [] },
        { id: 'damp', name: 'while damp', believes: 'Saves the wait; what haze is left is sealed in.', effects: [
          { kind: 'minutes', stage: 'dry', figure: figure(5, 'min', 'E') },
          { kind: 'cues', stage: 'dry', pass: 'Damp, no drops, nothing to feel.', fail: 'Soaked through: the coat would cloud, wait until it is dry.' },
          { kind: 'home-step', stage: 'dry', step: { title: 'Pat it', few: 'Damp, no drops. Soaked through? Dry it first.', more: 'Pat it until it is damp without drops. If it was soaked through, dry it until it no longer feels cool: sealed wet, the coat clouds.' } },
        ] },
      ],
    },
    {
      id: 'rounds', question: 'Rounds', default: '2', why: 'Two are usual; haze left after drying asks for a third.',
      options: [
        { id: '1', name: '1', believes: 'The top coat hides the rest; worn is the charm.', usualFor: ['worn'], effects: [{ kind: 'rounds', rounds: 1 }] },
        { id: '2', name: '2', believes: 'Usual.', effects: [{ kind: 'rounds', rounds: 2 }] },
        { id: '3', name: '3', believes: 'Time planned for leftover haze.', usualFor: ['clean'], effects: [{ kind: 'rounds', rounds: 3 }] },
      ],
    },
    {
      id: 'layers', question: 'Transfers', default: 'one', why: 'A second picture over the first is a third sitting.',
      options: [
        { id: 'one', name: 'one', believes: 'One picture a piece.', effects: [] },
        { id: 'second', name: 'a second over the first', believes: 'Lettering or a motif over a dry first picture; another night between.', effects: [
          { kind: 'layers', layers: 2 }, { kind: 'include-stage', stage: 'over-coat' }, { kind: 'include-stage', stage: 'over-lay' }, { kind: 'include-stage', stage: 'over-rub' },
        ] },
      ],
    },
    {
      id: 'coats', question: 'Top coats', default: '1', why: 'One thin coat is the rule.',
      options: [
        { id: '1', name: 'one', believes: 'Thin, edge to edge: enough indoors.', effects: [] },
        { id: '2', name: 'two', believes: 'Glossier and tougher; the first dries before the second.', effects: [{ kind: 'include-stage', stage: 'seal2' }, { kind: 'not-done', stage: 'seal1' }] },
      ],
    },
    {
      id: 'top-coat', question: 'Top coat', default: 'brushed', why: 'Indoors with a group.',
      options: [
        { id: 'brushed', name: 'brushed', believes: 'Indoors, at a table, by everybody.', effects: [] },
        { id: 'spray', name: 'spray', believes: 'Clearer, no brush lines; outdoors, by an adult.', effects: [
          { kind: 'minutes', stage: 'seal1', figure: figure(1, 'min', 'E') }, { kind: 'minutes', stage: 'seal2', figure: figure(1, 'min', 'E') }, { kind: 'caution', stage: 'seal1', caution: 'spray' }, { kind: 'caution', stage: 'seal2', caution: 'spray' }, { kind: 'include-material', material: 'clear-spray' }, { kind: 'exclude-film', material: 'decoupage-glue', stage: 'seal1' }, { kind: 'exclude-film', material: 'decoupage-glue', stage: 'seal2' },
          { kind: 'home-step', stage: 'seal1', step: { title: 'Seal it', few: 'An adult sprays one thin coat outdoors. Dry at least 30 minutes.', more: 'An adult sprays one thin coat outdoors, away from flames. Let it dry by touch and label, at least 30 minutes.' } },
        ] },
        { id: 'varnish', name: 'varnish', believes: 'Water-based acrylic varnish; an exterior one for pieces under cover outdoors.', effects: [
          { kind: 'include-material', material: 'varnish' }, { kind: 'exclude-film', material: 'decoupage-glue', stage: 'seal1' }, { kind: 'exclude-film', material: 'decoupage-glue', stage: 'seal2' },
          { kind: 'caution', stage: 'seal1', caution: 'rinse' },
        ] },
        { id: 'none', name: 'none', believes: 'Left bare, or sealed at home with what the owner likes.', effects: [{ kind: 'exclude-stage', stage: 'dry' }, { kind: 'exclude-stage', stage: 'seal1' }, { kind: 'exclude-stage', stage: 'seal2' }] },
      ],
    },
  ],
  samples: [
    { id: 'pressed', name: 'just pressed', after: 'lay' },
    { id: 'cured', name: 'cured, unrubbed', after: 'shelve' },
    { id: 'hazy', name: 'hazy after round 1', after: 'look1' },
    { id: 'finished', name: 'finished', after: 'seal1' },
  ],
  faults: [
    { seen: 'haze stays', now: 'one more round, less water', next: 'plan a second round; look only when dry' },
    { seen: 'bald spot', now: 'patch from the spare print', next: 'press from the middle; look against the light' },
    { seen: 'ink lifts', now: 'stop, dry longer, go lighter', next: 'longer cure, lighter hand' },
    { seen: 'paper sticks', now: 'fine sandpaper, patience', next: 'wipe the back at once; thinner paper' },
    { seen: 'cloudy coat', now: 'dry it through, a thin second coat', next: 'thin coats on a dry piece' },
  ],
  care: ['Keep it indoors, or under cover with an exterior varnish.', 'Not for food, heat or the dishwasher.', 'Follow the label on the pot.'],
}
