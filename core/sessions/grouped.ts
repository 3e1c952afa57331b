/** A list in groups by a key, in the order in which each key is met first. */
export function grouped<T, K>(list: readonly T[], by: (x: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>()
  for (const x of list) {
    const key = by(x)
    const group = groups.get(key)
    if (group) group.push(x)
    else groups.set(key, [x])
  }
  return groups
}
