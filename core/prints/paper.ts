import { paperMm, type House } from '#core/house'
import type { Workshop } from '#core/workshop'

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
  widthMm: number
  heightMm: number
  marginMm: number
}

/** The paper of a workshop: the one chosen for it, or the house's. */
export const paperOf = (workshop: Pick<Workshop, 'choices'>, house: Pick<House, 'paper' | 'printerMarginMm'>): Paper => {
  const id = workshop.choices.paper ?? house.paper
  const { widthMm, heightMm } = id === house.paper ? paperMm(house) : papers[id]
  return { id, widthMm, heightMm, marginMm: house.printerMarginMm }
}
