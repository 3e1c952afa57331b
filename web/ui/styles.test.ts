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
