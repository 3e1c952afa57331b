import { figure } from '#core/reasons'
import type { Recipe } from '../shapes'

/** Wax tissue: printed or stamped tissue is wrapped round a candle and warmed until the wax has swallowed it. */
export const waxTissue: Recipe = {
  id: 'wax-tissue',
  version: 1,
  name: 'Wax tissue',
  summary: 'One sitting: wrap printed tissue round a candle and warm it until its edge disappears.',
  whites: 'surface',
  forgives: 'some',
  look: 'as if painted into the wax',
  print: { ink: 'any', paper: 'white tissue round a carrier sheet', laidFaceDown: false, leadingEdge: true, why: 'The tissue is laid ink side out: it reads as it was printed.' },
  surfaces: { candle: { fit: 'best', note: 'pale, smooth and wide', mark: 'P' } },
  rounds: { least: figure(0, 'count', 'P'), most: figure(0, 'count', 'P'), usual: figure(0, 'count', 'P') },
  show: figure(10, 'min', 'E'),
  words: { laid: 'Wrapped', sealed: 'Set' },
  stages: [
    {
      id: 'carrier', name: 'Glue tissue round carrier sheets', mayStop: true, attended: true, minutes: figure(20, 'min', 'E'), mayBe: ['ahead'],
      pass: 'Flat, a neat leading edge, glue only at the rim.', fail: 'A loose edge: it jams the printer.', cautions: [],
    },
    {
      id: 'print', name: 'Print', mayStop: true, makes: 'printed', attended: true, minutes: figure(25, 'min', 'E'), mayBe: ['ahead'],
      pass: 'Reads right, not mirrored; dry.', fail: 'Torn or smeared tissue.', cautions: [],
    },
    {
      id: 'stamp', name: 'Stamp the tissue', mayStop: true, makes: 'printed', attended: true, minutes: figure(10, 'min', 'E'), station: 'table', mayBe: ['session'], optional: true,
      pass: 'Even ink, dry to the touch.', fail: 'A second pull without ink is paler; wet ink smears in the wrap.', cautions: [],
      then: { least: figure(3, 'min', 'E'), why: 'Ink dries before the tissue is cut and wrapped.' },
    },
    {
      id: 'trim', name: 'Cut to the outline', mayStop: true, attended: true, minutes: figure(6, 'min', 'E'), station: 'table', mayBe: ['session', 'ahead'],
      pass: 'Close to the picture, no wide rim, overlaps trimmed.', fail: 'A wide rim: it shows longer.', cautions: ['scissors'],
    },
    {
      id: 'wrap', name: 'Place and wrap', makes: 'laid', attended: true, minutes: figure(3, 'min', 'E'), station: 'table', mayBe: ['session'],
      pass: 'Ink side out, tight in wax paper, no folds.', fail: 'Folds or a slack wrap.', cautions: [],
      then: { least: figure(0, 'min', 'P'), most: figure(60, 'min', 'E'), why: 'Wrapped tight it waits its turn.' },
    },
    {
      id: 'warm', name: 'Warm, a section at a time', mayStop: true, attended: true, minutes: figure(5, 'min', 'E'), station: 'heat tool', mayBe: ['session'],
      pass: 'Wax beads and the tissue’s edge disappears.', fail: 'Bubbles or drips: roll the warm candle on a mat.', cautions: ['heat', 'wax', 'mains', 'fuel'],
    },
    {
      id: 'set', name: 'Let it set', makes: 'sealed', mayStop: true, attended: false, minutes: figure(10, 'min', 'E'), station: 'rack', mayBe: ['session', 'home'],
      pass: 'Cool and hard; the wrap comes off clean.', fail: 'Soft: fingerprints stay.', cautions: ['wax'],
      home: { title: 'Let it set', few: 'Standing, until it is cool and hard.', more: 'Let it stand until it is cool and hard all round before it is packed or touched.' },
    },
  ],
  materials: [
    { material: 'blank', note: '', basis: 'blank', amount: figure(1, 'count', 'P'), stages: ['wrap'] },
    { material: 'print', note: 'tissue, not mirrored', basis: 'print', amount: figure(1, 'count', 'P'), stages: ['wrap'] },
    { material: 'tissue', note: 'white, plain', basis: 'sheet', amount: figure(1, 'count', 'P'), stages: ['carrier'] },
    { material: 'glue-stick', note: 'at the carrier’s rim', basis: 'room', amount: figure(1, 'count', 'E'), stages: ['carrier'] },
    { material: 'scissors', note: '', basis: 'person', amount: figure(1, 'count', 'P'), stages: ['trim'], share: { by: 'pair', options: ['each', 'pair', 'table', 'stagger'] }, durable: true },
    { material: 'wax-paper', note: 'or greaseproof', basis: 'length', per: 'blank', amount: figure(350, 'mm', 'E'), stages: ['wrap', 'warm'] },
    { material: 'heat-tool', note: 'an adult at each', basis: 'room', amount: figure(2, 'count', 'E'), stages: ['warm'], durable: true },
    { material: 'towel', note: 'round the holding hand', basis: 'room', amount: figure(2, 'count', 'E'), stages: ['warm'], durable: true },
    { material: 'mat', note: 'to roll a warm candle on', basis: 'room', amount: figure(2, 'count', 'E'), stages: ['warm'], durable: true },
    { material: 'table-cover', note: 'one a table', basis: 'table', amount: figure(1, 'count', 'P'), stages: ['trim'], durable: true },
  ],
  schools: [
    {
      id: 'picture-by', question: 'Picture by', default: 'printed', why: 'Photographs are wanted.',
      options: [
        { id: 'printed', name: 'printed', believes: 'Tissue round a carrier sheet goes through the printer.', effects: [] },
        { id: 'stamped', name: 'stamped', believes: 'No printer: everybody stamps their own in class.', effects: [
          { kind: 'no-print' }, { kind: 'exclude-stage', stage: 'carrier' }, { kind: 'exclude-stage', stage: 'print' }, { kind: 'include-stage', stage: 'stamp' },
          { kind: 'exclude-material', material: 'print' }, { kind: 'exclude-material', material: 'tissue' }, { kind: 'exclude-material', material: 'glue-stick' },
          { kind: 'add-material', use: { material: 'tissue-sheet', note: 'white, plain; a quarter sheet each, to try and to keep', basis: 'person', amount: figure(0.5, 'count', 'E'), stages: ['stamp'] } },
          { kind: 'add-material', use: { material: 'stamp', note: 'shared about the table', basis: 'person', amount: figure(1, 'count', 'E'), stages: ['stamp'], share: { by: 'pair', options: ['each', 'pair', 'table'] }, durable: true } },
          { kind: 'add-material', use: { material: 'ink-pad', note: 'water-based', basis: 'person', amount: figure(1, 'count', 'E'), stages: ['stamp'], share: { by: 'pair', options: ['each', 'pair', 'table'] }, durable: true } },
          { kind: 'add-material', use: { material: 'dauber', note: 'for colour between the lines', basis: 'person', amount: figure(1, 'count', 'E'), stages: ['stamp'], share: { by: 'pair', options: ['each', 'pair', 'table'] }, durable: true } },
        ] },
      ],
    },
    {
      id: 'cut', question: 'Picture', default: 'outline', why: 'A motif need not go round, several share a sheet, and its outline hides the tissue’s edge.',
      options: [
        { id: 'outline', name: 'a motif, cut to its outline', believes: 'Its edge disappears sooner.', effects: [] },
        { id: 'band', name: 'all the way round', believes: 'Quick to cut; the overlap needs longer under the heat.', effects: [{ kind: 'wrap' }, { kind: 'minutes', stage: 'trim', figure: figure(3, 'min', 'E') }, { kind: 'minutes', stage: 'warm', figure: figure(7, 'min', 'E') }] },
      ],
    },
    {
      id: 'heat-by', question: 'Heat by', default: 'heat tool', why: 'Melts a narrow section at once.',
      options: [
        { id: 'heat tool', name: 'heat tool', believes: 'Quick; always moving.', effects: [] },
        { id: 'hair dryer', name: 'hair dryer', believes: 'Gentler and slower; at hand in every house.', effects: [{ kind: 'exclude-material', material: 'heat-tool' }, { kind: 'add-material', use: { material: 'hair-dryer', note: 'an adult at each', basis: 'room', amount: figure(2, 'count', 'E'), stages: ['warm'], durable: true } }, { kind: 'minutes', stage: 'warm', figure: figure(9, 'min', 'E') }] },
      ],
    },
  ],
  samples: [
    { id: 'wrapped', name: 'wrapped, not warmed', after: 'wrap' },
    { id: 'finished', name: 'finished', after: 'set' },
  ],
  faults: [
    { seen: 'tissue won’t vanish', now: 'more heat, always moving', next: 'trim the overlaps' },
    { seen: 'bubbles or drips', now: 'roll the warm candle on a mat', next: 'move faster, wrap tighter' },
    { seen: 'folds', now: 'warm and press with the wrap', next: 'wrap tight from the middle' },
  ],
  care: ['Tissue and ink are fuel: for show, or burn only a wide candle, watched.', 'Keep it out of the sun and a hot car.'],
}
