import { describe, expect, it, test } from 'vitest'
import { pixelsAnInch, suit, type Pictures, type Prints } from '#core/suitability'

type Demands = Parameters<typeof suit>[2]
const wood: Demands = {
  ink: 'toner',
  smearTest: false,
  rubbed: true,
  whites: 'surface',
  surfaceIsWhite: false,
  forgives: 'some',
  widthMm: 152.4,
  heightMm: 101.6,
  printers: ['toner'],
}
const codes = (pictures: Partial<Pictures>, prints: Prints, more: Partial<Demands> = {}) =>
  suit({ lettering: false, ...pictures }, prints, { ...wood, ...more }).map((s) => `${s.level} ${s.code}`)

describe('prints', () => {
  test.each([
    ['nothing known is nothing said', {}, {}, []],
    ['toner from elsewhere', { printer: 'toner' }, { printers: ['inkjet'] }, []],
    ['inkjet for a toner method', { printer: 'inkjet' }, {}, ['stop wrong-ink']],
    ['toner for a lift', { printer: 'toner' }, { ink: 'inkjet' }, ['stop wrong-ink']],
    ['no inkjet in the house', {}, { ink: 'inkjet' }, ['stop printer-missing']],
    ['any ink for tissue', { printer: 'inkjet' }, { ink: 'any', rubbed: false }, []],
    ['smeared', { smear: 'failed' }, {}, ['stop smear-failed']],
    ['passed', { smear: 'passed' }, {}, []],
    ['inkjet film, not tested', { printer: 'inkjet' }, { ink: 'inkjet', smearTest: true }, ['look smear-test']],
    ['inkjet film, passed', { printer: 'inkjet', smear: 'passed' }, { ink: 'inkjet', smearTest: true }, []],
    ['inkjet film, failed', { printer: 'inkjet', smear: 'failed' }, { ink: 'inkjet', smearTest: true }, ['stop smear-failed']],
    ['75 g', { gsm: 75 }, {}, []],
    ['90 g', { gsm: 90 }, {}, []],
    ['91 g', { gsm: 91 }, {}, ['look paper-heavy']],
    ['159 g', { gsm: 159 }, {}, ['look paper-heavy']],
    ['card', { gsm: 160 }, {}, ['stop paper-thick']],
    ['card, but nothing is rubbed', { gsm: 200 }, { rubbed: false }, []],
    ['coated goes before heavy', { gsm: 200, coated: true }, {}, ['stop coated']],
    ['known to be plain', { coated: false }, {}, []],
  ] as [string, Prints, Partial<Demands>, string[]][])('%s', (_name, prints, more, expected) =>
    expect(codes({}, prints, more)).toEqual(expected),
  )
})

describe('pictures', () => {
  test.each([
    ['pale on wood', { pale: true }, {}, ['look whites-vanish']],
    ['pale on white', { pale: true }, { whites: 'white' }, []],
    ['pale on white paper', { pale: true }, { surfaceIsWhite: true }, []],
    ['pale on clear film', { pale: true }, { whites: 'clear', surfaceIsWhite: true }, ['look whites-vanish']],
    ['not pale', { pale: false }, {}, []],
    ['whites wanted white', {}, { wished: 'white' }, ['stop whites-wish']],
    ['whites as wanted', {}, { wished: 'surface' }, []],
    ['sharp', { pixels: { width: 1200, height: 800 } }, {}, []],
    ['fair', { pixels: { width: 1000, height: 700 } }, {}, ['note fair']],
    ['soft', { pixels: { width: 700, height: 500 } }, {}, ['look soft']],
    ['poor', { pixels: { width: 400, height: 300 } }, {}, ['look blurred']],
    ['fine detail on a sticker', { fine: true }, { widthMm: 44, heightMm: 60 }, ['look fine-lost']],
    ['fine detail, large enough', { fine: true }, {}, []],
    ['faces where it forgives little', { faces: true }, { forgives: 'little' }, ['note faces']],
    ['faces where it forgives a lot', { faces: true }, { forgives: 'a lot' }, []],
    ['originals', { precious: true }, {}, ['stop precious']],
  ] as [string, Partial<Pictures>, Partial<Demands>, string[]][])('%s', (_name, pictures, more, expected) =>
    expect(codes(pictures, {}, more)).toEqual(expected),
  )

  it('every verdict carries its source', () => {
    for (const s of suit({ lettering: false, pale: true, fine: true, precious: true, pixels: { width: 1, height: 1 } }, { gsm: 100 }, wood))
      expect('PE').toContain(s.mark)
  })
})

describe('pixels an inch', () => {
  it('counts the side that is worse, turned whichever way fits better', () => {
    expect(pixelsAnInch({ width: 1200, height: 800 }, 152.4, 101.6)).toBe(200)
    expect(pixelsAnInch({ width: 800, height: 1200 }, 152.4, 101.6)).toBe(200)
    expect(pixelsAnInch({ width: 1200, height: 1200 }, 152.4, 101.6)).toBe(200)
  })
  it('is never more than the larger side allows', () => {
    for (let w = 100; w < 2000; w += 370)
      for (let h = 100; h < 2000; h += 410)
        expect(pixelsAnInch({ width: w, height: h }, 120, 80)).toBeLessThanOrEqual((Math.max(w, h) / 80) * 25.4)
  })
})
