import { t } from '#core/language'
import { below, inWorkshop, pathText, type Json, type Workshop } from '#core/workshop'

const names: Record<string, string> = {
  '': 'the whole',
  title: 'the name of the workshop',
  drawing: 'the drawing',
  archivedAt: 'the archive',
  [pathText(inWorkshop.group.helpers)]: 'helpers',
  [pathText(inWorkshop.group.tables)]: 'tables',
  [pathText(inWorkshop.group.participants)]: 'how many people',
  [pathText(inWorkshop.group.agesSet)]: 'the ages',
  [pathText(inWorkshop.choices.spares)]: 'spares',
  [pathText(inWorkshop.choices.samples)]: 'samples',
  [pathText(inWorkshop.choices.confidence)]: 'how sure the spares make',
  [pathText(inWorkshop.choices.allow)]: 'what is allowed',
  [pathText(inWorkshop.choices.paper)]: 'the paper',
  [pathText(inWorkshop.choices.copies)]: 'copies of each picture',
  name: 'the name of the house',
  climate: 'the room’s air',
  timeZone: 'the time zone',
  currency: 'the currency',
  contact: 'whom to ask',
}
const lists: Record<string, string> = {
  errandsDone: 'an errand',
  locks: 'a print put in its place',
  pictures: 'a picture',
  picturesErased: 'a picture that was erased',
  cupboard: 'what is in the cupboard',
  closedDays: 'a closed day',
  recipes: 'a recipe of the house',
  recipeChoices: 'a way of the house',
  hours: 'opening hours',
  cautions: 'a caution of the house',
}
const parts: Record<string, string> = {
  name: 'name',
  age: 'age',
  seat: 'place',
  misses: 'which classes',
  date: 'date',
  start: 'beginning',
  end: 'end',
  room: 'room',
  width: 'width',
  height: 'height',
  called: 'what the piece is called',
  recipe: 'the method',
  choices: 'a choice of the method',
  kind: 'the kind of piece',
  material: 'what it is made on',
}

/** A field by its path, as people say it. `doc` is the workshop that it stands in, for seats and classes. */
export function sayField(path: string, doc?: Pick<Workshop, 'group' | 'sessions'>): string {
  if (names[path]) return t(names[path])
  const [list, a, b] = path.split('/')
  const [id, field] = below(path, inWorkshop.group.participants) ?? []
  if (id !== undefined) {
    const person = doc?.group.participants.find((p) => p.id === id)
    const who = person ? t('seat {0}', person.seat) : t('a seat that is gone')
    const part = parts[field ?? '']
    return part ? t('{0} at {1}', t(part), who) : who
  }
  if (list === 'sessions') {
    const at = doc?.sessions.findIndex((s) => s.id === a) ?? -1
    const which = at < 0 ? t('a class that is gone') : t('class {0}', at + 1)
    return parts[b ?? ''] ? t('{0} of {1}', t(parts[b!]!), which) : which
  }
  if (list === 'pieces') return t('a piece')
  if (list === 'designs') return t(parts[b ?? ''] ?? 'the piece')
  return t(lists[list!] ?? list!.replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`))
}

/** A value as people say it: a text whole, a length as typed; what has no short form is "changed". */
export function sayValue(value: Json): string {
  if (value === null || value === '') return t('nothing')
  if (typeof value === 'boolean') return t(value ? 'yes' : 'no')
  if (typeof value !== 'object') return String(value)
  if (Array.isArray(value))
    return value.length === 0 ? t('nothing') : value.every((x) => typeof x === 'string') ? value.join(', ') : t('changed')
  const { text, name } = value as { text?: Json; name?: Json }
  return typeof text === 'string' ? text : typeof name === 'string' ? name : t('changed')
}
