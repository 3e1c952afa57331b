/** One side of a cue, drawn: which drawing, and the one word under it. */
export interface Swatch {
  drawing: string
  word: string
}
export interface CueSwatches {
  pass: Swatch
  fail: Swatch
}

const cue = (pass: string, passWord: string, fail: string, failWord: string): CueSwatches => ({
  pass: { drawing: pass, word: passWord },
  fail: { drawing: fail, word: failWord },
})

/** What a stage that went right and one that went wrong look like, by the stage's id. Stages whose cue cannot be seen, or that
 *  a house made for itself, have none. */
const swatches: Record<string, CueSwatches> = {
  print: cue('finger', 'stays', 'runs', 'smears'),
  carrier: cue('margin', 'flat', 'wrinkles', 'creased'),
  trim: cue('margin', 'margin', 'edge', 'cut off'),
  tape: cue('overlap', 'overlaps', 'seam', 'gaps'),
  burnish: cue('dark', 'dark', 'bald', 'blotchy'),
  soak: cue('through', 'shows', 'stays', 'holds'),
  wet: cue('through', 'shows', 'stays', 'dry spot'),
  scuff: cue('through', 'drinks', 'stays', 'shut'),
  mist: cue('wet', 'damp', 'wrinkles', 'wrinkled'),
  paint: cue('plain', 'even', 'cloudy', 'streaks'),
  'paint-colour': cue('plain', 'even', 'cloudy', 'streaks'),
  prime: cue('plain', 'even', 'cloudy', 'ridges'),
  'over-coat': cue('wet', 'even', 'runs', 'smears'),
  'over-lay': cue('flat', 'flat', 'wrinkles', 'bubbles'),
  'over-rub': cue('flat', 'clear', 'lifts', 'colour'),
  choose: cue('close', 'close', 'edge', 'cut off'),
  'edge-outline': cue('close', 'close', 'margin', 'wide rim'),
  'edge-tear': cue('flat', 'soft', 'torn', 'too far'),
  'edge-fade': cue('flat', 'soft', 'bald', 'bald'),
  'finish-letters': cue('flat', 'level', 'goop', 'ooze'),
  'finish-stain': cue('plain', 'even', 'runs', 'creeps'),
  'finish-backing': cue('flat', 'flat', 'wrinkles', 'bubbles'),
  coat: cue('wet', 'even', 'bald', 'missed'),
  lay: cue('flat', 'flat', 'wrinkles', 'wrinkled'),
  shelve: cue('flat', 'clean', 'goop', 'ooze'),
  peel: cue('corner', 'parts', 'lifts', 'lifts'),
  lift: cue('flat', 'whole', 'torn', 'torn'),
  rub1: cue('crumbs', 'rolls off', 'lifts', 'colour'),
  look1: cue('haze', 'haze shows', 'wet', 'still wet'),
  look2: cue('haze', 'haze shows', 'wet', 'still wet'),
  rub2: cue('flat', 'clear', 'lifts', 'lifts'),
  rub3: cue('flat', 'clear', 'bald', 'bald'),
  dry: cue('flat', 'dry', 'cloudy', 'clouds'),
  seal: cue('gloss', 'clear', 'cloudy', 'cloudy'),
  seal1: cue('gloss', 'clear', 'cloudy', 'cloudy'),
  seal2: cue('gloss', 'clear', 'cloudy', 'cloudy'),
  mount: cue('flat', 'holds', 'lets-go', 'lets go'),
  tack: cue('flat', 'holds', 'lets-go', 'lets go'),
  warm: cue('beads', 'beads', 'drips', 'drips'),
  set: cue('flat', 'hard', 'finger', 'prints'),
  wrap: cue('flat', 'tight', 'wrinkles', 'slack'),
  fix: cue('flat', 'stays', 'runs', 'runs'),
}

/** Where a method wants something else of a stage than the others do. */
const ofMethod: Record<string, Record<string, CueSwatches>> = {
  'wax-tissue': { trim: cue('close', 'close', 'margin', 'wide rim') },
}

export const swatchesOf = (stage: string, method = ''): CueSwatches | undefined => ofMethod[method]?.[stage] ?? swatches[stage]
