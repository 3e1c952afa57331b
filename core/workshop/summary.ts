import type { PieceState } from '#core/recipe'
import type { Drawing, Session, Workshop } from './workshop'

/** What a list says of a workshop without opening it: no name of a person, no plan. */
export interface Summary {
  id: string
  houseId: string
  title: string
  drawing: Drawing
  createdAt: string
  archivedAt: string | null
  people: number
  /** The kind of piece, and what it is called where it is one of their own. */
  kind: string
  called?: string
  sessions: Session[]
  /** Pieces by state; people without a piece count as "to print". */
  states: Partial<Record<PieceState, number>>
}

export function summaryOf(w: Workshop): Summary {
  const states: Partial<Record<PieceState, number>> = {}
  for (const p of w.pieces) states[p.state] = (states[p.state] ?? 0) + 1
  const waiting = Math.max(0, w.group.participants.length - w.pieces.length)
  if (waiting > 0) states['to-print'] = (states['to-print'] ?? 0) + waiting
  const { id, houseId, title, drawing, createdAt, archivedAt, sessions } = w
  const { kind, called } = w.designs[0]!
  return {
    ...{ id, houseId, title, drawing, createdAt, archivedAt, sessions, states, kind },
    people: w.group.participants.length,
    ...(called !== undefined && { called }),
  }
}
