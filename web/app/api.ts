import type { OwnRecipe } from '#core/recipe'
import type { House } from '#core/house'
import type { Clash, Command, Workshop } from '#core/workshop'

export interface Stored<T> {
  version: number
  body: T
}
export interface Desk {
  now: string
  houses: Stored<House>[]
  workshops: Stored<Workshop>[]
}
export type Outcome =
  | { id: string; status: 'applied'; version: number }
  | { id: string; status: 'conflict'; version: number; clashes: Clash[] }
  | { id: string; status: 'refused'; error: Problem }

export interface Problem {
  what: string
  path: string
  remedy: string
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
  const body: unknown = await res.json()
  if (res.ok) return body as T
  throw new Refused((body as { error: Problem }).error, res.status)
}

const post = (body: unknown): RequestInit => ({
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(body),
})

export const api = {
  desk: () => ask<Desk>('/desk'),
  workshop: (id: string) => ask<Stored<Workshop>>(`/workshops/${id}`),
  house: (id: string) => ask<Stored<House>>(`/houses/${id}`),
  send: (commands: Command[]) => ask<{ outcomes: Outcome[] }>('/commands', post(commands)),
  lookAtRoster: <T>(text: string, answers: Record<number, string>, signal?: AbortSignal) =>
    ask<T>('/imports/roster', { ...post({ text, answers }), ...(signal && { signal }) }),
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
  eraseNames: (id: string) => ask<{ erased: boolean }>(`/workshops/${id}/erase-names`, post({})),
}
