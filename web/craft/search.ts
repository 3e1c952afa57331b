import { cautions, recipes, woods } from '#core/recipe'
import { causes, symptoms } from '#core/clinic'

/** A passage of the craft book and where it stands. */
export interface Passage {
  where: string
  title: string
  text: string
  to: string
}

/** Everything the book says, a passage each. */
export const passages: readonly Passage[] = [
  ...recipes.flatMap((r) => [
    { where: r.name, title: r.name, text: `${r.summary} ${r.look}`, to: `/craft/${r.id}` },
    ...r.stages.map((s) => ({
      where: r.name,
      title: s.name,
      text: `${s.pass} ${s.fail} ${s.then?.why ?? ''}`,
      to: `/craft/${r.id}#${s.id}`,
    })),
    ...r.schools.flatMap((s) =>
      s.options.map((o) => ({
        where: `${r.name}, schools`,
        title: `${s.question}: ${o.name}`,
        text: `${o.believes} ${s.why}`,
        to: `/craft/schools#${r.id}-${s.id}`,
      })),
    ),
  ]),
  ...woods.map((w) => ({ where: 'Surfaces', title: w.name, text: `${w.note} ${w.prepare}`, to: `/craft/surfaces#${w.id}` })),
  ...Object.entries(cautions).map(([id, c]) => ({ where: 'Cautions', title: c.where, text: c.text, to: `/craft/cautions#${id}` })),
  ...causes.map((c) => ({
    where: 'Clinic',
    title: c.name,
    text: `${c.now} ${c.next} ${symptoms
      .filter((s) => c.explains[s.id])
      .map((s) => `${s.name} ${s.look}`)
      .join(' ')}`,
    to: '/clinic',
  })),
]

/** Passages with all of the words, those with them in the title first; at most 30. */
export function find(query: string): Passage[] {
  const words = query.toLowerCase().split(/\s+/).filter(Boolean)
  if (words.length === 0) return []
  const all = (text: string) => words.every((w) => text.toLowerCase().includes(w))
  return passages
    .filter((p) => all(`${p.title} ${p.text} ${p.where}`))
    .sort((a, b) => Number(all(b.title)) - Number(all(a.title)))
    .slice(0, 30)
}
