import type { DeskEvent, Document, Waiting } from '#core/desk'
import { api, Refused } from '../api'
import type { Heart } from './heart'
import { queue } from './queue'
import { inTurn } from './turns'

/** So many commands go in one message, and so many workshops are fetched in one. */
export const mostAtOnce = 50

interface Around {
  heart: Heart
  /** The names of the tabs that are open; undefined where the browser cannot say. */
  tabs: () => Promise<Set<string> | undefined>
  ready: () => boolean
  /** Who was away looks first. */
  lookFirst: () => Promise<void>
  /** Then what has changed elsewhere is fetched. */
  after: () => Promise<void>
}

/** What waits, on its way to the server. */
export function makeOutbox({ heart, tabs, ready, lookFirst, after }: Around) {
  const { state, happen, happenEverywhere } = heart
  let flushing: Promise<void> | undefined
  const flush = (): Promise<void> => (flushing ??= sendAll().finally(() => (flushing = undefined)))

  /** Sends what waits, in order; one tab at a time. What the server refuses whole is sent in smaller lots, so that one bad or too
   *  large command takes no other with it; a server that fails keeps everything waiting. */
  async function sendAll(): Promise<void> {
    // Who was away looks first: names that were erased meanwhile are not sent.
    if (state.value.offline && ready()) await lookFirst()
    if (state.value.offline) return
    await inTurn('imprenta-queue', async () => {
      await heart.forgotten()
      let lot = mostAtOnce
      for (;;) {
        const waiting = (await queue.all()).slice(0, lot)
        if (waiting.length === 0) break
        try {
          const { outcomes, documents } = await api.send(waiting.map((w) => w.command))
          await answered(waiting, outcomes, documents)
          lot = mostAtOnce
        } catch (e) {
          if (!(e instanceof Refused) || !e.final) {
            happen({ kind: 'lost' })
            break
          }
          if (waiting.length > 1) lot = Math.floor(waiting.length / 2)
          else await answered(waiting, [{ id: waiting[0]!.command.id, status: 'refused', error: e.problem }], [])
        }
      }
    })
    await after()
  }

  /** What came back: every tab hears it; what a tab that is closed has left unsettled becomes this one's, and so does everybody's where
   *  the browser cannot say who is open. */
  async function answered(
    waiting: Waiting[],
    outcomes: Extract<DeskEvent, { kind: 'answered' }>['outcomes'],
    documents: readonly Document[],
  ): Promise<void> {
    const open = await tabs()
    const mine = waiting.map((w) => (open?.has(w.tab) ? w : { ...w, tab: state.value.tab }))
    // What a person has to settle is kept before it is no longer waiting.
    happenEverywhere({ kind: 'answered', commands: mine, outcomes, documents })
    await queue.remove(waiting.map((w) => w.command.id))
  }

  return { flush }
}
