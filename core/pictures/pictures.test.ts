import fc from 'fast-check'
import { describe, expect, it, test } from 'vitest'
import {
  fileKey,
  ownersNamed,
  cropOf,
  defaultCrop,
  eraseDay,
  fromPrint,
  judgePicture,
  lostByCrop,
  onPrint,
  ownerName,
  ownerOf,
  pictureFindings,
  pictureOf,
  placed,
  turnedBox,
  withoutPicture,
  type PictureContext,
} from '#core/pictures'
import { applyChanges, asItIs, type Participant, type Picture, type PictureEdit, type Workshop } from '#core/workshop'
import { demoWorkshops } from '#core/demo'

const picture = (more: Partial<Picture> = {}): Picture => ({
  id: 'p',
  participant: null,
  width: 1200,
  height: 900,
  permitted: true,
  deleteOn: '2026-06-01',
  ...more,
})
const edit = (more: Partial<PictureEdit>): PictureEdit => ({ ...asItIs, ...more })
const print = { widthMm: 101.6, heightMm: 101.6 }
const context: PictureContext = { print, outline: 'straight', whites: 'surface', surfaceIsWhite: false, readsRight: true, mirrored: true }
const codes = (p: Picture, c: Partial<PictureContext> = {}) => judgePicture(p, { ...context, ...c }).map((f) => `${f.level} ${f.code}`)

describe('placing a picture on a piece', () => {
  test.each<[string, Picture, { x: number; y: number; w: number; h: number }]>([
    ['a landscape on a square: the middle', picture(), { x: 0.125, y: 0, w: 0.75, h: 1 }],
    ['a portrait on a square', picture({ width: 600, height: 1200 }), { x: 0, y: 0.25, w: 1, h: 0.5 }],
    ['turned by a quarter', picture({ edit: edit({ turn: 90 }) }), { x: 0, y: 0.125, w: 1, h: 0.75 }],
  ])('%s', (_name, p, crop) => {
    const found = defaultCrop(p, print)
    for (const k of ['x', 'y', 'w', 'h'] as const) expect(found[k]).toBeCloseTo(crop[k], 6)
  })
  it('counts the pixels that the print shows: 900 on 4 in are 225 an inch', () => {
    expect(placed(picture(), print)).toMatchObject({ width: 900, height: 900, dpi: 225, real: 225 })
    expect(placed(picture({ detail: 0.5 }), print)).toMatchObject({ dpi: 225, real: 112 })
  })
  it('keeps a crop inside itself when the piece gets another shape', () => {
    const p = picture({ edit: edit({ crop: { x: 0.2, y: 0.2, w: 0.6, h: 0.6 } }) })
    const c = cropOf(p, { widthMm: 200, heightMm: 50 })
    expect(c).toMatchObject({ x: 0.2, w: expect.closeTo(0.6, 6) })
    expect((c.w * 1200) / (c.h * 900)).toBeCloseTo(4, 6)
  })
  it('says how much is cut away', () => {
    expect(lostByCrop(picture(), print)).toBeCloseTo(0.25, 6)
    expect(lostByCrop(picture(), { widthMm: 120, heightMm: 90 })).toBeCloseTo(0, 6)
  })
  it('crops no corner that is not there, however it is turned, and keeps the print’s shape', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 200, max: 4000 }),
        fc.integer({ min: 200, max: 4000 }),
        fc.integer({ min: -1800, max: 1800 }),
        fc.integer({ min: 20, max: 300 }),
        fc.integer({ min: 20, max: 300 }),
        (width, height, tenths, w, h) => {
          const p = picture({ width, height, edit: edit({ turn: tenths / 10 }) })
          const box = turnedBox(p)
          const c = defaultCrop(p, { widthMm: w, heightMm: h })
          expect((c.w * box.width) / (c.h * box.height)).toBeCloseTo(w / h, 4)
          const a = (tenths * Math.PI) / 1800
          for (const [sx, sy] of [
            [0, 0],
            [1, 0],
            [0, 1],
            [1, 1],
          ] as const) {
            const [x, y] = [(c.x + sx * c.w - 0.5) * box.width, (c.y + sy * c.h - 0.5) * box.height]
            expect(Math.abs(x * Math.cos(a) + y * Math.sin(a))).toBeLessThanOrEqual(width / 2 + 0.01)
            expect(Math.abs(-x * Math.sin(a) + y * Math.cos(a))).toBeLessThanOrEqual(height / 2 + 0.01)
          }
        },
      ),
      { seed: 41 },
    )
  })
  it('a mark comes back where it was drawn, turned by quarters or not at all', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(0, 90, 180, -90),
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 5, max: 40 }),
        (turn, x, y, side) => {
          const p = picture({ edit: edit({ turn }) })
          const drawn = { x: x / 100, y: y / 100, w: side / 100, h: side / 100 }
          const back = onPrint(fromPrint(drawn, p, print), p, print)!
          expect(back.xMm).toBeCloseTo(drawn.x * 101.6, 1)
          expect(back.yMm).toBeCloseTo((1 - drawn.y - drawn.h) * 101.6, 1)
          expect(back.widthMm).toBeCloseTo(drawn.w * 101.6, 1)
        },
      ),
      { seed: 43 },
    )
  })
  it('a mark that the crop leaves out is nowhere on the print', () => {
    const p = picture({ edit: edit({ crop: { x: 0.5, y: 0.5, w: 0.4, h: 0.4 } }) })
    expect(onPrint({ x: 0, y: 0, w: 0.2, h: 0.2 }, p, print)).toBeUndefined()
  })
})

describe('judging a picture', () => {
  const lettering = [{ id: 'm', what: 'lettering' as const, x: 0.4, y: 0.4, w: 0.2, h: 0.1 }]
  const corner = [{ id: 'm', what: 'face' as const, x: 0.02, y: 0.02, w: 0.2, h: 0.2 }]
  test.each<[string, Picture, Partial<PictureContext>, string[]]>([
    ['sharp, nothing in it', picture({ width: 2000, height: 2000 }), {}, []],
    ['fair is good enough', picture({ width: 620, height: 620 }), {}, []],
    ['soft', picture({ width: 500, height: 500 }), {}, ['look soft']],
    ['poor', picture({ width: 300, height: 300 }), {}, ['look poor']],
    ['one pixel', picture({ width: 1, height: 1 }), {}, ['look poor']],
    ['many pixels, but blurred', picture({ width: 2000, height: 2000, detail: 0.25 }), {}, ['look soft']],
    ['whites on bare wood', picture({ pale: 0.5 }), {}, ['look whites-go']],
    ['whites on a white surface', picture({ pale: 0.5 }), { surfaceIsWhite: true }, []],
    ['whites kept by the ground', picture({ pale: 0.5 }), { whites: 'white' }, []],
    ['whites on film go even over white', picture({ pale: 0.5 }), { whites: 'clear', surfaceIsWhite: true }, ['look whites-go']],
    ['lettering that reads right', picture({ marks: lettering }), {}, ['fine mirrored']],
    ['lettering that reads backwards', picture({ marks: lettering }), { readsRight: false }, ['stop reads-backwards']],
    [
      'perhaps lettering, where the print reads right',
      picture({ suggested: [{ ...lettering[0]!, sure: 'perhaps' }] }),
      {},
      ['note lettering-perhaps'],
    ],
    [
      'perhaps lettering, where it would read backwards',
      picture({ suggested: [{ ...lettering[0]!, sure: 'likely' }] }),
      { readsRight: false },
      ['look lettering-perhaps'],
    ],
    ['much cut away', picture({ width: 3000, height: 1000 }), {}, ['look cut-away']],
    ['cut away by hand: as wanted', picture({ width: 3000, height: 1000, edit: edit({ crop: { x: 0, y: 0, w: 0.33, h: 1 } }) }), {}, []],
    [
      'a face in the corner of a round piece',
      picture({ width: 1200, height: 1200, marks: corner }),
      { outline: 'round' },
      ['look mark-cut'],
    ],
    ['a face in the corner of a straight one', picture({ width: 1200, height: 1200, marks: corner }), {}, []],
    [
      'lettering that the crop cuts',
      picture({ width: 3000, height: 3000, marks: lettering, edit: edit({ crop: { x: 0.5, y: 0.2, w: 0.5, h: 0.5 } }) }),
      {},
      ['look mark-cut', 'fine mirrored'],
    ],
    ['not allowed', picture({ permitted: false }), {}, ['look not-permitted']],
    [
      'faces at sticker size',
      picture({ marks: [{ id: 'm', what: 'face', x: 0.3, y: 0.3, w: 0.3, h: 0.3 }] }),
      { print: { widthMm: 44, heightMm: 44 } },
      ['look detail-lost'],
    ],
  ])('%s', (_name, p, c, expected) => expect(codes(p, c)).toEqual(expected))
  it('sees a seam that cannot be shifted off a face, and none where it can', () => {
    const tape = { widthMm: 48, overlapMm: 12, marginMm: 5 }
    const face = (x: number, w: number) => picture({ marks: [{ id: 'm', what: 'face', x, y: 0.1, w, h: 0.8 }] })
    expect(codes(face(0.15, 0.7), { tape })).toContain('look face-seam')
    expect(codes(face(0.45, 0.05), { tape })).not.toContain('look face-seam')
    expect(codes(face(0.15, 0.7))).not.toContain('look face-seam')
  })
  it('takes what somebody has accepted as a note', () =>
    expect(codes(picture({ width: 300, height: 300, accepted: ['poor'] }))).toEqual(['note poor']))
  it('judged again against the same gives the same, against something else something else', () => {
    const p = picture({ pale: 0.5 })
    expect(judgePicture(p, { ...context })).toBe(judgePicture(p, { ...context }))
    expect(codes(p, { surfaceIsWhite: true })).toEqual([])
    expect(codes(p)).toEqual(['look whites-go'])
    expect(codes({ ...p, pale: 0.1 })).toEqual([])
  })
  it('keeps each picture’s own finding beside what is said for all', () => {
    const [soft] = pictureFindings([picture({ id: 'a', width: 560, height: 560 }), picture({ id: 'b', width: 420, height: 420 })], context)
    expect(soft!.each.map((f) => 'real' in f.values && f.values.real)).toEqual([140, 105])
  })
  it('says a code once for all that have it', () => {
    const found = pictureFindings([picture({ id: 'a', pale: 0.5 }), picture({ id: 'b', pale: 0.6 }), picture({ id: 'c' })], context)
    expect(found.map((f) => [f.finding.code, f.pictures.map((p) => p.id)])).toEqual([['whites-go', ['a', 'b']]])
  })
})

describe('whose a picture is', () => {
  const people = ['Juno', 'Anna', 'Anna-Marie', 'Zoë', null, 'Max', 'Max'].map((name, i): Participant => ({
    id: `p${i + 1}`,
    seat: i + 1,
    name,
    age: 'adult',
    misses: [],
  }))
  test.each([
    ['Juno ferry.jpg', 'p1'],
    ['IMG_juno_0042.JPG', 'p1'],
    ['anna.png', 'p2'],
    ['Anna Marie at the sea.png', 'p3'],
    ['zoe.jpg', 'p4'],
    ['seat 5.jpg', 'p5'],
    ['seat-05 kelp.jpg', 'p5'],
    ['seat 99.jpg', null],
    ['max.jpg', null],
    ['junonia.jpg', null],
    ['IMG_4711.jpg', null],
    ['.jpg', null],
  ])('%s', (file, owner) => expect(ownerOf(file, people)).toBe(owner))
  test.each([
    ['seat B3.jpg', 'p7'],
    ['Seat b3 kelp.png', 'p7'],
    ['B3.jpg', 'p7'],
    ['seat-A1.jpg', 'p1'],
    ['Juno B3.jpg', 'p1'],
    ['seat 7.jpg', 'p7'],
    ['seat C1.jpg', null],
    ['A1 and B3.jpg', null],
    ['AB3.jpg', null],
  ])('by the seat as screens call it: %s', (file, owner) =>
    expect(ownerOf(file, people, { p1: 'A1', p2: 'A2', p3: 'A3', p4: 'A4', p5: 'B1', p6: 'B2', p7: 'B3' })).toBe(owner),
  )
  it('a seat called by a number alone is the one so called', () => expect(ownerOf('seat 7.jpg', people, { p1: '7' })).toBe('p1'))
  it('a roster says it by file, ending and folder aside; a name that is not one person’s is nobody’s', () => {
    const rows = [
      { name: 'Juno', picture: 'IMG_4711.JPG' },
      { name: 'anna-marie', picture: 'C:\\pictures\\Kelp bed.png' },
      { name: 'Zoe', picture: 'heron' },
      { name: 'Max', picture: 'max.png' },
      { name: 'Nobody here', picture: 'x.png' },
      { name: 'Anna', picture: 'img 4711.jpeg' },
      { name: 'Anna' },
      { name: null, picture: 'y.png' },
    ]
    const { owners, files, unclear } = ownersNamed(rows, people)
    expect([owners.get(fileKey('img_4711.jpg')), owners.get(fileKey('kelp bed.jpg')), owners.get(fileKey('Heron.webp'))]).toEqual([
      'p1',
      'p3',
      'p4',
    ])
    expect(owners.size).toBe(3)
    expect([files.length, unclear]).toEqual([6, ['Max', 'Nobody here']])
  })
  it('is called by name, seat, or the house', () => {
    const seats = { p5: 'B1' }
    expect([
      ownerName(people, { participant: 'p1' }, seats),
      ownerName(people, { participant: 'p5' }, seats),
      ownerName(people, { participant: null }, seats),
    ]).toEqual(['Juno', 'Seat B1', 'A house picture'])
  })
  it('the newest of a person counts', () => {
    const {
      designs: [first],
    } = demoWorkshops('2026-05-15')[0]!
    const designs = [
      { ...first!, id: 'd' },
      { ...first!, id: 'e' },
    ]
    const pictures = [
      picture({ id: 'old', participant: 'p1' }),
      picture({ id: 'new', participant: 'p1' }),
      picture({ id: 'e1', participant: 'p1', design: 'e' }),
    ]
    expect(pictureOf({ pictures, designs }, 'p1', 'e')?.id).toBe('e1')
    expect(pictureOf({ pictures, designs }, 'p1', 'd')?.id).toBe('new')
    expect(pictureOf({ designs }, 'p1', 'd')).toBeUndefined()
  })
  it('is erased two weeks after the last class', () => {
    const w = demoWorkshops('2026-05-15').find((x) => x.id === 'lighthouse-blocks')!
    const open = { deleteOn: null, addedOn: '2026-05-10' }
    expect(eraseDay(w, open)).toEqual({ date: '2026-06-15', from: 'class' })
    // whenever the last class is: moved, or taken out
    const later = { ...w, sessions: [...w.sessions, { ...w.sessions[0]!, id: 'later', date: '2026-07-01' }] }
    expect(eraseDay(later, open)).toEqual({ date: '2026-07-15', from: 'class' })
    expect(eraseDay({ ...w, sessions: [] }, open)).toEqual({ date: '2026-07-09', from: 'added' })
    expect(eraseDay({ ...w, sessions: [] }, { deleteOn: null }, '2026-05-11').date).toBe('2026-07-10')
    expect(eraseDay({ ...w, sessions: [], createdAt: '2026-05-01T10:00:00-04:00[America/New_York]' }, { deleteOn: null }).date).toBe(
      '2026-06-30',
    )
    expect(eraseDay(later, { ...open, deleteOn: '2026-05-20' })).toEqual({ date: '2026-05-20', from: 'set' })
    expect(w.pictures!.every((p) => p.deleteOn === null)).toBe(true)
  })
  it('leaves a trace of how many went and why, and nothing of the picture', () => {
    const w = demoWorkshops('2026-05-15').find((x) => x.id === 'lighthouse-blocks')!
    const gone = w.pictures![0]!
    const after = applyChanges<Workshop>(
      w,
      withoutPicture(gone, { id: 'e1', at: '2026-05-15T15:00:00-04:00[America/New_York]', why: 'due' }),
    )!
    expect(after.pictures).toHaveLength(w.pictures!.length - 1)
    expect(after.picturesErased).toEqual([{ id: 'e1', at: expect.any(String), why: 'due', count: 1 }])
    expect(JSON.stringify(after.picturesErased)).not.toContain(gone.id)
  })
})
