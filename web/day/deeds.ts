import type { Announcement, DayStage, Outcome, PieceDay } from '#core/day'
import type { Day } from './useDay'

/** What a press on the day's screens says, as taps; each by its own name. */
export function deedsOf(tap: Day['tap']) {
  const person = (p: string) => ({ kind: 'person' as const, id: p })
  const piece = (p: string) => ({ kind: 'piece' as const, id: p })
  return {
    begin: () => tap({ kind: 'begin', value: {} }),
    end: () => tap({ kind: 'end', value: {} }),
    check: (what: string, on: boolean) => tap({ kind: 'check', value: { what, on } }),
    climate: (celsius: number, humidityPct: number) => tap({ kind: 'climate', value: { celsius, humidityPct } }),
    note: (text: string) => tap({ kind: 'note', value: { text } }),
    guest: (table: string) => tap({ kind: 'guest', value: { table } }),
    skip: (list: readonly Announcement[]) => tap(...list.map((a) => ({ kind: 'skip', value: { cue: a.cue } }) as const)),
    stop: (stage: string) => tap({ kind: 'stop', value: { stage } }),
    takeBack: (event: string) => tap({ kind: 'undo', value: { event } }),
    told: (kind: 'ran-out' | 'longer', id: string) =>
      tap(kind === 'longer' ? { kind, value: { stage: id } } : { kind, value: { material: id } }),
    places: (station: string, places: number) => tap({ kind: 'places', subject: { kind: 'station', id: station }, value: { places } }),
    presence: (people: readonly string[], kind: 'here' | 'absent' | 'left') =>
      tap(...people.map((p) => ({ kind, subject: person(p), value: {} }) as const)),
    did: (who: string, s: DayStage) => tap({ kind: 'did', subject: person(who), value: { stage: s.id, people: [who] } }),
    /** No haze: the round is not needed, what comes after it begins. */
    past: (a: Announcement) =>
      tap({ kind: 'began', subject: { kind: 'table', id: a.table }, value: { stage: a.then!.id, people: a.people } }),
    needs: (pieces: readonly PieceDay[], what: 'you' | 'patch' | null) =>
      tap(
        ...pieces.map((p) =>
          what
            ? ({ kind: 'needs', subject: piece(p.id), value: { what } } as const)
            : ({ kind: 'helped', subject: piece(p.id), value: {} } as const),
        ),
      ),
    spare: (pieces: readonly PieceDay[]) => tap(...pieces.map((p) => ({ kind: 'spare', subject: piece(p.id), value: {} }) as const)),
    outcome: (pieces: readonly string[], how: Outcome) =>
      tap(...pieces.map((p) => ({ kind: 'outcome', subject: piece(p), value: { how } }) as const)),
    home: (pieces: readonly string[]) => tap(...pieces.map((p) => ({ kind: 'home', subject: piece(p), value: {} }) as const)),
    shelf: (p: string, place: string) => tap({ kind: 'shelf', subject: piece(p), value: { place } }),
  }
}
