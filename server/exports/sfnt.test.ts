import * as fontkit from 'fontkit'
import { readFileSync } from 'node:fs'
import { describe, expect, it, test } from 'vitest'
import { faces } from './fonts'
import { fontAt, sfntOf } from './sfnt'

type Read = {
  numGlyphs: number
  postscriptName: string
  layout: (text: string) => { advanceWidth: number; glyphs: { path: { toSVG(): string } }[] }
}

describe('a font unpacked', () => {
  test.each(Object.entries(faces))('%s is the same font: its letters, their widths and outlines', (_name, path) => {
    const [packed, plain] = [fontkit.openSync(path), fontkit.create(fontAt(path))] as unknown as [Read, Read]
    expect([plain.numGlyphs, plain.postscriptName]).toEqual([packed.numGlyphs, packed.postscriptName])
    for (const text of ['Rub it, Zoë: 12 h', 'ليلى', 'שרה', 'Жанна']) {
      const [a, b] = [packed.layout(text), plain.layout(text)]
      expect(b.advanceWidth).toBe(a.advanceWidth)
      expect(b.glyphs.map((g) => g.path.toSVG())).toEqual(a.glyphs.map((g) => g.path.toSVG()))
    }
  })
  it('is unpacked once', () => expect(fontAt(faces.text)).toBe(fontAt(faces.text)))
  it('what is none, or is broken, is said', () => {
    expect(() => sfntOf(Buffer.from('%PDF-1.7'))).toThrow('not a WOFF')
    const woff = readFileSync(faces.text)
    woff.writeUInt32BE(woff.readUInt32BE(44 + 12) + 1, 44 + 12)
    expect(() => sfntOf(woff)).toThrow(/is broken|incorrect|invalid/)
  })
})
