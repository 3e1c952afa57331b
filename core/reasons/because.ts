/** Where a figure comes from: P practitioners agree, E our estimate, Y measured in this house. */
export type Mark = 'P' | 'E' | 'Y'

/** A catalogue figure: a value, its unit and its source mark. */
export interface Figure {
  value: number
  unit: Unit
  mark: Mark
  /** Its lasting name, under which a house keeps its own value. */
  key?: string
}
export type Unit = 'min' | 'ml' | 'mm' | 'um' | 'share' | 'count' | 'days' | 'celsius' | 'factor' | 'minor'

export const figure = (value: number, unit: Unit, mark: Mark): Figure => ({ value, unit, mark })

/** One thing that went into a figure. `name` is a code of the phrase catalogue; `default` says nobody chose it. */
export interface Input {
  name: string
  value: number | string
  unit?: Unit
  mark?: Mark
  default?: boolean
  /** The figure that it is: a house can set its own where it stands. */
  key?: string
  /** The figures that it is worked out from. */
  rests?: readonly string[]
  /** The figure of the same plan that says more about it. */
  opens?: string
  /** It is said on the page of the house. */
  ofHouse?: true
}

/** A figure as one thing that went into another. */
export const from = (name: string, f: Figure): Input => ({ name, value: f.value, unit: f.unit, mark: f.mark, ...(f.key && { key: f.key }) })

/** The keys of figures, for what is worked out from them. */
export const keysOf = (figures: readonly Figure[]): string[] => [...new Set(figures.flatMap((f) => f.key ?? []))]

/** Why a figure is what it is: the rule (a phrase code), what went in, and the weakest mark of it all. */
export interface Because {
  rule: string
  inputs: Input[]
  mark: Mark
}

const weakness: Record<Mark, number> = { Y: 0, P: 1, E: 2 }

/** A derived figure takes the weakest mark of what it rests on: E before P before Y. */
export function weakest(marks: readonly (Mark | undefined)[]): Mark {
  const known = marks.filter((m) => m !== undefined)
  return known.reduce<Mark>((worst, m) => (weakness[m] > weakness[worst] ? m : worst), known[0] ?? 'P')
}

export function because(rule: string, inputs: Input[]): Because {
  return { rule, inputs, mark: weakest(inputs.map((i) => i.mark)) }
}
