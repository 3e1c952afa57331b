// @vitest-environment jsdom
import { nextTick, toRaw } from 'vue'
import { describe, expect, it, vi } from 'vitest'
import { applyChanges } from '#core/workshop'
import { benchOf, demoOf } from '../../testing/benchOf'
import { mountIn } from '../../testing/mountIn'
import GroupPanel from './GroupPanel.vue'
import KitPanel from './KitPanel.vue'
import PiecePanel from './PiecePanel.vue'
import PrintSettings from './PrintSettings.vue'
import SessionsPanel from './SessionsPanel.vue'
// What the panel fetches when it is shown: here before the test is over.
import './SeriesFind.vue'

vi.stubGlobal('visualViewport', new EventTarget())
type Panel = typeof GroupPanel | typeof KitPanel | typeof PiecePanel | typeof PrintSettings | typeof SessionsPanel
function panel(component: Panel, workshop = demoOf('moths-of-the-marsh')) {
  const of = benchOf(workshop)
  const page = mountIn(component, { bench: of.bench })
  const named = (name: string) => page.findAll('button, a').find((b) => (b.attributes('aria-label') ?? b.text()) === name)!
  return { ...of, page, named }
}
const aged = (w: { group: { participants: { age: string }[] } }, age: string) => w.group.participants.filter((p) => p.age === age).length

describe('the piece', () => {
  it('everybody makes one, or several of it', async () => {
    const { page, named, w } = panel(PiecePanel, demoOf('shipping-news'))
    expect(page.text()).toContain('Everybody makes a sticker.')
    await named('Everybody makes: one more').trigger('click')
    expect(w.value.designs[0]!.each).toBe(2)
    expect(page.text()).toContain('Everybody makes 2 stickers.')
  })
  it('a finish is put on and taken off again, and leaves nothing behind', async () => {
    const { page, w } = panel(PiecePanel)
    const box = () => page.findAll('.ways input')[0]!
    await box().setValue(true)
    expect(w.value.designs[0]!.finish).toEqual(['worn-edges'])
    await box().setValue(false)
    expect(w.value.designs[0]!.finish ?? null).toBeNull()
  })
  it('a part of the face begins in its middle, and goes with the whole', async () => {
    const { page, w } = panel(PiecePanel)
    const press = (text: string) =>
      page
        .findAll('button')
        .find((b) => b.text() === text)!
        .trigger('click')
    await press('a part of it')
    expect(w.value.designs[0]!.on!.width.mm).toBeCloseTo((177.8 * 2) / 3, 1)
    expect(w.value.designs[0]!.on!.at).toBeUndefined()
    await press('the whole face')
    expect(w.value.designs[0]!.on ?? null).toBeNull()
  })
})

describe('the group', () => {
  it('a kit to go is one person’s, or everybody’s: then nobody is asked about classes', async () => {
    const { page, w } = panel(GroupPanel)
    const kit = page.findAll('.kit')[0]!
    await kit.trigger('click')
    expect(w.value.group.participants.filter((p) => p.kit)).toHaveLength(1)
    await page
      .findAll('button')
      .find((b) => b.text() === 'at home, from kits to go')!
      .trigger('click')
    expect(w.value.held).toBe('home')
    expect([page.findAll('.session').length, page.findAll('.kit').length]).toEqual([0, 0])
  })
  it('tells how many come, and never does it itself: a named one may have to be asked for', async () => {
    const { page, named, w } = panel(GroupPanel)
    await named('People: one less').trigger('click')
    expect(page.emitted('people')).toEqual([[17]])
    expect(w.value.group.participants).toHaveLength(18)
  })
  it('ages are bands: one more of a band is one fewer of the others', async () => {
    const { page, w, deeds } = panel(GroupPanel)
    const field = page.findAll('tbody tr')[0]!.findAll('input')[1]!
    await field.setValue('5')
    expect([aged(w.value, '8-12'), aged(w.value, 'adult'), deeds.length]).toEqual([5, 13, 1])
    await field.setValue('2')
    expect([aged(w.value, '8-12'), aged(w.value, 'adult')]).toEqual([2, 16])
  })
  it('a name is typed and taken back to a seat', async () => {
    const { page, w } = panel(GroupPanel)
    const [first] = page.findAll('.seats input')
    await first!.setValue('Wren')
    expect(w.value.group.participants.some((p) => p.name === 'Wren')).toBe(true)
    await page.findAll('.seats input')[0]!.setValue('')
    expect([...w.value.group.participants].sort((a, b) => a.seat - b.seat)[0]!.name).toBeNull()
  })
  it('while a name is typed nobody else touches the field, and the change says what its author saw', async () => {
    const { page, w, changes } = panel(GroupPanel)
    const field = page.findAll('.seats input')[0]!.element as HTMLInputElement
    const person = [...w.value.group.participants].sort((a, b) => a.seat - b.seat)[0]!
    field.focus()
    const saw = field.value
    w.value = applyChanges(w.value, [{ path: `group/participants/${person.id}/name`, before: person.name, after: 'Theirs' }])!
    await nextTick()
    expect(field.value).toBe(saw)
    field.value = `${saw}x`
    field.dispatchEvent(new Event('input'))
    expect(changes.at(-1)).toEqual([{ path: `group/participants/${person.id}/name`, before: person.name, after: `${saw}x` }])
    field.blur()
    await nextTick()
    w.value = applyChanges(w.value, [{ path: `group/participants/${person.id}/name`, before: null, after: 'Theirs' }])!
    await nextTick()
    expect(field.value).toBe('Theirs')
  })
  it('all names go for good, and only after the question what goes and what stays', async () => {
    const { w, named, forgotten } = panel(GroupPanel)
    const before = structuredClone(toRaw(w.value))
    await named('Take out all names').trigger('click')
    await vi.waitFor(() => expect(document.querySelector('[role=alertdialog]')?.textContent).toMatch(/no way back/))
    expect([w.value, forgotten]).toEqual([before, []])
    const buttons = [...document.querySelectorAll<HTMLButtonElement>('[role=alertdialog] button')]
    expect(buttons.map((b) => b.textContent.trim())).toEqual(['Keep them', 'Erase the names'])
    buttons[1]!.click()
    await vi.waitFor(() => expect(forgotten).toEqual([w.value.id]))
  })
  it('two seats swap, and nothing else of the two', async () => {
    const { page, w } = panel(GroupPanel)
    const at = (seat: number) => w.value.group.participants.find((p) => p.seat === seat)!
    const [one, two] = [at(1), at(2)]
    await page.findAll('.seats li')[1]!.find('button').trigger('click')
    expect([at(1), at(2)]).toEqual([
      { ...two, seat: 1 },
      { ...one, seat: 2 },
    ])
  })
  it('who misses a class is one press, and one back', async () => {
    const { page, w, plan } = panel(GroupPanel)
    const last = () => [...w.value.group.participants].sort((a, b) => a.seat - b.seat).at(-1)!
    const button = () => page.findAll('.seats li').at(-1)!.findAll('.session')[0]!
    expect(button().attributes('aria-pressed')).toBe('true')
    await button().trigger('click')
    expect([last().misses, button().attributes('aria-pressed')]).toEqual([[plan.value.sessions[0]!.id], 'false'])
    await button().trigger('click')
    expect(last().misses).toEqual([])
  })
  it('heat and spray are for adults, whatever the ages; only what the recipe uses is coloured', () => {
    const rows = panel(GroupPanel, demoOf('kelp-coasters')).page.findAll('tbody tr').slice(1)
    expect(rows.map((r) => r.findAll('td').map((c) => c.text()))).toEqual([
      ['no', 'no', 'no', 'yes'],
      ['no', 'no', 'no', 'yes'],
      expect.any(Array),
    ])
  })
  it('a workshop is never left without a name', async () => {
    const { page, w } = panel(GroupPanel)
    await page.find('.called input').setValue('   ')
    expect(w.value.title).toBe('Moths of the marsh')
    await page.find('.called input').setValue('Moths at dusk')
    expect(w.value.title).toBe('Moths at dusk')
  })
})

describe('the kit', () => {
  it('has every line of the plan once, under the class that needs it first', () => {
    const { page, plan } = panel(KitPanel)
    expect(page.findAll('tr.line')).toHaveLength(plan.value.kit.length)
    expect(page.findAll('h3').map((h) => h.text().split(',')[0])).toContain('Ahead')
  })
  it('opens to what can be chosen; sharing another way changes what is needed', async () => {
    const { page, plan, w } = panel(KitPanel)
    const shared = plan.value.kit.find((l) => l.share && l.share.options.includes('pair') && l.share.by === 'each')!
    const before = shared.need
    const row = page.findAll('tr.line').find((r) => r.text().includes(shared.name))!
    expect(row.find('button').attributes('aria-expanded')).toBe('false')
    await row.find('button').trigger('click')
    const pair = page.findAll('.more button').find((b) => b.text() === 'pair')!
    await pair.trigger('click')
    expect(w.value.choices.share[shared.material]).toBe('pair')
    expect(Number(plan.value.kit.find((l) => l.material === shared.material)!.need)).toBeLessThan(Number(before))
  })
  it('what is in the cupboard is the house’s, not the workshop’s', async () => {
    const { page, cupboard, deeds } = panel(KitPanel)
    await page.find('tr.line button').trigger('click')
    await page.find('.more input').setValue('7')
    expect(cupboard).toMatchObject([
      { subject: { kind: 'house', id: 'saltbox' }, changes: [{ path: expect.stringMatching(/^cupboard\//), after: 7 }] },
    ])
    expect(deeds).toEqual([])
  })
  it('spares and samples are chosen here, and marked as chosen', async () => {
    const { plan, named } = panel(KitPanel)
    const before = plan.value.spares.count
    await named('Spares: one more').trigger('click')
    expect([plan.value.spares.count, plan.value.spares.chosen]).toEqual([before + 1, true])
  })
})

describe('the sessions', () => {
  it('a class is added where it usually is, at most five, and taken out again', async () => {
    const { page, w, named } = panel(SessionsPanel)
    const dates = () => w.value.sessions.map((s) => s.date)
    const last = dates().at(-1)!
    for (let i = 0; i < 4; i++) await named('Add a class').trigger('click')
    expect(w.value.sessions).toHaveLength(5)
    // Both sittings of the moths are there: one more is a week on, at the same clock time and as long.
    expect(Date.parse(dates()[2]!) - Date.parse(last)).toBe(7 * 86_400_000)
    expect(w.value.sessions[2]).toMatchObject({ start: '10:00', end: '12:45', room: 'Craft room' })
    expect(named('Add a class').attributes('disabled')).toBeDefined()
    await named('Take out class 5').trigger('click')
    expect([w.value.sessions.length, page.findAll('.card').length]).toEqual([4, 4])
  })
  it('a day or an hour that is none changes nothing', async () => {
    const { page, w } = panel(SessionsPanel)
    const before = w.value.sessions[0]!
    await page.find('input[type=date]').setValue('')
    await page.find('input[type=time]').setValue('')
    expect(w.value.sessions[0]).toEqual(before)
    await page.find('input[type=time]').setValue('17:30')
    expect(w.value.sessions[0]!.start).toBe('17:30')
  })
  it('a stage moves to where it may be, and the usual split comes back', async () => {
    const { page, plan, w, named } = panel(SessionsPanel)
    const row = page.findAll('tbody tr').find((r) => r.findAll('.place').length > 1)!
    const other = row.findAll('.place').find((b) => b.attributes('aria-pressed') === 'false')!
    await other.trigger('click')
    expect(plan.value.splitChosen).toBe(true)
    await named('Back to the usual split').trigger('click')
    expect([w.value.choices.split, plan.value.splitChosen]).toEqual([{}, false])
  })
  it('without a class says what this method wants', () =>
    expect(
      panel(SessionsPanel, { ...demoOf('moths-of-the-marsh'), sessions: [] })
        .page.find('.empty')
        .text(),
    ).toContain('No class yet.'))
})

describe('the prints', () => {
  const own = demoOf('lighthouse-blocks')
  it('set against the advice with lettering in them say that it is a mirror image', async () => {
    const { page, w, named } = panel(PrintSettings, own)
    expect(page.text()).toContain('the finished picture reads right.')
    await named('not').trigger('click')
    expect(w.value.designs[0]!.mirrored).toBe(false)
    expect(page.text()).toContain('is a mirror image.')
    await page
      .findAll('button')
      .find((b) => b.text().startsWith('as advised'))!
      .trigger('click')
    expect(w.value.designs[0]!.mirrored).toBeNull()
  })
  it('say how sure their copies make, as sure as the workshop wants to be', async () => {
    const sure = panel(PrintSettings, { ...own, choices: { ...own.choices, confidence: 0.8 } })
    expect(sure.page.text()).toContain('80 % sure; one with a printer in the room')
    await sure.named('Copies of each: one less').trigger('click')
    await nextTick()
    expect([sure.w.value.choices.copies !== undefined, sure.page.text().includes('you chose')]).toEqual([true, true])
  })
  it('know nothing of pixels until somebody says a side; the other is as the print’s shape has it', async () => {
    const { page, w } = panel(PrintSettings, demoOf('moths-of-the-marsh'))
    const field = (label: string) =>
      page
        .findAll('.step')
        .find((s) => s.find('.label').text() === label)!
        .find('input')
    expect([field('Smallest: pixels wide').element.value, w.value.designs[0]!.picture?.pixels]).toEqual(['', undefined])
    await field('Smallest: pixels wide').setValue('1400')
    expect(w.value.designs[0]!.picture!.pixels).toEqual({ width: 1400, height: 1000 })
    await field('pixels high').setValue('1100')
    expect(w.value.designs[0]!.picture!.pixels).toEqual({ width: 1400, height: 1100 })
  })
  it('of house pictures have no copies to choose', () =>
    expect(panel(PrintSettings, demoOf('ferry-lanterns')).page.text()).not.toContain('Copies of each'))
})
