import type { Change } from './command'
import { change, changed, inWorkshop } from './paths'
import { withPlaces } from './command'
import { designOf, firstDesign } from './pieces'
import type { Design, Workshop } from './workshop'

/** Another design beside those there are, like the first in kind and method until somebody changes it; everybody makes one. */
export function addDesign(w: Workshop, id: string): Change[] {
  const { kind, material, width, height, thickness, recipe, outline, called, print, pictures } = firstDesign(w)
  const after: Design = {
    ...{ id, kind, material, width, height, recipe, pictures },
    ...(thickness && { thickness }),
    ...(outline && { outline }),
    ...(called !== undefined && { called }),
    ...(print && { print }),
    choices: {},
    lettering: false,
    mirrored: null,
    each: 1,
  }
  return [changed(inWorkshop.designs(id), null, after)]
}

/** Takes a design out, with what is known of its pieces and who makes it. Its pictures have to be erased before: they are not a change.
 *  Undefined for the first, which can only become something else, and for one that pictures are in for. */
export function removeDesign(w: Workshop, id: string): Change[] | undefined {
  const design = w.designs.find((d) => d.id === id)
  if (!design || firstDesign(w) === design || (w.pictures ?? []).some((p) => p.design === id)) return undefined
  const pieces = w.pieces.filter((x) => designOf(w, x) === id)
  return withPlaces(w, [
    ...pieces.map((x) => change(w, inWorkshop.pieces(x.id), null)),
    ...w.group.participants.filter((p) => p.makes?.[id] !== undefined).map((p) => setMakes(w, p.id, id, null)),
    change(w, inWorkshop.designs(id), null),
  ])
}

/** How many of a design somebody makes; null: as many as everybody. */
export function setMakes(w: Workshop, participant: string, design: string, n: number | null): Change {
  const person = w.group.participants.find((p) => p.id === participant)!
  const at = inWorkshop.group.participants(participant).makes
  const { [design]: _was, ...rest } = person.makes ?? {}
  if (n === null && Object.keys(rest).length === 0) return change(w, at, null)
  // Of two who say it of two designs neither undoes the other.
  return person.makes ? change(w, at(design), n) : change(w, at, { [design]: n! })
}
