import QRCode from 'qrcode'
import type { Doc } from './ink'

/** Draws an address as a code to be read by a phone, `size` points wide with its quiet zone of four modules, dark on white whatever is below. */
export function drawCode(doc: Doc, address: string, x: number, y: number, size: number): void {
  const { modules } = QRCode.create(address, { errorCorrectionLevel: 'M' })
  const quiet = 4
  const unit = size / (modules.size + 2 * quiet)
  doc.rect(x, y, size, size).fill('#FFFFFF')
  for (let row = 0; row < modules.size; row++)
    for (let from = 0; from < modules.size; from++) {
      if (!modules.get(row, from)) continue
      let to = from
      // Dark modules side by side are one bar: no hairline shows between them.
      while (to + 1 < modules.size && modules.get(row, to + 1)) to++
      doc.rect(x + (quiet + from) * unit, y + (quiet + row) * unit, (to - from + 1) * unit, unit * 1.02)
      from = to
    }
  doc.fill('#000000')
}
