import { t as tr } from '#core/language'
import { computed, ref, type Ref } from 'vue'
import { beginLayout, type LaidPrint, type LaidSheet, type LayoutAsk } from '#core/prints'
import { isRefusal } from '#core/reasons'
import { changed, inWorkshop, type PrintLock } from '#core/workshop'
import type { Bench } from '../bench/useBench'

/** Prints put where they lie by hand: locked, turned, moved, swapped. Each is tried before it is kept: what cannot stay says why in
 *  `said`, and nothing changes. `number` is the sheet that is looked at, `chosen` the print on it. */
export function useLocks(
  bench: Bench,
  ask: Ref<LayoutAsk | undefined>,
  sheets: Ref<readonly LaidSheet[]>,
  number: Ref<number>,
  chosen: Ref<string>,
) {
  const said = ref('')
  const sheet = computed(() => sheets.value[number.value - 1])
  const place = computed(() => sheet.value?.places.find((p) => p.print.id === chosen.value) ?? sheet.value?.places[0])
  const locks = computed(() => bench.workshop.value?.locks ?? [])
  /** Locks of prints that are still to be printed. */
  const held = computed(() => locks.value.filter((l) => ask.value?.prints.some((p) => p.id === l.id)))
  const asLock = (p: LaidPrint, more: Partial<PrintLock> = {}): PrintLock => ({
    id: p.print.id,
    sheet: number.value - 1,
    xMm: p.xMm,
    yMm: p.yMm,
    turned: p.turned,
    ...more,
  })

  function lock(wanted: PrintLock[], label: string): void {
    chosen.value = wanted[0]!.id
    const others = locks.value.filter((l) => !wanted.some((x) => x.id === l.id))
    const tried = beginLayout({ ...ask.value!, locks: [...others, ...wanted] })
    if (isRefusal(tried)) {
      said.value = tr('{0}: {1}. You could {2}.', tried.refused.what, tried.refused.why, tried.refused.remedies.join(', or '))
      return
    }
    said.value = ''
    const before = (id: string) => locks.value.find((x) => x.id === id) ?? null
    bench.act(
      'lock-print',
      label,
      wanted.map((l) => changed(inWorkshop.locks(l.id), before(l.id), l)),
    )
  }
  function unlock(list: readonly PrintLock[], label: string): void {
    said.value = ''
    bench.act(
      'unlock-print',
      label,
      list.map((l) => changed(inWorkshop.locks(l.id), l, null)),
    )
  }
  function toggle(): void {
    const p = place.value
    if (!p) return
    const now = locks.value.find((l) => l.id === p.print.id)
    if (now) unlock([now], tr('{0} may move again', p.print.label))
    else lock([asLock(p)], tr('{0} stays on sheet {1}', p.print.label, number.value))
  }
  function turn(): void {
    const p = place.value
    if (p) lock([asLock(p, { turned: !p.turned })], tr('{0} is turned', p.print.label))
  }
  const move = (p: LaidPrint, xMm: number, yMm: number): void =>
    lock([asLock(p, { xMm, yMm })], tr('{0} was moved on sheet {1}', p.print.label, number.value))

  /** Prints of the chosen one's size, to change places with. */
  const sameSize = computed(() => {
    const mine = place.value?.print
    if (!mine) return []
    const alike = (p: LaidPrint) => p.print.id !== mine.id && p.print.widthMm === mine.widthMm && p.print.heightMm === mine.heightMm
    return sheets.value.flatMap((s, i) => s.places.filter(alike).map((p) => ({ p, sheet: i })))
  })
  function swap(other: string): void {
    const a = place.value
    const b = sameSize.value.find((x) => x.p.print.id === other)
    if (!a || !b) return
    const at = (p: LaidPrint, on: number) => ({ sheet: on, xMm: p.xMm, yMm: p.yMm, turned: p.turned })
    const both = [asLock(a, at(b.p, b.sheet)), asLock(b.p, at(a, number.value - 1))]
    lock(both, tr('{0} and {1} changed places', a.print.label, b.p.print.label))
  }
  const unlockAll = (): void => unlock(locks.value, tr('all prints may move again'))

  return { said, sheet, place, held, toggle, turn, move, sameSize, swap, unlockAll }
}
export type Locks = ReturnType<typeof useLocks>
