import { EventEmitter } from 'node:events'
import type { Response } from 'express'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { BadInput } from '#core/reasons'
import { NotFound, TooBusy } from '../errors'
import { fixed, startServer } from '../testing/start'

let server: Awaited<ReturnType<typeof startServer>>
beforeAll(async () => {
  server = await startServer('crew')
})
afterAll(() => server.stop())
const roster = (n: number) => ({
  kind: 'roster' as const,
  body: { text: ['name', ...Array.from({ length: n }, (_, i) => `P${i}`)].join('\n') },
})
const paper = { which: 'take-home.pdf' as const, id: 'moths-of-the-marsh', query: {}, now: fixed }

describe('the crew', () => {
  it('answers in the order of asking, with what the task gives or throws', async () => {
    expect(await server.crew.run('file', roster(3))).toMatchObject({ good: [{ name: 'P0' }, { name: 'P1' }, { name: 'P2' }] })
    await expect(server.crew.run('file', { kind: 'roster', body: {} })).rejects.toThrow(BadInput)
    await expect(server.crew.run('paper', { ...paper, id: 'nothing' })).rejects.toThrow(NotFound)
    expect((await server.crew.run('paper', paper)).type).toBe('application/pdf')
  })
  it('holds nobody up: health answers at once while forty PDFs are made', async () => {
    const all = Array.from({ length: 40 }, () => server.api.get('/api/workshops/moths-of-the-marsh/take-home.pdf').then((r) => r.status))
    await vi.waitFor(() => expect([server.crew.load.atWork, server.crew.load.waiting > 20]).toEqual([2, true]), 20_000)
    const health = await server.api.get('/healthz')
    expect([health.status, server.crew.load.waiting > 5]).toEqual([200, true])
    expect(new Set(await Promise.all(all))).toEqual(new Set([200]))
  }, 60_000)
  it('says so when too much waits, and takes more when it has done some', async () => {
    const many = Array.from({ length: 140 }, () =>
      server.crew.run('file', roster(200)).then(
        () => 'done',
        (e: unknown) => e,
      ),
    )
    const answers = await Promise.all(many)
    const busy = answers.filter((a) => a instanceof TooBusy)
    expect(busy.length).toBeGreaterThan(20)
    expect(answers.filter((a) => a === 'done').length).toBe(140 - busy.length)
    expect(await server.crew.run('file', roster(1))).toBeDefined()
  }, 60_000)
  it('drops what nobody waits for any more, waiting or begun', async () => {
    const gone = () => Object.assign(new EventEmitter(), { writableFinished: false }) as unknown as Response
    const askers = Array.from({ length: 6 }, gone)
    const all = askers.map((asker) =>
      server.crew.run('paper', paper, asker).then(
        () => 'done',
        (e: Error) => e.message,
      ),
    )
    for (const asker of askers) (asker as unknown as EventEmitter).emit('close')
    expect(new Set(await Promise.all(all))).toEqual(new Set(['the asker has gone']))
    expect(server.crew.load.waiting).toBe(0)
    expect((await server.crew.run('paper', paper)).name).toContain('take-home')
  }, 60_000)
  it('files have limits that are said: lines, columns, cells', async () => {
    const look = async (text: string) => (await server.api.post('/api/imports/roster').send({ text })).body.error?.path as string
    expect(await look(['name', ...Array.from({ length: 20_001 }, () => 'P')].join('\n'))).toBe('line 20001')
    expect(await look(`${Array.from({ length: 61 }, (_, i) => `c${i}`).join()}\n`)).toBe('line 1')
    expect(await look(`name\n${'x'.repeat(2001)}\n`)).toBe('line 2')
  })
})
