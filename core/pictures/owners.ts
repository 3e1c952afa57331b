import { addDays } from '#core/time'
import type { Change, Participant, Picture, Workshop } from '#core/workshop'

/** So many days after the last class a picture has served. */
const keptDays = 14

/** The day on which pictures of this workshop are erased unless somebody says otherwise: two weeks after the last class; null
 *  without a class. */
export function deleteDay(workshop: Pick<Workshop, 'sessions'>): string | null {
  const last = workshop.sessions
    .map((s) => s.date)
    .sort()
    .at(-1)
  return last ? addDays(last, keptDays) : null
}

/** The picture of a person: the newest of their own. */
export const pictureOf = (workshop: Pick<Workshop, 'pictures'>, participant: string): Picture | undefined =>
  (workshop.pictures ?? []).findLast((p) => p.participant === participant)

/** What a picture without an owner is called. */
const houseOwner = 'A house picture'

export const ownerName = (people: readonly Participant[], picture: Pick<Picture, 'participant'>): string => {
  const owner = people.find((p) => p.id === picture.participant)
  return owner ? (owner.name ?? `Seat ${owner.seat}`) : houseOwner
}

/** What taking a picture out of its workshop changes, the erasure noted. */
export function withoutPicture(workshop: Workshop, picture: Picture, erased: { id: string; at: string; why: 'due' | 'by hand' }): Change[] {
  const list = workshop.picturesErased ?? null
  return [
    { path: `pictures/${picture.id}`, before: picture, after: null },
    { path: 'picturesErased', before: list, after: [...(list ?? []), { ...erased, count: 1 }] },
  ]
}
