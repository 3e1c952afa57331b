import type { House } from '#core/house'
import { t } from '#core/language'
import { drawCode } from './codeInk'
import { cutSheets } from './cutSheets'
import { printedName, write, type Doc } from './ink'

const mm = 72 / 25.4
const [columns, tall, code] = [2, 51 * mm, 45 * mm]

export interface SeatCard {
  seat: string
  /** First name, or the seat again. */
  who: string
  address: string
}

/** Cards to cut and lay at the seats: seat, name, and the code of the participant's own page; black only. Resolves to bytes. */
export const cardsPdf = (cards: readonly SeatCard[], paper: House['paper'], title: string): Promise<Buffer> =>
  cutSheets(cards, { paper, title: t('{0}: cards for the seats', title), columns, tall }, (doc, c, x, y, wide) =>
    card(doc, c, title, x, y, wide),
  )

function card(doc: Doc, c: SeatCard, title: string, x: number, y: number, wide: number): void {
  drawCode(doc, c.address, x + 3 * mm, y + 3 * mm, code)
  const [left, width] = [x + code + 5 * mm, wide - code - 8 * mm]
  const black = { x: left, width, color: '#000000' }
  let at = write(doc, c.seat, { ...black, y: y + 5 * mm, size: 32, style: 'head' })
  const name = printedName(c.who, c.seat)
  at = write(doc, name.length > 14 ? `${name.slice(0, 13)}…` : name, { ...black, y: at, size: 16, style: 'bold' })
  at = write(doc, t('Your piece on your phone: what to do now, and when it may be rubbed. No account.'), { ...black, y: at + 3, size: 10 })
  write(doc, title.length > 40 ? `${title.slice(0, 39)}…` : title, { ...black, y: Math.min(at + 4, y + tall - 14), size: 9 })
}
