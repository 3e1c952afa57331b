import type { House } from './house'

/** Sheets that printers take, in mm. */
export const papers = {
  letter: { name: 'Letter', widthMm: 215.9, heightMm: 279.4 },
  a4: { name: 'A4', widthMm: 210, heightMm: 297 },
  tabloid: { name: 'Tabloid', widthMm: 279.4, heightMm: 431.8 },
  a3: { name: 'A3', widthMm: 297, heightMm: 420 },
} as const
export type PaperId = keyof typeof papers

/** A sheet to print on, in mm, and what the printer cannot reach at each edge. */
export interface Paper {
  id: PaperId
  name: string
  widthMm: number
  heightMm: number
  marginMm: number
}

/** The paper of a workshop: the one chosen for it, or the house's. */
export function paperOf(chosen: PaperId | undefined, house: Pick<House, 'paper' | 'printerMarginMm'>): Paper {
  const id = chosen ?? house.paper
  return { id, ...papers[id], marginMm: house.printerMarginMm }
}
