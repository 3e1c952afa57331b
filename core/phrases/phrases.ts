import { clockOf, sizeUnit, type House } from '#core/house'
import type { Coded, DecisionValues, ErrandValues, FindingValues, RemedyValues } from '#core/codes'
import type { Difference, Plan } from '#core/plan'
import type { Because, Input } from '#core/reasons'
import { inZone, sayDayClock, type Zoned } from '#core/time'
import { showLength, showMoney, showVolume } from '#core/units'
import { catalogue, decimals, speaking, t, type ConditionValues, type Lines, type LinesOf, type Said, type Voice } from '#core/language'
import { becauseRules, inputNames } from './becauseEn'
import { conditionLines } from './craftEn'
import { decisionLines, errandLines, findingLines, remedyLines } from './findingsEn'

export type Phrases = ReturnType<typeof phrases>

/** What is said by code, in English. */
export const englishLines = {
  findings: findingLines,
  remedies: remedyLines,
  conditions: conditionLines,
  decisions: decisionLines,
  errands: errandLines,
} satisfies Lines

/** Lines of the language that is spoken, and values in it: names of steps and things are values. */
const lines = (): Lines => catalogue()?.lines ?? englishLines
/** Values that are codes, which a line says in its own way. */
const codes = new Set(['state', 'ages', 'hazard', 'whites', 'wished', 'share', 'ink', 'sure'])
const inWords = <V extends object>(values: V): V =>
  catalogue()
    ? (Object.fromEntries(Object.entries(values).map(([k, x]) => [k, typeof x === 'string' && !codes.has(k) ? t(x) : x])) as V)
    : values

/** Says a code with its values: each line takes its own code's. */
function sayCode<V, T>(table: LinesOf<V, T>, { code, values }: Coded<V>, voice: Voice): T {
  const line = (table as Partial<LinesOf<V, T>>)[code]
  if (!line) throw new Error(`the phrase catalogue has no "${String(code)}"`)
  return line(inWords(values as V[keyof V] & object), voice)
}

/** The phrase catalogue for one house, in the language that is spoken. Core answers in codes and values; this renders them.
 *  A code that the catalogue does not know is a bug and says so. */
export function phrases(house: House, now: Zoned) {
  const voice = voiceOf(house, now)
  return {
    ...voice,
    finding: (f: Coded<FindingValues>): Said => sayCode(lines().findings, f, voice),
    remedy: (r: Coded<RemedyValues>): string => sayCode(lines().remedies, r, voice),
    condition: (r: Coded<RemedyValues>): string => sayCondition(r, voice),
    decision: (d: Coded<DecisionValues>): string => sayDecision(d, voice),
    errand: (e: Coded<ErrandValues>): Said => sayCode(lines().errands, e, voice),
    rule: (b: Because): string => t(lookUp(becauseRules, b.rule)),
    input: (i: Input): { name: string; value: string } => ({ name: inputName(i), value: inputValue(i, voice) }),
    amount: (value: number | string, unit: string, noun?: string): string => amount(value, unit, voice, house, noun),
    difference: (d: Difference): string => sayDifference(d, voice, house),
  }
}

function sayCondition(r: Coded<RemedyValues>, voice: Voice): string {
  const { conditions } = lines()
  if (r.code in conditions) return sayCode(conditions, r as Coded<ConditionValues>, voice)
  const deed = sayCode(lines().remedies, r, voice)
  return t('you {0}', `${deed[0]!.toLowerCase()}${deed.slice(1)}`)
}

/** A link of the chain; with several designs it is the first one's, and says how many more there are. */
function sayDecision(d: Coded<DecisionValues>, voice: Voice): string {
  const line = sayCode(lines().decisions, d, voice)
  const more = 'more' in d.values ? (d.values.more ?? 0) : 0
  return more > 0 ? t('{0}, and {1} more', line, more) : line
}

function voiceOf(house: House, now: Zoned): Voice {
  // Where people measure in metres they write a comma, where they measure in inches a point.
  const comma = speaking() === 'es' && house.units === 'metric'
  return {
    // Whatever zone an instant was written in, people read it by the clock of their house.
    at: (instant) => sayDayClock(inZone(String(instant), house.timeZone), clockOf(house), now),
    length: (mm) => decimals(showLength(Number(mm), sizeUnit(house)), comma),
    volume: (ml) => t(decimals(showVolume(ml, house.units), comma)),
    money: (minor) => decimals(showMoney(minor, house.currency), comma),
    minutes: (min) => sayMinutes(Number(min)),
  }
}

/** "45 min", "12 h", "14 h 53 min", "2 days 3 h". */
export function sayMinutes(min: number): string {
  const m = Math.round(Math.abs(min))
  if (m < 90) return `${m} min`
  if (m >= 72 * 60)
    return [t('{0} days', Math.floor(m / 1440)), Math.floor((m % 1440) / 60) ? `${Math.floor((m % 1440) / 60)} h` : '']
      .filter(Boolean)
      .join(' ')
  return [`${Math.floor(m / 60)} h`, m % 60 ? `${m % 60} min` : ''].filter(Boolean).join(' ')
}

function lookUp<T>(table: Record<string, T>, code: string): T {
  const found = table[code]
  if (found === undefined) throw new Error(`the phrase catalogue has no "${code}"`)
  return found
}

function inputName(i: Input): string {
  const [kind, rest] = i.name.split(':')
  if (rest === undefined) return t(lookUp(inputNames, i.name))
  const what = t(rest)
  return kind === 'wait' ? t('then {0} waits', what.toLowerCase()) : kind === 'queue' ? t('waiting before {0}', what.toLowerCase()) : what
}

function inputValue(i: Input, voice: Voice): string {
  if (i.name === 'laid') return voice.at(i.value)
  if (i.name === 'area') return `${Number((Number(i.value) / 100).toFixed(1))} cm²`
  if (typeof i.value === 'string') return t(i.value)
  switch (i.unit) {
    case 'min':
      return voice.minutes(i.value)
    case 'ml':
      return voice.volume(i.value)
    case 'mm':
      return voice.length(i.value)
    case 'um':
      return `${i.value} µm`
    case 'share':
      return `${Number((i.value * 100).toFixed(1))} %`
    case 'minor':
      return voice.money(i.value)
    case 'days':
      return t('{0} days', i.value)
    default:
      return String(Number(i.value.toFixed(2)))
  }
}

function amount(value: number | string, unit: string, voice: Voice, house: House, noun?: string): string {
  if (unit === 'instant') return voice.at(value)
  const n = Number(value)
  if (unit === 'ml') return voice.volume(n)
  if (unit === 'mm') return sayRoll(n, house)
  if (unit === 'min') return voice.minutes(n)
  if (unit === 'minor') return voice.money(n)
  if (unit === 'packs') return `${n} ${t(n === 1 ? noun! : `${noun}s`)}`
  return String(Number(n.toFixed(2)))
}

/** Cord and rolls: metres or feet and inches rather than millimetres. */
function sayRoll(mm: number, house: House): string {
  if (house.units === 'metric') return mm >= 1000 ? `${Number((mm / 1000).toFixed(1))} m` : `${mm} mm`
  return mm >= 610 ? `${Number((mm / 304.8).toFixed(1))} ft` : showLength(mm, 'in')
}

function sayDifference(d: Difference, voice: Voice, house: House): string {
  if (d.unit === 'instant')
    return d.after === null ? t('gone') : d.by === null ? voice.at(d.after) : t(d.by > 0 ? '{0} later' : '{0} earlier', voice.minutes(d.by))
  if (d.by === null) return t(d.after === null ? 'gone' : 'new')
  const sign = d.by > 0 ? '+' : '−'
  const size = amount(Math.abs(d.by), d.unit, voice, house, d.noun ?? (d.unit === 'packs' ? 'pack' : undefined))
  return `${sign}${size}`
}

/** A plan's findings, errands and chain in words, for those who read the JSON. */
export function sayPlan(plan: Plan, house: House): { findings: (Said & { remedies: string[] })[]; errands: string[]; decisions: string[] } {
  const say = phrases(house, plan.now)
  return {
    findings: plan.findings.map((f) => ({ ...say.finding(f), remedies: f.remedies.map(say.remedy) })),
    errands: plan.errands.map((e) => t('{0} by {1}', say.errand(e).title, say.at(e.by))),
    decisions: plan.decisions.map(say.decision),
  }
}
