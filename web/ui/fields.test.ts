// @vitest-environment jsdom
import { nextTick } from 'vue'
import { describe, expect, it } from 'vitest'
import { mountIn } from '../testing/mountIn'
import LengthField from './LengthField.vue'
import SegmentChoice from './SegmentChoice.vue'
import StepField from './StepField.vue'

describe('a number field', () => {
  const field = (modelValue: number, more: object = {}) => mountIn(StepField, { modelValue, label: 'Helpers', max: 9, ...more })
  const told = (page: ReturnType<typeof field>) => page.emitted('update:modelValue') ?? []

  it('goes by one, by button and by arrow, and stops at its ends', async () => {
    const page = field(8)
    const [less, more] = page.findAll('button')
    await more!.trigger('click')
    await page.find('input').trigger('keydown', { key: 'ArrowDown' })
    expect(told(page)).toEqual([[9], [7]])
    await page.setProps({ modelValue: 9 })
    expect([more!.attributes('disabled'), less!.attributes('disabled')]).toEqual(['', undefined])
    await page.find('input').trigger('keydown', { key: 'ArrowUp' })
    expect(told(page)).toHaveLength(2)
  })
  it.each([
    ['12', '9 at the most.'],
    ['-1', 'A whole number, please.'],
    ['2.5', 'A whole number, please.'],
    ['many', 'A whole number, please.'],
  ])('“%s” stays as typed, is said to be wrong, and changes nothing', async (text, said) => {
    const page = field(3)
    await page.find('input').setValue(text)
    expect([page.find('input').element.value, page.find('[role=alert]').text()]).toEqual([text, said])
    expect(page.find('input').attributes('aria-invalid')).toBe('true')
    expect(told(page)).toEqual([])
    await page.find('input').setValue('4')
    expect(told(page)).toEqual([[4]])
    expect(page.find('[role=alert]').exists()).toBe(false)
  })
  it('below its least says so', async () => {
    const page = field(4, { min: 2 })
    await page.find('input').setValue('1')
    expect(page.find('[role=alert]').text()).toBe('2 at the least.')
  })
  it('left empty comes back as it was', async () => {
    const page = field(3)
    await page.find('input').setValue('')
    expect(told(page)).toEqual([])
    await page.find('input').trigger('blur')
    expect(page.find('input').element.value).toBe('3')
  })
  it('that nobody has said yet is empty; the first step takes what is usual, and typing it counts', async () => {
    const page = field(5, { unknown: true })
    expect([page.find('input').element.value, page.find('input').attributes('placeholder')]).toEqual(['', '?'])
    await page.findAll('button')[1]!.trigger('click')
    await page.find('input').setValue('5')
    expect(told(page)).toEqual([[5], [5]])
    await page.setProps({ unknown: false })
    expect(page.find('input').element.value).toBe('5')
  })
  it('shows what another tab made of it, unless somebody types in it', async () => {
    const page = field(3)
    await page.setProps({ modelValue: 5 })
    expect([page.find('input').element.value, page.find('[role=status]').exists()]).toEqual(['5', false])
  })
  /** 4 typed and sent; then 6 comes from elsewhere; then `more` typed on. */
  const met = async (more: string) => {
    const page = field(3)
    page.find('input').element.focus()
    await page.find('input').setValue('4')
    await page.setProps({ modelValue: 4 })
    await page.setProps({ modelValue: 6 })
    if (more) await page.find('input').setValue(more)
    return page
  }
  const ways = (page: ReturnType<typeof field>) => page.findAll('[role=status] button').map((b) => b.text())
  it('that is typed in keeps what is typed and offers both; nothing more is sent by itself', async () => {
    const page = await met('7')
    expect([page.find('input').element.value, told(page), ways(page)]).toEqual(['7', [[4]], ['Take 6', 'Put 7']])
    await page.find('input').trigger('blur')
    expect([page.find('input').element.value, told(page), ways(page)]).toEqual(['7', [[4]], ['Take 6', 'Put 7']])
    await page.findAll('[role=status] button')[1]!.trigger('click')
    expect([told(page), page.find('[role=status]').exists()]).toEqual([[[4], [7]], false])
  })
  it('theirs is taken by one press, and by leaving a field in which nothing is unsent', async () => {
    const page = await met('7')
    await page.findAll('[role=status] button')[0]!.trigger('click')
    expect([page.find('input').element.value, told(page), ways(page)]).toEqual(['6', [[4]], []])
    const left = await met('')
    expect([left.find('input').element.value, ways(left)]).toEqual(['4', ['Take 6', 'Put 4']])
    await left.find('input').trigger('blur')
    expect([left.find('input').element.value, told(left), ways(left)]).toEqual(['6', [[4]], []])
  })
  it('asks no more once elsewhere says what stands here', async () => {
    const page = await met('')
    await page.setProps({ modelValue: 4 })
    expect([page.find('input').element.value, told(page), ways(page)]).toEqual(['4', [[4]], []])
  })
  it('what cannot be stays as typed when another value comes, and only theirs is offered', async () => {
    const page = await met('99')
    expect([page.find('input').element.value, page.find('[role=alert]').text(), ways(page)]).toEqual(['99', '9 at the most.', ['Take 6']])
  })
  it('what its own change makes of the number is not somebody else’s', async () => {
    const page = mountIn(
      {
        components: { StepField },
        data: () => ({ n: 3 }),
        template: `<StepField :model-value="n" label="L" :max="9" @update:model-value="n = 2 * $event" />`,
      },
      {},
    )
    page.find('input').element.focus()
    await page.find('input').setValue('4')
    expect([page.find('input').element.value, page.find('[role=status]').exists()]).toEqual(['8', false])
  })
})

describe('a length field', () => {
  const field = (mm: number, text: string, unit: 'in' | 'mm' = 'in') =>
    mountIn(LengthField, { modelValue: { mm, text }, label: 'Width', unit })
  const last = (page: ReturnType<typeof field>) => page.emitted('update:modelValue')?.at(-1)?.[0]

  it('keeps what was typed, with its unit, and says it in the other', async () => {
    const page = field(127, '5 in')
    expect(page.text()).toContain('127 mm')
    await page.find('input').setValue('5 1/2')
    expect(last(page)).toEqual({ mm: 139.7, text: '5 1/2 in' })
    await page.find('input').setValue('14 cm')
    expect(last(page)).toEqual({ mm: 140, text: '14 cm' })
  })
  it('what cannot be read stays in the field, with the ways out as buttons', async () => {
    const page = field(127, '127 mm', 'mm')
    await page.find('input').setValue('1,000')
    expect(last(page)).toBeUndefined()
    expect(page.find('input').element.value).toBe('1,000')
    const ways = page.find('[role=alert]').findAll('button')
    expect(ways.map((b) => b.text())).toEqual(['1000 mm', '1.000 mm'])
    await ways[0]!.trigger('click')
    expect(last(page)).toEqual({ mm: 1000, text: '1000 mm' })
  })
  it('steps by an eighth of an inch, or a millimetre, onto whole steps', async () => {
    const inch = field(127, '5 in')
    await inch.findAll('button')[1]!.trigger('click')
    expect(last(inch)).toEqual({ mm: 130.175, text: '5 ⅛ in' })
    const metric = field(100.4, '100.4 mm', 'mm')
    await metric.findAll('button')[0]!.trigger('click')
    expect(last(metric)).toMatchObject({ mm: 99 })
  })
  it('does not rewrite what is being typed when it means the same', async () => {
    const page = field(127, '5 in')
    await page.find('input').setValue('5.0')
    await page.setProps({ modelValue: { mm: 127, text: '5 in' } })
    expect(page.find('input').element.value).toBe('5.0')
  })
})

it('a length that changes elsewhere while it is typed stands beside what is typed', async () => {
  const page = mountIn(LengthField, { modelValue: { mm: 127, text: '5 in' }, label: 'Width', unit: 'in' })
  page.find('input').element.focus()
  await page.find('input').setValue('5 1/')
  await page.setProps({ modelValue: { mm: 152.4, text: '6 in' } })
  expect([page.find('input').element.value, page.findAll('[role=status] button').map((b) => b.text())]).toEqual(['5 1/', ['Take 6 in']])
  await page.find('input').setValue('5 1/2')
  expect(page.emitted('update:modelValue')).toBeUndefined()
  await page.findAll('[role=status] button')[1]!.trigger('click')
  expect(page.emitted('update:modelValue')).toEqual([[{ mm: 139.7, text: '5 1/2 in' }]])
})

describe('segments', () => {
  it('say which is pressed, and tell what was chosen', async () => {
    const options = [
      { id: 'bare', name: 'bare' },
      { id: 'white', name: 'white' },
    ]
    const page = mountIn(SegmentChoice, { modelValue: 'bare', label: 'See it on', options })
    await nextTick()
    expect(page.findAll('button').map((b) => [b.text(), b.attributes('aria-pressed')])).toEqual([
      ['bare', 'true'],
      ['white', 'false'],
    ])
    expect(page.find('[role=group]').attributes('aria-label')).toBe('See it on')
    await page.findAll('button')[1]!.trigger('click')
    expect(page.emitted('update:modelValue')).toEqual([['white']])
  })
})
