import { materialOf } from '#core/kit'
import { t } from '#core/language'
import { extras, pieceKinds, recipes as practice, type Recipe } from '#core/recipe'

const general: Record<string, string> = {
  'set-up': 'Set-up, with the group',
  'clean-up': 'Clean-up, with the group',
  'floor.way': 'Floor: a way that two people pass',
  'floor.heat-from-water': 'Floor: heat tools from water',
  'floor.cord': 'Floor: how far a cord reaches',
  'floor.door': 'Floor: free before a door',
  'time.size': 'Handwork grows with the face, to the power',
  'hands.quick': 'Of ten planned minutes the quickest hands take',
  'hands.slow': 'Of ten planned minutes the slowest hands take',
  'film.light': 'Wet film of a light coat',
  'film.moderate': 'Wet film of a moderate coat',
  'film.generous': 'Wet film of a generous coat',
  'film.heavy': 'Wet film of a heavy coat',
  gutter: 'Between prints on a sheet',
  'tape.overlap': 'Tape: strips overlap',
  'tape.margin': 'Tape: beyond each edge',
  'ratio.under-8': 'Children under 8 to one adult',
  'ratio.8-12': 'Children of 8 to 12 to one adult',
  'ratio.13-17': 'Teenagers of 13 to 17 to one adult',
  'ratio.heat': 'Children to one adult where there is heat',
  'ratio.blade': 'Children to one adult where there is a blade',
  fails: 'Of ten pieces so many fail',
  'fails.clean': 'Of ten pieces so many fail, aimed at clean',
  'fails.worn': 'Of ten pieces so many fail, aimed at worn',
  breakage: 'One spare piece in so many, where a piece survives a failure',
  copies: 'Copies of each own picture',
  'candle.wide': 'A candle is wide enough to burn from',
  'ahead.print': 'Printed so long before the class',
  'ahead.collect': 'Pictures in so long before printing',
  'ahead.pack': 'Packed so long before the class',
  'ahead.gather': 'Own blanks in so long before the class',
  'edge.outline': 'A picture cut to its outline, of the box round it',
  'price.sheet': 'Paper and toner of one sheet',
  'cure.coat.light': 'Cure: a light coat takes',
  'cure.coat.moderate': 'Cure: a moderate coat takes',
  'cure.coat.generous': 'Cure: a generous coat takes',
  'cure.coat.heavy': 'Cure: a heavy coat takes',
  'cure.surface.porous': 'Cure: on a porous surface',
  'cure.surface.painted': 'Cure: on a painted surface',
  'cure.surface.sealed': 'Cure: on a sealed surface',
  'cure.surface.stone': 'Cure: on stone',
}

/** What a figure is called, by its key: "Medium transfer, Coat: minutes". `recipes` are those of the house. */
export function figureName(key: string, recipes: readonly Recipe[] = practice): string {
  const known = general[key]
  if (known) return t(known)
  const [kind, id, ...rest] = key.split('.')
  if (kind === 'price') return packName(id!, rest.join('.'))
  if (kind === 'extra') {
    const x = extras.find((e) => e.id === id)
    return x
      ? `${t(x.name)}, ${within({ stages: x.steps, materials: x.materials, schools: [] }, rest[0] === 'steps' ? ['stages', ...rest.slice(1)] : rest)}`
      : key
  }
  const recipe = recipes.findLast((r) => r.id === id)
  return recipe ? `${t(recipe.name)}, ${within(recipe, rest)}` : key
}

function packName(id: string, size: string): string {
  const kind = id.startsWith('blank-') ? pieceKinds.find((k) => k.id === id.slice('blank-'.length)) : undefined
  const material = materialOf(kind ? 'blank' : id)
  const pack = material.packs.find((p) => String(p.size) === size)
  const what = kind ? t('Blank {0}', t(kind.plural)) : t(material.name)
  const unit = material.unit === 'ml' ? ' ml' : ''
  const length = material.unit === 'mm' || material.unit === 'strips'
  const holds = length ? `${Number(size) / 1000} m` : `${size}${unit}`
  return t('{0}, {1} of {2}', what, t(pack?.noun ?? 'pack'), holds)
}

function within(recipe: Pick<Recipe, 'stages' | 'materials' | 'schools'>, [list, id, ...rest]: string[]): string {
  const part = rest.join('.')
  if (list === 'stages') {
    const stage = recipe.stages.find((s) => s.id === id)
    const alike = recipe.stages.filter((s) => s.name === stage?.name)
    const which = alike.length > 1 ? ` (${alike.indexOf(stage!) + 1})` : ''
    return `${t(stage?.name ?? id!)}${which}: ${t(ofStage[part] ?? part)}`
  }
  if (list === 'materials') {
    const thing = id === 'blank' ? t('blanks') : t(materialOf(id!).name).toLowerCase()
    if (rest[0] !== 'films') return `${thing}: ${t(ofMaterial[part] ?? part)}`
    const stage = recipe.stages.find((s) => s.id === rest[1]) ?? recipe.stages.find((s) => rest[1]!.endsWith(s.id))
    return t('{0}: coats at {1}', thing, stage ? t(stage.name).toLowerCase() : rest[1])
  }
  if (list === 'cure') return t(id === 'minimum' ? 'never rubbed before' : 'better rubbed after')
  if (list === 'show') return t('showing how')
  if (list === 'rounds') return t('rounds: {0}', id)
  if (list === 'schools') {
    const school = recipe.schools.find((s) => s.id === id)
    const option = school?.options.find((o) => o.id === rest[1])
    const [what = '', ...at] = (rest[3] ?? '').split('-')
    const added = rest[3]?.startsWith('add-material-') ? rest[3].slice('add-material-'.length) : undefined
    if (added) return `${t(school?.question ?? id!)}, ${t(option?.name ?? rest[1]!)}: ${t(materialOf(added).name).toLowerCase()}`
    const stage = recipe.stages.find((s) => s.id === at.join('-') || (rest[3] ?? '').endsWith(`-${s.id}`))
    const asked = stage ? `${t(stage.name).toLowerCase()}, ${t(what === 'lag' ? (ofStage[`then.${rest.at(-1)}`] ?? what) : what)}` : what
    return `${t(school?.question ?? id!)}, ${t(option?.name ?? rest[1]!)}: ${asked}`
  }
  return [list, id, part].filter(Boolean).join(' ')
}

const ofStage: Record<string, string> = {
  minutes: 'minutes',
  'then.least': 'then wait at least',
  'then.most': 'then wait at most',
}
const ofMaterial: Record<string, string> = {
  amount: 'how many',
  held: 'left in each brush and cup',
  waste: 'waste',
}
