import type { IncomingMessage, RequestListener, ServerResponse } from 'node:http'
import * as v from 'valibot'
import { readInput } from '#core/reasons'
import type { Clock } from '../clock'
import { explain, Foreign, NotJson, TooLarge } from '../errors'
import { sentFromHere } from '../origin'
import type { Saver } from './saver'

const mostBytes = 2 * 1024 * 1024

const batch = v.pipe(
  v.array(v.unknown(), 'not a list of commands | Send a list.'),
  v.maxLength(200, 'more than 200 commands | Send 200 at a time.'),
)

/** Commands in: POST /api/commands, a list of up to 200 commands, 2 MB. It is what is asked most, so it is answered before everything
 *  that other requests pass through: a save costs a third less of the server's time than through the router. */
export function commandDoor(
  ourHost: (req: IncomingMessage) => void,
  clock: Clock,
  saver: Saver,
  failed: (e: unknown) => void,
): RequestListener {
  return (req, res) => {
    answer(req, ourHost, clock, saver).then(
      (text) => send(res, 200, text),
      (e: unknown) => {
        const { status, error } = explain(e)
        if (status >= 500) failed(e)
        // What it did not read to its end, it does not go on with on this connection.
        if (!req.complete) res.setHeader('connection', 'close')
        send(res, status, JSON.stringify({ error }))
      },
    )
  }
}

async function answer(req: IncomingMessage, ourHost: (req: IncomingMessage) => void, clock: Clock, saver: Saver): Promise<string> {
  ourHost(req)
  sentFromHere(req)
  if ((req.headers['content-encoding'] ?? 'identity') !== 'identity') throw new Foreign('That is packed.', 'Send it as it is.', 415)
  const { outcomes, documents } = await saver.save(readInput(batch, await json(req)), clock.now())
  return JSON.stringify({ outcomes, documents: documents.map(({ kind, id, version, body }) => ({ kind, id, version, body })) })
}

function json(req: IncomingMessage): Promise<unknown> {
  return new Promise((done, failed) => {
    const parts: Buffer[] = []
    let bytes = 0
    if (Number(req.headers['content-length']) > mostBytes) return failed(new TooLarge())
    req.on('data', (part: Buffer) => {
      bytes += part.length
      if (bytes > mostBytes) return failed(new TooLarge())
      parts.push(part)
    })
    req.on('end', () => {
      try {
        done(JSON.parse((parts.length === 1 ? parts[0]! : Buffer.concat(parts)).toString()))
      } catch {
        failed(new NotJson())
      }
    })
    req.on('error', failed)
    req.on('close', () => req.complete || failed(new NotJson()))
  })
}

function send(res: ServerResponse, status: number, text: string): void {
  res.writeHead(status, {
    'content-type': 'application/json; charset=utf-8',
    'content-length': Buffer.byteLength(text),
    'x-content-type-options': 'nosniff',
  })
  res.end(text)
}
