import { readFileSync } from 'node:fs'
import { inflateSync } from 'node:zlib'

/** A WOFF 1.0 font as the plain OpenType file that it holds: the PDF library unpacks its tables anew for every document, and slowly;
 *  so they are unpacked once. Layout as in the WOFF File Format 1.0: a header of 44 bytes, 20 for each table, then the tables. Throws
 *  when it is no WOFF. */
export function sfntOf(woff: Buffer): Buffer {
  if (woff.toString('latin1', 0, 4) !== 'wOFF') throw new Error('not a WOFF 1.0 font')
  const count = woff.readUInt16BE(12)
  const tables = Array.from({ length: count }, (_, i) => {
    const at = 44 + 20 * i
    const [offset, packed, length] = [woff.readUInt32BE(at + 4), woff.readUInt32BE(at + 8), woff.readUInt32BE(at + 12)]
    const body = woff.subarray(offset, offset + packed)
    const data = packed < length ? inflateSync(body) : body
    if (data.length !== length) throw new Error(`the table ${woff.toString('latin1', at, at + 4)} is broken`)
    return { tag: woff.subarray(at, at + 4), sum: woff.readUInt32BE(at + 16), data }
  })
  const power = 2 ** Math.floor(Math.log2(count))
  const head = Buffer.alloc(12 + 16 * count)
  woff.copy(head, 0, 4, 8)
  head.writeUInt16BE(count, 4)
  head.writeUInt16BE(16 * power, 6)
  head.writeUInt16BE(Math.log2(power), 8)
  head.writeUInt16BE(16 * (count - power), 10)
  const parts = [head]
  let offset = head.length
  tables.forEach(({ tag, sum, data }, i) => {
    const at = 12 + 16 * i
    tag.copy(head, at)
    head.writeUInt32BE(sum, at + 4)
    head.writeUInt32BE(offset, at + 8)
    head.writeUInt32BE(data.length, at + 12)
    const padded = Buffer.concat([data, Buffer.alloc((4 - (data.length % 4)) % 4)])
    parts.push(padded)
    offset += padded.length
  })
  return Buffer.concat(parts)
}

const unpacked = new Map<string, Buffer>()

/** A font file, unpacked once for this process. */
export function fontAt(path: string): Buffer {
  let found = unpacked.get(path)
  if (!found) unpacked.set(path, (found = sfntOf(readFileSync(path))))
  return found
}
