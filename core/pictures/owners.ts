import { addDays } from '#core/time'
import { changed, firstDesign, inWorkshop, type Change, type Participant, type Picture, type Workshop } from '#core/workshop'

/** So many days after the last class a picture has served; without a class, so many after it came in. */
export const keptDays = { afterClass: 14, withoutClass: 60 }

/** The day on which a picture is erased: the one that a person set, else two weeks after the last class as it is planned now, else
 *  sixty days after it came in. `addedOn` where the picture itself does not say when that was. */
export function eraseDay(
  workshop: Pick<Workshop, 'sessions' | 'createdAt'>,
  picture: Pick<Picture, 'deleteOn' | 'addedOn'>,
  addedOn?: string,
): { date: string; from: 'set' | 'class' | 'added' } {
  if (picture.deleteOn !== null) return { date: picture.deleteOn, from: 'set' }
  const last = workshop.sessions
    .map((s) => s.date)
    .sort()
    .at(-1)
  if (last) return { date: addDays(last, keptDays.afterClass), from: 'class' }
  return { date: addDays(picture.addedOn ?? addedOn ?? workshop.createdAt.slice(0, 10), keptDays.withoutClass), from: 'added' }
}

/** The pictures that are for a design: those that say so; for the first, those that say nothing. */
export const picturesOf = (workshop: Pick<Workshop, 'pictures' | 'designs'>, designId: string): Picture[] =>
  (workshop.pictures ?? []).filter((p) => (p.design ?? firstDesign(workshop).id) === designId)

/** The picture of a person for a design: the newest of their own. */
export const pictureOf = (workshop: Pick<Workshop, 'pictures' | 'designs'>, participant: string, designId: string): Picture | undefined =>
  picturesOf(workshop, designId).findLast((p) => p.participant === participant)

/** What a picture without an owner is called. */
const houseOwner = 'A house picture'

/** Whose a picture is: a name, or the seat as the plan calls it. */
export const ownerName = (
  people: readonly Participant[],
  picture: Pick<Picture, 'participant'>,
  seats: Readonly<Record<string, string>>,
): string => {
  const owner = people.find((p) => p.id === picture.participant)
  return owner ? (owner.name ?? `Seat ${seats[owner.id] ?? owner.seat}`) : houseOwner
}

/** What taking a picture out of its workshop changes, the erasure noted. */
export const withoutPicture = (picture: Picture, erased: { id: string; at: string; why: 'due' | 'by hand' }): Change[] => [
  changed(inWorkshop.pictures(picture.id), picture, null),
  changed(inWorkshop.picturesErased(erased.id), null, { ...erased, count: 1 }),
]
