import type { House } from '#core/house'
import type { AgeBand } from '#core/recipe'
import { demoPictures } from './pictures'
import { addDays, placeLocal, weekdayOf, weekdays } from '#core/time'
import type { Design, Drawing, Participant, Piece, Session, Workshop } from '#core/workshop'

const open = (from: string, to: string) => ({ from, to })

const library: House = {
  id: 'saltbox', name: 'Saltbox Point Library', units: 'imperial', paper: 'letter', currency: 'USD', timeZone: 'America/New_York', weekStart: 'sun',
  hours: { mon: open('09:00', '20:30'), tue: open('09:00', '20:30'), wed: open('09:00', '20:30'), thu: open('09:00', '20:30'), fri: open('09:00', '20:30'), sat: open('09:00', '20:30'), sun: open('09:30', '20:30') },
  closedDays: [], climate: { celsius: 21, humidityPct: 50 }, shelfPlaces: 32, rack: ['1', '2', '3', '4'].map((name) => ({ id: `board-${name}`, name, widthMm: 914.4, depthMm: 304.8, clearMm: 152.4 })), supplierDays: 4, printerMarginMm: 6.35,
  recipeChoices: {}, cupboard: { 'blank-plaque': 3, cup: 20, 'press-card': 14, trimmer: 1, cloth: 4, basin: 6, 'pulp-bin': 6, apron: 24, 'table-cover': 10, 'decoupage-glue': 60, sandpaper: 2, marker: 6, 'paper-towel': 8, bucket: 1, fan: 1 }, contact: 'Noor at the craft desk',
  recipes: [
    {
      id: 'saltbox-boards-v1', recipe: 'saltbox-boards', version: 1, base: { id: 'medium-transfer', version: 1 }, name: 'Saltbox boards',
      note: 'Our glue is thick and the craft room cool: 30 h came off cleaner than 24.',
      edits: [{ path: 'cure/recommended', figure: 1800 }, { path: 'stages/rub1/minutes', figure: 14 }],
    },
  ],
}

const club: House = {
  id: 'tidewater', name: 'Tidewater Youth Club', units: 'metric', paper: 'a4', currency: 'EUR', timeZone: 'Europe/Madrid', weekStart: 'mon',
  hours: { mon: open('10:00', '21:00'), tue: open('10:00', '21:00'), wed: open('10:00', '21:00'), thu: open('10:00', '21:00'), fri: open('10:00', '21:00'), sat: open('10:00', '21:00'), sun: null },
  closedDays: [], climate: { celsius: 22, humidityPct: 55 }, shelfPlaces: 40, supplierDays: 5, printerMarginMm: 5,
  recipeChoices: { 'medium-transfer': { 'coat-where': 'print' } }, cupboard: { basin: 4, 'pulp-bin': 4, apron: 20, scissors: 6, 'bone-folder': 12, towel: 12, 'table-cover': 4, cup: 20, cloth: 10, 'press-card': 10, trimmer: 1, marker: 4, 'paper-towel': 6, bucket: 1, fan: 1 }, contact: 'Ilse',
}

/** The library's craft room: five tables, two basins and the seal table at the far end, one post for a helper. */
const craftRoom: NonNullable<House['floors']>[number] = {
  id: 'craft-room', room: 'Craft room', widthMm: 9753.6, depthMm: 7315.2,
  items: [
    ...['a', 'b', 'c', 'd', 'e'].map((t, i) => ({ id: `table-${t}`, kind: 'table' as const, xMm: 500 + (i % 3) * 2700, yMm: i < 3 ? 5300 : 2900 })),
    { id: 'basin-1', kind: 'basin', xMm: 8600, yMm: 2600 },
    { id: 'basin-2', kind: 'basin', xMm: 8600, yMm: 1500 },
    { id: 'seal', kind: 'seal table', xMm: 5900, yMm: 2900, places: 6 },
    { id: 'rack', kind: 'rack', xMm: 5900, yMm: 1500 },
    { id: 'post-1', kind: 'post', xMm: 7800, yMm: 2500 },
    { id: 'power-1', kind: 'power', xMm: 3000, yMm: 0 },
    { id: 'door-1', kind: 'door', xMm: 900, yMm: 0 },
  ],
}
library.floors = [craftRoom]

export const demoHouses: readonly House[] = [library, club]

interface Plot {
  id: string
  house: House
  title: string
  drawing: Drawing
  names: (string | null)[]
  ages?: AgeBand[]
  tables: number | null
  helpers: number
  design: Omit<Design, 'id'>
  /** What is made beside it. */
  second?: Omit<Design, 'id'>
  held?: 'home'
  /** Days from today, start, end. */
  sessions: [number, string, string][]
  made: number
  done?: string[]
  archived?: boolean
}

const inches = (n: number, text: string) => ({ mm: Number((n * 25.4).toFixed(3)), text })
const millimetres = (n: number) => ({ mm: n, text: `${n} mm` })

const plots: Plot[] = [
  {
    id: 'moths-of-the-marsh', house: library, title: 'Moths of the marsh', drawing: 'moth', tables: 5, helpers: 1, made: -12, 
    names: ['Edda', 'Rune', 'Anton', 'Calla', 'Dov', 'Mira', 'Beck', 'Finn', 'Hanne', 'Inge', 'Joss', 'Lior', 'Marlo', 'Odalys', 'Petra', 'Suri', 'Tobias', 'Wren'],
    design: { kind: 'plaque', material: 'plywood', width: inches(7, '7 in'), height: inches(5, '5 in'), recipe: { id: 'medium-transfer', version: 1 }, choices: { ground: 'white' }, pictures: 'house', lettering: false, mirrored: null },
    sessions: [[-1, '17:45', '20:00'], [1, '10:00', '12:45']], done: ['order', 'paint', 'print', 'sand', 'trim', 'sample-cured', 'sample-finished', 'sample-hazy', 'sample-pressed', 'pack-moths-of-the-marsh-1', 'set-up-moths-of-the-marsh-1'],
  },
  {
    id: 'lighthouse-blocks', house: club, title: 'Lighthouse blocks', drawing: 'lighthouse', tables: 4, helpers: 2, made: -2,
    names: ['Pia', 'Odo', 'Kit', 'Juno', 'Nell', 'Wilf', 'Pilar', 'Max', 'Lark', 'Oriel', 'Emry', 'Tam', 'Sorrel', 'Ana', 'Bo', 'Jory'],
    ages: ['under-8', 'under-8', 'under-8', '8-12', '8-12', '8-12', '8-12', '8-12', '8-12', '8-12', '8-12', '13-17', '13-17', '13-17', '13-17', '13-17'],
    design: { kind: 'block', material: 'pine', width: millimetres(125), height: millimetres(125), recipe: { id: 'medium-transfer', version: 1 }, choices: { ground: 'white' }, pictures: 'own', lettering: false, mirrored: null },
    sessions: [[15, '16:00', '18:15'], [17, '15:00', '18:15']],
  },
  {
    id: 'ferry-lanterns', house: club, title: 'Ferry lanterns', drawing: 'ferry', tables: 3, helpers: 1, made: -5,
    names: [null, null, null, null, null, null, null, null, null, null, null, null], ages: Array<AgeBand>(12).fill('13-17'),
    design: { kind: 'jar', material: 'glass', width: millimetres(90), height: millimetres(60), recipe: { id: 'tape-film', version: 1 }, choices: {}, pictures: 'house', lettering: true, mirrored: null },
    sessions: [[10, '17:00', '19:30']],
  },
  {
    id: 'tide-table-cards', house: club, title: 'Tide table cards', drawing: 'tide', tables: null, helpers: 1, made: -26,
    names: Array<null>(14).fill(null),
    design: { kind: 'card', material: 'card', width: millimetres(125), height: millimetres(90), recipe: { id: 'tape-film', version: 1 }, choices: {}, pictures: 'house', lettering: true, mirrored: null },
    sessions: [[-19, '17:00', '19:30']], done: ['order', 'print', 'sample-finished', 'pack-tide-table-cards-1', 'set-up-tide-table-cards-1'],
  },
  {
    id: 'heron-pages', house: library, title: 'Heron pages', drawing: 'heron', tables: 6, helpers: 1, made: -3,
    names: Array<null>(24).fill(null), ages: Array<AgeBand>(24).fill('8-12'),
    design: { kind: 'page', material: 'kraft', width: inches(5, '5 in'), height: inches(7, '7 in'), recipe: { id: 'gesso-ground', version: 1 }, choices: {}, pictures: 'house', lettering: false, mirrored: null, picture: { pale: true } },
    sessions: [[22, '14:00', '16:15'], [23, '13:00', '16:00']],
  },
  {
    id: 'kelp-coasters', house: library, title: 'Kelp coasters', drawing: 'kelp', tables: null, helpers: 1, made: -1,
    names: Array<null>(10).fill(null),
    design: { kind: 'coaster', material: 'plywood', width: inches(4, '4 in'), height: inches(4, '4 in'), recipe: { id: 'medium-transfer', version: 1 }, choices: {}, pictures: 'house', lettering: false, mirrored: null },
    sessions: [],
  },
  {
    id: 'harbour-keepsakes', house: library, title: 'Harbour keepsakes', drawing: 'ferry', tables: 3, helpers: 1, made: -1,
    names: Array<null>(12).fill(null),
    design: { kind: 'ornament', material: 'plywood', width: inches(3, '3 in'), height: inches(3, '3 in'), recipe: { id: 'medium-transfer', version: 1 }, choices: {}, pictures: 'house', lettering: false, mirrored: null },
    second: { kind: 'card', material: 'card', width: inches(5, '5 in'), height: inches(3.5, '3 1/2 in'), recipe: { id: 'tape-film', version: 1 }, choices: {}, pictures: 'house', lettering: true, mirrored: null, each: 1 },
    sessions: [[29, '13:00', '16:00'], [30, '16:30', '20:15']],
  },
  {
    id: 'kelp-canvases', house: library, title: 'Kelp canvases to go', drawing: 'kelp', tables: null, helpers: 0, made: -2, held: 'home',
    names: Array<null>(10).fill(null),
    design: { kind: 'canvas', material: 'canvas', width: inches(8, '8 in'), height: inches(6, '6 in'), recipe: { id: 'medium-transfer', version: 1 }, choices: {}, pictures: 'house', lettering: false, mirrored: null, on: { width: inches(5, '5 in'), height: inches(4, '4 in') }, edge: 'faded', finish: ['back'] },
    sessions: [[13, '16:00', '18:00'], [27, '16:00', '18:00']],
  },
  {
    id: 'shipping-news', house: club, title: 'Shipping news stickers', drawing: 'tide', tables: 3, helpers: 1, made: -1,
    names: Array<null>(12).fill(null), ages: Array<AgeBand>(12).fill('8-12'),
    design: { kind: 'stickers', material: 'paper', width: millimetres(60), height: millimetres(45), recipe: { id: 'tape-film', version: 1 }, choices: {}, pictures: 'magazine', lettering: false, mirrored: null, edge: 'outline' },
    sessions: [[22, '16:30', '19:00']],
  },
  {
    id: 'heron-canvases', house: library, title: 'Heron canvases', drawing: 'heron', tables: 3, helpers: 1, made: -210, archived: true,
    names: Array<null>(9).fill(null),
    design: { kind: 'canvas', material: 'canvas', width: inches(8, '8 in'), height: inches(6, '6 in'), recipe: { id: 'medium-transfer', version: 1 }, choices: { ground: 'bare', thickness: 'generous' }, pictures: 'house', lettering: false, mirrored: null },
    sessions: [[-200, '17:00', '20:00'], [-197, '10:00', '13:30']],
  },
]

/** The demo workshops, at different points of their life, dated around `today` (a date). Everything in them is invented. */
export const demoWorkshops = (today: string): Workshop[] => plots.map((p) => workshopOf(p, today))

function workshopOf(p: Plot, today: string): Workshop {
  const at = (days: number, time: string) => placeLocal({ date: addDays(today, days), time }, p.house.timeZone).at
  const sessions: Session[] = p.sessions.map(([days, start, end], i) => ({ id: `${p.id}-${i + 1}`, date: openDay(addDays(today, days), p.house), start, end, room: 'Craft room' }))
  const participants: Participant[] = p.names.map((name, i) => ({ id: `${p.id}-p${i + 1}`, seat: i + 1, name, age: p.ages?.[i] ?? 'adult', misses: [] }))
  const shown = demoPictures.filter((x) => x.workshop === p.id)
  return {
    id: p.id, houseId: p.house.id, title: p.title, drawing: p.drawing, createdAt: at(p.made, '15:00'), archivedAt: p.archived ? at(p.made + 20, '15:00') : null,
    group: { tables: p.tables, helpers: p.helpers, participants: absences(p, participants) },
    designs: [{ id: `${p.id}-d1`, ...p.design }, ...(p.second ? [{ id: `${p.id}-d2`, ...p.second }] : [])],
    ...(p.held && { held: p.held }),
    sessions,
    choices: { spares: p.id === 'moths-of-the-marsh' ? 3 : null, samples: null, confidence: 0.9, share: {}, split: {}, ...(p.id === 'moths-of-the-marsh' && { wish: 95 }) },
    pieces: pieces(p, participants, sessions, at),
    ...(shown.length && { pictures: shown.map((x) => x.picture) }),
    errandsDone: p.done ?? [],
  }
}

/** The date, or the next on which the house is open, so that the demo's dates are right on any day it is made. */
function openDay(date: string, house: House): string {
  return house.hours[weekdays[weekdayOf(date) - 1]!] ? date : openDay(addDays(date, 1), house)
}

/** Edda misses the laying of the moths; Pilar the laying of the blocks. */
function absences(p: Plot, people: Participant[]): Participant[] {
  const away: Record<string, string> = { Edda: 'moths-of-the-marsh-1', Pilar: 'lighthouse-blocks-1' }
  return people.map((x) => (x.name && away[x.name]?.startsWith(p.id) ? { ...x, misses: [away[x.name]!] } : x))
}

function pieces(p: Plot, people: Participant[], sessions: Session[], at: (days: number, time: string) => string): Piece[] {
  const made = (who: Participant[], state: Piece['state'], laidAt: string | null): Piece[] => who.map((x) => ({ id: `${x.id}-d1`, participant: x.id, state, laidAt }))
  if (p.id === 'moths-of-the-marsh') return made(people.slice(1), 'laid', at(-1, '19:10'))
  return sessions.length > 0 && p.sessions.every(([days]) => days < 0) ? made(people, 'sealed', null) : []
}
