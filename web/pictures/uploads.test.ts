import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { demoWorkshops } from '#core/demo'
import { useDesk } from '../app/desk'
import { browserWith, DeskServer } from '../testing/deskServer'
import { useUploads } from './uploads'

const blocks = demoWorkshops('2026-05-15').find((w) => w.id === 'lighthouse-blocks')!
/** Requests as the browser would make them; a test answers them. */
class Request {
  static made: Request[] = []
  upload: { onprogress?: (e: { lengthComputable: boolean; loaded: number; total: number }) => void } = {}
  status = 0
  response: unknown = null
  responseType = ''
  url = ''
  file: File | undefined
  aborted = false
  onload?: () => void
  onerror?: () => void
  onloadend?: () => void
  open(_method: string, url: string) {
    this.url = url
  }
  send(form: FormData) {
    this.file = form.get('file') as File
    Request.made.push(this)
  }
  abort() {
    this.aborted = true
    this.onloadend?.()
  }
  answer(status: number, response: unknown) {
    this.status = status
    this.response = response
    this.onload?.()
    this.onloadend?.()
  }
  fail() {
    this.onerror?.()
    this.onloadend?.()
  }
  get id() {
    return this.url.split('/').at(-1)!
  }
}
const picture = (id: string, more: object = {}) => ({
  picture: { id, width: 900, height: 600, detail: 1, pale: 0.25, sameAs: null, ...more },
})
const file = (name: string) => new File([new Uint8Array([1, 2, 3])], name, { type: 'image/png' })

beforeEach(async () => {
  setActivePinia(createPinia())
  await browserWith(new DeskServer())
  Request.made = []
  vi.stubGlobal('XMLHttpRequest', Request)
})
async function begin() {
  const desk = useDesk()
  desk.want([blocks.id])
  await desk.load()
  const uploads = useUploads()
  // What an earlier test left in the browser's database goes, and what it had begun to send.
  await uploads.resume()
  for (const u of [...uploads.list]) await uploads.drop(u.id)
  await new Promise((go) => setTimeout(go, 20))
  Request.made = []
  return { desk, uploads, now: () => desk.workshop(blocks.id)! }
}
const made = (n: number) => vi.waitFor(() => expect(Request.made.length).toBeGreaterThanOrEqual(n))

describe('pictures on their way in', () => {
  it('get a place with their owner, found by name, and a day on which they are erased', async () => {
    const { uploads, now } = await begin()
    await uploads.add(blocks, [file('emry at sea.png')])
    await made(1)
    const request = Request.made[0]!
    expect([request.url, request.file!.name]).toEqual([`/api/workshops/${blocks.id}/pictures/${request.id}`, 'emry at sea.png'])
    request.answer(201, picture(request.id))
    await vi.waitFor(() => expect(uploads.list).toEqual([]))
    const emry = blocks.group.participants.find((p) => p.name === 'Emry')!
    expect(now().pictures!.at(-1)).toMatchObject({
      id: request.id,
      participant: emry.id,
      width: 900,
      pale: 0.25,
      addedOn: '2026-05-15',
      deleteOn: null,
      permitted: false,
    })
  })
  it('are the house’s where nobody’s name fits, or the owner has one', async () => {
    const { uploads, now } = await begin()
    await uploads.add(blocks, [file('IMG_4711.png'), file('juno again.png')])
    await made(2)
    for (const r of [...Request.made]) r.answer(201, picture(r.id))
    await vi.waitFor(() => expect(uploads.list).toEqual([]))
    expect(
      now()
        .pictures!.slice(-2)
        .map((p) => p.participant),
    ).toEqual([null, null])
  })
  it('go to whom they were brought for, whatever they are called', async () => {
    const { uploads } = await begin()
    await uploads.add(blocks, [file('IMG_4711.png')], blocks.group.participants[10]!.id)
    expect(uploads.of(blocks.id)[0]!.participant).toBe(blocks.group.participants[10]!.id)
  })
  it('go to whom a roster names, before what they are called, and also where that person has one', async () => {
    const { uploads } = await begin()
    const [, , kit] = blocks.group.participants
    const owners = new Map([['img 4711', kit!.id]])
    await uploads.add(blocks, [file('IMG_4711.png'), file('emry.png')], undefined, owners)
    const of = (name: string) => uploads.of(blocks.id).find((u) => u.name === name)!.participant
    expect(of('IMG_4711.png')).toBe(kit!.id)
    expect(of('emry.png')).toBe(blocks.group.participants.find((p) => p.name === 'Emry')!.id)
  })
  it('bring along where lettering may be, for somebody to settle', async () => {
    const { uploads, now } = await begin()
    await uploads.add(blocks, [file('sea.png')])
    await made(1)
    const place = { x: 0.1, y: 0.2, w: 0.3, h: 0.1, sure: 'perhaps' }
    Request.made[0]!.answer(201, picture(Request.made[0]!.id, { lettering: [place] }))
    await vi.waitFor(() => expect(uploads.list).toEqual([]))
    expect(now().pictures!.at(-1)!.suggested).toEqual([{ id: 's1', ...place }])
  })
  it('go from memory where the browser has no room to keep them, and say so', async () => {
    const { uploads, now } = await begin()
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementationOnce(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    const warned = vi.spyOn(console, 'warn').mockImplementation(() => undefined)
    await uploads.add(blocks, [file('emry.png')])
    expect(uploads.of(blocks.id)[0]!.kept).toBe(false)
    await made(1)
    Request.made[0]!.answer(201, picture(Request.made[0]!.id))
    await vi.waitFor(() => expect(uploads.list).toEqual([]))
    expect(now().pictures!.at(-1)!.id).toBe(Request.made[0]!.id)
    warned.mockRestore()
  })
  it('are sent two at a time, with what is sent so far', async () => {
    const { uploads } = await begin()
    await uploads.add(
      blocks,
      [1, 2, 3, 4].map((n) => file(`IMG_${n}.png`)),
    )
    await made(2)
    expect(uploads.of(blocks.id).map((u) => u.state)).toEqual(['sending', 'sending', 'waiting', 'waiting'])
    Request.made[0]!.upload.onprogress!({ lengthComputable: true, loaded: 30, total: 60 })
    expect(uploads.of(blocks.id)[0]!.sent).toBe(0.5)
    Request.made[0]!.answer(201, picture(Request.made[0]!.id))
    await made(3)
    expect(Request.made).toHaveLength(3)
  })
  it('stay after a lost connection and go again under the same id', async () => {
    const { uploads } = await begin()
    await uploads.add(blocks, [file('emry.png')])
    await made(1)
    Request.made[0]!.fail()
    expect(uploads.of(blocks.id)[0]).toMatchObject({ state: 'failed', problem: { what: 'The connection was lost.' } })
    uploads.retry(blocks.id)
    await made(2)
    expect(Request.made[1]!.url).toBe(Request.made[0]!.url)
  })
  it('survive the page: another visit finds them and sends them', async () => {
    const { uploads } = await begin()
    await uploads.add(blocks, [file('emry.png')])
    await made(1)
    setActivePinia(createPinia())
    await useDesk().load()
    const later = useUploads()
    await later.resume()
    await made(2)
    expect(later.of(blocks.id).map((u) => u.name)).toEqual(['emry.png'])
    expect(Request.made[1]!.id).toBe(Request.made[0]!.id)
  })
  it('say why they are refused, and stay until they are put aside', async () => {
    const { uploads, now } = await begin()
    await uploads.add(blocks, [file('emry.svg')])
    await made(1)
    const error = { what: 'emry.svg is a drawing.', path: 'file', remedy: 'Export it as PNG.' }
    Request.made[0]!.answer(422, { error })
    expect(uploads.of(blocks.id)[0]).toMatchObject({ state: 'refused', problem: error })
    uploads.retry(blocks.id)
    expect(uploads.of(blocks.id)[0]!.state).toBe('refused')
    await uploads.drop(uploads.of(blocks.id)[0]!.id)
    expect([uploads.of(blocks.id), now().pictures!.length]).toEqual([[], blocks.pictures!.length])
  })
  it('can be stopped on the way', async () => {
    const { uploads } = await begin()
    await uploads.add(blocks, [file('emry.png')])
    await made(1)
    await uploads.drop(uploads.of(blocks.id)[0]!.id)
    expect([Request.made[0]!.aborted, uploads.of(blocks.id)]).toEqual([true, []])
  })
  it('say when the very same picture is in already', async () => {
    const { uploads } = await begin()
    await uploads.add(blocks, [file('emry.png')])
    await made(1)
    Request.made[0]!.answer(201, picture(Request.made[0]!.id, { sameAs: blocks.pictures![0]!.id }))
    await vi.waitFor(() => expect(uploads.doubles).toEqual([{ workshop: blocks.id, name: 'emry.png', sameAs: blocks.pictures![0]!.id }]))
    uploads.seen(blocks.id)
    expect(uploads.doubles).toEqual([])
  })
})
