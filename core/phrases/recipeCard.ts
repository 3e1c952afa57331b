import { materialOf } from '#core/kit'
import { t } from '#core/language'
import { blankMaterial, cautions, type Recipe } from '#core/recipe'
import { sayMinutes } from './phrases'

const plain = (text: string) => text.replace(/([\\`*_{}[\]<>#+!|~])/g, '\\$1').replace(/\r?\n/g, ' ')

/** A recipe as a Markdown card that prints on one page: stages with minutes, cues and waits, materials, cautions. */
export function recipeCard(r: Recipe): string {
  const stages = r.stages.map((s, i) => {
    const wait = s.then?.cures
      ? t(
          'then {0} at least, {1} recommended ({2})',
          sayMinutes(r.cure!.minimum.value),
          sayMinutes(r.cure!.recommended.value),
          r.cure!.minimum.mark,
        )
      : s.then?.most
        ? t(
            'then within {0} min ({1})',
            s.then.least.value ? t('{0} to {1}', s.then.least.value, s.then.most.value) : s.then.most.value,
            s.then.most.mark,
          )
        : ''
    return `${i + 1}. **${plain(t(s.name))}**, ${s.minutes.value} min (${s.minutes.mark}). ${t('Right: {0} Wrong: {1}', plain(t(s.pass)), plain(t(s.fail)))}${wait ? ` *${wait}*` : ''}`
  })
  const things = r.materials.map(
    (m) =>
      `${m.material === 'blank' ? t('blanks') : plain(t(materialOf(m.material).name).toLowerCase())}${m.optional ? ` (${t('by choice')})` : ''}`,
  )
  const hands = [...new Set(r.stages.flatMap((s) => s.cautions))].map((c) => `${t(cautions[c].where)}: ${t(cautions[c].text)}`)
  return [
    `# ${plain(t(r.name))}`,
    `${t('Version {0}', r.version)}${r.from ? t(', from {0} version {1}', r.from.id, r.from.version) : ''}. ${plain(t(r.summary))}`,
    r.note ? plain(r.note) : '',
    r.below?.length ? `**${t('An experiment, for samples only:')}** ${plain(r.below.join('; '))}.` : '',
    t(
      'Onto {0}. Whites become {1}.',
      Object.keys(r.surfaces)
        .map((m) => t(blankMaterial(m)?.name ?? m))
        .join(', '),
      t(r.whites === 'surface' ? 'the surface' : r.whites),
    ),
    `## ${t('Stages')}\n\n${stages.join('\n')}`,
    `## ${t('Things')}\n\n${things.join(', ')}.`,
    `## ${t('Take care')}\n\n${hands.map((h) => `- ${h}`).join('\n')}`,
    t('P practice, E estimate, Y measured in this house. Labels and the house’s rules go before this.'),
  ]
    .filter(Boolean)
    .join('\n\n')
    .concat('\n')
}
