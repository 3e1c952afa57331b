import type pg from 'pg'
import { inLanguage, t } from '#core/language'
import { aheadMarkdown, aheadText, shelfLine, type AheadText } from '#core/phrases'
import { inZone } from '#core/time'
import type { Clock } from '../clock'
import { plansOfHouse } from '../desk/planning'
import { beforePdf } from './beforePdf'
import { tasksOfHouse } from './calendar'
import type { Paper } from './papers'

export const housePaperNames = ['ahead.pdf', 'ahead.md', 'errands.ics'] as const
export interface HousePaperAsked {
  which: (typeof housePaperNames)[number]
  id: string
}

/** What is ahead for all workshops of a house: errands and shelf on paper, or its errands as tasks for a calendar program. */
export async function makeHousePaper(pool: pg.Pool, clock: Clock, { which, id }: HousePaperAsked): Promise<Paper> {
  const { house, planned } = await plansOfHouse(pool, clock, id)
  const now = inZone(clock.now(), house.timeZone)
  const language = house.language ?? 'en'
  const name = `${id}-${which}`
  if (which === 'errands.ics') return { type: 'text/calendar', name, body: inLanguage(language, () => tasksOfHouse(planned, house)) }
  const text = inLanguage(language, () => aheadText(house, planned, now))
  if (which === 'ahead.md') return { type: 'text/markdown', name, body: inLanguage(language, () => aheadMarkdown(text)) }
  return { type: 'application/pdf', name, body: await inLanguage(language, () => beforePdf(pageOf(text), house.paper)) }
}

/** As the page before a class is drawn: a part for each day with boxes to tick, the shelf in the last. */
function pageOf(a: AheadText): Parameters<typeof beforePdf>[0] {
  return {
    title: a.title,
    kicker: t('What is ahead'),
    about: [a.about],
    doubt: '',
    parts: [
      ...a.days.map((d) => ({
        title: d.day,
        by: '',
        lines: d.errands.map(
          (e) => `${e.what}${e.body ? ` (${e.body})` : ''}, ${e.at}. ${e.title}.${e.late ? ` ${e.late.title}: ${e.late.body}` : ''}`,
        ),
      })),
      ...(a.shelf.length > 0 ? [{ title: t('Shelf'), by: '', lines: a.shelf.map(shelfLine) }] : []),
    ].filter((p) => p.lines.length > 0),
    helper: [],
  }
}
