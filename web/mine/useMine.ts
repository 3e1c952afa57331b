import { computed, ref, shallowRef } from 'vue'
import type { Outcome } from '#core/day'
import type { MinePage, MinePiece, Phase } from '#core/mine'
import { keptTold } from './told'

type Page = MinePage & { language: string; other: string }
const ms = (at: string) => Date.parse(at.replace(/\[.*$/, ''))
const key = 'imprenta.mine-language'

/** What holds at a moment: the last phase that has begun. */
export const phaseAt = (phases: readonly Phase[], now: number): Phase =>
  phases.findLast((p) => p.from === null || ms(p.from) <= now) ?? phases[0]!

/** How long still, in whole hours from two hours on, else in whole minutes, both rounded up: nobody is told less than there is. */
export function stillSaid(until: string, now: number, labels: MinePage['labels']): string {
  const minutes = Math.ceil((ms(until) - now) / 60_000)
  if (minutes >= 120) return labels.hours.replace('{0}', String(Math.ceil(minutes / 60)))
  if (minutes > 1) return labels.minutes.replace('{0}', String(minutes))
  return minutes === 1 ? labels.minute : labels.less
}

/** Where now lies on a wait of three parts, and where its parts meet, in parts of its width. What is ready has a sixth of it. */
export function waitParts(wait: NonNullable<MinePiece['wait']>, now: number): { never: number; ready: number; now: number } {
  const [from, never, ready] = [ms(wait.laidAt), ms(wait.neverBefore), ms(wait.tellAt)]
  const whole = (ready - from) * 1.2 || 1
  const at = (x: number) => Math.min(1, Math.max(0, (x - from) / whole))
  return { never: at(never), ready: at(ready), now: at(now) }
}

/** A participant's page: asked for again and again, counted on between and without net, by the server's clock. */
export function useMine(token: string) {
  const page = shallowRef<Page>()
  const gone = ref(false)
  const away = ref<number>()
  /** Something that was said is on this phone alone. */
  const unsent = ref(false)
  /** Milliseconds that this phone's clock is ahead of the server's. */
  let skew = 0
  const tick = ref(Date.now())
  const now = computed(() => tick.value - skew)
  let language = localStorage.getItem(key)
  let last = 0
  const told = keptTold(token)

  const isUnsent = () => (unsent.value = Object.keys(told.all()).length > 0)

  function came(got: Page, asked: number): void {
    skew = (asked + Date.now()) / 2 - ms(got.now)
    page.value = got
    away.value = undefined
    gone.value = false
    document.documentElement.lang = got.language
    document.title = `${got.who}, ${got.title}`
    tick.value = Date.now()
  }
  async function ask(path = '', init?: RequestInit): Promise<number> {
    const asked = Date.now()
    last = asked
    try {
      const res = await fetch(`/api/mine/${token}${path}${language ? `?language=${language}` : ''}`, init)
      if (res.status === 404 && !init) {
        gone.value = true
        page.value = undefined
        told.drop()
        return res.status
      }
      if (!res.ok && init && res.status < 500) return res.status
      if (!res.ok) throw new Error(String(res.status))
      came((await res.json()) as Page, asked)
      if (!init) void sendTold()
      return res.status
    } catch {
      away.value ??= asked - skew
      isUnsent()
      return 0
    }
  }
  let sending = false
  /** What was said without net goes when there is one; what the server will not have any more is let go of. */
  async function sendTold(): Promise<void> {
    // A second tap of the same finger says nothing new.
    if (sending) return
    sending = true
    for (;;) {
      const [next] = Object.entries(told.all())
      if (!next) break
      const [name, what] = next
      const status = await ask(what.path, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(what.body),
      })
      if (status === 0) break
      told.settled(name, what)
      if (status >= 400) await ask()
    }
    sending = false
    isUnsent()
  }
  function tell(path: string, body: { piece: string } & Record<string, unknown>): void {
    told.say(path, body)
    void sendTold()
  }
  void ask()
  setInterval(() => {
    tick.value = Date.now()
    const every = page.value?.running ? 5000 : 60_000
    if (document.visibilityState === 'visible' && Date.now() - last >= (away.value === undefined ? every : 5000)) void ask()
  }, 1000)
  document.addEventListener('visibilitychange', () => document.visibilityState === 'visible' && void ask())
  window.addEventListener('online', () => void ask())

  const sayHow = (piece: string, how: Outcome) => tell('/outcome', { piece, how })
  const sayLaid = (piece: string, laid: boolean) => tell('/laid', { piece, laid })
  function speak(l: string): void {
    language = l
    localStorage.setItem(key, l)
    void ask()
  }
  return { page, gone, away, unsent, now, sayHow, sayLaid, speak }
}
