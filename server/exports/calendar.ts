import ICAL from 'ical.js'
import ical, { ICalCalendarMethod, ICalEventRepeatingFreq, ICalEventTransparency, ICalWeekday, type ICalCalendar } from 'ical-generator'
import { DateTime } from 'luxon'
import { tzlib_get_ical_block } from 'timezones-ical-library'
import type { House } from '#core/house'
import { t } from '#core/language'
import { icsSummary, phrases } from '#core/phrases'
import type { Plan } from '#core/plan'
import { addDays, addMinutes, readInstant, weekdays, type Zoned } from '#core/time'
import type { Workshop } from '#core/workshop'

const zoned = (at: Zoned) => {
  const z = readInstant(at)
  return DateTime.fromMillis(z.epochMilliseconds, { zone: z.timeZoneId })
}

/** A text in one line, without what a calendar would read as its own: line breaks and control characters. */
const oneLine = (text: string): string => text.replace(/[\p{Cc}\u2028\u2029]+/gu, ' ')

interface Planned {
  workshop: Workshop
  plan: Plan
}

/** An empty calendar in the zone of a house. */
function calendarIn(house: House, name: string): ICalCalendar {
  const calendar = ical({
    name: oneLine(name),
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: 'Imprenta', product: 'Imprenta', language: 'EN' },
  })
  calendar.timezone({ name: house.timeZone, generator: (zone) => tzlib_get_ical_block(zone)[0] ?? null })
  return calendar
}

/** Sessions as events and open errands as short events before them, with the VTIMEZONE of the house. */
export function calendarOf(workshop: Workshop, house: House, plan: Plan): string {
  const calendar = calendarIn(house, workshop.title)
  addSessions(calendar, { workshop, plan }, house, plan.now)
  addErrands(calendar, { workshop, plan }, house, plan.now)
  return calendar.toString()
}

/** A calendar to subscribe to: as long as nothing changes it is the same to the letter, whenever it is asked for. Of one workshop: its
 *  classes and open errands. */
export function workshopFeed({ workshop, plan }: Planned, house: House): string {
  const calendar = calendarIn(house, workshop.title)
  calendar.ttl(3600)
  addSessions(calendar, { workshop, plan }, house, workshop.createdAt)
  addErrands(calendar, { workshop, plan }, house, workshop.createdAt)
  return calendar.toString()
}

/** Of a house: the classes and errands of all its workshops, and when it is closed: the same days every week, and single ones. */
export function houseFeed(house: House, planned: readonly Planned[]): string {
  const calendar = calendarIn(house, house.name)
  calendar.ttl(3600)
  for (const p of planned) {
    addSessions(calendar, p, house, p.workshop.createdAt)
    addErrands(calendar, p, house, p.workshop.createdAt)
  }
  const days: Record<(typeof weekdays)[number], ICalWeekday> = {
    ...{ mon: ICalWeekday.MO, tue: ICalWeekday.TU, wed: ICalWeekday.WE, thu: ICalWeekday.TH },
    ...{ fri: ICalWeekday.FR, sat: ICalWeekday.SA, sun: ICalWeekday.SU },
  }
  // Monday 5 January 2026 is the first of a week that every house has behind it.
  weekdays.forEach((d, i) => {
    const whole = {
      allDay: true,
      transparency: ICalEventTransparency.TRANSPARENT,
      stamp: new Date(0),
      summary: t('{0} is closed', oneLine(house.name)),
    }
    if (house.hours[d] === null)
      calendar.createEvent({
        ...whole,
        id: `${house.id}-closed-${d}@imprenta`,
        start: new Date(`${addDays('2026-01-05', i)}T00:00:00Z`),
        repeating: { freq: ICalEventRepeatingFreq.WEEKLY, byDay: [days[d]] },
      })
  })
  for (const day of [...house.closedDays].sort())
    calendar.createEvent({
      id: `${house.id}-closed-${day}@imprenta`,
      allDay: true,
      transparency: ICalEventTransparency.TRANSPARENT,
      stamp: new Date(0),
      start: new Date(`${day}T00:00:00Z`),
      summary: t('{0} is closed', oneLine(house.name)),
    })
  return calendar.toString()
}

/** Of one person: the classes they come to, and from when their piece may be rubbed at home. No name stands in it. */
export function personFeed({ workshop, plan }: Planned, house: House, person: string): string | undefined {
  const mine = workshop.group.participants.find((p) => p.id === person)
  if (!mine) return undefined
  const calendar = calendarIn(house, workshop.title)
  calendar.ttl(3600)
  const stamp = workshop.createdAt
  const comes = (session: string) => !mine.misses.includes(session) && (mine.kit !== true || workshop.held === 'home')
  addSessions(calendar, { workshop, plan }, house, stamp, comes)
  for (const s of plan.takeHome.filter((x) => x.participant === person && x.ready))
    calendar.createEvent({
      id: `${workshop.id}-${s.design}-${s.number}-ready@imprenta`,
      start: zoned(s.ready!.tellAt),
      end: zoned(addMinutes(s.ready!.tellAt, 30)),
      timezone: house.timeZone,
      stamp: zoned(stamp),
      summary: t('{0} may be rubbed', oneLine(t(s.piece))),
      description: t('Never before {0}.', phrases(house, plan.now).at(s.ready!.neverBefore)),
    })
  return calendar.toString()
}

function addSessions(
  calendar: ICalCalendar,
  { workshop, plan }: Planned,
  house: House,
  stamp: Zoned,
  wanted: (session: string) => boolean = () => true,
): void {
  for (const s of plan.sessions.filter((x) => wanted(x.id))) {
    const parts = plan.loads.find((l) => l.sessionId === s.id)?.parts ?? []
    const stages = parts.flatMap((p) => [...(parts.length > 1 ? [`${t(oneLine(p.name))}:`] : []), ...p.load.stages.map((x) => t(x.name))])
    calendar.createEvent({
      id: `${workshop.id}-${s.id}@imprenta`,
      start: zoned(s.from),
      end: zoned(s.to),
      timezone: house.timeZone,
      stamp: zoned(stamp),
      summary: icsSummary(oneLine(workshop.title), s.number, plan.sessions.length),
      location: [s.room, house.name].filter(Boolean).map(oneLine).join(', '),
      description: stages.join('\n'),
    })
  }
}

const isOpen = (e: Plan['errands'][number]) => e.state !== 'done' && e.code !== 'set-up'

function addErrands(calendar: ICalCalendar, { workshop, plan }: Planned, house: House, stamp: Zoned): void {
  const say = phrases(house, plan.now)
  for (const e of plan.errands.filter(isOpen)) {
    const { title, body } = say.errand(e)
    calendar.createEvent({
      id: `${workshop.id}-${e.id}@imprenta`,
      start: zoned(addMinutes(e.by, -15)),
      end: zoned(e.by),
      timezone: house.timeZone,
      stamp: zoned(stamp),
      summary: `${title} (${oneLine(workshop.title)})`,
      description: body,
    })
  }
}

/** Errands as tasks (VTODO) with when they are due; what is done is done there too. */
export const tasksOf = (p: Planned, house: House): string => tasksOfHouse([p], house)

/** The errands of several workshops of a house as tasks. */
export function tasksOfHouse(planned: readonly Planned[], house: House): string {
  const calendar = new ICAL.Component('vcalendar')
  calendar.addPropertyWithValue('version', '2.0')
  calendar.addPropertyWithValue('prodid', '-//Imprenta//Imprenta//EN')
  for (const p of planned) addTasks(calendar, p, house)
  return calendar.toString()
}

function addTasks(calendar: InstanceType<typeof ICAL.Component>, { workshop, plan }: Planned, house: House): void {
  const say = phrases(house, plan.now)
  const utc = (at: Zoned) => ICAL.Time.fromJSDate(zoned(at).toJSDate(), true)
  for (const e of plan.errands) {
    const { title, body } = say.errand(e)
    const todo = new ICAL.Component('vtodo')
    const put = (name: string, value: unknown) => todo.addPropertyWithValue(name, value as never)
    put('uid', `${workshop.id}-${e.id}-task@imprenta`)
    put('dtstamp', utc(plan.now))
    put('due', utc(e.by))
    put('summary', oneLine(`${title} (${workshop.title})`))
    if (body) put('description', body)
    put('status', e.state === 'done' ? 'COMPLETED' : 'NEEDS-ACTION')
    calendar.addSubcomponent(todo)
  }
}
