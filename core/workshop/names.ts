import type { Change, Json } from './command'
import { below, inWorkshop, pathText } from './paths'

/** A name in a command's changes, and where it stood. */
export interface NamePlace {
  place: string
  name: string
}

/** A field of somebody in the group that holds their name. */
const isName = (path: string): boolean => {
  const [id] = below(path, inWorkshop.group.participants) ?? []
  return id !== undefined && path === pathText(inWorkshop.group.participants(id).name)
}

/** Takes names out of a command's changes: what is left may be kept for good, the names go to erasable rows. */
export function separateNames(changes: readonly Change[]): { changes: Change[]; names: NamePlace[] } {
  const names: NamePlace[] = []
  const strip = (value: Json, path: string, place: string): Json => {
    if (typeof value === 'string' && isName(path)) {
      names.push({ place, name: value })
      return null
    }
    if (typeof value !== 'object' || value === null) return value
    if (Array.isArray(value))
      return (value as Json[]).map((x, i) => {
        const key = typeof x === 'object' && x !== null && 'id' in x ? String(x.id) : String(i)
        return strip(x, `${path}/${key}`, `${place}/${key}`)
      })
    return Object.fromEntries(
      Object.entries(value as Record<string, Json>).map(([k, x]) => [k, strip(x, path === '' ? k : `${path}/${k}`, `${place}/${k}`)]),
    )
  }
  const kept = changes.map((c, i) => ({
    ...c,
    before: strip(c.before, c.path, `${i}/before`),
    after: strip(c.after, c.path, `${i}/after`),
  }))
  return { changes: kept, names }
}
