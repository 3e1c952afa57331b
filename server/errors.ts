import type { ErrorRequestHandler, RequestHandler } from 'express'
import type { Logger } from 'pino'
import { BadInput } from '#core/reasons'
import { refusalOf } from './db/constraints'
import { isAway } from './db/pool'

/** Something that is not there. */
export class NotFound extends Error {}

/** More waits than can be done soon. */
export class TooBusy extends Error {}

/** A request that is not this application's own. */
export class Foreign extends Error {
  constructor(
    what: string,
    readonly remedy: string,
    readonly status = 403,
  ) {
    super(what)
  }
}

/** More bytes than are taken at once. */
export class TooLarge extends Error {
  readonly type = 'entity.too.large'
}

/** What was sent cannot be read as JSON. */
export class NotJson extends Error {
  readonly type = 'entity.parse.failed'
}

export const notFound: RequestHandler = (req) => {
  throw new NotFound(`Nothing lives at ${req.path.slice(0, 100)}.`)
}

/** The one error handler. Every error has one shape: what, path, remedy. */
export const answerErrors =
  (log: Pick<Logger, 'error'>): ErrorRequestHandler =>
  (e: unknown, req, res, next) => {
    if (res.headersSent) return next(e)
    const { status, error } = explain(e)
    if (status >= 500) ((req as { log?: typeof log }).log ?? log).error({ err: e }, 'request failed')
    res.status(status).json({ error })
  }

export function explain(e: unknown): { status: number; error: { what: string; path: string; remedy: string } } {
  if (e instanceof BadInput) return { status: 422, error: e.answer.error }
  if (e instanceof NotFound) return { status: 404, error: { what: e.message, path: '(address)', remedy: 'Go back to Workshops.' } }
  if (e instanceof Foreign) return { status: e.status, error: { what: e.message, path: '(request)', remedy: e.remedy } }
  if (e instanceof TooBusy)
    return {
      status: 503,
      error: { what: 'Too much is being made at once.', path: '(server)', remedy: 'Try again in a moment.' },
    }
  if (isAway(e))
    return {
      status: 503,
      error: {
        what: 'The database does not answer.',
        path: '(server)',
        remedy: 'Nothing you typed is lost: it goes by itself when the database is back.',
      },
    }
  if (isFull(e))
    return {
      status: 507,
      error: {
        what: 'The disk of the computer that keeps the pictures is full.',
        path: 'file',
        remedy: 'Nothing half was kept. Free some space there, then press “try again”.',
      },
    }
  const type = (e as { type?: string }).type
  if (type === 'entity.too.large')
    return {
      status: 413,
      error: { what: 'That is more than 2 MB.', path: '(input)', remedy: 'Send less at a time; a roster of 400 people is far smaller.' },
    }
  if (type === 'entity.parse.failed')
    return { status: 400, error: { what: 'That is not JSON.', path: '(input)', remedy: 'Send one JSON value.' } }
  const status = (e as { status?: number }).status
  if (status !== undefined && status >= 400 && status < 500)
    return { status, error: { what: (e as Error).message, path: '(input)', remedy: 'Change the request.' } }
  const refusal = refusalOf(e)
  if (refusal) return { status: 422, error: refusal }
  return {
    status: 500,
    error: { what: 'Something broke here.', path: '(server)', remedy: 'Nothing you typed is lost; try again in a moment.' },
  }
}

/** No room: on the disk (ENOSPC) or in the database (53100). */
const isFull = (e: unknown): boolean => ['ENOSPC', 'EDQUOT', '53100'].includes(String((e as { code?: unknown } | undefined)?.code))
