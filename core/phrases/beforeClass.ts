import { clockOf, type House } from '#core/house'
import type { KitLine } from '#core/kit'
import { stopsOf, type Plan } from '#core/plan'
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
    return e ? `${e.startBy ? 'begin by' : 'by'} ${say.at(e.by)}${e.state === 'done' ? ', done' : e.state === 'late' ? ', late' : ''}` : ''
  }
  const packs = (l: KitLine) =>
    l.toGet.packs.map((p) => `${p.count} ${p.count === 1 ? p.noun : (p.plural ?? `${p.noun}s`)} of ${size(l, p.size)}`).join(' + ')
  const size = (l: KitLine, n: number) =>
    l.unit === 'ml' || l.unit === 'mm' ? say.amount(n, l.unit) : l.unit === 'strips' ? `${n} strips` : String(n)
  const bought = plan.kit.filter((l) => l.toGet.packs.length > 0)
  const brought = plan.kit.filter((l) => l.sheets === undefined && l.need > 0)
  const made = plan.designs.filter((d) => d.pieces > 0 || plan.designs.length === 1)
  const printed = made.flatMap((d) =>
    d.print.prints === 0
      ? []
      : [
          `${made.length > 1 ? `${d.pieceName}: ` : ''}${many(d.print.prints, 'print')} on ${many(d.print.sheets, 'sheet')}, ${d.print.paper.name}, ${d.print.mirrored ? 'mirrored' : 'not mirrored'}`,
          `${say.length(d.print.widthMm)} × ${say.length(d.print.heightMm)} each, on ${d.print.stock}`,
          d.ink === 'any' ? 'any ink' : `${d.ink} only`,
        ],
  )
  const ahead = plan.errands.filter((e) => e.code === 'paint' || e.code === 'trim')
  const samples = plan.errands.filter((e) => e.code === 'sample')
  const parts = [
    {
      title: 'Buy',
      by: by('order'),
      lines: [
        ...bought.map((l) => `${l.name}, ${l.note ? `${l.note}: ` : ''}${packs(l)}`),
        ...(bought.length ? [`In all ${say.amount(plan.figures['cost-total']!.value, 'minor')}, estimated`] : []),
      ],
    },
    {
      title: 'Print',
      by: by('print'),
      lines: printed.length === 0 ? [] : [...printed, ...(plan.takeHome.length ? [many(plan.takeHome.length, 'take-home sheet')] : [])],
    },
    {
      title: 'Prepare',
      by: '',
      lines: ahead.map((e) => `${say.errand(e).title}: by ${say.at(e.by)}${e.state === 'done' ? ', done' : ''}`),
    },
    {
      title: 'Samples to show',
      by: '',
      lines: [
        ...samples.map((e) => `${say.errand(e).title}: begin by ${say.at(e.by)}${e.state === 'done' ? ', done' : ''}`),
        ...made.flatMap((d) => d.stageSamples.filter((s) => !s.startBy).map((s) => `${s.name}: on the day`)),
      ],
    },
    { title: 'Bring', by: by('pack'), lines: brought.map((l) => `${say.amount(l.need, l.unit)} ${l.name.toLowerCase()}`) },
  ]
  const ages = plan.adults.byAge.map((a) =>
    a.age === 'adult' ? many(a.people, 'adult') : `${a.people} ${/^\d/.test(ageName(a.age)) ? 'of ' : ''}${ageName(a.age)}`,
  )
  return {
    title: workshop.title,
    about: [
      ...made.map((d) => `${made.length > 1 ? d.pieces : plan.people} × ${d.pieceName}, ${d.recipe.name.toLowerCase()}`),
      `${sayList(ages)}; tables of ${plan.seating.join(', ')}${plan.adults.matters ? `; ${many(plan.adults.needed, 'adult')} needed, ${plan.adults.coming} coming` : ''}`,
      ...plan.sessions.map(
        (s) => `Class ${s.number}: ${sayDay(s.from)}, ${sayClock(s.from, clock)} to ${sayClock(s.to, clock)}, ${s.room}`,
      ),
    ],
    doubt: stop ? `This plan does not hold yet: ${say.finding(stop).title}.` : '',
    parts: parts.filter((p) => p.lines.length > 0),
    helper: plan.loads.map((l) => {
      const session = plan.sessions.find((s) => s.id === l.sessionId)!
      const parts = l.parts.map((p) => {
        const d = plan.designs.find((x) => x.design === p.design)!
        return { name: p.name, stages: d.stages.filter((s) => p.load.stages.some((x) => x.id === s.id)) }
      })
      const stages = parts.flatMap((p) => p.stages)
      const hands = [...new Set(stages.flatMap((s) => s.cautions))].map((c) => `${cautions[c].where}: ${cautions[c].text}`)
      return {
        title: `Class ${session.number}, ${sayDay(session.from)}, ${sayClock(session.from, clock)}: ${say.minutes(l.neededMin)} of ${say.minutes(l.availableMin)}`,
        lines: [
          ...parts.flatMap((p) => [
            ...(parts.length > 1 ? [`${p.name[0]!.toUpperCase()}${p.name.slice(1)}:`] : []),
            ...p.stages.map((s) => `${s.name}, ${say.minutes(s.minutes.value)}. Right: ${s.pass} Wrong: ${s.fail}`),
          ]),
          ...(hands.length ? [`Take care. ${hands.join('. ')}.`] : []),
        ],
      }
    }),
  }
}

const many = (n: number, one: string) => `${n} ${n === 1 ? one : `${one}s`}`

const plain = (text: string) => text.replace(/([\\`*_{}[\]<>#+!|~])/g, '\\$1').replace(/\r?\n/g, ' ')

/** The page before the class as Markdown; what people typed is escaped. */
export function beforeMarkdown(t: BeforeText): string {
  const blocks = [
    `# Before the class: ${plain(t.title)}`,
    t.about.map((x) => `- ${plain(x)}`).join('\n'),
    t.doubt && `**${plain(t.doubt)}**`,
    ...t.parts.map((p) => `## ${p.title}${p.by ? `, ${plain(p.by)}` : ''}\n\n${p.lines.map((l) => `- [ ] ${plain(l)}`).join('\n')}`),
    t.helper.length > 0 && '# For the helper',
    ...t.helper.map((h) => `## ${plain(h.title)}\n\n${h.lines.map((l) => `- ${plain(l)}`).join('\n')}`),
  ]
  return `${blocks.filter(Boolean).join('\n\n')}\n`
}
