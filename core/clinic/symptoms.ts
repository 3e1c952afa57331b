import type { Question, Symptom } from './shapes'

/** What is seen, described by look and by feel. */
export const symptoms: Symptom[] = [
  { id: 'haze', name: 'haze', look: 'White veil or specks once dry, gone when wet.', feel: 'Slightly furry.' },
  { id: 'bald', name: 'bald spot', look: 'A piece of the picture is missing, paper and ink.', feel: 'Smooth ground.' },
  { id: 'lifts', name: 'ink lifts', look: 'Ink comes off with the paper, colour on the finger.', feel: 'Slick or tacky.' },
  { id: 'stays', name: 'paper stays', look: 'Paper will not come off, white and whole.', feel: 'Like card, dry and hard.' },
  { id: 'runs', name: 'colours run', look: 'Colour in the water, outlines bleed.', feel: 'Wet as any other.' },
  { id: 'backwards', name: 'backwards', look: 'Lettering reads backwards.', feel: 'Nothing.' },
  { id: 'blocky', name: 'blocky', look: 'Soft edges, squares to be seen.', feel: 'Nothing.' },
  { id: 'edge', name: 'edge cut', look: 'An edge of the picture is missing in a straight line.', feel: 'Nothing.' },
  { id: 'seam', name: 'seam shows', look: 'A line across, or strips that come apart.', feel: 'A step under the nail.' },
  { id: 'goop', name: 'goop', look: 'Glue stands at the edge, bark or paint lifts.', feel: 'Rubbery rim.' },
  { id: 'cloudy', name: 'cloudy', look: 'The top coat is milky over the whole piece.', feel: 'Smooth, perhaps cool.' },
  { id: 'tissue', name: 'tissue shows', look: 'The tissue’s edge stays white on the candle.', feel: 'Papery.' },
  { id: 'torn', name: 'torn', look: 'The receiving paper’s face is torn.', feel: 'Rough.' },
  { id: 'wrinkles', name: 'wrinkles', look: 'Folds in the picture, with blanks along them.', feel: 'Ridges.' },
  { id: 'pale', name: 'pale', look: 'All of the picture is there, but faint.', feel: 'Nothing.' },
  { id: 'doubled', name: 'doubled', look: 'Every line is there twice.', feel: 'Nothing.' },
  { id: 'drips', name: 'bubbles, drips', look: 'Wax stands in bubbles or has run.', feel: 'Bumps.' },
  { id: 'lets-go', name: 'lets go', look: 'The film does not stick where it is put.', feel: 'Slippery or fluffy.' },
]

/** Closer looks that part one cause from another. */
export const questions: Question[] = [
  { id: 'spot-edge', ask: 'Its edge is', options: [{ id: 'sharp', name: 'sharp' }, { id: 'ragged', name: 'ragged' }], symptoms: ['bald'] },
  { id: 'around', ask: 'Ink around it', options: [{ id: 'whole', name: 'whole' }, { id: 'thin', name: 'thin' }], symptoms: ['bald', 'lifts'] },
  { id: 'where', ask: 'It is', options: [{ id: 'one place', name: 'in one place' }, { id: 'all over', name: 'all over' }], symptoms: ['lifts', 'stays', 'haze', 'pale'] },
  { id: 'back', ask: 'The paper’s back', options: [{ id: 'shiny', name: 'shiny' }, { id: 'dull', name: 'dull' }], symptoms: ['stays'] },
  { id: 'parts', ask: 'The strips', options: [{ id: 'apart', name: 'come apart' }, { id: 'hold', name: 'hold' }], symptoms: ['seam'] },
  { id: 'damp-coat', ask: 'Under the coat it was', options: [{ id: 'damp', name: 'damp' }, { id: 'dry', name: 'dry' }], symptoms: ['cloudy'] },
  { id: 'coat-how', ask: 'The coat went on', options: [{ id: 'thick', name: 'thick' }, { id: 'thin', name: 'thin' }], symptoms: ['cloudy', 'goop'] },
  { id: 'lifted', ask: 'It was lifted', options: [{ id: 'at once', name: 'at once' }, { id: 'late', name: 'after a while' }], symptoms: ['torn', 'pale'] },
  { id: 'peeled', ask: 'It was peeled', options: [{ id: 'early', name: 'before 3 min' }, { id: 'in time', name: '3 to 5 min' }, { id: 'late', name: 'later' }], symptoms: ['lifts', 'stays'] },
  { id: 'misted', ask: 'The print was', options: [{ id: 'misted', name: 'misted' }, { id: 'dry', name: 'dry' }], symptoms: ['wrinkles'] },
  { id: 'still-white', ask: 'Wetted, the haze', options: [{ id: 'goes', name: 'goes' }, { id: 'stays', name: 'stays' }], symptoms: ['haze', 'cloudy'] },
  { id: 'tissue-where', ask: 'It shows', options: [{ id: 'overlap', name: 'at the overlap' }, { id: 'everywhere', name: 'all round' }], symptoms: ['tissue'] },
]
