import { applyChanges, same, valueAt, withPlaces, type Command, type Intents } from './command'
import { reseated, setAges, setHeadcount, setStates, swapSeats } from './edits'
import type { Change } from './command'
import type { Workshop } from './workshop'

type Made = Pick<Command, 'changes'> & Partial<Pick<Command, 'guards'>>

/** How each intent is reached on a workshop as it is now. `fresh` makes ids for those who come. */
const reach: { [K in keyof Intents]: (w: Workshop, args: Intents[K], fresh: () => string) => Made } = {
  headcount: (w, { people }, fresh) => setHeadcount(w, people, Array.from({ length: people }, fresh)),
  ages: (w, { band, people }) => {
    const set = setAges(w, band, people)
    if ('changes' in set) return set
    // As many as can be now.
    const most = setAges(w, band, set.most)
    return 'changes' in most ? most : { changes: [] }
  },
  'swap-seats': (w, { a, b }) => swapSeats(w, a, b),
  'piece-states': (w, to) => setStates(w, to),
}

/** A deed done again on a workshop or house as it is now: what was meant is reached anew, a field is set on top of whatever it holds.
 *  What has nothing left to stand in is left out; nothing may be left. */
export function again(
  doc: unknown,
  command: Pick<Command, 'changes' | 'guards' | 'intent'>,
  fresh: () => string,
): Pick<Command, 'changes' | 'guards'> {
  const { intent } = command
  if (intent && doc) {
    const { changes, guards = [] } = reach[intent.kind](doc as Workshop, intent.args as never, fresh)
    return { changes: changes.filter((c) => !same(c.before, c.after)), guards }
  }
  let now = doc
  const changes = command.changes.flatMap((c): Change[] => {
    const mine = { ...c, after: reseated(now, c), before: valueAt(now, c.path) }
    const after = applyChanges(now, [mine])
    if (same(mine.before, mine.after) || !same(valueAt(after, mine.path), mine.after)) return []
    now = after
    return [mine]
  })
  return { changes: withPlaces(doc, changes), guards: [] }
}
