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

/** Small letters without accents, words between single spaces, one at each end. */
const plain = (text: string) =>
  ` ${text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()} `
