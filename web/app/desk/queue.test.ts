import 'fake-indexeddb/auto'
import { openDB } from 'idb'
import { expect, it, vi } from 'vitest'
import type { Command } from '#core/workshop'

const command = (id: string): Command => ({
  id,
  subject: { kind: 'workshop', id: 'w' },
  baseVersion: 1,
  kind: 'helpers',
  changes: [{ path: 'group/helpers', before: 1, after: 2 }],
  guards: [],
  actor: 'Noor',
  at: '',
})
const waiting = (id: string) => ({ command: command(id), label: `deed ${id}`, tab: 't' })

it('what waited in the form of the version before is taken over, in its order; what comes stands after it', async () => {
  const before = await openDB('imprenta', 1, { upgrade: (d) => void d.createObjectStore('queue', { keyPath: 'id' }) })
  await before.put('queue', command('01b'))
  await before.put('queue', command('01a'))
  before.close()
  vi.resetModules()
  const { queue } = await import('./queue')
  await queue.put(waiting('00z'))
  expect((await queue.all()).map((w) => [w.command.id, w.label, w.tab])).toEqual([
    ['01a', 'helpers', ''],
    ['01b', 'helpers', ''],
    ['00z', 'deed 00z', 't'],
  ])
  await queue.remove(['01a', 'unknown'])
  expect((await queue.all()).map((w) => w.command.id)).toEqual(['01b', '00z'])
  await queue.remove(['01b', '00z'])
  expect(await queue.all()).toEqual([])
})

it('what has to be settled is kept by its command, and what tells of people is forgotten with them', async () => {
  const { forgetIn, unsettled } = await import('./queue')
  const name = { ...command('n'), changes: [{ path: 'group/participants/p/name', before: null, after: 'Edda' }] }
  await unsettled.put({ command: name, label: 'a name', tab: 't', clashes: [] })
  await unsettled.put({ ...waiting('h'), clashes: [] })
  await unsettled.put({ ...waiting('h'), label: 'later', clashes: [] })
  expect((await unsettled.all()).map((u) => u.label)).toEqual(['later', 'a name'])
  const { queue } = await import('./queue')
  const both = { ...name, id: 'b', changes: [...name.changes, ...command('b').changes] }
  await queue.put({ command: { ...name, id: 'm' }, label: 'Edda', tab: 't' })
  await queue.put({ command: both, label: 'Edda', tab: 't' })
  await queue.put({ command: { ...name, id: 'l' }, label: 'later', tab: 't', erased: 5 })
  await forgetIn({ other: 9 })
  expect([await unsettled.all(), await queue.all()].map((l) => l.length)).toEqual([2, 3])
  await forgetIn({ w: 5 })
  expect((await unsettled.all()).map((u) => u.label)).toEqual(['later'])
  expect((await queue.all()).map((w) => [w.command.id, w.label, w.command.changes.map((c) => c.path)])).toEqual([
    ['b', 'helpers', ['group/helpers']],
    ['l', 'later', ['group/participants/p/name']],
  ])
  await forgetIn({ w: 6 })
  expect(JSON.stringify([await unsettled.all(), await queue.all()])).not.toContain('Edda')
  await queue.remove(['b'])
  await unsettled.remove('h')
  expect(await unsettled.all()).toEqual([])
})

it('a page served over plain HTTP has no locks: a lease takes their place, one after another', async () => {
  vi.stubGlobal('navigator', {})
  vi.stubGlobal('sessionStorage', { getItem: () => null, setItem: () => undefined })
  const { inTurn, nameTab } = await import('./turns')
  const log: string[] = []
  const task = (name: string, ms: number) =>
    inTurn('x', async () => {
      log.push(`${name} in`)
      await new Promise((go) => setTimeout(go, ms))
      log.push(`${name} out`)
      if (name === 'b') throw new Error('b failed')
    }).catch((e: Error) => log.push(e.message))
  await Promise.all([task('a', 30), task('b', 10), task('c', 10)])
  for (const name of ['a', 'b', 'c']) expect(log.indexOf(`${name} out`)).toBe(log.indexOf(`${name} in`) + 1)
  expect(log).toContain('b failed')
  expect(await (await nameTab()).others()).toBeUndefined()
})
