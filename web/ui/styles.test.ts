import { expect, it } from 'vitest'

const files = import.meta.glob<string>(['../**/*.vue', '../**/*.css'], { query: '?raw', import: 'default', eager: true })

it('styles name the start and the end of a line, not its left and right: a language may run the other way', () => {
  const physical = /\b(margin|padding|border)-(left|right)\b|text-align: (left|right)|float: (left|right)/
  expect(Object.keys(files).length).toBeGreaterThan(60)
  const found = Object.entries(files).flatMap(([file, text]) =>
    text.split('\n').flatMap((line, i) => (physical.test(line) ? [`${file}:${i + 1} ${line.trim()}`] : [])),
  )
  expect(found).toEqual([])
})

it('a component fits on a page: no file above 250 lines, no expression in a template above 90 characters besides its sentences', () => {
  const vue = Object.entries(files).filter(([file]) => file.endsWith('.vue'))
  expect(vue.filter(([, text]) => text.split('\n').length > 251).map(([file]) => file)).toEqual([])
  const long = vue.flatMap(([file, text]) => {
    const template = /<template>[^]*<\/template>/.exec(text)?.[0] ?? ''
    const found = [...template.matchAll(/\{\{([^]*?)\}\}/g), ...template.matchAll(/\s(?:[:@]|v-)[\w.:-]+="([^"]*)"/g)]
    return found
      .map((m) => m[1]!.replace(/\s+/g, ' ').trim())
      .filter((x) => x.replace(/'(?:[^'\\]|\\.)*'/g, "''").length > 90)
      .map((x) => `${file}: ${x}`)
  })
  expect(long).toEqual([])
})

it('type has the sizes of the scale, and no others', () => {
  const raw = /font(-size)?:\s*(\d{3}\s+)?\d+(\.\d+)?px/
  const found = Object.entries(files).flatMap(([file, text]) =>
    text.split('\n').flatMap((line, i) => (raw.test(line) ? [`${file}:${i + 1} ${line.trim()}`] : [])),
  )
  expect(found).toEqual([])
  const used = new Set(Object.values(files).flatMap((text) => text.match(/var\(--t-\w+\)/g) ?? []))
  expect(used.size).toBeGreaterThan(5)
  expect(used.size).toBeLessThanOrEqual(15)
})
