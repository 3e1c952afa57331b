import { clockOf, type House } from '#core/house'
import type { KitLine } from '#core/kit'
import { t, t as tr } from '#core/language'
import { stopsOf, type Plan } from '#core/plan'
import type { Errand } from '#core/errands'
import { cautions } from '#core/recipe'
import { sayClock, sayDay } from '#core/time'
import type { Workshop } from '#core/workshop'
import { phrases } from './phrases'
import { ageName, sayList } from './words'

/** The page before the class: what is to buy, print, cut, paint, start and bring, by when and for whom; and the helper's half. */
export interface BeforeText {
  title: string
  /** What is made, by how many, when and where. */
  about: string[]
  /** A plan that does not hold says so here. */
  doubt: string
  parts: { title: string; by: string; lines: string[] }[]
  helper: { title: string; lines: string[] }[]
}

/** The page before the class, from the plan as it is; one text for paper and Markdown. */
export function beforeText(plan: Plan, workshop: Workshop, house: House): BeforeText {
  const say = phrases(house, plan.now)
  const clock = clockOf(house)
  const stop = stopsOf(plan)[0]
  const by = (code: string) => {
    const e = plan.errands.find((x) => x.code === code)
    return e ? `${t(e.startBy ? 'begin by {0}' : 'by {0}', say.at(e.by))}${stateOf(e.state)}` : ''
  }
  const packs = (l: KitLine) =>
    l.toGet.packs
      .map((p) => t('{0} {1} of {2}', p.count, t(p.count === 1 ? p.noun : (p.plural ?? `${p.noun}s`)), size(l, p.size)))
      .join(' + ')
  const size = (l: KitLine, n: number) =>
    l.unit === 'ml' || l.unit === 'mm' ? say.amount(n, l.unit) : l.unit === 'strips' ? t('{0} strips', n) : String(n)
  const bought = plan.kit.filter((l) => l.toGet.packs.length > 0)
  const brought = plan.kit.filter((l) => l.sheets === undefined && l.need > 0)
  const made = plan.designs.filter((d) => d.pieces > 0 || plan.designs.length === 1)
  const printed = made.flatMap((d) =>
    d.print.prints === 0
      ? []
      : [
          `${made.length > 1 ? `${t(d.pieceName)}: ` : ''}${t('{0} on {1}', many(d.print.prints, 'print'), many(d.print.sheets, 'sheet'))}, ${d.print.paper.name}, ${t(d.print.mirrored ? 'mirrored' : 'not mirrored')}`,
          t('{0} × {1} each, on {2}', say.length(d.print.widthMm), say.length(d.print.heightMm), t(d.print.stock)),
          d.ink === 'any' ? t('any ink') : t('{0} only', t(d.ink)),
        ],
  )
  const ahead = plan.errands.filter((e) => e.code === 'paint' || e.code === 'trim')
  const samples = plan.errands.filter((e) => e.code === 'sample')
  const parts = [
    {
      title: t('Buy'),
      by: by('order'),
      lines: [
        ...bought.map((l) => `${t(l.name)}, ${l.note ? `${t(l.note)}: ` : ''}${packs(l)}`),
        ...(bought.length ? [t('In all {0}, estimated', say.amount(plan.figures['cost-total']!.value, 'minor'))] : []),
      ],
    },
    {
      title: t('Print'),
      by: by('print'),
      lines: printed.length === 0 ? [] : [...printed, ...(plan.takeHome.length ? [many(plan.takeHome.length, 'take-home sheet')] : [])],
    },
    {
      title: t('Prepare'),
      by: '',
      lines: ahead.map((e) => `${t('{0}: by {1}', say.errand(e).title, say.at(e.by))}${stateOf(e.state === 'done' ? 'done' : 'open')}`),
    },
    {
      title: t('Samples to show'),
      by: '',
      lines: [
        ...samples.map(
          (e) => `${t('{0}: begin by {1}', say.errand(e).title, say.at(e.by))}${stateOf(e.state === 'done' ? 'done' : 'open')}`,
        ),
        ...made.flatMap((d) => d.stageSamples.filter((s) => !s.startBy).map((s) => t('{0}: on the day', t(s.name)))),
      ],
    },
    { title: t('Bring'), by: by('pack'), lines: brought.map((l) => `${say.amount(l.need, l.unit)} ${t(l.name).toLowerCase()}`) },
  ]
  const home = workshop.held === 'home'
  const ages = plan.adults.byAge.map((a) =>
    a.age === 'adult' ? many(a.people, 'adult') : t(/^\d/.test(ageName(a.age)) ? '{0} of {1}' : '{0} {1}', a.people, ageName(a.age)),
  )
  return {
    title: workshop.title,
    about: [
      ...made.map((d) => `${made.length > 1 ? d.pieces : plan.people} × ${t(d.pieceName)}, ${t(d.recipe.name).toLowerCase()}`),
      ...(home
        ? []
        : [
            `${sayList(ages)}; ${t('tables of {0}', plan.seating.join(', '))}${plan.adults.matters ? `; ${t('{0} needed, {1} coming', many(plan.adults.needed, 'adult'), plan.adults.coming)}` : ''}`,
          ]),
      ...plan.sessions.map((s) =>
        t(
          home ? (s.number === 1 ? 'Pick-up: {1}, {2} to {3}, {4}' : 'Return: {1}, {2} to {3}, {4}') : 'Class {0}: {1}, {2} to {3}, {4}',
          s.number,
          sayDay(s.from),
          sayClock(s.from, clock),
          sayClock(s.to, clock),
          s.room,
        ),
      ),
    ],
    doubt: stop ? t('This plan does not hold yet: {0}.', say.finding(stop).title) : '',
    parts: parts.filter((p) => p.lines.length > 0),
    helper: plan.loads.map((l) => {
      const session = plan.sessions.find((s) => s.id === l.sessionId)!
      const parts = l.parts.map((p) => {
        const d = plan.designs.find((x) => x.design === p.design)!
        return { name: p.name, stages: d.stages.filter((s) => p.load.stages.some((x) => x.id === s.id)) }
      })
      const stages = parts.flatMap((p) => p.stages)
      const hands = [...new Set(stages.flatMap((s) => s.cautions))].map((c) => `${t(cautions[c].where)}: ${t(cautions[c].text)}`)
      return {
        title: t(
          'Class {0}, {1}, {2}: {3} of {4}',
          session.number,
          sayDay(session.from),
          sayClock(session.from, clock),
          say.minutes(l.neededMin),
          say.minutes(l.availableMin),
        ),
        lines: [
          ...parts.flatMap((p) => [
            ...(parts.length > 1 ? [`${t(p.name)[0]!.toUpperCase()}${t(p.name).slice(1)}:`] : []),
            ...p.stages.map((s) => t('{0}, {1}. Right: {2} Wrong: {3}', t(s.name), say.minutes(s.minutes.value), t(s.pass), t(s.fail))),
          ]),
          ...(hands.length ? [t('Take care. {0}.', hands.join('. '))] : []),
        ],
      }
    }),
  }
}

const many = (n: number, one: string) => `${n} ${t(n === 1 ? one : `${one}s`)}`
const stateOf = (state: Errand['state']) => (state === 'done' ? `, ${t('done')}` : state === 'late' ? `, ${t('late')}` : '')

const plain = (text: string) => text.replace(/([\\`*_{}[\]<>#+!|~])/g, '\\$1').replace(/\r?\n/g, ' ')

/** The page before the class as Markdown; what people typed is escaped. */
export function beforeMarkdown(t: BeforeText): string {
  const blocks = [
    `# ${tr('Before the class')}: ${plain(t.title)}`,
    t.about.map((x) => `- ${plain(x)}`).join('\n'),
    t.doubt && `**${plain(t.doubt)}**`,
    ...t.parts.map((p) => `## ${p.title}${p.by ? `, ${plain(p.by)}` : ''}\n\n${p.lines.map((l) => `- [ ] ${plain(l)}`).join('\n')}`),
    t.helper.length > 0 && `# ${tr('For the helper')}`,
    ...t.helper.map((h) => `## ${plain(h.title)}\n\n${h.lines.map((l) => `- ${plain(l)}`).join('\n')}`),
  ]
  return `${blocks.filter(Boolean).join('\n\n')}\n`
}
