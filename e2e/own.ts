import { expect, type Page } from '@playwright/test'
import { uuidv7 } from 'uuidv7'
import { demoWorkshops } from '#core/demo'
import type { Workshop } from '#core/workshop'
import { url as at } from './pages'

/** A copy of the demo's moths in a room of its own: others find theirs as they were. */
export async function own(page: Page, id: string, more: (w: Workshop) => object = () => ({})): Promise<string> {
  const workshop = structuredClone(demoWorkshops('2026-05-15').find((w) => w.id === 'moths-of-the-marsh')!)
  const sessions = workshop.sessions.map((s, i) => ({ ...s, id: `${id}-${i + 1}`, room: `Room of ${id}` }))
  const choices = { ...workshop.choices, stations: { basin: 8, 'seal table': 6 } }
  const after = { ...workshop, id, title: id, sessions, choices, pieces: [], pictures: [], ...more(workshop) }
  await send(page, id, 'new', [{ path: '', before: null, after }])
  return at(`/w/${id}`)
}

/** Puts a copy away again: lists and shelves of the journeys to come are as they were. */
export const putAway = (page: Page, id: string): Promise<void> =>
  send(page, id, 'archive', [{ path: 'archivedAt', before: null, after: now }])

const now = '2026-05-15T15:00:00-04:00[America/New_York]'
async function send(page: Page, id: string, kind: string, changes: object[]): Promise<void> {
  const command = { id: uuidv7(), subject: { kind: 'workshop', id }, baseVersion: 0, kind, guards: [], actor: 'Noor', changes, at: now }
  const answer = await page.request.post(at('/api/commands'), { data: [command] })
  expect(((await answer.json()) as { outcomes: { status: string }[] }).outcomes[0]!.status).toBe('applied')
}
