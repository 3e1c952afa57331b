import { describe, expect, it, test } from 'vitest'
import { demoWorkshops } from '#core/demo'
import { readWorkshopFile, writeWorkshop } from '#core/exchange'
import { BadInput } from '#core/reasons'

const all = demoWorkshops('2026-05-15')
const problem = (text: string) => {
  try {
    readWorkshopFile(text)
  } catch (e) {
    if (e instanceof BadInput) return e.answer.error
    throw e
  }
  return undefined
}

describe('a workshop file', () => {
  test.each(all.map((w) => [w.title, w] as const))('%s comes back as it went, byte for byte', (_title, w) => {
    const { pictures: _pictures, ...rest } = w
    expect(readWorkshopFile(writeWorkshop(w))).toEqual(rest)
    expect(writeWorkshop(readWorkshopFile(writeWorkshop(w)))).toBe(writeWorkshop(w))
  })
  it('carries no picture, and takes none from a file that says it has some', () => {
    const blocks = all.find((w) => w.id === 'lighthouse-blocks')!
    expect(blocks.pictures!.length).toBeGreaterThan(10)
    expect(writeWorkshop(blocks)).not.toContain('picture-1')
    expect(readWorkshopFile(JSON.stringify({ format: 'imprenta-workshop', version: 1, workshop: blocks })).pictures).toBeUndefined()
  })
  it('may have a byte order mark', () =>
    expect(readWorkshopFile(`\uFEFF${writeWorkshop(all[0]!)}`)).toEqual(readWorkshopFile(writeWorkshop(all[0]!))))
  test.each([
    ['not JSON', 'hello', 'line 1, column 1'],
    ['cut off', '{\n  "format": "imprenta-workshop",\n', 'line'],
    ['another format', '{"format":"other"}', 'format'],
    ['a list', '[]', 'format'],
    ['null', 'null', 'format'],
    ['a later version', '{"format":"imprenta-workshop","version":3}', 'version'],
    ['no version', '{"format":"imprenta-workshop"}', 'version'],
    ['no workshop', '{"format":"imprenta-workshop","version":1}', 'workshop'],
    ['a wrong field', writeWorkshop({ ...all[0]!, title: '' }), 'workshop.title'],
    [
      'a wrong field deep inside',
      writeWorkshop({ ...all[0]!, sessions: [{ ...all[0]!.sessions[0]!, date: 'soon' }] }),
      'workshop.sessions.0.date',
    ],
  ])('%s is answered with where and the way out', (_name, text, path) => {
    const error = problem(text)!
    expect(error.path).toContain(path)
    expect(error.what).not.toBe('')
    expect(error.remedy).not.toBe('')
  })
})
