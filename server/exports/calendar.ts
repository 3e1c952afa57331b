import ical, { ICalCalendarMethod } from 'ical-generator'
import { DateTime } from 'luxon'
import { tzlib_get_ical_block } from 'timezones-ical-library'
import type { House } from '#core/house'
import { t } from '#core/language'
import { icsSummary, phrases } from '#core/phrases'
import type { Plan } from '#core/plan'
import { addMinutes, readInstant, type Zoned } from '#core/time'
import type { Workshop } from '#core/workshop'

const zoned = (at: Zoned) => {
  const z = readInstant(at)
  return DateTime.fromMillis(z.epochMilliseconds, { zone: z.timeZoneId })
}

/** A text in one line, without what a calendar would read as its own: line breaks and control characters. */
const oneLine = (text: string): string => text.replace(/[\p{Cc}\u2028\u2029]+/gu, ' ')

/** Sessions as events and open errands as short events before them, with the VTIMEZONE of the house. */
export function calendarOf(workshop: Workshop, house: House, plan: Plan): string {
  const calendar = ical({
    name: oneLine(workshop.title),
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: 'Imprenta', product: 'Imprenta', language: 'EN' },
  })
  calendar.timezone({ name: house.timeZone, generator: (zone) => tzlib_get_ical_block(zone)[0] ?? null })
  const say = phrases(house, plan.now)
  for (const s of plan.sessions) {
    const parts = plan.loads.find((l) => l.sessionId === s.id)?.parts ?? []
    const stages = parts.flatMap((p) => [...(parts.length > 1 ? [`${t(oneLine(p.name))}:`] : []), ...p.load.stages.map((x) => t(x.name))])
    calendar.createEvent({
      id: `${workshop.id}-${s.id}@imprenta`,
      start: zoned(s.from),
      end: zoned(s.to),
      timezone: house.timeZone,
      stamp: zoned(plan.now),
      summary: icsSummary(oneLine(workshop.title), s.number, plan.sessions.length),
      location: [s.room, house.name].filter(Boolean).map(oneLine).join(', '),
      description: stages.join('\n'),
    })
  }
  for (const e of plan.errands.filter((x) => x.state !== 'done' && x.code !== 'set-up')) {
    const { title, body } = say.errand(e)
    calendar.createEvent({
      id: `${workshop.id}-${e.id}@imprenta`,
      start: zoned(addMinutes(e.by, -15)),
      end: zoned(e.by),
      timezone: house.timeZone,
      stamp: zoned(plan.now),
      summary: `${title} (${oneLine(workshop.title)})`,
      description: body,
    })
  }
  return calendar.toString()
}
