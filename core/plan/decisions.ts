import type { Coded, DecisionValues } from '#core/codes'
import { blankMaterial, type AgeBand } from '#core/recipe'
import { pictureOf } from '#core/pictures'
import type { PlannedDesign } from './design'
import { decisionIds, type Decision, type DecisionId, type Figured, type Plan } from './shapes'
import type { Situation } from './situation'
import { seenFrom } from './view'

type Judged = Figured & Pick<Plan, 'findings'>

/** The chain of decisions, each in a line: settled by somebody, still the default, or with something against it. */
export function decide(parts: readonly PlannedDesign[], plan: Judged): Decision[] {
  const more = parts.length - 1
  return decisionIds.map((id) => {
    const against = plan.findings.filter((f) => f.decision === id && f.level !== 'note')
    const state = against.some((f) => f.level === 'stop')
      ? 'stop'
      : against.length
        ? 'look'
        : parts.every(({ s, d }) => isDefault(id, s, seenFrom(plan, d)))
          ? 'default'
          : 'settled'
    return { id, state, ...lineOf(id, parts[0]!.s, plan, more) }
  })
}

function isDefault(id: DecisionId, s: Situation, plan: Judged): boolean {
  const { choices, group } = s.workshop
  switch (id) {
    case 'method':
      return plan.chosen.every((c) => c.by === 'default')
    case 'kit':
      return !plan.spares.chosen && !plan.samples.chosen && Object.keys(choices.share).length === 0
    case 'pictures':
      return s.design.pictures === 'house' && s.design.mirrored === null
    case 'room':
      return group.tables === null
    case 'takehome':
      return s.workshop.pieces.length === 0
    case 'sessions':
      return plan.sessions.length === 0
    default:
      return false
  }
}

const heldSo = (s: Situation) => s.workshop.held === 'home' && { home: 1 }

/** A link's line: what it says, by its code. `more` designs come after the first. */
function lineOf(id: DecisionId, s: Situation, plan: Judged, more: number): Coded<DecisionValues> {
  switch (id) {
    case 'group': {
      const of = (age: AgeBand) => s.workshop.group.participants.filter((p) => p.age === age).length
      const byAge = { 'under-8': of('under-8'), '8-12': of('8-12'), '13-17': of('13-17'), adult: of('adult') }
      return { code: 'decision-group', values: { people: plan.people, ...byAge } }
    }
    case 'piece': {
      const material = blankMaterial(s.design.material)?.name ?? s.design.material
      return { code: 'decision-piece', values: { piece: plan.pieceName, material, ...(more > 0 && { more }) } }
    }
    case 'method': {
      const cure = plan.split.cure?.recommendedMin ?? s.resolved.cure?.recommended.value ?? 0
      return { code: 'decision-method', values: { method: plan.recipe.name, cure, ...(more > 0 && { more }) } }
    }
    case 'pictures':
      return {
        code: 'decision-pictures',
        values: {
          prints: Number(plan.figures['prints']!.value),
          mirrored: Number(plan.print.mirrored),
          stamped: Number(s.resolved.noPrint),
          own: Number(s.design.pictures === 'own'),
          source: s.design.pictures,
          in: s.makers.filter((p) => pictureOf(s.workshop, p.id, s.design.id)).length,
          people: s.people,
        },
      }
    case 'kit':
      return {
        code: 'decision-kit',
        values: {
          things: plan.kit.filter((l) => l.toGet.packs.length > 0).length,
          blanks: plan.designs.reduce((sum, d) => sum + (d.pieces ? d.pieces + d.spares.blanks : 0), 0),
        },
      }
    case 'sessions':
      return {
        code: 'decision-sessions',
        values: { ...Object.fromEntries(plan.sessions.map((x, i) => [`session${i + 1}`, x.from])), ...heldSo(s) },
      }
    case 'room':
      return {
        code: 'decision-room',
        values: { tables: plan.seating.length, adults: plan.adults.matters ? plan.adults.needed : 0, ...heldSo(s) },
      }
    case 'takehome':
      return {
        code: 'decision-takehome',
        values: { sheets: plan.takeHome.length, state: plan.goesHome, dated: plan.sessions.length, ...heldSo(s) },
      }
  }
}
