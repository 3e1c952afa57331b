const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')

/** A note of a class without the names of people: a name that stands there whole, in whatever case, and a part of it as it is written ("Edda" of
 *  "Edda B") become "…". What only begins or ends like a name stays. */
export function noteWithout(text: string, names: readonly string[]): string {
  const clean = names.map((n) => n.trim()).filter(Boolean)
  const alone = (name: string, flags: string) => new RegExp(`(?<![\\p{L}\\p{N}])${escaped(name)}(?![\\p{L}\\p{N}])`, flags)
  // The longest first: of "Edda B" nothing is left over.
  const whole = clean.sort((a, b) => b.length - a.length)
  const without = whole.reduce((t, n) => t.replace(alone(n, 'giu'), '…'), text)
  const parts = new Set(clean.flatMap((n) => n.split(/\s+/)).filter((n) => n.length > 1))
  return [...parts].reduce((t, n) => t.replace(alone(n, 'gu'), '…'), without)
}
