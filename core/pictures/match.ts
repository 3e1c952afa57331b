import type { Participant } from '#core/workshop'

/** Whose picture a file is, by its name: "Juno ferry.jpg", "13_anna-marie.png", "seat B3.jpg", "B3.jpg", "seat 5.jpg" (the fifth seat
 *  of the group). The owner whose whole name stands in it; the longest name wins; two that fit equally are nobody's. Accents and case
 *  do not count. `seats` is what screens and paper call each seat ("B3"), by participant. */
export function ownerOf(fileName: string, people: readonly Participant[], seats: Readonly<Record<string, string>> = {}): string | null {
  const words = plain(fileName.replace(/\.[^.]*$/, ''))
  const at = (name: string) => people.find((p) => seats[p.id]?.toLowerCase() === name)
  const said = / (?:seat|place) (?:([a-z]{1,2}) ?0*(\d{1,3})|0*(\d{1,3})) /.exec(words)
  if (said) {
    const number = said[3]
    const found = number === undefined ? at(`${said[1]}${said[2]}`) : (at(number) ?? people.find((p) => p.seat === Number(number)))
    return found?.id ?? null
  }
  const fits = people.filter((p) => p.name && plain(p.name).trim() !== '' && words.includes(plain(p.name)))
  if (fits.length === 0) {
    const called = people.filter((p) => /^[a-z]{1,2}\d/i.test(seats[p.id] ?? '') && words.includes(plain(seats[p.id]!)))
    return called.length === 1 ? called[0]!.id : null
  }
  const longest = Math.max(...fits.map((p) => plain(p.name!).length))
  const best = fits.filter((p) => plain(p.name!).length === longest)
  return best.length === 1 ? best[0]!.id : null
}

/** What a roster says of picture files: whose each is. */
export interface RosterOwners {
  /** Participant by file (see `fileKey`). */
  owners: ReadonlyMap<string, string>
  /** Files that the roster names. */
  files: string[]
  /** Names of the roster that nobody in the group has, or more than one. */
  unclear: string[]
}

/** Whose the files are that a roster names, by the names of the group. A name that nobody has, or two people, is nobody's; of two
 *  lines with one file the first counts. */
export function ownersNamed(rows: readonly { name: string | null; picture?: string }[], people: readonly Participant[]): RosterOwners {
  const owners = new Map<string, string>()
  const named = rows.filter((r) => r.picture && r.name)
  const unclear: string[] = []
  for (const { name, picture } of named) {
    const fits = people.filter((p) => p.name && plain(p.name) === plain(name!))
    if (fits.length !== 1) unclear.push(name!)
    else if (!owners.has(fileKey(picture!))) owners.set(fileKey(picture!), fits[0]!.id)
  }
  return { owners, files: named.map((r) => r.picture!), unclear }
}

/** A file's name as a roster and a folder may both write it: without its folder and its ending, case and accents aside. */
export const fileKey = (name: string): string => plain(name.replace(/^.*[/\\]/, '').replace(/\.[a-z0-9]{2,5}$/i, '')).trim()

/** Small letters without accents, words between single spaces, one at each end. */
const plain = (text: string) =>
  ` ${text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()} `
