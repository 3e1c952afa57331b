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

it('type has the sizes of the scale, and no others', () => {
  const raw = /font(-size)?:\s*(\d{3}\s+)?\d+(\.\d+)?px/
  const found = Object.entries(files).flatMap(([file, text]) =>
    text.split('\n').flatMap((line, i) => (raw.test(line) ? [`${file}:${i + 1} ${line.trim()}`] : [])),
  )
  expect(found).toEqual([])
  const scale = Object.entries(files).find(([file]) => file.endsWith('tokens.css'))![1].match(/--t-\w+: \d+px/g)!
  expect(scale.length).toBeLessThanOrEqual(11)
})
