import { Router, type Response } from 'express'
import type pg from 'pg'

/** Tells every open page what changed, whichever server changed it: LISTEN on one connection, passed on as server-sent
 *  events. When that connection is lost it is opened anew and pages are told to look at everything again. */
export class Events {
  private readonly pages = new Set<Response>()
  private client: pg.PoolClient | undefined
  private closed = false
  private retry: NodeJS.Timeout | undefined

  constructor(private readonly pool: pg.Pool) {}

  async listen(): Promise<void> {
    const client = await this.pool.connect()
    this.client = client
    client.on('notification', (n) => this.send(n.payload ?? '{}'))
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
        () => this.send('{"kind":"all"}'),
        () => (this.retry = setTimeout(attempt, 1000)),
      )
    this.retry = setTimeout(attempt, 500)
  }

  private send(data: string): void {
    for (const page of this.pages) page.write(`data: ${data}\n\n`)
  }

  routes(): Router {
    const router = Router()
    router.get('/events', (req, res) => {
      res.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store', connection: 'keep-alive' })
      res.write(': hello\n\n')
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
