import * as fontkit from 'fontkit'
import { faces, type Face } from './fonts'
import { runsOf } from './ink'

interface Outlined {
  /** SVG path data with y downwards, the text's base line at 0, its beginning at 0. */
  path: string
  width: number
}
interface Font {
  unitsPerEm: number
  layout(text: string): {
    glyphs: { path: { scale(x: number, y: number): { translate(x: number, y: number): { toSVG(): string } } }; advanceWidth: number }[]
  }
}
const open = new Map<Face, Font>()
function fontOf(face: Face): Font {
  const known = open.get(face) ?? (fontkit.openSync(faces[face]) as unknown as Font)
  open.set(face, known)
  return known
}

/** A line of text as outlines, in the fonts that ship with the application: whoever draws it needs none. `size` in any unit. Letters
 *  that no font has are question marks. */
export function outlined(text: string, size: number, style: 'text' | 'bold' = 'text'): Outlined {
  const runs = runsOf(text, style) ?? runsOf(text.replace(/[^\x20-\x7e]/g, '?'), style) ?? []
  const parts: string[] = []
  let x = 0
  for (const run of runs) {
    const font = fontOf(run.face)
    const scale = size / font.unitsPerEm
    for (const glyph of font.layout(run.text).glyphs) {
      parts.push(glyph.path.scale(scale, -scale).translate(x, 0).toSVG())
      x += glyph.advanceWidth * scale
    }
  }
  return { path: parts.join(''), width: x }
}

/** Words in lines no wider than `width`; a word that is wider stands alone. */
export function wrapped(text: string, size: number, width: number, style: 'text' | 'bold' = 'text'): string[] {
  const lines: string[] = []
  for (const word of text.split(' ')) {
    const longer = lines.length ? `${lines.at(-1)} ${word}` : word
    if (lines.length && outlined(longer, size, style).width <= width) lines[lines.length - 1] = longer
    else lines.push(word)
  }
  return lines
}
