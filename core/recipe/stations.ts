/** A station that a room has so many places at. Recipes name it in a stage's `station`. */
export interface RoomStation {
  id: string
  /** Several, as the screen counts them. */
  name: string
  one: string
  /** So many places come at once: a basin has four (E). */
  step: number
}

/** Stations that a room can be short of; tables, racks and shelves are counted elsewhere. */
export const roomStations: readonly RoomStation[] = [
  { id: 'basin', name: 'places at a basin', one: 'place at a basin', step: 4 },
  { id: 'heat tool', name: 'heat tools', one: 'heat tool', step: 1 },
  { id: 'trimmer', name: 'paper trimmers', one: 'paper trimmer', step: 1 },
  { id: 'seal table', name: 'places to seal at', one: 'place to seal at', step: 1 },
]
