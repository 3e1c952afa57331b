import type { Cause } from './shapes'

const rubbed = ['rub1']

/** What can have done it, with what speaks for and against, what to do now and what next time. Practice (P); weights E. */
export const causes: Cause[] = [
  {
    id: 'paper-left', name: 'Paper is left', stages: rubbed, mark: 'P', explains: { haze: 3 },
    evidence: [
      { weight: 2, said: 'fewer rounds than usual', when: { fact: 'rounds', below: 2 } },
      { weight: 1, said: 'wetted, it goes: pulp drinks', answer: { question: 'still-white', is: 'goes' } },
      { weight: -3, said: 'wetted, it stays: the coat is milky', answer: { question: 'still-white', is: 'stays' } },
      { weight: 1, said: 'water in later rounds hid it', when: { fact: 'laterWater', is: 'a little' } },
    ],
    now: 'Another round with less water, once it is dry.', next: 'Plan the second round; look only when dry.',
  },
  {
    id: 'bubble', name: 'Bubble or missed spot', stages: ['lay'], mark: 'P', explains: { bald: 3 },
    evidence: [
      { weight: 2, said: 'the edge of the spot is sharp', answer: { question: 'spot-edge', is: 'sharp' } },
      { weight: -2, said: 'the edge is ragged', answer: { question: 'spot-edge', is: 'ragged' } },
      { weight: 1, said: 'ink around it is whole', answer: { question: 'around', is: 'whole' } },
      { weight: 1, said: 'the coat was light', when: { fact: 'coat', is: 'light' } },
      { weight: -1, said: 'the coat was even and full', when: { fact: 'coat', is: 'generous' } },
    ],
    now: 'Patch it with the same piece cut from the spare print.', next: 'Press from the middle out, then look against the light.',
  },
  {
    id: 'unburnished', name: 'Not burnished there', stages: ['burnish'], mark: 'P', explains: { bald: 3, pale: 1 },
    evidence: [
      { weight: 2, said: 'the edge of the spot is sharp', answer: { question: 'spot-edge', is: 'sharp' } },
      { weight: -1, said: 'the edge is ragged', answer: { question: 'spot-edge', is: 'ragged' } },
      { weight: 1, said: 'there are seams: corners are missed', when: { fact: 'seams', atLeast: 1 } },
    ],
    now: 'Make another from the spare print.', next: 'Burnish in two directions, seams and corners again.',
  },
  {
    id: 'dried-coat', name: 'The coat dried before the print was down', stages: ['mist', 'peel'], mark: 'P', explains: { bald: 2, wrinkles: 1 },
    evidence: [
      { weight: 2, said: 'a thin coat dries in minutes', when: { fact: 'coat', is: 'light' } },
      { weight: 1, said: 'a dry room', when: { fact: 'humidity', below: 35 } },
      { weight: -1, said: 'the coat was generous', when: { fact: 'coat', is: 'generous' } },
    ],
    now: 'Patch it from the spare print.', next: 'Everything within reach, then quick and wet to the edges.',
  },
  {
    id: 'too-hard', name: 'Rubbed too hard', stages: rubbed, mark: 'P', explains: { bald: 2, lifts: 2 },
    evidence: [
      { weight: 2, said: 'the edge is ragged', answer: { question: 'spot-edge', is: 'ragged' } },
      { weight: -2, said: 'the edge of the spot is sharp', answer: { question: 'spot-edge', is: 'sharp' } },
      { weight: 2, said: 'ink around it is thin', answer: { question: 'around', is: 'thin' } },
      { weight: -2, said: 'ink around it is whole', answer: { question: 'around', is: 'whole' } },
      { weight: 1, said: 'a scrub sponge was used', when: { fact: 'rubWith', is: 'sponge' } },
      { weight: 1, said: 'it is in one place', answer: { question: 'where', is: 'one place' } },
    ],
    now: 'Stop there. Wear the other edges to match.', next: 'A lighter hand; go lightest on faces.',
  },
  {
    id: 'too-wet', name: 'Too wet', stages: rubbed, mark: 'P', explains: { lifts: 2, bald: 1 },
    evidence: [
      { weight: 2, said: 'it was soaked through', when: { fact: 'wetting', is: 'soak' } },
      { weight: -2, said: 'it was only dampened', when: { fact: 'wetting', is: 'damp' } },
      { weight: 1, said: 'water was added in later rounds', when: { fact: 'laterWater', is: 'a little' } },
      { weight: 1, said: 'it is all over', answer: { question: 'where', is: 'all over' } },
    ],
    now: 'Stop, let it dry, go on with nearly dry fingertips.', next: 'A wrung-out cloth; no water after round 1.',
  },
  {
    id: 'too-soon', name: 'Rubbed too soon', stages: ['shelve'], mark: 'P', explains: { lifts: 3, bald: 1 },
    evidence: [
      { weight: 3, said: 'it waited less than the least', when: { fact: 'cureShare', below: 1 } },
      { weight: -3, said: 'it waited the least and more', when: { fact: 'cureShare', atLeast: 1 } },
      { weight: 1, said: 'less than recommended', when: { fact: 'cureShareBetter', below: 1 } },
      { weight: -1, said: 'as long as recommended', when: { fact: 'cureShareBetter', atLeast: 1 } },
      { weight: 1, said: 'it is all over', answer: { question: 'where', is: 'all over' } },
    ],
    now: 'Stop, let it dry and wait a day longer.', next: 'The whole wait; longer for thick coats and damp rooms.',
  },
  {
    id: 'peeled-early', name: 'Peeled too early', stages: ['peel'], mark: 'P', explains: { lifts: 3 },
    evidence: [
      { weight: 3, said: 'before 3 minutes', answer: { question: 'peeled', is: 'early' } },
      { weight: -3, said: 'in its window', answer: { question: 'peeled', is: 'in time' } },
      { weight: -3, said: 'later than 5 minutes', answer: { question: 'peeled', is: 'late' } },
    ],
    now: 'Press it back, wait a minute, try the corner.', next: 'Corner test before the peel.',
  },
  {
    id: 'peeled-late', name: 'Peeled too late', stages: ['peel'], mark: 'P', explains: { stays: 3 },
    evidence: [
      { weight: 3, said: 'later than 5 minutes', answer: { question: 'peeled', is: 'late' } },
      { weight: -3, said: 'in its window', answer: { question: 'peeled', is: 'in time' } },
      { weight: -3, said: 'before 3 minutes', answer: { question: 'peeled', is: 'early' } },
      { weight: 1, said: 'a hot or dry room', when: { fact: 'celsius', atLeast: 26 } },
    ],
    now: 'Clean it with damp fingertips, today or in some weeks.', next: 'A timer in sight; test the corner at 3 minutes.',
  },
  {
    id: 'medium-on-back', name: 'Medium on the paper’s back', stages: ['lay'], mark: 'P', explains: { stays: 3, haze: 1 },
    evidence: [
      { weight: 3, said: 'its back is shiny', answer: { question: 'back', is: 'shiny' } },
      { weight: -2, said: 'its back is dull', answer: { question: 'back', is: 'dull' } },
      { weight: 1, said: 'it is in one place', answer: { question: 'where', is: 'one place' } },
      { weight: 1, said: 'a thick coat oozes', when: { fact: 'coat', is: 'heavy' } },
    ],
    now: 'Fine sandpaper and patience.', next: 'Wipe ooze at once; nothing on the back.',
  },
  {
    id: 'heavy-paper', name: 'Too heavy a paper', stages: rubbed, mark: 'P', explains: { stays: 2, haze: 1 },
    evidence: [
      { weight: 3, said: 'heavier than 90 g/m²', when: { fact: 'gsm', atLeast: 91 } },
      { weight: -3, said: 'copy paper up to 90 g/m²', when: { fact: 'gsm', below: 91 } },
      { weight: 1, said: 'it is all over', answer: { question: 'where', is: 'all over' } },
    ],
    now: 'Scuff it with fine sandpaper, more rounds.', next: 'Copy paper, 75 to 90 g/m².',
  },
  {
    id: 'coated-paper', name: 'Coated paper', stages: rubbed, mark: 'P', explains: { stays: 2 },
    evidence: [
      { weight: 3, said: 'the paper is coated', when: { fact: 'coated', is: true } },
      { weight: -3, said: 'the paper is plain', when: { fact: 'coated', is: false } },
    ],
    now: 'None: lay another on plain paper.', next: 'Plain paper; copy it first.',
  },
  {
    id: 'liquid-ink', name: 'Liquid ink', stages: rubbed, mark: 'P', explains: { runs: 3, lifts: 1 },
    evidence: [
      { weight: 2, said: 'printed with an inkjet', when: { fact: 'printer', is: 'inkjet' } },
      { weight: -3, said: 'printed with toner', when: { fact: 'printer', is: 'toner' } },
      { weight: 3, said: 'the smear test failed', when: { fact: 'smear', is: 'failed' } },
      { weight: -2, said: 'the smear test passed', when: { fact: 'smear', is: 'passed' } },
    ],
    now: 'None: redo it with toner, or a photocopy.', next: 'Toner; a wet finger over a corner first.',
  },
  {
    id: 'too-much-water', name: 'Too much water on the surface', stages: ['lift'], mark: 'P', explains: { runs: 3, doubled: 1 },
    evidence: [{ weight: 1, said: 'a damp room', when: { fact: 'humidity', atLeast: 65 } }],
    now: 'None: lay another.', next: 'Evenly wet, no puddles; fix it before it is touched.',
  },
  {
    id: 'not-mirrored', name: 'Not mirrored', mark: 'P', explains: { backwards: 3 },
    evidence: [
      { weight: 3, said: 'an odd number of flips', when: { fact: 'readsRight', is: false } },
      { weight: -3, said: 'the plan’s flips are even', when: { fact: 'readsRight', is: true } },
    ],
    now: 'None: redo it.', next: 'The orientation check before printing.',
  },
  {
    id: 'wrong-file', name: 'The file was turned already', mark: 'E', explains: { backwards: 2 },
    evidence: [
      { weight: 1, said: 'the plan’s flips are even', when: { fact: 'readsRight', is: true } },
      { weight: -2, said: 'an odd number of flips explains it', when: { fact: 'readsRight', is: false } },
    ],
    now: 'None: redo it.', next: 'Look at the proof sheet before all are printed.',
  },
  {
    id: 'few-pixels', name: 'Too few pixels for the size', mark: 'P', explains: { blocky: 3 },
    evidence: [
      { weight: 3, said: 'fewer than 150 an inch', when: { fact: 'dpi', below: 150 } },
      { weight: -3, said: '200 an inch and more', when: { fact: 'dpi', atLeast: 200 } },
    ],
    now: 'A smaller piece, or as it is.', next: 'The sharpness check: 200 an inch.',
  },
  {
    id: 'blurred-photo', name: 'The picture itself is blurred', mark: 'E', explains: { blocky: 2 },
    evidence: [
      { weight: 1, said: '200 an inch and more', when: { fact: 'dpi', atLeast: 200 } },
      { weight: -2, said: 'too few pixels explain it', when: { fact: 'dpi', below: 150 } },
    ],
    now: 'As it is.', next: 'Another picture; small prints forgive.',
  },
  {
    id: 'printer-margin', name: 'The printer could not reach it', mark: 'P', explains: { edge: 3 },
    evidence: [
      { weight: 3, said: 'larger than the printable area', when: { fact: 'insideMargin', is: false } },
      { weight: -3, said: 'it fits the printable area', when: { fact: 'insideMargin', is: true } },
    ],
    now: 'Reprint it smaller.', next: 'The margin check before printing.',
  },
  {
    id: 'trimmed-away', name: 'Trimmed into the picture', mark: 'E', explains: { edge: 2 },
    evidence: [{ weight: 1, said: 'it fits the printable area', when: { fact: 'insideMargin', is: true } }],
    now: 'Patch the edge from the spare print.', next: 'Rail down, cut on the mark.',
  },
  {
    id: 'butt-joint', name: 'Strips only touch', stages: ['tape'], mark: 'P', explains: { seam: 3 },
    evidence: [
      { weight: 2, said: 'the strips come apart', answer: { question: 'parts', is: 'apart' } },
      { weight: -3, said: 'the strips hold', answer: { question: 'parts', is: 'hold' } },
      { weight: 3, said: 'planned to overlap less than 8 mm', when: { fact: 'overlapMm', below: 8 } },
    ],
    now: 'Mount it with gloss medium.', next: 'Overlap by about 12 mm.',
  },
  {
    id: 'centred-seam', name: 'The seam runs down the middle', stages: ['tape'], mark: 'P', explains: { seam: 2 },
    evidence: [
      { weight: 2, said: 'the strips hold', answer: { question: 'parts', is: 'hold' } },
      { weight: 2, said: 'it lies near the middle', when: { fact: 'seamFromMiddle', below: 0.12 } },
      { weight: -2, said: 'it lies off the middle', when: { fact: 'seamFromMiddle', atLeast: 0.12 } },
      { weight: -3, said: 'there is no seam', when: { fact: 'seams', below: 1 } },
    ],
    now: 'As it is, or mount it with medium.', next: 'Slide the set, or take a wide film.',
  },
  {
    id: 'too-much-glue', name: 'Too much glue', stages: ['coat'], mark: 'P', explains: { goop: 3 },
    evidence: [
      { weight: 2, said: 'a heavy coat', when: { fact: 'coat', is: 'heavy' } },
      { weight: 1, said: 'a generous coat', when: { fact: 'coat', is: 'generous' } },
      { weight: -2, said: 'a light coat', when: { fact: 'coat', is: 'light' } },
      { weight: 1, said: 'it went on thick', answer: { question: 'coat-how', is: 'thick' } },
      { weight: -1, said: 'it went on thin', answer: { question: 'coat-how', is: 'thin' } },
    ],
    now: 'Wipe it, trim it once dry.', next: 'A measured coat; wipe ooze at once.',
  },
  {
    id: 'loose-ground', name: 'The ground itself was loose', stages: ['coat'], mark: 'E', explains: { goop: 1, bald: 1 },
    evidence: [
      { weight: 1, said: 'it was painted first', when: { fact: 'surface', is: 'painted' } },
      { weight: 1, said: 'the coat was light', when: { fact: 'coat', is: 'light' } },
    ],
    now: 'Seal the rim.', next: 'Sand loose bark and old paint off; never found paint.',
  },
  {
    id: 'thick-top-coat', name: 'Top coat too thick', stages: ['seal1', 'seal'], mark: 'P', explains: { cloudy: 2 },
    evidence: [
      { weight: 2, said: 'it went on thick', answer: { question: 'coat-how', is: 'thick' } },
      { weight: -2, said: 'it went on thin', answer: { question: 'coat-how', is: 'thin' } },
      { weight: -1, said: 'a spray goes on thin', when: { fact: 'topCoat', is: 'spray' } },
    ],
    now: 'A thin second coat of gloss once it is hard.', next: 'Two thin coats.',
  },
  {
    id: 'sealed-damp', name: 'Sealed before it was dry', stages: ['seal1', 'seal'], mark: 'P', explains: { cloudy: 2 },
    evidence: [
      { weight: 3, said: 'sealed while damp', when: { fact: 'sealWhen', is: 'damp' } },
      { weight: 2, said: 'it was damp under it', answer: { question: 'damp-coat', is: 'damp' } },
      { weight: -3, said: 'it was dry under it', answer: { question: 'damp-coat', is: 'dry' } },
      { weight: 1, said: 'it was soaked through', when: { fact: 'wetting', is: 'soak' } },
    ],
    now: 'Dry it in a warm airy place; the cloud may go.', next: 'Dry through first, at least 30 minutes.',
  },
  {
    id: 'humid-air', name: 'Damp air', stages: ['seal1', 'seal', 'fix'], mark: 'P', explains: { cloudy: 2 },
    evidence: [
      { weight: 2, said: 'above 65 % humidity', when: { fact: 'humidity', atLeast: 65 } },
      { weight: -3, said: 'the air was dry enough', when: { fact: 'humidity', below: 60 } },
      { weight: 1, said: 'sprays cloud in damp air', when: { fact: 'topCoat', is: 'spray' } },
    ],
    now: 'A thin second coat of gloss on a dry day.', next: 'Thin coats; spray outdoors on a dry day.',
  },
  {
    id: 'overlap', name: 'Tissue overlaps there', stages: ['warm'], mark: 'P', explains: { tissue: 2 },
    evidence: [
      { weight: 2, said: 'it shows at the overlap', answer: { question: 'tissue-where', is: 'overlap' } },
      { weight: -2, said: 'it shows all round', answer: { question: 'tissue-where', is: 'everywhere' } },
      { weight: 1, said: 'a whole band was wrapped', when: { fact: 'cut', is: 'band' } },
      { weight: -1, said: 'cut to its outline', when: { fact: 'cut', is: 'outline' } },
    ],
    now: 'More heat there, always moving.', next: 'Trim the overlaps.',
  },
  {
    id: 'little-heat', name: 'Too little heat', stages: ['warm'], mark: 'P', explains: { tissue: 2 },
    evidence: [
      { weight: 2, said: 'it shows all round', answer: { question: 'tissue-where', is: 'everywhere' } },
      { weight: -1, said: 'it shows at the overlap', answer: { question: 'tissue-where', is: 'overlap' } },
      { weight: 1, said: 'a hair dryer is gentle', when: { fact: 'heatBy', is: 'hair dryer' } },
    ],
    now: 'A section again, until the wax beads.', next: 'Wait for the edge to disappear before you move on.',
  },
  {
    id: 'held-still', name: 'The heat stood still', stages: ['warm'], mark: 'P', explains: { drips: 3 },
    evidence: [{ weight: 1, said: 'a heat tool is quick', when: { fact: 'heatBy', is: 'heat tool' } }],
    now: 'Roll the warm candle on a mat.', next: 'Always moving; wrap tighter.',
  },
  {
    id: 'lifted-late', name: 'Lifted too late', stages: ['lift'], mark: 'P', explains: { torn: 3 },
    evidence: [
      { weight: 2, said: 'after a while', answer: { question: 'lifted', is: 'late' } },
      { weight: -2, said: 'at once', answer: { question: 'lifted', is: 'at once' } },
    ],
    now: 'Keep it, or redo it.', next: 'Lift promptly.',
  },
  {
    id: 'weak-paper', name: 'The paper is too weak', stages: ['lift'], mark: 'E', explains: { torn: 2 },
    evidence: [
      { weight: 1, said: 'lifted at once', answer: { question: 'lifted', is: 'at once' } },
      { weight: 1, said: 'a journal page is thin', when: { fact: 'material', is: 'journal' } },
    ],
    now: 'Keep it, or redo it.', next: 'Heavier, smooth paper; or bare wood.',
  },
  {
    id: 'moved', name: 'It was moved once laid', stages: ['lift'], mark: 'P', explains: { doubled: 3 }, evidence: [],
    now: 'Lay another.', next: 'Lay once and press; do not move it.',
  },
  {
    id: 'dry-surface', name: 'The surface was too dry', stages: ['lift'], mark: 'P', explains: { pale: 2 },
    evidence: [
      { weight: 1, said: 'a dry room', when: { fact: 'humidity', below: 40 } },
      { weight: 1, said: 'it is in one place', answer: { question: 'where', is: 'one place' } },
    ],
    now: 'Lay a second print over it.', next: 'Evenly wet, a shine all over.',
  },
  {
    id: 'draft-print', name: 'Printed below best quality', stages: ['lift'], mark: 'P', explains: { pale: 2 },
    evidence: [{ weight: 1, said: 'it is all over', answer: { question: 'where', is: 'all over' } }],
    now: 'Lay a second print over it.', next: 'Best quality, rough side.',
  },
  {
    id: 'dry-print', name: 'A dry print on a wet coat', stages: ['lay'], mark: 'P', explains: { wrinkles: 3 },
    evidence: [
      { weight: 2, said: 'the print was dry', answer: { question: 'misted', is: 'dry' } },
      { weight: -3, said: 'the print was misted', answer: { question: 'misted', is: 'misted' } },
      { weight: 1, said: 'a thick coat is wetter', when: { fact: 'coat', is: 'heavy' } },
    ],
    now: 'Press while it is wet.', next: 'Mist the print first.',
  },
  {
    id: 'cedar', name: 'The wood itself: cedar', stages: ['lay'], mark: 'P', explains: { wrinkles: 2 },
    evidence: [
      { weight: 3, said: 'it is cedar', when: { fact: 'material', is: 'cedar' } },
      { weight: -3, said: 'it is not cedar', when: { fact: 'material', isNot: 'cedar' } },
    ],
    now: 'Press while it is wet, and look again.', next: 'Plywood forgives most.',
  },
  {
    id: 'still-wet', name: 'Not dry yet', stages: ['tack'], mark: 'P', explains: { 'lets-go': 3 }, evidence: [],
    now: 'Dry it longer, sticky side up; a glue stick at the edges.', next: 'About 10 minutes; pat, do not wipe.',
  },
  {
    id: 'lint', name: 'A towel lay on the tack', stages: ['tack'], mark: 'P', explains: { 'lets-go': 2 }, evidence: [],
    now: 'Mount it with gloss medium.', next: 'Never lay a towel on the sticky face.',
  },
  {
    id: 'coat-wider', name: 'The coat was wider than the picture', stages: ['coat'], mark: 'P', explains: { outline: 3 },
    evidence: [
      { weight: 1, said: 'the top coat covers only the picture', answer: { question: 'coat-over', is: 'picture' } },
      { weight: 1, said: 'no top coat hides it', answer: { question: 'coat-over', is: 'none' } },
      { weight: -2, said: 'a full top coat hides such a rim', answer: { question: 'coat-over', is: 'over all' } },
    ],
    now: 'A full top coat, edge to edge.', next: 'Coat to the picture’s edge, or top-coat the whole piece.',
  },
  {
    id: 'no-white-ground', name: 'A pale picture on bare ground', stages: ['lay'], mark: 'P', explains: { grain: 3 },
    evidence: [
      { weight: 2, said: 'the wood was bare', when: { fact: 'surface', is: 'porous' } },
      { weight: -3, said: 'it was painted white', when: { fact: 'surface', is: 'painted' } },
    ],
    now: 'Leave it as it is, or do it again on white.', next: 'A white ground under pale pictures, sanded smooth.',
  },
  {
    id: 'brushed-again', name: 'Gone over while it was drying', stages: ['seal1', 'seal'], mark: 'P', explains: { brush: 3 },
    evidence: [
      { weight: 2, said: 'a stroke was gone over again', answer: { question: 'again', is: 'again' } },
      { weight: -2, said: 'each stroke was left alone', answer: { question: 'again', is: 'once' } },
      { weight: -3, said: 'it was sprayed', when: { fact: 'topCoat', is: 'spray' } },
    ],
    now: 'Dry it, sand it with the finest paper, then one thin coat.', next: 'Thin coats, one way, and leave each stroke.',
  },
  {
    id: 'thick-coat-lines', name: 'The top coat was laid on thick', stages: ['seal1', 'seal'], mark: 'P', explains: { brush: 2, tacky: 1 },
    evidence: [
      { weight: 1, said: 'the coat was thick', answer: { question: 'coat-how', is: 'thick' } },
      { weight: -1, said: 'each stroke was gone over again: that does it alone', answer: { question: 'again', is: 'again' } },
    ],
    now: 'Dry it, sand it with the finest paper, then one thin coat.', next: 'Thin coats: what runs is too much.',
  },
  {
    id: 'glue-top-coat', name: 'Glue as a top coat, in damp air', stages: ['seal1', 'seal'], mark: 'P', explains: { tacky: 3 },
    evidence: [
      { weight: 1, said: 'damp air', when: { fact: 'humidity', atLeast: 60 } },
      { weight: -2, said: 'it was sprayed', when: { fact: 'topCoat', is: 'spray' } },
      { weight: -3, said: 'it was varnished', when: { fact: 'topCoat', is: 'varnish' } },
    ],
    now: 'Air and days; no talc on a picture.', next: 'Varnish instead, one thin coat.',
  },
  {
    id: 'stacked-soon', name: 'Stacked or wrapped too soon', stages: ['seal1', 'seal', 'fix'], mark: 'P', explains: { tacky: 2 },
    evidence: [
      { weight: 2, said: 'it lay stacked or wrapped', answer: { question: 'stacked', is: 'stacked' } },
      { weight: -3, said: 'it lay open', answer: { question: 'stacked', is: 'open' } },
    ],
    now: 'Open and flat, nothing on top, for days.', next: 'Open until it no longer feels cool; then it may be wrapped.',
  },
  {
    id: 'freehand', name: 'Laid freehand', stages: ['tape'], mark: 'P', explains: { 'off-centre': 3 },
    evidence: [
      { weight: -1, said: 'specks say more of dust', answer: { question: 'under-film', is: 'specks' } },
      { weight: 1, said: 'nothing is under it', answer: { question: 'under-film', is: 'nothing' } },
    ],
    now: 'Trim it square, or mount it smaller.', next: 'Tape the print to the table, then lay strip by strip.',
  },
  {
    id: 'static', name: 'Tape draws lint', stages: ['tape'], mark: 'P', explains: { 'off-centre': 2 },
    evidence: [
      { weight: 2, said: 'specks and hairs are under it', answer: { question: 'under-film', is: 'specks' } },
      { weight: -2, said: 'nothing is under it', answer: { question: 'under-film', is: 'nothing' } },
    ],
    now: 'Trim it away, or mount it smaller.', next: 'Wipe table and hands; pull tape slowly; no wool sleeves.',
  },
  {
    id: 'loose-edge', name: 'A loose leading edge', stages: ['carrier', 'wrap'], mark: 'P', explains: { jammed: 3 },
    evidence: [
      { weight: 2, said: 'its leading edge was loose', answer: { question: 'edges-glued', is: 'loose' } },
      { weight: -3, said: 'it was glued and dry', answer: { question: 'edges-glued', is: 'glued' } },
    ],
    now: 'Flatten it, glue the edge, print again.', next: 'Glue the leading edge round the carrier and let it dry.',
  },
  {
    id: 'wet-glue', name: 'Glue or ink still wet', stages: ['carrier', 'wrap'], mark: 'P', explains: { jammed: 2 },
    evidence: [
      { weight: 2, said: 'the glue was still wet', answer: { question: 'edges-glued', is: 'wet' } },
      { weight: -2, said: 'it was glued and dry', answer: { question: 'edges-glued', is: 'glued' } },
      { weight: 1, said: 'inkjet ink smears on tissue', when: { fact: 'printer', is: 'inkjet' } },
    ],
    now: 'Let it dry, then print on a fresh tissue.', next: 'Glue dry before it goes in; do not touch what comes out.',
  },
  {
    id: 'smooth-side', name: 'Printed on the smooth side', stages: ['lift'], mark: 'P', explains: { beads: 3 },
    evidence: [
      { weight: 2, said: 'the printed side is smooth', answer: { question: 'which-side', is: 'smooth' } },
      { weight: -3, said: 'the printed side is rough', answer: { question: 'which-side', is: 'rough' } },
    ],
    now: 'Wipe it clean and print again.', next: 'The rough side up, set to transparency, best quality.',
  },
  {
    id: 'wrong-setting', name: 'Too much ink for the sheet', stages: ['lift'], mark: 'E', explains: { beads: 2 },
    evidence: [{ weight: 2, said: 'the side was right', answer: { question: 'which-side', is: 'rough' } }],
    now: 'Let it dry flat, or wipe it and print again.', next: 'Set the printer to transparency, and let it dry before it is laid.',
  },
]
