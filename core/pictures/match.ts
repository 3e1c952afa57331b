import type { Participant } from '#core/workshop'

/** Whose picture a file is, by its name: "Juno ferry.jpg", "13_anna-marie.png", "seat 5.jpg". The owner whose whole name stands in
 *  it; the longest name wins; two that fit equally are nobody's. Accents and case do not count. */
export function ownerOf(fileName: string, people: readonly Participant[]): string | null {
  const words = plain(fileName.replace(/\.[^.]*$/, ''))
  const seat = / (?:seat|place) 0*(\d{1,3}) /.exec(words)?.[1]
  if (seat) return people.find((p) => p.seat === Number(seat))?.id ?? null
  const fits = people.filter((p) => p.name && plain(p.name).trim() !== '' && words.includes(plain(p.name)))
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
