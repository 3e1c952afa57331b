import type { House } from '#core/house'
import { valueAt, type Change, type Json } from './command'
import type { Workshop } from './workshop'

declare const holds: unique symbol
/** Where a value of this type stands in a document. */
export interface Path<V> {
  readonly [holds]?: (v: V) => void
}

/** Paths below a value of this type: a field by its name, an element of a list and an entry of a record by a call with its id. What
 *  may be left out, and what can be taken out of a list, may be set to null. */
export type Paths<T> = Path<T> & Below<NonNullable<T>>
type Below<T> = T extends string | number | boolean
  ? unknown
  : T extends readonly (infer E)[]
    ? (id: string) => Paths<E | null>
    : string extends keyof T
      ? (key: string) => Paths<T[keyof T] | null>
      : { readonly [K in keyof T]-?: Paths<Exclude<T[K], undefined> | (undefined extends T[K] ? null : never)> }

const texts = new WeakMap<object, string>()

function pathsAt(text: string): unknown {
  const child = (key: string) => pathsAt(text === '' ? key : `${text}/${key}`)
  const here = new Proxy(() => undefined, {
    // Frameworks ask whatever they meet for marks of their own ("__v_isRef"): no field begins so.
    get: (_of, key) => (typeof key === 'string' && !key.startsWith('__') ? child(key) : undefined),
    apply: (_of, _self, [key]: [string]) => child(key),
  })
  texts.set(here, text)
  return here
}

/** Every place in a workshop: `inWorkshop.group.participants(id).age`. The only way to name one. */
export const inWorkshop = pathsAt('') as Paths<Workshop>
/** Every place in a house: `inHouse.cupboard('glue')`. */
export const inHouse = pathsAt('') as Paths<House>

/** A path as commands carry it: names with slashes between. */
export const pathText = (path: Path<never>): string => texts.get(path)!

/** What a path as text names below a place, name by name: none for the place itself, undefined when it stands elsewhere. */
export function below(text: string, path: Path<never>): string[] | undefined {
  const here = pathText(path)
  if (text === here) return []
  return text.startsWith(`${here}/`) ? text.slice(here.length + 1).split('/') : undefined
}

/** A value set in a place where its author saw `before`. */
export const changed = <V>(path: Path<V>, before: Json | undefined, after: NoInfer<V>): Change => ({
  path: pathText(path),
  before: before ?? null,
  after: (after ?? null) as Json,
})

/** A value set in a document, from what stands there now. */
export const change = <V>(doc: Workshop | House | null | undefined, path: Path<V>, after: NoInfer<V>): Change =>
  changed(path, valueAt(doc, pathText(path)), after)
