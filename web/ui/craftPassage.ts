/** The passage of the craft book behind a rule, for a plan made by this recipe. */
const sections: Record<string, string> = {
  earliest: '#shelve',
  recommended: '#shelve',
  shelf: '#shelve',
  strips: '#tape',
  'kit-strips': '#tape',
  'kit-area': '',
  'kit-person': '',
  'kit-table': '',
  'kit-room': '',
  'kit-length': '',
  'kit-blank': '',
  samples: '',
  'session-time': '',
}

export function craftPassage(rule: string, recipe: string): string | undefined {
  if (rule === 'adults' || rule === 'adults-only-turns' || rule === 'race-turns') return '/craft/cautions'
  const hash = sections[rule]
  return hash === undefined ? undefined : `/craft/${recipe}${hash}`
}
