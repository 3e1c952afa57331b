/** Where a figure comes from: P practitioners agree, E our estimate, Y measured in this house. */
export type Mark = 'P' | 'E' | 'Y'

/** A catalogue figure: a value, its unit and its source mark. */
export interface Figure {
  value: number
  unit: Unit
  mark: Mark
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
}

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
