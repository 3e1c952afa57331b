// @vitest-environment jsdom
import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { nextTick } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { demoHouses } from '#core/demo'
import { pictureContextOf, planWorkshop } from '#core/plan'
import { readRoster } from '#core/roster'
import type { Workshop } from '#core/workshop'
import { benchOf, demoOf, testNow as now } from '../testing/benchOf'
import { choose, mountIn } from '../testing/mountIn'
import AddPictures from './AddPictures.vue'
import ContactSheet from './ContactSheet.vue'
import PictureDetail from './PictureDetail.vue'
import { useUploads } from './uploads'

const house = demoHouses[1]!
const demo = demoOf('lighthouse-blocks')
const contextOf = (workshop: Workshop) => {
  const input = { workshop, house, now }
  return pictureContextOf(input, planWorkshop(input))
}

describe('the contact sheet', () => {
  const sheet = (workshop = demo) =>
    mountIn(ContactSheet, {
      workshop,
      design: workshop.designs[0]!.id,
      context: contextOf(workshop),
      surface: '#E9D7B4',
      chosen: demo.pictures![0]!.id,
      names: {},
      seats: {},
    })
  const names = (page: ReturnType<typeof sheet>) => page.findAll('button').map((b) => b.attributes('aria-label'))

  it('has a tile for each person, with at most one finding, and says who is missing', () => {
    const all = names(sheet())
    expect(all).toHaveLength(16)
    expect(all).toContain('Pia: in')
    expect(all).toContain('Lark: 93 dpi')
    expect(all).toContain('Emry: not in yet, bring it in')
    expect(all.filter((n) => n!.endsWith('bring it in'))).toHaveLength(3)
  })
  it('one press chooses a picture, or brings in the one that is missing', async () => {
    const page = sheet()
    const tile = (name: string) => page.findAll('button').find((b) => b.attributes('aria-label')!.startsWith(name))!
    await tile('Odo').trigger('click')
    await tile('Emry').trigger('click')
    const odo = demo.group.participants.find((p) => p.name === 'Odo')!
    const emry = demo.group.participants.find((p) => p.name === 'Emry')!
    expect(page.emitted('choose')).toEqual([[demo.pictures!.find((p) => p.participant === odo.id)!.id]])
    expect(page.emitted('bring')).toEqual([[emry.id]])
  })
  it('arrows walk, and stop at the ends', async () => {
    const page = sheet()
    const all = page.findAll('button').map((b) => b.element as HTMLElement)
    const press = async (key: string) => page.find('[role=group]').trigger('keydown', { key })
    all[0]!.focus()
    for (const [key, at] of [
      ['ArrowRight', 1],
      ['ArrowDown', 7],
      ['ArrowLeft', 6],
      ['ArrowUp', 0],
      ['ArrowUp', 0],
    ] as const) {
      await press(key)
      expect(all.indexOf(document.activeElement as HTMLElement)).toBe(at)
    }
    page.unmount()
  })
  it('of the house’s pictures has a tile for each of them, numbered where nothing names them', () => {
    const own = {
      ...demo,
      designs: [{ ...demo.designs[0]!, pictures: 'house' as const }],
      pictures: demo.pictures!.slice(0, 2).map((p) => ({ ...p, participant: null })),
    }
    expect(names(sheet(own))).toEqual(['House 1: in', 'House 2: in'])
  })
  it('scrolls by itself when it is long', () => {
    const people = Array.from({ length: 25 }, (_, i) => ({ ...demo.group.participants[0]!, id: `x${i}`, seat: i + 1, name: null }))
    expect(sheet().find('.long').exists()).toBe(false)
    expect(
      sheet({ ...demo, group: { ...demo.group, participants: people } })
        .find('.long')
        .exists(),
    ).toBe(true)
  })
})

describe('one picture', () => {
  vi.stubGlobal(
    'Worker',
    class {
      addEventListener() {}
      postMessage() {}
      terminate() {}
    },
  )
  const of = (name: string) => {
    const { w, deeds, bench } = benchOf(demo)
    const owner = demo.group.participants.find((p) => p.name === name)!.id
    const picture = () => w.value.pictures!.find((p) => p.participant === owner)!
    const props = () => ({ bench, picture: picture(), context: contextOf(w.value), white: undefined })
    const page = mountIn(PictureDetail, props())
    const button = (text: string) => page.findAll('button').find((b) => (b.attributes('aria-label') ?? b.text()) === text)!
    const settle = async () => {
      await page.setProps(props())
      await nextTick()
    }
    return { page, picture, deeds, button, settle }
  }

  it('says its pixels at its size, and what they are worth, with the mark of an estimate', () =>
    expect(of('Lark').page.find('.head').text()).toMatch(/^Lark’s picture460 px over 125 mm is 93 an inch: poor/))
  it('lettering that was seen perhaps becomes a mark when somebody says that it is', async () => {
    const { page, picture, button, settle, deeds } = of('Sorrel')
    expect(page.text()).toContain('Perhaps lettering')
    await button('Place 1 is lettering').trigger('click')
    await settle()
    expect(picture().suggested).toBeUndefined()
    expect(picture().marks).toEqual([{ id: expect.any(String), what: 'lettering', x: 0.07, y: 0.06, w: 0.61, h: 0.19 }])
    expect(deeds).toEqual(['Sorrel’s picture: it is lettering'])
    expect(page.text()).toContain('mirrored: lettering will read right')
  })
  it('or goes when somebody says that it is not', async () => {
    const { page, picture, button, settle } = of('Sorrel')
    await button('Place 1 is not lettering').trigger('click')
    await settle()
    expect([picture().suggested, picture().marks, page.text().includes('Perhaps lettering')]).toEqual([undefined, undefined, false])
  })
  it('a finding is accepted with one press; whether it may be used is not accepted away', async () => {
    const { picture, button, settle, page } = of('Lark')
    await button('Accept: 93 dpi').trigger('click')
    await settle()
    expect(picture().accepted).toEqual(['poor'])
    expect(page.findAll('.findings button')).toHaveLength(0)
    const sorrel = of('Sorrel').page
    expect(sorrel.find('.findings').text()).toContain('May Sorrel’s picture be used?')
    expect(sorrel.findAll('.findings button').every((b) => /lettering/.test(b.attributes('aria-label')!))).toBe(true)
  })
  it('a face can be marked without a mouse, and taken out', async () => {
    const { picture, button, settle } = of('Pia')
    await button('face').trigger('click')
    await button('One in the middle').trigger('click')
    await settle()
    const [face] = picture().marks!
    expect(face).toMatchObject({ what: 'face', x: expect.closeTo(1 / 3, 2), w: expect.closeTo(1 / 3, 2) })
    await button('Take out face 1').trigger('click')
    await settle()
    expect(picture().marks).toEqual([])
  })
  it('is made black and white, given away and dated; a day that is none changes nothing', async () => {
    const { page, picture, settle, deeds } = of('Pia')
    await page.find('.tools input[type=checkbox]').setValue(true)
    await settle()
    expect(picture().edit).toMatchObject({ blackWhite: true, turn: 0 })
    await page.find('.care input[type=date]').setValue('2026-07-01')
    expect(picture().deleteOn).toBe('2026-07-01')
    await page.find('.care input[type=date]').setValue('')
    expect(picture().deleteOn).toBe('2026-07-01')
    await choose(page, 'Whose', '')
    expect(deeds.at(-1)).toBe('it is a house picture')
  })
})

describe('a roster dropped with pictures', () => {
  let added: [string[], ReadonlyMap<string, string> | undefined]
  beforeEach(() => {
    setActivePinia(createPinia())
    vi.stubGlobal('fetch', async (_url: string, init?: RequestInit) => {
      const { text } = JSON.parse(String(init?.body)) as { text: string }
      if (text === 'away') throw new TypeError('no connection')
      if (text.includes('\0'))
        return Response.json({ error: { what: 'That is no text.', path: 'text', remedy: 'Save it as CSV.' } }, { status: 422 })
      return Response.json(readRoster(text.split('\n').map((l, i) => ({ line: i + 1, cells: l.split(',') }))))
    })
    const uploads = useUploads()
    uploads.resume = async () => undefined
    uploads.add = async (_w, files, _owner, named) => void (added = [files.map((f) => f.name), named])
  })
  const file = (name: string, text = 'x') => Object.assign(new File([text], name), { text: async () => text })
  const drop = async (...files: File[]) => {
    added = [[], undefined]
    const page = mountIn(AddPictures, { workshop: demo, design: demo.designs[0]!.id, seats: {} })
    const event = Object.assign(new Event('drop', { cancelable: true }), { dataTransfer: { items: [], files } })
    page.find('.drop').element.dispatchEvent(event)
    await vi.waitFor(() => expect(page.find('[role=status]').exists() || added[0].length > 0).toBe(true))
    await nextTick()
    return page
  }

  it('says whose each is, and the roster itself is not brought in as one', async () => {
    const page = await drop(
      file('club.csv', 'name,picture\nAna,IMG_1.jpg\nJory,img_2.jpg\nZed,z.jpg'),
      file('IMG_1.JPG'),
      file('other.png'),
    )
    const ana = demo.group.participants.find((p) => p.name === 'Ana')!
    await vi.waitFor(() => expect(added[0]).toEqual(['IMG_1.JPG', 'other.png']))
    expect(added[1]!.get('img 1')).toBe(ana.id)
    expect(page.find('[role=status]').text()).toMatch(
      /1 picture found its owner in club\.csv\.\s*Not among the files: img_2\.jpg, z\.jpg\.\s*Not one person in the group: Zed\./,
    )
  })
  it('other text files beside it do no harm', async () => {
    const page = await drop(file('notes.txt', 'name\nbring glue'), file('club.csv', 'name,picture\nAna,IMG_1.jpg'), file('IMG_1.JPG'))
    await vi.waitFor(() => expect(added[1]?.get('img 1')).toBeDefined())
    expect(page.find('[role=status]').text()).toMatch(/^1 picture found its owner in club\.csv\./)
  })
  it.each([
    ['name,age\nAna,adult', 'r.csv names no pictures.'],
    ['\0', 'r.csv could not be read: That is no text. Save it as CSV.'],
    ['away', 'r.csv could not be read: the server does not answer.'],
  ])('one that cannot say it (%j) is told, and the pictures come in by their names', async (text, said) => {
    const page = await drop(file('r.csv', text), file('juno.png'))
    await vi.waitFor(() => expect(added).toEqual([['juno.png'], undefined]))
    expect(page.find('[role=status]').text()).toContain(said)
  })
})
