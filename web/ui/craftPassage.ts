/** The passage of the craft book behind a rule, for a plan made by this recipe: a stage, the cautions, or the method's page. */
const stages: Record<string, string> = { earliest: 'shelve', recommended: 'shelve', shelf: 'shelve', strips: 'tape', 'kit-strips': 'tape' }
const cautions = new Set(['adults', 'adults-only-turns', 'race-turns'])

export function craftPassage(rule: string, recipe: string): string {
  if (cautions.has(rule)) return '/craft/cautions'
  const stage = stages[rule]
  return `/craft/${recipe}${stage ? `#${stage}` : ''}`
}
