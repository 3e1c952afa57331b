import { figure } from '#core/reasons'
import type { School } from './shapes'

/** Ways of differing that several methods share, said once. */

/** Face-down methods: is the print always mirrored? */
export const mirrorSchool: School = {
  id: 'mirror',
  question: 'Mirror the print',
  default: 'always',
  why: 'It keeps the picture as its owner knows it.',
  options: [
    { id: 'always', name: 'always', believes: 'The picture stays as its owner knows it.', effects: [] },
    {
      id: 'lettering',
      name: 'only lettering',
      believes: 'Nobody misses left and right in a moth; lettering is mirrored all the same.',
      effects: [{ kind: 'mirror-only-lettering' }],
    },
  ],
}

/** Rounds after the first: with water or without? */
export const laterWaterSchool: School = {
  id: 'later-water',
  question: 'Water in later rounds',
  default: 'none',
  why: 'Wet hides the pulp; dry shows it.',
  options: [
    { id: 'none', name: 'none', believes: 'Wet hides pulp.', effects: [] },
    {
      id: 'a little',
      name: 'a little',
      believes: 'A trace shows where pulp is, and rolls it off sooner.',
      effects: [
        { kind: 'minutes', stage: 'rub2', figure: figure(6, 'min', 'E') },
        { kind: 'minutes', stage: 'look1', figure: figure(15, 'min', 'P') },
        {
          kind: 'home-step',
          stage: 'rub2',
          step: {
            title: 'Rub again',
            few: 'A trace of water. Lightest on fine lines.',
            more: 'With a trace of water on the fingertip, slightly firmer. Wipe the crumbs off as you go; ink starting to lift means stop.',
          },
        },
      ],
    },
  ],
}

/** The last cloud: must it all come off? */
export const hazeSchool: School = {
  id: 'haze',
  question: 'Leftover haze',
  default: 'all off',
  why: 'The top coat is for what a fingertip can’t feel.',
  options: [
    { id: 'all off', name: 'all off', believes: 'What you can feel or see dry comes off.', effects: [] },
    {
      id: 'top coat',
      name: 'the top coat hides it',
      believes: 'A slight cloud goes under the gloss; faces are spared a round.',
      usualFor: ['worn'],
      effects: [
        { kind: 'minutes', stage: 'rub2', figure: figure(5, 'min', 'E') },
        {
          kind: 'cues',
          stage: 'rub2',
          pass: 'A slight even cloud, nothing to feel.',
          fail: 'Crumbs or fuzz under a fingertip: they stay for good.',
        },
      ],
    },
  ],
}
