import type { Plan } from '#core/plan'

/** The passage of the craft book behind a rule: a stage, the cautions, or the method's page. */
const stages: Record<string, string> = { earliest: 'shelve', recommended: 'shelve', shelf: 'shelve', strips: 'tape', 'kit-strips': 'tape' }
const cautions = new Set(['adults', 'adults-only-turns', 'race-turns'])

/** In the method of the design that is looked at; of several the first that has the stage. */
export function craftPassage(rule: string, plan: Pick<Plan, 'recipe' | 'stages' | 'designs'>): string {
  if (cautions.has(rule)) return '/craft/cautions'
  const stage = stages[rule]
  const has = [plan, ...plan.designs].find((d) => d.stages.some((s) => s.id === stage))
  return has ? `/craft/${has.recipe.id}#${stage}` : `/craft/${plan.recipe.id}`
}
