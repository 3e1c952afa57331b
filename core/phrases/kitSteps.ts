/** What somebody is told who does a stage at home for the first time, from a kit to go: stages that are otherwise done in class, by method and
 *  stage. A stage that is not here is said as for home, or by its cues. Kept with the sheets: nothing else needs it. */
export const kitSteps: Readonly<Record<string, Readonly<Record<string, { title: string; few: string; more: string }>>>> = {
  'gesso-ground': {
    ready: {
      title: 'Lay all out',
      few: 'Print, brush, card, mist and cloth within reach: it goes fast.',
      more: 'Lay print, brush, card, mist and cloth within reach before you open the pot: from then on it is a race with drying.',
    },
    mist: {
      title: 'Mist the print',
      few: 'Mist the print’s back until it is limp, no drops.',
      more: 'Mist the back of the print until it is limp and even, without drops: a dry one wrinkles on wet gesso.',
    },
    coat: {
      title: 'One thin wet coat',
      few: 'Gesso on thin and quick, edge to edge.',
      more: 'Brush one thin coat of gesso on quickly, edge to edge. Dull patches mean that it dries: brush over them.',
    },
    lay: {
      title: 'Lay and press',
      few: 'Face down at once; card on smooth, cloth on texture. Wipe the back.',
      more: 'Lay the print face down at once and press from the middle out, with the card on smooth ground, with the cloth on texture. Wipe its back at once.',
    },
    shelve: {
      title: 'Leave it flat',
      few: 'Name on the back. Flat, face up, overnight, nothing on top.',
      more: 'Write a name on the back and leave it flat and face up overnight, with nothing on top, away from sun, heater, children and pets.',
    },
  },
  'medium-transfer': {
    coat: {
      title: 'Coat',
      few: 'Brush the glue over the piece, as large as the picture, edge to edge.',
      more: 'Pour a little out and brush it over the piece, a little larger than the picture, one way and then across, until it is even and wet from edge to edge.',
    },
    lay: {
      title: 'Lay and press',
      few: 'Print face down, once, then press from the middle out with the card.',
      more: 'Lay the print face down in one go; it cannot be lifted again. Press with the card from the middle out until no bubble is left, and wipe off what oozes. None on the paper’s back.',
    },
    shelve: {
      title: 'Leave it flat',
      few: 'Name on the back. Flat, face up, on baking paper, nothing on top.',
      more: 'Write a name on the back and leave it flat and face up on baking paper, with nothing on top, away from sun, heater, children and pets.',
    },
  },
  'quick-peel': {
    coat: {
      title: 'Coat',
      few: 'Medium on thick and even, edge to edge; a table laid ready first.',
      more: 'Have card and cloth ready. Brush the medium on generously and evenly, edge to edge: it must still be wet when the print comes down.',
    },
    lay: {
      title: 'Lay and press',
      few: 'Print face down at once, pressed hard from the middle out.',
      more: 'Lay the print face down at once and press hard with the card from the middle out. Wipe the back: medium on it keeps the paper on.',
    },
    peel: {
      title: 'Peel',
      few: 'Try a corner: the top layer parts? Peel it slowly, low.',
      more: 'Try a corner after three minutes. When the top layer of the paper parts from the lower, peel slowly and low over the surface; a layer stays. If ink lifts, wait a minute more.',
    },
  },
  'tape-film': {
    tape: {
      title: 'Tape',
      few: 'Strips over the picture, each over the last by a thumb’s width.',
      more: 'Hold each strip taut and lay it slowly over the picture, each over the last by about 12 mm. Tape that lies cannot be lifted.',
    },
    burnish: {
      title: 'Burnish',
      few: 'Rub hard with the card, two ways, seams and corners again.',
      more: 'Rub the tape down hard with the edge of the card, one way and then across, seams and corners once more: what is not pressed does not come over.',
    },
    trim: {
      title: 'Trim',
      few: 'Cut round it, a thin white margin left to hold.',
      more: 'Cut round the picture with scissors and leave a thin white margin: it keeps the tape off the blades.',
    },
  },
  'water-lift': {
    wet: {
      title: 'Wet the surface',
      few: 'Wet it well and evenly with cloth or brush, no puddles.',
      more: 'Wet the paper or wood well and evenly with a wrung-out cloth or brush, up to the edges, without puddles.',
    },
    lay: {
      title: 'Lay and press',
      few: 'Picture side down, once. Press with the card, don’t slide.',
      more: 'Hold it by its border, lay it picture side down in one go and press all over with the card. It must not slide.',
    },
    lift: {
      title: 'Lift',
      few: 'Lift a corner, then all of it, promptly and straight up.',
      more: 'Look under a corner; when the ink has gone over, lift promptly and straight up. Paper that waits grips and tears.',
    },
  },
}
