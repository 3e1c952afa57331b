import { computed, ref, shallowRef } from 'vue'
import type { Outcome } from '#core/day'
import type { MinePage, MinePiece, Phase } from '#core/mine'

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
  const unsent = ref(false)
  /** Milliseconds that this phone's clock is ahead of the server's. */
  let skew = 0
  const tick = ref(Date.now())
  const now = computed(() => tick.value - skew)
  let language = localStorage.getItem(key)
  let last = 0

  function came(got: Page, asked: number): void {
    skew = (asked + Date.now()) / 2 - ms(got.now)
    page.value = got
    away.value = undefined
    gone.value = false
    document.documentElement.lang = got.language
    document.title = `${got.who}, ${got.title}`
    tick.value = Date.now()
  }
  async function ask(path = '', init?: RequestInit): Promise<boolean> {
    const asked = Date.now()
    last = asked
    try {
      const res = await fetch(`/api/mine/${token}${path}${language ? `?language=${language}` : ''}`, init)
      if (res.status === 404 && !init) {
        gone.value = true
        page.value = undefined
        return false
      }
      if (!res.ok) throw new Error(String(res.status))
      came((await res.json()) as Page, asked)
      return true
    } catch {
      away.value ??= asked - skew
      return false
    }
  }
  void ask()
  setInterval(() => {
    tick.value = Date.now()
    const every = page.value?.running ? 5000 : 60_000
    if (document.visibilityState === 'visible' && Date.now() - last >= (away.value === undefined ? every : 5000)) void ask()
  }, 1000)
  document.addEventListener('visibilitychange', () => document.visibilityState === 'visible' && void ask())
  window.addEventListener('online', () => void ask())

  let telling = false
  async function tell(path: string, told: object): Promise<void> {
    // A second tap of the same finger says nothing new.
    if (telling) return
    telling = true
    const body = JSON.stringify(told)
    unsent.value = !(await ask(path, { method: 'POST', headers: { 'content-type': 'application/json' }, body }))
    telling = false
  }
  const sayHow = (piece: string, how: Outcome) => tell('/outcome', { piece, how })
  const sayLaid = (piece: string, laid: boolean) => tell('/laid', { piece, laid })
  function speak(l: string): void {
    language = l
    localStorage.setItem(key, l)
    void ask()
  }
  return { page, gone, away, unsent, now, sayHow, sayLaid, speak }
}
