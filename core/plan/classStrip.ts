import type { Plan } from './shapes'

/** A part of a class, one after another: what it is, and its minutes. */
export interface ClassPart {
  kind: 'set-up' | 'show' | 'stage' | 'wait' | 'clean-up' | 'free'
  /** The stage's name; empty otherwise. */
  name: string
  minutes: number
}

/** A class from its first minute to its last as one design spends it, set-up and clean-up by the house's own figures: what is left over is
 *  free. Empty where nothing is done in it. */
export function classStrip(plan: Plan, session: string): ClassPart[] {
  const load = plan.split.loads.find((l) => l.sessionId === session)
  if (!load) return []
  const inputs = plan.figures[`session/${session}`]?.because.inputs ?? []
  const around = (name: 'set-up' | 'clean-up'): ClassPart => ({
    kind: name,
    name: '',
    minutes: Number(inputs.find((i) => i.name === name)?.value ?? 0),
  })
  const stages = load.stages.flatMap((s): ClassPart[] => [
    ...(s.queue > 0 ? [{ kind: 'wait' as const, name: '', minutes: s.queue }] : []),
    { kind: s.attended ? 'stage' : 'wait', name: s.name, minutes: s.minutes },
    ...(s.wait > 0 ? [{ kind: 'wait' as const, name: '', minutes: s.wait }] : []),
  ])
  const free = load.availableMin - load.neededMin
  const parts: ClassPart[] = [
    around('set-up'),
    { kind: 'show', name: '', minutes: load.showMin },
    ...stages,
    around('clean-up'),
    { kind: 'free', name: '', minutes: free },
  ]
  return parts.filter((p) => p.minutes > 0)
}
