import type { Figure } from '#core/reasons'
import type { RecipeDraft } from './useRecipeDraft'

/** A draft's figures and words by place: its own, or the practice's. What is no number changes nothing. */
export function editing(of: RecipeDraft) {
  const figureAt = (path: string, practice: Figure) => {
    const e = of.at(path)
    return e && 'figure' in e ? e.figure : practice.value
  }
  const textAt = (path: string, practice: string) => {
    const e = of.at(path)
    return e && 'text' in e ? e.text : practice
  }
  function setFigure(path: string, raw: string, practice: Figure) {
    const n = Number(raw.replace(',', '.'))
    if (raw.trim() !== '' && Number.isFinite(n) && n >= 0) of.set(path, n, practice.value)
  }
  return { figureAt, textAt, setFigure }
}
