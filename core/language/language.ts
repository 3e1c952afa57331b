import type { DecisionValues, ErrandValues, FindingValues, RemedyValues } from '#core/codes'

/** Languages that the application speaks. English is its source; another is taught when it is needed. */
export const languages = ['en', 'es'] as const
export type Language = (typeof languages)[number]

/** What a title and a body say. */
export interface Said {
  title: string
  body: string
}

/** How a house wants things said: its units, clock and money, near a moment. */
export interface Voice {
  at: (instant: string | number) => string
  length: (mm: number | string) => string
  volume: (ml: number) => string
  money: (minor: number) => string
  minutes: (min: number | string) => string
}
/** How each code of a table is said, from that code's own values. */
export type LinesOf<V, T> = { readonly [C in keyof V]: (v: V[C], say: Voice) => T }
/** Ways out that are also said as a condition: "possible if …". */
export type ConditionValues = Pick<
  RemedyValues,
  | 'take-option'
  | 'longer-session'
  | 'fewer-rounds'
  | 'smear-passed'
  | 'more-hands'
  | 'believe-shorter'
  | 'bring-station'
  | 'do-ahead'
  | 'do-at-home'
  | 'prepare-ahead'
  | 'smaller-piece'
  | 'arrange'
>

/** What is said by code: findings, ways out, conditions, links of the chain, errands. A language has a line for every code. */
export interface Lines {
  findings: LinesOf<FindingValues, Said>
  remedies: LinesOf<RemedyValues, string>
  conditions: LinesOf<ConditionValues, string>
  decisions: LinesOf<DecisionValues, string>
  errands: LinesOf<ErrandValues, Said>
}

/** A language beside English: every sentence by its English, what is composed by pattern, what is said by code, and its calendar. */
export interface Catalogue {
  language: Exclude<Language, 'en'>
  words: Readonly<Record<string, string>>
  /** For texts that were put together in English: the first that fits says it. `t` translates a part. */
  patterns: readonly (readonly [RegExp, (t: (text: string) => string, ...parts: string[]) => string])[]
  lines: Lines
  calendar: {
    days: readonly string[]
    shortDays: readonly string[]
    months: readonly string[]
    day: (weekday: string, day: number, month: string) => string
    am: string
    pm: string
  }
}

const taught = new Map<Language, Catalogue>()
let current: Language = 'en'

/** Makes a language known; until then English is spoken in its place. */
export const teach = (c: Catalogue): void => void taught.set(c.language, c)
export const isTaught = (l: Language): boolean => l === 'en' || taught.has(l)

/** Speaks a language from now on: a page has one. */
export const speak = (l: Language): void => void (current = l)
export const speaking = (): Language => current

/** What something says in a language: for paper, where each sheet has its own. Nothing in `say` may wait. */
export function inLanguage<T>(l: Language, say: () => T): T {
  const before = current
  current = l
  try {
    return say()
  } finally {
    current = before
  }
}

/** The catalogue that is spoken; undefined in English. */
export const catalogue = (): Catalogue | undefined => taught.get(current)

/** A text in the language that is spoken: by its English, with `{0}`, `{1}` … filled in. What stands after a bar is not said: it tells
 *  apart what English says in one word, "surface|column". What nobody has translated (what people typed,
 *  recipes of the house) stays as it is. */
export function t(text: string, ...values: readonly (string | number | null | undefined)[]): string {
  const c = catalogue()
  const [english = ''] = text.split('|')
  const said = c ? (c.words[text] ?? translated(english, c)) : english
  const whole = values.length === 0 ? said : said.replace(/\{(\d)\}/g, (_, n: string) => filled(values[Number(n)], c))
  // "7:10 p. m." at the end of a sentence ends it.
  return c ? whole.replace(/(\.\u00a0m\.)\./g, '$1') : whole
}

/** What is filled in is said in the same language where it is known: names of steps and things. */
const filled = (value: string | number | null | undefined, c: Catalogue | undefined): string =>
  typeof value === 'string' && c ? translated(value, c) : String(value ?? '')

function translated(text: string, c: Catalogue): string {
  const known = c.words[text]
  if (known !== undefined) return known
  // The same with its first letter the other way: "plaques" as a heading, "Trim" in the middle of a sentence.
  const [first = ''] = text
  const isLow = first !== first.toUpperCase()
  const other = c.words[(isLow ? first.toUpperCase() : first.toLowerCase()) + text.slice(first.length)]
  if (other !== undefined) return (isLow ? other[0]!.toLowerCase() : other[0]!.toUpperCase()) + other.slice(1)
  for (const [pattern, say] of c.patterns) {
    const found = pattern.exec(text)
    if (found) return say((x) => t(x), ...found.slice(1))
  }
  return text
}

/** A number that was written with a point, as the language writes it: "4,5" where a comma is usual. */
export const decimals = (text: string, comma: boolean): string => (comma ? text.replace(/(\d)\.(\d)/g, '$1,$2') : text)
