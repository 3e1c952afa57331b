import { t as tr } from '#core/language'
import type { OwnRecipe } from '#core/recipe'
import type { House } from '#core/house'
import type { Answered, Document, Problem, Stored } from '#core/desk'
import type { Command, Summary, Workshop } from '#core/workshop'

export type { Problem }
interface Desk {
  now: string
  /** The last event that all of this has. */
  last: string
  houses: Stored<House>[]
  summaries: Stored<Summary>[]
  workshops: Stored<Workshop>[]
}

/** An answer of the server that says what is wrong. */
export class Refused extends Error {
  constructor(
    readonly problem: Problem,
    readonly status = 422,
  ) {
    super(problem.what)
  }
  /** What was asked is at fault, not the server: asking again the same way will not help. */
  get final(): boolean {
    return this.status < 500
  }
}

async function ask<T>(path: string, init?: RequestInit): Promise<T> {
  const res = await fetch(`/api${path}`, init)
  // Something in between may answer with a page instead; that is no answer of the server's.
  const body: unknown = await res.json().catch(() => {
    throw new Refused({ what: tr('The server does not answer.'), path: '(server)', remedy: tr('It is tried again by itself.') }, 503)
  })
  if (res.ok) return body as T
  throw new Refused((body as { error: Problem }).error, res.status)
}

const post = (body: unknown) => ({
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(body),
})

export const api = {
  desk: (open: readonly string[]) => ask<Desk>(`/desk?with=${open.join()}`),
  workshops: (ids: readonly string[]) => ask<{ workshops: Stored<Workshop>[] }>(`/workshops?ids=${ids.join()}`),
  workshop: (id: string) => ask<Stored<Workshop>>(`/workshops/${id}`),
  house: (id: string) => ask<Stored<House>>(`/houses/${id}`),
  send: (commands: Command[]) => ask<{ outcomes: Answered[]; documents: Document[] }>('/commands', post(commands)),
  lookAtRoster: <T>(text: string, answers: Record<number, string>, signal?: AbortSignal) =>
    ask<T>('/imports/roster', { ...post({ text, answers }), ...(signal && { signal }) }),
  lookAtClosedDays: <T>(text: string, house: { timeZone: string; today: string; week: unknown }) =>
    ask<T>('/imports/closed-days', post({ text, ...house })),
  lookAtAir: <T>(text: string, timeZone: string) => ask<T>('/imports/air', post({ text, timeZone })),
  lookAtWorkshop: (text: string) => ask<{ workshop: Workshop }>('/imports/workshop', post({ text })),
  lookAtRecipe: (text: string) => ask<{ recipe: OwnRecipe }>('/imports/recipe', post({ text })),
  pictureNames: (id: string) => ask<{ pictures: { id: string; name: string }[] }>(`/workshops/${id}/pictures`),
  printJobs: <T>(id: string) => ask<T>(`/workshops/${id}/print-jobs`),
  print: (id: string, job: object) => ask<unknown>(`/workshops/${id}/print-jobs`, post(job)),
  redoPrints: (id: string, job: string, prints: readonly string[]) =>
    ask<unknown>(`/workshops/${id}/print-jobs/${job}/redo`, post({ prints })),
  tellPrinter: (house: string, what: object) => ask<unknown>(`/houses/${house}/printer`, post(what)),
  smearTest: (house: string, ink: string) => ask<{ outcome: 'passed' | 'failed' }>(`/houses/${house}/printer/smear`, post({ ink })),
  erasePicture: (id: string, picture: string, actor: string) =>
    ask<{ erased: boolean }>(`/workshops/${id}/pictures/${picture}`, {
      method: 'DELETE',
      headers: { 'x-actor': encodeURIComponent(actor) },
    }),
  eraseNames: (id: string, actor: string) => {
    const { headers, ...rest } = post({})
    return ask<{ erased: number }>(`/workshops/${id}/erase-names`, {
      ...rest,
      headers: { ...headers, 'x-actor': encodeURIComponent(actor) },
    })
  },
}
