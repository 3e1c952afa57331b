import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'

const require = createRequire(import.meta.url)
const file = (pack: string, name: string) => join(dirname(require.resolve(`@fontsource/${pack}/package.json`)), 'files', `${name}.woff`)

/** Faces by name. fontsource splits fonts by script, so each run of text is drawn with the first face that has it. */
export const faces = {
  head: file('bricolage-grotesque', 'bricolage-grotesque-latin-800-normal'),
  'head-ext': file('bricolage-grotesque', 'bricolage-grotesque-latin-ext-800-normal'),
  text: file('atkinson-hyperlegible-next', 'atkinson-hyperlegible-next-latin-400-normal'),
  'text-ext': file('atkinson-hyperlegible-next', 'atkinson-hyperlegible-next-latin-ext-400-normal'),
  bold: file('atkinson-hyperlegible-next', 'atkinson-hyperlegible-next-latin-700-normal'),
  'bold-ext': file('atkinson-hyperlegible-next', 'atkinson-hyperlegible-next-latin-ext-700-normal'),
  latin: file('noto-sans', 'noto-sans-latin-700-normal'),
  'latin-ext': file('noto-sans', 'noto-sans-latin-ext-700-normal'),
  greek: file('noto-sans', 'noto-sans-greek-700-normal'),
  cyrillic: file('noto-sans', 'noto-sans-cyrillic-700-normal'),
  'cyrillic-ext': file('noto-sans', 'noto-sans-cyrillic-ext-700-normal'),
  arabic: file('noto-sans-arabic', 'noto-sans-arabic-arabic-700-normal'),
  hebrew: file('noto-sans-hebrew', 'noto-sans-hebrew-hebrew-700-normal'),
}
export type Face = keyof typeof faces

export const fallbacks: Record<'head' | 'text' | 'bold', Face[]> = {
  head: ['head', 'head-ext', 'latin', 'latin-ext', 'greek', 'cyrillic', 'cyrillic-ext', 'arabic', 'hebrew'],
  text: ['text', 'text-ext', 'latin', 'latin-ext', 'greek', 'cyrillic', 'cyrillic-ext', 'arabic', 'hebrew'],
  bold: ['bold', 'bold-ext', 'latin', 'latin-ext', 'greek', 'cyrillic', 'cyrillic-ext', 'arabic', 'hebrew'],
}
