import ICAL from 'ical.js'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startServer } from '../testing/start'

let server: Awaited<ReturnType<typeof startServer>>
beforeAll(async () => {
  server = await startServer('ahead')
})
afterAll(() => server.stop())
const get = (path: string) => server.api.get(`/api/${path}`)
const pages = (body: Buffer) => (body.toString('latin1').match(/\/Type \/Page\b/g) ?? []).length

describe('what is ahead for a house', () => {
  it('prints on one page, with its fonts', async () => {
    const { body, type } = await get('houses/saltbox/ahead.pdf').responseType('blob')
    expect(type).toBe('application/pdf')
    expect(pages(body as Buffer)).toBe(1)
    expect((body as Buffer).toString('latin1')).toContain('/FontFile')
  })
  it('as Markdown it has the errands of every workshop that is not put away, and of no other house', async () => {
    const { text } = await get('houses/saltbox/ahead.md')
    for (const title of ['Moths of the marsh', 'Heron pages', 'Harbour keepsakes', 'Kelp canvases to go']) expect(text).toContain(title)
    for (const title of ['Heron canvases', 'Lighthouse blocks', 'Ferry lanterns']) expect(text).not.toContain(title)
    expect(text).toContain('Moths of the marsh: 23 pieces on 1-1 to 1-8, 2-1 to 2-8, 3-1 to 3-7')
  })
  it('its errands are tasks, each once', async () => {
    const { text, type } = await get('houses/saltbox/errands.ics')
    expect(type).toBe('text/calendar')
    const todos = new ICAL.Component(ICAL.parse(text) as unknown[] as never).getAllSubcomponents('vtodo')
    const uids = todos.map((x) => String(x.getFirstPropertyValue('uid')))
    expect(new Set(uids).size).toBe(uids.length)
    expect(uids.some((u) => u.startsWith('heron-pages-order'))).toBe(true)
    expect(uids.some((u) => u.startsWith('lighthouse-blocks'))).toBe(false)
  })
  it('a house that is not here is not found', async () => {
    for (const which of ['ahead.pdf', 'ahead.md', 'errands.ics']) expect((await get(`houses/nowhere/${which}`)).status).toBe(404)
  })
})

describe('labels for the shelf', () => {
  it('twenty-one to a page of letter, on as many pages as it takes', async () => {
    const { body } = await get('workshops/moths-of-the-marsh/labels.pdf').responseType('blob')
    expect(pages(body as Buffer)).toBe(2)
    expect((body as Buffer).toString('latin1')).toContain('[0 0 612 792]')
  })
  it('nothing lies there: said so', async () => {
    const answer = await get('workshops/kelp-coasters/labels.pdf')
    expect([answer.status, answer.body.error.what]).toEqual([404, 'Nothing of this workshop lies on the shelf.'])
  })
})
