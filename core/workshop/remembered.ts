import type * as v from 'valibot'

/** A schema that remembers which very objects it has found good, so that a document that shares most of itself with the one before
 *  is read quickly. Only objects without unknown fields are remembered; they must not be changed afterwards, as no document is. */
export function remembered<S extends v.GenericSchema>(schema: S): S {
  const good = new WeakSet<object>()
  const run: S['~run'] = (dataset, config) => {
    const value: unknown = dataset.value
    if (typeof value !== 'object' || value === null) return schema['~run'](dataset, config)
    if (good.has(value)) return Object.assign(dataset, { typed: true }) as unknown as ReturnType<S['~run']>
    const read = schema['~run'](dataset, config)
    if (!read.issues && sameFields(read.value, value)) {
      good.add(value)
      return Object.assign(read, { value }) as unknown as ReturnType<S['~run']>
    }
    return read
  }
  return { ...schema, '~run': run }
}

/** Whether reading has neither left out nor added a field, at any depth. */
function sameFields(read: unknown, value: unknown): boolean {
  if (read === value) return true
  if (typeof read !== 'object' || typeof value !== 'object' || read === null || value === null) return false
  const [a, b] = [Object.keys(read), Object.keys(value)]
  return a.length === b.length && a.every((k) => sameFields((read as Record<string, unknown>)[k], (value as Record<string, unknown>)[k]))
}
