import { tinykeys } from 'tinykeys'

const setting = 'imprenta.keys'
export const singleLetters = (): boolean => localStorage.getItem(setting) !== '0'
export const setSingleLetters = (on: boolean): void => localStorage.setItem(setting, on ? '1' : '0')

const typing = (e: KeyboardEvent) =>
  e.target instanceof HTMLElement && (e.target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(e.target.tagName))
const decisions = ['group', 'piece', 'method', 'pictures', 'kit', 'sessions', 'room', 'takehome']

/** "/" puts the cursor into the find field of the craft book, opening the book where it is not open. */
function finder(go: Deeds['go']) {
  return () => {
    if (location.pathname.startsWith('/craft')) window.dispatchEvent(new CustomEvent('imprenta:find'))
    else go('/craft/tape-film?find')
  }
}

/** Digits are links of the chain, but on Room the first five are its ways out. */
const onBench = (n: number, deed: (e: KeyboardEvent) => void) => (e: KeyboardEvent) => {
  if (n > 5 || !/^\/w\/[^/]+\/room/.test(location.pathname)) deed(e)
}

interface Deeds {
  undo: () => void
  redo: () => void
  sheet: () => void
  go: (to: string) => void
  id: () => string | undefined
}

/** The keyboard map. Single letters are off while typing, and can be switched off. `people` and `print` keys reach the page
 *  that is open as the events `imprenta:people` and `imprenta:print`. Answers with what lets the keys go. */
export function bindKeys({ undo, redo, sheet, go, id }: Deeds): () => void {
  const free = (deed: () => void) => (e: KeyboardEvent) => {
    if (typing(e) || !singleLetters() || e.ctrlKey || e.metaKey || e.altKey) return
    e.preventDefault()
    deed()
  }
  const find = finder(go)
  const inWorkshop = (place: string) => free(() => id() && go(`/w/${id()}/${place}`))
  const people = (by: number) => free(() => window.dispatchEvent(new CustomEvent('imprenta:people', { detail: by })))
  return tinykeys(window, {
    z: free(undo),
    'Shift+Z': free(redo),
    'Shift+?': free(sheet),
    '?': free(sheet),
    'g b': inWorkshop('bench/kit'),
    'g p': inWorkshop('prints'),
    'g s': inWorkshop('sessions'),
    'g t': inWorkshop('take-home'),
    'g m': inWorkshop('room'),
    'g h': inWorkshop('rehearsal'),
    'g c': free(() => go('/craft/tape-film')),
    'g k': free(() => go(id() ? `/w/${id()}/clinic` : '/clinic')),
    '/': free(find),
    'g w': free(() => go('/')),
    p: free(() => window.dispatchEvent(new CustomEvent('imprenta:print'))),
    '+': people(1),
    'Shift++': people(1),
    '=': people(1),
    '-': people(-1),
    ...Object.fromEntries(decisions.map((d, i) => [String(i + 1), onBench(i + 1, inWorkshop(`bench/${d}`))])),
  })
}
