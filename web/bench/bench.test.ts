// @vitest-environment jsdom
import { nextTick } from 'vue'
import { beforeEach, describe, expect, it, test, vi } from 'vitest'
import { readRoster } from '#core/roster'
import { benchOf, demoOf } from '../testing/benchOf'
import { mountIn } from '../testing/mountIn'
import { pieceClip } from '../ui/pieceClip'
import DecisionChain from './DecisionChain.vue'
import PiecePanel from './panels/PiecePanel.vue'
import RosterImport from './RosterImport.vue'
import WhatItMeans from './WhatItMeans.vue'

describe('the piece', () => {
  const panel = (id = 'kelp-coasters') => {
    const of = benchOf(demoOf(id))
    const page = mountIn(PiecePanel, { bench: of.bench })
    const radio = (name: string) => page.findAll('[role=radio]').find((b) => b.text().startsWith(name))!
    const button = (name: string) => page.findAll('button').find((b) => (b.attributes('aria-label') ?? b.text()) === name)!
    return { ...of, page, radio, button }
  }
  it('round takes less medium and stands as round everywhere; straight takes it back', async () => {
    const { page, plan, w, deeds, button } = panel()
    const medium = () => plan.value.kit.find((l) => l.material === 'decoupage-glue' || /medium|glue/i.test(l.name))!
    const before = Number(medium().need)
    await button('round').trigger('click')
    expect([plan.value.outline, w.value.designs[0]!.outline]).toEqual(['round', 'round'])
    expect(Number(medium().need)).toBeLessThan(before)
    expect(page.text()).toContain('Medium for 78 % of the box round it.')
    expect(page.find('.made > svg path').attributes('d')!.split('L').length).toBeGreaterThan(50)
    await button('straight').trigger('click')
    expect([plan.value.outline, Number(medium().need)]).toEqual(['straight', before])
    expect(deeds).toEqual(['the outline became round', 'the outline became straight'])
  })
  it('only what can be cut out offers an outline', async () => {
    const { page, radio } = panel()
    expect(page.find('[aria-label="Outline, from above"]').exists()).toBe(true)
    await radio('jar').trigger('click')
    expect(page.find('[aria-label="Outline, from above"]').exists()).toBe(false)
  })
  it('another kind brings its size, a surface that suits, and its method when the present one cannot', async () => {
    const { w, radio, plan } = panel()
    await radio('jar').trigger('click')
    const [d] = w.value.designs
    expect([d!.kind, d!.material, d!.recipe.id, d!.width.mm]).toEqual(['jar', 'glass', 'tape-film', 88.9])
    expect(plan.value.pieceName).toContain('jar')
    await radio('plaque').trigger('click')
    expect(w.value.designs[0]!.recipe.id).toBe('medium-transfer')
  })
  it('a stone is a stone, its picture the flat part of it, said with its mark', async () => {
    const { page, radio, plan } = panel()
    await radio('stone').trigger('click')
    expect(plan.value.outline).toBe('stone')
    expect(page.text()).toContain('the flat part, about 80 % of it')
    expect(page.text()).toContain('each stone differs, trim to yours')
  })
  it('something else can be called what it is', async () => {
    const { page, radio, w } = panel()
    await radio('something else').trigger('click')
    await page.find('input[placeholder]').setValue('box lid')
    expect(w.value.designs[0]!.called).toBe('box lid')
    expect(page.text()).toContain('Everybody makes a box lid.')
  })
})

test('a clip of a tile goes on beyond it: the right half of a disc begins at its left edge', () => {
  const { clipPath } = pieceClip('round', false, { x: 0.5, y: 0, w: 0.5, h: 1 })
  expect(clipPath).toMatch(/^polygon\(100\.00% 50\.00%, /)
  expect(clipPath).toContain('-100.00% 50.00%')
})

test.each([
  ['straight', false, undefined],
  ['round', false, /^polygon\(100\.00% 50\.00%, /],
  ['round', true, /^polygon\(0\.00% 50\.00%, /],
] as const)('a clip of %s, mirrored %s, is %s', (outline, mirrored, wanted) => {
  const { clipPath } = pieceClip(outline, mirrored)
  if (wanted) expect(clipPath).toMatch(wanted)
  else expect(clipPath).toBeUndefined()
})

describe('the chain of decisions', () => {
  it('has eight links in order, says what each is, and which needs a look', () => {
    const { bench, plan, w } = benchOf(demoOf('lighthouse-blocks'))
    const page = mountIn(DecisionChain, {
      id: w.value.id,
      plan: plan.value,
      say: bench.say.value,
      chosen: 'kit',
      changed: ['people'],
      drawing: 'moth',
    })
    expect(page.findAll('.name').map((n) => n.text().replace(/\s+/g, ' '))).toEqual([
      '1 Group',
      '2 Piece',
      '3 Method',
      '4 Pictures',
      '5 Kit',
      '6 Classes',
      '7 Room',
      '8 Take-home',
    ])
    const state = (n: number) => page.findAll('.state')[n]!.text()
    expect([state(0), state(3)]).toEqual(['changed', 'look'])
    expect(page.find('[aria-current=step]').text()).toContain('Kit')
    expect(page.find('.errand').text()).toMatch(/by /)
  })
})

describe('what the plan means', () => {
  it('names the first possible rub, the time in each class, and where the hands are', () => {
    const { bench, plan } = benchOf(demoOf('moths-of-the-marsh'))
    const text = mountIn(WhatItMeans, { plan: plan.value, say: bench.say.value, since: undefined, effect: bench.effect }).text()
    for (const said of [
      'Cost per head',
      'Sheets to print',
      'First possible rub-off',
      'of 135 min',
      'Where the hands are',
      'Labels and the house’s rules go before this.',
    ])
      expect(text).toContain(said)
  })
  it('without a date says nothing of rubbing', () => {
    const { bench, plan } = benchOf({ ...demoOf('moths-of-the-marsh'), sessions: [] })
    const text = mountIn(WhatItMeans, { plan: plan.value, say: bench.say.value, since: undefined, effect: bench.effect }).text()
    expect([text.includes('First possible rub-off'), text.includes('No date yet')]).toEqual([false, true])
  })
})

describe('a roster that comes in', () => {
  beforeEach(() => {
    vi.stubGlobal('visualViewport', new EventTarget())
    vi.stubGlobal('fetch', async (_url: string, init?: RequestInit) => {
      const { text, answers } = JSON.parse(String(init?.body)) as { text: string; answers: Record<string, never> }
      if (text === 'away') throw new TypeError('no connection')
      return Response.json(
        readRoster(
          text.split('\n').map((l, i) => ({ line: i + 1, cells: l.split(',') })),
          answers,
        ),
      )
    })
  })
  const opened = async (text: string) => {
    document.body.innerHTML = ''
    const of = benchOf(demoOf('kelp-coasters'))
    const page = mountIn(RosterImport, { bench: of.bench })
    await page.find('button').trigger('click')
    await vi.waitFor(() => expect(document.querySelector('#roster-text')).not.toBeNull())
    const area = document.querySelector<HTMLTextAreaElement>('#roster-text')!
    area.value = text
    area.dispatchEvent(new Event('input'))
    await nextTick()
    const button = (name: string) => [...document.querySelectorAll('button')].filter((b) => b.textContent.trim().startsWith(name)).at(-1)!
    button('Look at it').click()
    const said = () => document.body.textContent.replace(/\s+/g, ' ')
    return { ...of, button, said }
  }

  it('is looked at first; one press brings all good lines in, names into unnamed seats', async () => {
    const { w, deeds, counted, button, said } = await opened('name,age\nPia,8-12\nOdo,adult,x\nKit,')
    const people = w.value.group.participants.length
    await vi.waitFor(() => expect(said()).toContain('2 good lines wait'))
    expect(said()).toContain('1 line cannot come in. The others can.')
    expect(said()).toContain('3, column 3')
    expect(deeds).toEqual([])
    button('Bring 2').click()
    expect(w.value.group.participants.slice(0, 2).map((p) => [p.name, p.age])).toEqual([
      ['Pia', '8-12'],
      ['Kit', 'adult'],
    ])
    expect([w.value.group.participants.length, counted]).toEqual([people, [{ path: 'group/participants', count: people }]])
  })
  it('more people than seats get seats of their own', async () => {
    const names = Array.from({ length: 14 }, (_, i) => `N${i}`)
    const { w, button, said } = await opened(['name', ...names].join('\n'))
    const people = w.value.group.participants.length
    await vi.waitFor(() => expect(said()).toContain('14 good lines wait'))
    button('Bring 14').click()
    expect(w.value.group.participants).toHaveLength(Math.max(people, 14))
    expect(new Set(w.value.group.participants.map((p) => p.seat)).size).toBe(w.value.group.participants.length)
  })
  it('asks what an odd heading is before anything comes in', async () => {
    const { button, said, w } = await opened('name,yrs\nPia,9')
    await vi.waitFor(() => expect(said()).toContain('What is “yrs”?'))
    expect(button('Bring').hasAttribute('disabled')).toBe(true)
    button('age in years').click()
    await vi.waitFor(() => expect(said()).toContain('1 good line waits'))
    button('Bring 1').click()
    expect(w.value.group.participants[0]).toMatchObject({ name: 'Pia', age: '8-12' })
  })
  it('that names picture files says what they are good for', async () => {
    const { said } = await opened('name,picture\nPia,pia.jpg')
    await vi.waitFor(() => expect(said()).toContain('1 line names a picture file. Drop this roster together with the pictures'))
  })
  it('keeps what was pasted when the server is away', async () => {
    const { said } = await opened('away')
    await vi.waitFor(() => expect(said()).toContain('Your text stays here; try again.'))
    expect(document.querySelector<HTMLTextAreaElement>('#roster-text')!.value).toBe('away')
  })
})
