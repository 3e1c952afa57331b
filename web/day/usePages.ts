import { computed, reactive, ref, watch, type Ref } from 'vue'
import { t as tr } from '#core/language'
import type { TableDay } from '#core/day'

/** So many seats a page shows before tables turn over to the next. */
export const mostOnPage = 24

/** Splits tables over pages of about as many seats each, in their order. */
export function pagesOf<T extends { people: readonly unknown[] }>(tables: readonly T[], most = mostOnPage): T[][] {
  const seats = (t: T) => Math.max(1, t.people.length)
  const all = tables.reduce((n, t) => n + seats(t), 0)
  const pages = Math.max(1, Math.ceil(all / most))
  const list: T[][] = [[]]
  let before = 0
  for (const t of tables) {
    if (list.at(-1)!.length > 0 && before + seats(t) / 2 > (all * list.length) / pages) list.push([])
    list.at(-1)!.push(t)
    before += seats(t)
  }
  return list
}

/** The page of tables that is shown: the one of the table that is chosen, until somebody turns over. */
export function usePages(tables: Ref<readonly TableDay[]>, chosen: Ref<string>) {
  const list = computed(() => pagesOf(tables.value))
  const turned = ref('0')
  watch(chosen, (t) => {
    const at = list.value.findIndex((p) => p.some((x) => x.table === t))
    if (at >= 0) turned.value = String(at)
  })
  return reactive({
    page: computed({ get: () => (Number(turned.value) < list.value.length ? turned.value : '0'), set: (p) => (turned.value = p) }),
    pages: computed(() =>
      list.value.map((p, i) => ({ id: String(i), name: tr('Tables {0} to {1}', p[0]?.table ?? '', p.at(-1)?.table ?? '') })),
    ),
    shown: computed(() => list.value[Number(turned.value)] ?? list.value[0] ?? []),
  })
}
