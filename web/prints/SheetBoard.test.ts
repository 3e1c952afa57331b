// @vitest-environment jsdom
import { computed, nextTick, ref } from 'vue'
import { describe, expect, it } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { paperOf } from '#core/house'
import { asPractised } from '#core/figures'
import { planWorkshop } from '#core/plan'
import { layPrints, printsOf, type LayoutAsk } from '#core/prints'
import { isRefusal } from '#core/reasons'
import { applyChanges, type Change, type Workshop } from '#core/workshop'
import type { Bench } from '../bench/useBench'
import { choose, mountIn } from '../testing/mountIn'
import SheetBoard from './SheetBoard.vue'
import TooLarge from './TooLarge.vue'
import { useLocks } from './useLocks'

const house = demoHouses[1]!
const demo = demoWorkshops('2026-05-15').find((w) => w.id === 'lighthouse-blocks')!
const plan = planWorkshop({ workshop: demo, house, now: '2026-05-15T15:00:00-04:00[America/New_York]' })
const paper = paperOf('a4', house)

/** The third sheet of the demo's blocks on its board, ganged anew after each change, as on the page. */
function board() {
  const workshop = ref<Workshop>(demo)
  const done: string[] = []
  const act = (_kind: string, label: string, changes: Change[]) => {
    done.push(label)
    workshop.value = applyChanges<Workshop>(workshop.value, changes)!
  }
  const ask = computed((): LayoutAsk => ({
    prints: printsOf(plan, workshop.value, { widthMm: 200, heightMm: 287 }),
    paper,
    gutterMm: asPractised('gutter').value,
    locks: workshop.value.locks ?? [],
    unit: 'mm',
  }))
  const sheets = computed(() => {
    const laid = layPrints(ask.value, 10)
    return isRefusal(laid) ? [] : laid.sheets
  })
  const chosen = ref('')
  const locks = useLocks({ workshop, act } as unknown as Bench, ask, sheets, ref(3), chosen)
  const props = () => ({
    workshop: demo.id,
    sheet: locks.sheet.value,
    number: 3,
    of: sheets.value.length,
    paper,
    size: plan.print,
    mirrored: plan.print.mirrored,
    outline: plan.outline,
    unit: 'mm',
    locks,
  })
  const page = mountIn(SheetBoard, { ...props(), onChoose: (id: string) => (chosen.value = id) })
  const settle = async () => {
    await page.setProps(props())
    await nextTick()
  }
  const button = (name: string) => page.findAll('button').find((b) => (b.attributes('aria-label') ?? b.text()).startsWith(name))!
  return { page, locks, workshop, done, settle, button }
}

describe('a sheet on its board', () => {
  it('says which it is, names its prints, and lists its cuts in whole millimetres in their order', () => {
    const { page, locks } = board()
    expect(page.find('h2').text()).toBe('Sheet 3 of 18')
    const names = page.findAll('button.grab').map((b) => b.attributes('aria-label'))
    expect(names).toEqual(locks.sheet.value!.places.map((p) => `${p.print.label}${p.turned ? ', turned' : ''}`))
    const cuts = page.findAll('.cuts li').map((li) => [li.find('i').text(), li.find('b').text()])
    expect(cuts.map(([n]) => n)).toEqual(locks.sheet.value!.cuts.map((_, i) => String(i + 1)))
    for (const [, stop] of cuts) expect(stop).toMatch(/^\d+$/)
  })
  it('a print that is chosen can be locked; it says so, and can be unlocked', async () => {
    const { page, locks, workshop, done, settle, button } = board()
    const name = locks.sheet.value!.places[1]!.print.label
    await button(name).trigger('click')
    await settle()
    expect(page.find('.named').text()).toBe(name)
    await button('Lock').trigger('click')
    await settle()
    expect(workshop.value.locks).toHaveLength(1)
    expect(done).toEqual([`${name} stays on sheet 3`])
    expect(page.findAll('button.grab').some((b) => b.attributes('aria-label') === `${name}, locked`)).toBe(true)
    await button('Unlock').trigger('click')
    await settle()
    expect(workshop.value.locks ?? []).toEqual([])
  })
  it('two prints of one size change places, wherever the other lies; both are locked there', async () => {
    const { page, locks, workshop, done, settle, button } = board()
    const mine = locks.sheet.value!.places[0]!.print
    await button(mine.label).trigger('click')
    await settle()
    const other = locks.sameSize.value.find((x) => x.sheet === 6)!
    await choose(page, 'Swap with', other.p.print.id)
    await settle()
    expect(done).toEqual([`${mine.label} and ${other.p.print.label} changed places`])
    expect(workshop.value.locks!.map((l) => [l.id, l.sheet])).toEqual([
      [mine.id, 6],
      [other.p.print.id, 2],
    ])
    expect(locks.sheet.value!.places.some((p) => p.print.id === other.p.print.id && p.locked)).toBe(true)
  })
  it('a place off the sheet is refused in words, and nothing changes', async () => {
    const { page, locks, workshop, done, settle } = board()
    const p = locks.sheet.value!.places[0]!
    locks.move(p, 150, p.yMm)
    await settle()
    expect(page.find('[role=alert]').text()).toMatch(new RegExp(`^${p.print.label} cannot stay there: .+You could .+`))
    expect([workshop.value.locks ?? [], done]).toEqual([[], []])
    locks.toggle()
    await settle()
    expect(page.find('[role=alert]').exists()).toBe(false)
  })
  it('is dragged with a hand: where it is dropped it stays, inside what the printer reaches', async () => {
    const { page, workshop, settle } = board()
    const grab = page.findAll('button.grab')[0]!
    Object.assign(grab.element, { setPointerCapture: () => undefined })
    const hand = async (type: string, clientX: number, clientY: number) => {
      grab.element.dispatchEvent(new MouseEvent(type, { clientX, clientY, bubbles: true }))
      await nextTick()
    }
    await hand('pointerdown', 100, 100)
    await hand('pointermove', 130, 100)
    await hand('pointerup', 130, 100)
    await settle()
    const [lock] = workshop.value.locks!
    expect(lock!.xMm).toBeGreaterThan(5)
    expect(lock!.xMm + 125).toBeLessThanOrEqual(205)
    // A trembling hand moves nothing.
    await hand('pointerdown', 100, 100)
    await hand('pointermove', 102, 101)
    await hand('pointerup', 102, 101)
    expect(workshop.value.locks).toHaveLength(1)
  })
})

describe('a picture larger than the paper', () => {
  it('is laid the way round that runs over less, and said in the house’s unit', () => {
    const page = mountIn(TooLarge, { paper, size: { widthMm: 355.6, heightMm: 152.4 }, unit: 'in' })
    expect(page.find('[role=img]').attributes('aria-label')).toBe(
      'The picture, 6 in × 14 in, on what the printer reaches of A4, 7 ⅞ in × 11.3 in',
    )
    const high = (selector: string) => Number.parseFloat((page.find(selector).element as HTMLElement).style.height)
    expect(high('.picture')).toBeGreaterThan(high('.paper'))
    expect(high('.fits')).toBeLessThan(high('.paper'))
  })
})
