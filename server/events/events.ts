import { randomBytes } from 'node:crypto'
import { Router, type Response } from 'express'
import type pg from 'pg'

/** So many events a page may have missed and still be told one by one. */
const mostKept = 5000

/** Tells every open page what changed, whichever server changed it: LISTEN on one connection, passed on as server-sent events. Each has
 *  a number, so that a page that was away is told what it missed; where that is not known any more (another server, too long away, a
 *  listening connection that was lost) it is told to look at everything again. */
export class Events {
  private readonly pages = new Set<Response>()
  private client: pg.PoolClient | undefined
  private closed = false
  private retry: NodeJS.Timeout | undefined
  /** The run of numbers that this server has counted without a gap. */
  private run = randomBytes(6).toString('hex')
  private count = 0
  private kept: { n: number; data: string }[] = []

  constructor(private readonly pool: pg.Pool) {}

  /** The number of the last event: what is read after asking for it has all events up to it. */
  get last(): string {
    return `${this.run}-${this.count}`
  }

  async listen(): Promise<void> {
    const client = await this.pool.connect()
    this.client = client
    client.on('notification', (n) => this.happened(n.payload ?? '{}'))
    client.on('error', () => this.again(client))
    client.on('end', () => this.again(client))
    await client.query('listen imprenta')
  }

  private again(client: pg.PoolClient): void {
    if (this.closed || this.client !== client) return
    client.release(true)
    this.client = undefined
    const attempt = () =>
      this.listen().then(
        () => this.anew(),
        () => (this.retry = setTimeout(attempt, 1000)),
      )
    this.retry = setTimeout(attempt, 500)
  }

  /** Nobody knows what was missed: the numbers begin again. */
  private anew(): void {
    this.run = randomBytes(6).toString('hex')
    this.count = 0
    this.kept = []
    for (const page of this.pages) this.tell(page, '{"kind":"all"}')
  }

  private happened(data: string): void {
    this.count++
    this.kept.push({ n: this.count, data })
    if (this.kept.length > 2 * mostKept) this.kept = this.kept.slice(-mostKept)
    for (const page of this.pages) this.tell(page, data)
  }

  private tell(page: Response, data: string, id = this.last): void {
    page.write(`id: ${id}\ndata: ${data}\n\n`)
  }

  /** What a page missed that has all events up to one; undefined where that cannot be known. */
  private since(last: string): { n: number; data: string }[] | undefined {
    const [, run, n] = /^([0-9a-f]{12})-(\d{1,15})$/.exec(last) ?? []
    if (run !== this.run || Number(n) > this.count || Number(n) < this.count - mostKept) return undefined
    return this.kept.filter((e) => e.n > Number(n))
  }

  routes(): Router {
    const router = Router()
    /** `after`, or the browser's own Last-Event-ID: the last event that the page has. Ends what it missed with `here`. */
    router.get('/events', (req, res) => {
      res.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store', connection: 'keep-alive' })
      res.write(': hello\n\n')
      const after = req.get('last-event-id') ?? req.query['after']
      if (typeof after === 'string') {
        const missed = this.since(after)
        for (const e of missed ?? []) this.tell(res, e.data, `${this.run}-${e.n}`)
        this.tell(res, missed ? '{"kind":"here"}' : '{"kind":"all"}')
      }
      this.pages.add(res)
      const beat = setInterval(() => res.write(': still here\n\n'), 20_000)
      req.on('close', () => {
        clearInterval(beat)
        this.pages.delete(res)
      })
    })
    return router
  }

  close(): void {
    this.closed = true
    clearTimeout(this.retry)
    for (const page of this.pages) page.end()
    this.client?.release(true)
  }
}
