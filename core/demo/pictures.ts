import { asItIs, type Picture } from '#core/workshop'

/** A demo picture: which drawing, and what the plan knows of it. */
export interface DemoPicture {
  workshop: string
  motif: string
  name: string
  picture: Picture
}

/** Motif, the file's name, who brought it (seat; 0 the house's), pixels, how much is nearly white. */
type Row = [motif: string, name: string, seat: number, width: number, height: number, pale: number, more?: Partial<Picture>]

const lettering = (x: number, y: number, w: number, h: number) => [{ id: 'm1', what: 'lettering' as const, x, y, w, h }]
const blocks: Row[] = [
  ['lighthouse', 'lighthouse.png', 1, 1500, 1500, 0.1],
  ['crab', 'crab.jpg', 2, 1400, 1400, 0.55],
  ['moth', 'moth.jpg', 3, 1400, 1400, 0.5],
  ['ferry', 'our ferry.png', 4, 1650, 1650, 0.52, { marks: lettering(0.55, 0.64, 0.24, 0.09) }],
  ['fish', 'fish.jpg', 5, 1300, 1300, 0.2],
  ['night-moth', 'night.jpg', 6, 1500, 1500, 0.22],
  ['kelp', 'kelp.png', 7, 1500, 1500, 0.5],
  ['keeper', 'keeper.jpg', 8, 1600, 1600, 0.12, { marks: [{ id: 'm1', what: 'face', x: 0.32, y: 0.38, w: 0.36, h: 0.36 }] }],
  ['grey-moth', 'small moth.gif', 9, 460, 460, 0.48],
  ['heron', 'heron.jpg', 10, 1500, 1500, 0.6],
  ['white-tower', 'tower.jpg', 12, 1500, 1500, 0.14],
  [
    'tides',
    'tide table.png',
    13,
    1600,
    1600,
    0.6,
    { suggested: [{ id: 's1', x: 0.07, y: 0.06, w: 0.61, h: 0.19, sure: 'perhaps' }], permitted: false },
  ],
  ['lighthouse', 'point.jpg', 15, 1500, 1500, 0.1, { edit: { ...asItIs, turn: 4 } }],
]
const moths: Row[] = [
  ['moth', 'moth.png', 0, 2100, 1500, 0.35],
  ['night-moth', 'night moth.png', 0, 2100, 1500, 0.2],
  ['grey-moth', 'grey moth.png', 0, 2100, 1500, 0.35],
]
const lanterns: Row[] = [
  ['ferry', 'ferry.png', 0, 1500, 1000, 0.4, { marks: lettering(0.55, 0.66, 0.24, 0.14) }],
  ['lighthouse', 'lighthouse.png', 0, 1500, 1000, 0.1],
  ['fish', 'fish.png', 0, 1500, 1000, 0.15],
]

const made = (workshop: string, rows: Row[]): DemoPicture[] =>
  rows.map(([motif, name, seat, width, height, pale, more], i) => ({
    workshop,
    motif,
    name,
    picture: {
      id: `${workshop}-picture-${i + 1}`,
      participant: seat === 0 ? null : `${workshop}-p${seat}`,
      width,
      height,
      detail: 1,
      pale,
      permitted: true,
      deleteOn: null,
      ...more,
    },
  }))

export const demoPictures: readonly DemoPicture[] = [
  ...made('lighthouse-blocks', blocks),
  ...made('moths-of-the-marsh', moths),
  ...made('ferry-lanterns', lanterns),
]
