import * as v from 'valibot'

/** Bad input at the edge: what is wrong, where (`pictures.3.widthMm`, `(input)` for the whole), and the way out. */
export class BadInput extends Error {
  constructor(
    readonly what: string,
    readonly path: string,
    readonly remedy: string,
  ) {
    super(`${path}: ${what}`)
  }
  get answer() {
    return { error: { what: this.what, path: this.path, remedy: this.remedy } }
  }
}

/** What a schema's first complaint says, as what, path and remedy. A message may carry its remedy after " | ". */
export function whereAndWhat(issue: v.BaseIssue<unknown>): { what: string; path: string; remedy: string } {
  const path = v.getDotPath(issue) ?? '(input)'
  if (issue.received === 'undefined' && path !== '(input)') return { what: `${path} is missing`, path, remedy: `Give ${path}.` }
  const [what, remedy] = issue.message.split(' | ')
  return { what: what ?? issue.message, path, remedy: remedy ?? `Change ${path === '(input)' ? 'the input' : path}.` }
}

/** Reads unknown input with a schema; throws {@link BadInput} with the first complaint. */
export function readInput<S extends v.GenericSchema>(schema: S, input: unknown): v.InferOutput<S> {
  const read = v.safeParse(schema, input)
  if (read.success) return read.output
  const { what, path, remedy } = whereAndWhat(read.issues[0])
  throw new BadInput(what, path, remedy)
}
