import type { Plan } from '#core/plan'
import { minutesBetween, type Zoned } from '#core/time'

/** What lies between two classes: pieces that become ready together, the earliest first; and whose piece has still to be laid. */
export interface Between {
  lying: { tellAt: Zoned; neverBefore: Zoned; people: string[]; ready: boolean }[]
  unlaid: string[]
}

/** Pieces on the shelf by when they are ready, as they were laid and as the air has been; people once each. What was rubbed or sealed since, and
 *  what is yet to be laid, does not lie. */
export function betweenClasses(plan: Pick<Plan, 'takeHome'>, states: ReadonlyMap<string, string>, now: Zoned): Between {
  const lying = new Map<string, Between['lying'][number]>()
  const unlaid = new Set<string>()
  for (const s of plan.takeHome) {
    const state = states.get(`${s.participant}.${s.design}.${s.number}`) ?? s.state
    const laid = s.cures && minutesBetween(s.cures.laidAt, now) >= 0 ? s.cures : undefined
    if (state === 'to-print' || state === 'printed') unlaid.add(s.participant)
    else if (laid && (state === 'laid' || state === 'cured')) {
      const { tellAt, neverBefore } = laid
      const key = `${tellAt} ${neverBefore}`
      const group = lying.get(key) ?? { tellAt, neverBefore, people: [], ready: minutesBetween(tellAt, now) >= 0 }
      if (!group.people.includes(s.participant)) group.people.push(s.participant)
      lying.set(key, group)
    }
  }
  return { lying: [...lying.values()].sort((a, b) => minutesBetween(b.tellAt, a.tellAt)), unlaid: [...unlaid] }
}
