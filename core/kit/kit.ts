import { cheapestPacks, type Purchase } from '#core/buying'
import type { Figures } from '#core/figures'
import { filmUm, mediumNeed, type Coat } from '#core/medium'
import { because, figure, from, isRefusal, keysOf, weakest, type Because, type Figure, type Input, type Refusal } from '#core/reasons'
import type { MaterialUse, ShareBy } from '#core/recipe'
import { ceil, Decimal, largest, least } from '#core/units'
import { materialOf, type Material, type Pack } from './catalogue'
import { sharers, type Seating } from './sharing'

/** What a kit has to serve. Lengths in mm, area in mm2; `blanks` counts spares in, `coated` what is done again and samples too, `prints`
 *  copies. */
export interface KitNeeds {
  people: number
  /** Kits to go beside them, each for somebody alone. */
  toGo: number
  /** Pieces that people make, spares and samples aside. */
  pieces: number
  seating: Seating
  blanks: number
  spareBlanks: Input
  coated: number
  /** In which sitting each stage is done. */
  sittings: Record<string, number>
  /** Of each thing so many go home in bags. */
  home: Record<string, number>
  /** Of each thing so many go into kits. */
  inKits: Record<string, number>
  prints: number
  /** What is taped: prints, or pages where nothing is printed. */
  films: number
  perSheet: number
  areaMm2: number
  /** The whole face, for stages that go over all of it (`covers`); as `areaMm2` where the picture fills it. */
  faceMm2: number
  covers: ReadonlySet<string>
  /** People bring their own blanks. */
  brings: boolean
  /** Share of the box round the picture that it fills, already in the area; 1 with straight edges. */
  outline: Figure
  /** The folded strip of one accordion book, 0 where there is none. */
  panelStripMm: number
  coat: Coat
  strips: { perPrint: number; lengthMm: number }
  share: Record<string, ShareBy>
  cupboard: Record<string, number>
  /** What of it the workshops before take. */
  reserved: Readonly<Record<string, number>>
  kind: string
  figures: Figures
}

export interface ToGet {
  purchase: Purchase | Refusal
  packs: (Pack & { count: number })[]
  /** In the cupboard, and what of it the workshops before take. */
  have: number
  reserved?: number
}

export interface KitLine {
  /** Names the line among the others: the material, and its kind or design where several designs need different ones. */
  key: string
  /** Its key in the cupboard. */
  cupboard: string
  material: string
  name: string
  note: string
  icon: Material['icon']
  unit: Material['unit']
  stages: string[]
  durable: boolean
  /** For one seat and for the largest table; null where it is not counted so. */
  each: number | null
  table: number | null
  need: number
  share?: { by: ShareBy; options: ShareBy[]; chosen: boolean }
  toGet: ToGet
  /** Sheets of paper, for prints. */
  sheets?: number
  /** What goes into one kit to go's pot: the coats of a piece, and what stays in its brush and pot. */
  pot?: number
  usedMinor: number
  boughtMinor: number
  /** The prices that its cost is made of. */
  prices: Figure[]
  because: Because
}

/** Every material line scaled, shared and set against the cupboard and the packs on sale. Exact; not rounded but where a
 *  thing is whole. A line that its kind of piece does not need is left out. */
export function scaleKit(uses: readonly MaterialUse[], needs: KitNeeds): KitLine[] {
  const mine = uses.filter((u) => !u.onlyFor || u.onlyFor.includes(needs.kind))
  const lines = mine.map((u) => line(u, needs, mine))
  // Where all is done at home nothing is there for a class.
  return needs.toGo > 0 && needs.people === 0 ? lines.filter((l) => l.need > 0) : lines
}

function line(use: MaterialUse, needs: KitNeeds, all: readonly MaterialUse[]): KitLine {
  const material = pricedIn(use.material, needs)
  const sheetPrice = needs.figures('price.sheet')
  const by = sharedBy(use, needs)
  const measured = withHome(use, material, measure(use, needs, by ?? 'each', all), needs)
  const need = material.unit === 'ml' || material.unit === 'mm' ? measured.need : ceil(measured.need)
  const theirs = use.material === 'blank' && needs.brings
  const toGet = buy(theirs ? { ...material, packs: [] } : material, use.material, need, needs)
  const sheets = use.basis === 'print' && needs.perSheet > 0 ? Math.ceil(needs.prints / needs.perSheet) : undefined
  return {
    key: use.material,
    cupboard: cupboardKey(use.material, needs),
    material: use.material,
    name: material.name,
    note: use.note,
    icon: material.icon,
    unit: material.unit,
    stages: use.stages,
    durable: use.durable ?? false,
    each: measured.each,
    table: measured.each === null || needs.seating.length === 0 ? null : tableShare(by, measured.each, needs.seating),
    need: need.toNumber(),
    ...(use.share && { share: { by: by!, options: use.share.options, chosen: by !== use.share.by } }),
    toGet,
    ...(sheets !== undefined && { sheets }),
    ...(needs.toGo > 0 && use.basis === 'area' && measured.each !== null && { pot: potOf(use, measured.each, needs) }),
    usedMinor: use.durable || theirs ? 0 : sheets !== undefined ? Math.round(sheets * sheetPrice.value) : usedUp(material, need, needs),
    boughtMinor: sheets !== undefined ? Math.round(sheets * sheetPrice.value) : isRefusal(toGet.purchase) ? 0 : toGet.purchase.costMinor,
    prices: sheets !== undefined ? [sheetPrice] : material.packs.flatMap((p) => p.price ?? []),
    because: because(`kit-${use.basis}`, [
      ...measured.inputs,
      ...(by
        ? [
            { name: 'shared', value: by },
            { name: 'sharers', value: sharers(by, needs.seating) },
          ]
        : []),
    ]),
  }
}

/** Things that are counted and go home as well: one more for each who takes one. What is measured goes in pots, from the same bottle;
 *  spare prints and what is there for each piece anyway go along. */
function withHome(use: MaterialUse, material: Material, m: Measured, needs: KitNeeds): Measured {
  if (material.unit !== 'count' || (use.basis !== 'person' && use.basis !== 'table')) return m
  const home = use.durable || use.share ? (needs.home[use.material] ?? 0) : 0
  const kits = needs.inKits[use.material] ?? 0
  return {
    ...m,
    need: m.need.plus(home).plus(new Decimal(use.amount.value).times(kits)),
    inputs: [...m.inputs, ...(home > 0 ? [{ name: 'go-home', value: home }] : []), ...(kits > 0 ? [{ name: 'in-kits', value: kits }] : [])],
  }
}

const sharedBy = (use: MaterialUse, needs: KitNeeds): ShareBy | undefined => {
  const wanted = needs.share[use.material]
  return wanted && use.share?.options.includes(wanted) ? wanted : use.share?.by
}

interface Measured {
  need: Decimal
  each: number | null
  inputs: Input[]
}

function measure(use: MaterialUse, needs: KitNeeds, by: ShareBy, all: readonly MaterialUse[]): Measured {
  const { people, pieces, seating } = needs
  if (use.basis === 'area') return measureFilm(use, needs, by, all)
  if (use.basis === 'strips') {
    const { perPrint, lengthMm } = needs.strips
    const inputs: Input[] = [
      { name: 'strips', value: perPrint, mark: 'P' },
      { name: 'prints', value: needs.films },
      { name: 'strip-length', value: lengthMm, unit: 'mm' },
    ]
    return { need: new Decimal(perPrint).times(needs.films), each: perPrint, inputs }
  }
  const amount = new Decimal(use.amount.value)
  const inputs: Input[] = [from('amount', use.amount)]
  const counted = (n: number, name: string, each: number | null): Measured => ({
    need: amount.times(n),
    each,
    inputs: [...inputs, { name, value: n }],
  })
  switch (use.basis) {
    case 'person':
      return counted(use.share ? sharers(by, seating) : people, use.share ? 'sharers' : 'people', eachShare(amount, by))
    case 'blank':
      return {
        need: amount.times(needs.blanks),
        each: amount.toNumber(),
        inputs: [...inputs, { name: pieces === people ? 'people' : 'pieces', value: pieces }, needs.spareBlanks],
      }
    case 'piece':
      return counted(pieces, 'pieces', amount.toNumber())
    case 'print':
      return counted(needs.prints, 'prints', people ? Math.floor(needs.prints / people) : 1)
    case 'table':
      return counted(use.share ? sharers(by, seating) : seating.length, 'tables', null)
    case 'room':
      return counted(people || needs.toGo ? 1 : 0, 'rooms', null)
    case 'sheet':
      return counted(needs.perSheet > 0 ? Math.ceil(needs.prints / needs.perSheet) : 0, 'sheets', null)
    case 'panels':
      return {
        need: amount.times(needs.blanks).times(needs.panelStripMm),
        each: needs.panelStripMm,
        inputs: [...inputs, { name: 'blanks', value: needs.blanks }, { name: 'strip-length', value: needs.panelStripMm, unit: 'mm' }],
      }
    case 'length':
      return use.per === 'blank'
        ? counted(needs.blanks, 'blanks', amount.toNumber())
        : use.per === 'piece'
          ? counted(pieces, pieces === people ? 'people' : 'pieces', amount.toNumber())
          : counted(people, 'people', amount.toNumber())
  }
}

const eachShare = (amount: Decimal, by: ShareBy): number | null =>
  by === 'each' ? amount.toNumber() : by === 'pair' ? amount.div(2).toNumber() : null

function tableShare(by: ShareBy | undefined, each: number, seating: Seating): number {
  const most = Math.max(...seating)
  return by === 'pair'
    ? new Decimal(each)
        .times(2)
        .times(Math.ceil(most / 2))
        .toNumber()
    : new Decimal(each).times(most).toNumber()
}

function measureFilm(use: Extract<MaterialUse, { basis: 'area' }>, needs: KitNeeds, by: ShareBy, all: readonly MaterialUse[]): Measured {
  const films = use.films.map((f) => ({
    whole: needs.covers.has(f.stage) && needs.faceMm2 !== needs.areaMm2,
    film: filmUm(f.film === 'chosen' ? needs.coat : f.film, needs.figures),
    coats: f.coats,
  }))
  const um = (of: typeof films) => of.reduce((sum, f) => sum.plus(new Decimal(f.film.value).times(f.coats.value)), new Decimal(0))
  const [onPicture, onWhole] = [films.filter((f) => !f.whole), films.filter((f) => f.whole)]
  const holders = heldIn(use, needs, by, all)
  const base = {
    areaMm2: new Decimal(needs.areaMm2),
    filmUm: um(onPicture),
    coats: 1,
    wasteShare: new Decimal(use.waste.value),
    heldPerBrushMl: new Decimal(use.held.value),
  }
  const over = { ...base, areaMm2: new Decimal(needs.faceMm2), filmUm: um(onWhole), brushes: 0 }
  const one = mediumNeed({ ...base, pieces: 1, brushes: 0 }).plus(mediumNeed({ ...over, pieces: 1 }))
  return {
    need: mediumNeed({ ...base, pieces: needs.coated, brushes: holders }).plus(mediumNeed({ ...over, pieces: needs.coated })),
    each: one.toDecimalPlaces(2).toNumber(),
    inputs: [
      { name: 'coated', value: needs.coated },
      ...(onPicture.length > 0 ? [{ name: 'area', value: needs.areaMm2 }] : []),
      ...(onWhole.length > 0 ? [{ name: 'face', value: needs.faceMm2 }] : []),
      ...(onPicture.length > 0 && needs.outline.value < 1 ? [from('outline', needs.outline)] : []),
      ...films.map((f): Input => ({
        name: 'film-coats',
        value: f.film.value * f.coats.value,
        unit: 'um',
        mark: weakest([f.film.mark, f.coats.mark]),
        rests: keysOf([f.film, f.coats]),
      })),
      from('waste', use.waste),
      from('held', use.held),
      { name: 'holders', value: holders },
    ],
  }
}

/** Brushes and cups that medium stays in, counted once a sitting: the cups as the medium is shared, the brushes as they are. */
function heldIn(use: Extract<MaterialUse, { basis: 'area' }>, needs: KitNeeds, by: ShareBy, all: readonly MaterialUse[]): number {
  const sittings = new Set(use.films.map((f) => needs.sittings[f.stage] ?? 0))
  const cups = sharers(by, needs.seating)
  const brush = all.find((m) => m.material === 'foam-brush')
  const brushesAt = (sitting: number) =>
    brush && use.films.some((f) => (needs.sittings[f.stage] ?? 0) === sitting && brush.stages.includes(f.stage))
      ? sharers(sharedBy(brush, needs) ?? 'each', needs.seating)
      : 0
  return [...sittings].reduce((sum, sitting) => sum + cups + brushesAt(sitting) + (atHome(use) ? 2 * needs.toGo : 0), 0)
}

/** What households brush on themselves, each with a brush and a pot of its own. */
const atHome = (use: Extract<MaterialUse, { basis: 'area' }>): boolean => use.bag !== undefined
const potOf = (use: Extract<MaterialUse, { basis: 'area' }>, each: number, needs: KitNeeds): number =>
  Math.ceil(each + 2 * use.held.value * new Set(use.films.map((f) => needs.sittings[f.stage] ?? 0)).size)

/** Packs in the unit that is counted: a roll of tape is so many whole strips, its end is wasted. */
function packsFor(material: Material, needs: KitNeeds): Pack[] {
  if (material.unit !== 'strips') return material.packs
  return material.packs
    .map((p) => ({ ...p, size: needs.strips.lengthMm > 0 ? Math.floor(p.size / needs.strips.lengthMm) : 0 }))
    .filter((p) => p.size > 0)
}

/** The packs of a material at the house's own prices, each by its key: `price.decoupage-glue.236`; blanks by their kind,
 *  `price.blank-jar.12`. */
const pricedIn = (id: string, needs: KitNeeds): Material => {
  const material = materialOf(id)
  const packs = material.packs.map((p) => {
    const price = needs.figures.of(`price.${cupboardKey(id, needs)}.${p.size}`, figure(p.priceMinor, 'minor', 'E'))
    return { ...p, priceMinor: price.value, price }
  })
  return { ...material, packs }
}

const cupboardKey = (id: string, needs: KitNeeds) => (id === 'blank' ? `blank-${needs.kind}` : id)

function buy(material: Material, id: string, need: Decimal, needs: KitNeeds): ToGet {
  const have = needs.cupboard[cupboardKey(id, needs)] ?? 0
  const reserved = Math.min(have, needs.reserved[cupboardKey(id, needs)] ?? 0)
  const there = { have, ...(reserved > 0 && { reserved }) }
  const offered = packsFor(material, needs)
  if (material.packs.length === 0) return { purchase: { toBuy: 0, packs: [], costMinor: 0, leftOver: 0 }, packs: [], ...there }
  const micro = (n: number | Decimal) => ceil(new Decimal(n).times(1e6)).toNumber()
  const purchase = cheapestPacks({
    need: micro(need.toDecimalPlaces(3, Decimal.ROUND_UP)),
    cupboard: micro(new Decimal(have).minus(reserved)),
    packs: offered.map((p) => ({ size: micro(p.size), priceMinor: p.priceMinor })),
  })
  return { purchase, packs: isRefusal(purchase) ? [] : purchase.packs.map((p) => ({ ...offered[p.index]!, count: p.count })), ...there }
}

/** What is used up, at the price a unit of the pack that is cheapest a unit. */
function usedUp(material: Material, need: Decimal, needs: KitNeeds): number {
  const rates = packsFor(material, needs).map((p) => new Decimal(p.priceMinor).div(p.size))
  if (rates.length === 0) return 0
  return need.times(least(rates)).toDecimalPlaces(0).toNumber()
}

/** A design's share of a workshop's kit: its lines, what they serve, and who makes it. */
export interface KitPart {
  design: string
  name: string
  makers: readonly string[]
  lines: readonly KitLine[]
  needs: KitNeeds
}

/** The kit of a workshop from its designs' kits, in their order. What is used up adds up, and is bought together; what lasts serves one
 *  design after the other: as many as for all who make any of them, and never fewer than one of them asks for. Blanks of different kinds
 *  and strips of different lengths are lines of their own. */
export function mergeKits(parts: readonly KitPart[]): KitLine[] {
  if (parts.length === 1) return [...parts[0]!.lines]
  const by = new Map<string, { part: KitPart; line: KitLine }[]>()
  for (const part of parts)
    for (const line of part.lines) {
      const key = keyAmong(line, part, parts[0]!)
      by.set(key, [...(by.get(key) ?? []), { part, line }])
    }
  return [...by].map(([key, shares]) => (shares.length === 1 ? { ...shares[0]!.line, key } : together(key, shares)))
}

function keyAmong(line: KitLine, part: KitPart, first: KitPart): string {
  if (line.material === 'blank') return part.needs.kind === first.needs.kind ? 'blank' : `blank-${part.needs.kind}`
  return line.unit === 'strips' && part.needs.strips.lengthMm !== first.needs.strips.lengthMm
    ? `${line.material}-${part.design}`
    : line.material
}

function together(key: string, shares: readonly { part: KitPart; line: KitLine }[]): KitLine {
  const [{ line, part }] = shares as [{ part: KitPart; line: KitLine }]
  const all = shares.reduce((sum, x) => sum.plus(x.line.need), new Decimal(0))
  const need = shares.every((x) => x.line.durable) ? lasting(shares, all) : all
  const material = pricedIn(line.material, part.needs)
  const toGet = buy(material, line.material, need, part.needs)
  const sheets = shares.some((x) => x.line.sheets !== undefined) && shares.reduce((sum, x) => sum + (x.line.sheets ?? 0), 0)
  const add = (of: (l: KitLine) => number) => shares.reduce((sum, x) => sum + of(x.line), 0)
  return {
    ...line,
    key,
    note: [...new Set(shares.map((x) => x.line.note))].join(' · '),
    stages: [...new Set(shares.flatMap((x) => x.line.stages))],
    durable: shares.every((x) => x.line.durable),
    each: null,
    table: null,
    need: need.toNumber(),
    toGet,
    ...(sheets !== false && { sheets }),
    usedMinor: add((l) => l.usedMinor),
    boughtMinor: sheets !== false ? add((l) => l.boughtMinor) : isRefusal(toGet.purchase) ? 0 : toGet.purchase.costMinor,
    because: because(
      shares.every((x) => x.line.durable) ? 'kit-designs-lasting' : 'kit-designs',
      shares.map(({ part: p, line: l }) => ({
        name: `design:${p.name}`,
        value: l.need,
        ...((l.unit === 'ml' || l.unit === 'mm') && { unit: l.unit }),
        mark: l.because.mark,
        opens: `kit/${l.key}@${p.design}`,
      })),
    ),
  }
}

/** What lasts: in proportion to the people who make any of the designs, and at least what one of them asks for. */
function lasting(shares: readonly { part: KitPart; line: KitLine }[], all: Decimal): Decimal {
  const most = largest(shares.map((x) => new Decimal(x.line.need)))
  if (shares.every((x) => x.line.need === 1)) return most
  const makers = shares.reduce((sum, x) => sum + x.part.makers.length, 0)
  const people = new Set(shares.flatMap((x) => x.part.makers)).size
  return makers === 0 ? most : largest([most, ceil(all.times(people).div(makers))])
}
