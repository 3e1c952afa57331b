import type { DayEvent } from '#core/day'
import { keptDay, type KeptEvent } from './keptDay'

interface Answered {
  now: string
  taken: string[]
  refused: { id: string | null; what: string; remedy: string }[]
}

/** So many taps go in one message. */
export const mostAtOnce = 200

/** How far this device's clock is ahead of the server's, in milliseconds, by an answer that was asked for at `asked`. */
export const skewOf = (serverNow: string, asked: number): number =>
  Math.round((asked + Date.now()) / 2 - Date.parse(serverNow.replace(/\[.*$/, '')))

/** A tap from before the clock was measured, with what it is measured to be now. */
export const withSkew = ({ unmeasured: _u, ...x }: KeptEvent, skew: number): KeptEvent => ({ ...x, e: { ...x.e, skew } })

/** Asks the server; with its time, and when it was asked. Throws where it does not answer. */
export async function askDay<T>(path: string, init?: RequestInit): Promise<{ got: T & { now: string }; asked: number }> {
  const asked = Date.now()
  const res = await fetch(path, init)
  if (!res.ok) throw new Error(String(res.status))
  return { got: (await res.json()) as T & { now: string }, asked }
}

/** Sends taps; answers with those that the server told of, as they are to be kept: sent, or refused with the reason. */
export async function postTaps(waiting: readonly KeptEvent[]): Promise<{ told: KeptEvent[]; now: string; asked: number }> {
  // A device that cannot look at what it kept sends what it has in hand, and says that it heard of nothing.
  const body = await keptDay.toSend(waiting).catch(() => ({ events: waiting.map((x) => x.e), knows: {} }))
  const { got, asked } = await askDay<Answered>('/api/day/events', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
  const taken = new Set(got.taken)
  const why = new Map(got.refused.map((r) => [r.id, `${r.what} ${r.remedy}`]))
  const told = waiting.flatMap((x): KeptEvent[] =>
    taken.has(x.id) ? [{ ...x, sent: true }] : why.has(x.id) ? [{ ...x, refused: why.get(x.id)! }] : [],
  )
  return { told, now: got.now, asked }
}

/** Sends what was tapped on this device and left with a page that was closed, from whatever page is open now. */
export async function sendKept(): Promise<void> {
  for (;;) {
    const waiting = (await keptDay.unsent()).slice(0, mostAtOnce)
    if (waiting.length === 0) return
    if (waiting.some((x) => x.unmeasured)) {
      const { workshop, session } = waiting[0]!.e
      const { got, asked } = await askDay<{ events: DayEvent[] }>(`/api/day/${workshop}/${session}?after=${Number.MAX_SAFE_INTEGER}`)
      await keptDay.putEvents(waiting.filter((x) => x.unmeasured).map((x) => withSkew(x, skewOf(got.now, asked))))
      continue
    }
    const { told } = await postTaps(waiting)
    if (told.length === 0) return
    await keptDay.settle(told)
  }
}
