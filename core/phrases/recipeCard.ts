import { materialOf } from '#core/kit'
import { blankMaterial, cautions, type Recipe } from '#core/recipe'
import { sayMinutes } from './phrases'

const plain = (text: string) => text.replace(/([\\`*_{}[\]<>#+!|~])/g, '\\$1').replace(/\r?\n/g, ' ')

/** A recipe as a Markdown card that prints on one page: stages with minutes, cues and waits, materials, cautions. */
export function recipeCard(r: Recipe): string {
  const stages = r.stages.map((s, i) => {
    const wait = s.then?.cures
      ? `then ${sayMinutes(r.cure!.minimum.value)} at least, ${sayMinutes(r.cure!.recommended.value)} recommended (${r.cure!.minimum.mark})`
      : s.then?.most
        ? `then within ${s.then.least.value ? `${s.then.least.value} to ` : ''}${s.then.most.value} min (${s.then.most.mark})`
        : ''
    return `${i + 1}. **${plain(s.name)}**, ${s.minutes.value} min (${s.minutes.mark}). Right: ${plain(s.pass)} Wrong: ${plain(s.fail)}${wait ? ` *${wait}*` : ''}`
  })
  const things = r.materials.map(
    (m) => `${m.material === 'blank' ? 'blanks' : plain(materialOf(m.material).name.toLowerCase())}${m.optional ? ' (by choice)' : ''}`,
  )
  const hands = [...new Set(r.stages.flatMap((s) => s.cautions))].map((c) => `${cautions[c].where}: ${cautions[c].text}`)
  return [
    `# ${plain(r.name)}`,
    `Version ${r.version}${r.from ? `, from ${r.from.id} version ${r.from.version}` : ''}. ${plain(r.summary)}`,
    r.note ? plain(r.note) : '',
    r.below?.length ? `**An experiment, for samples only:** ${plain(r.below.join('; '))}.` : '',
    `Onto ${Object.keys(r.surfaces)
      .map((m) => blankMaterial(m)?.name ?? m)
      .join(', ')}. Whites become ${r.whites === 'surface' ? 'the surface' : r.whites}.`,
    `## Stages\n\n${stages.join('\n')}`,
    `## Things\n\n${things.join(', ')}.`,
    `## Take care\n\n${hands.map((h) => `- ${h}`).join('\n')}`,
    'P practice, E estimate, Y measured in this house. Labels and the house’s rules go before this.',
  ]
    .filter(Boolean)
    .join('\n\n')
    .concat('\n')
}
