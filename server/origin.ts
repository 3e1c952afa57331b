import { isIP } from 'node:net'
import type { IncomingMessage } from 'node:http'
import { hostname } from 'node:os'
import type { RequestHandler } from 'express'
import { Foreign } from './errors'

/** The names that this server answers to, beside any address in numbers: a page elsewhere can point a name of its own at this
 *  machine, but not an address. `more` are the house's own names for it. What asks for another name is thrown back. */
export function ourHosts(more: readonly string[] = []): (req: IncomingMessage) => void {
  const names = new Set(['localhost', hostname().toLowerCase(), `${hostname().toLowerCase()}.local`, ...more.map((n) => n.toLowerCase())])
  return (req) => {
    const name = hostOf(req.headers.host)
    if (name !== undefined && (isIP(name) > 0 || names.has(name))) return
    throw new Foreign(
      `Nobody is called ${String(req.headers.host).slice(0, 80)} here.`,
      'Use the address that the start printed, or set IMPRENTA_NAMES.',
    )
  }
}

function hostOf(header: string | undefined): string | undefined {
  try {
    return new URL(`http://${header}`).hostname.replace(/^\[|\]$/g, '').toLowerCase()
  } catch {
    return undefined
  }
}

const safe = new Set(['GET', 'HEAD', 'OPTIONS'])

/** What changes something is taken from this application's own pages, and from programs that are no browser. A browser says where a
 *  request comes from (Origin, Sec-Fetch-Site); what a foreign page can send without asking (forms, plain text) is not taken. */
export function sentFromHere(req: IncomingMessage): void {
  if (safe.has(req.method!)) return
  const { origin, host } = req.headers
  const site = req.headers['sec-fetch-site']
  const ours = origin === undefined || origin === `http://${host}` || origin === `https://${host}`
  if (!ours || (site !== undefined && site !== 'same-origin'))
    throw new Foreign('This came from a page elsewhere.', 'Do it on a page of Imprenta.')
  const type = /^[^;]*/
    .exec(req.headers['content-type'] ?? '')![0]
    .trim()
    .toLowerCase()
  const empty = req.headers['content-length'] === '0' || (req.headers['content-length'] === undefined && !req.headers['transfer-encoding'])
  const takes = type === 'application/json' || (type === 'multipart/form-data' && /\/pictures\/[^/?]+(\?|$)/.test(req.url!))
  if (!takes && !(empty && req.method === 'DELETE')) throw new Foreign('That is not JSON.', 'Send application/json.', 415)
}

export const onlyFromHere: RequestHandler = (req, _res, next) => {
  sentFromHere(req)
  next()
}
