import { coldLimitCelsius } from '#core/cure'
import { paperOf, papers, type Paper, type PaperId } from '#core/house'
import { gridOnSheet } from '#core/sheets'
import { pictureLooks } from './pictures'
import { isRefusal } from '#core/reasons'
import {
  ageBands,
  blankMaterial,
  latestRecipe,
  mayTouch,
  pieceKinds,
  roomStations,
  takesMaterial,
  type AgeBand,
  type Hazard,
  type PieceKind,
  type Recipe,
} from '#core/recipe'
import { enumerateSplits, intendedSplit, type Judged, type Turns } from '#core/sessions'
import { minutesBetween } from '#core/time'
import { change, inWorkshop, moveSession, type Change } from '#core/workshop'
import type { Finding, Plan, Remedy } from './shapes'
import type { Situation } from './situation'
import { bring, mostBrought, stations } from './stations'
import { suits } from './suits'
import { choiceChange, inDesign, finding, remedy, scaled, takeMethod, takePiece, type Find } from './ways'

/** What keeps a plan from holding, the worst first; a group that nobody has said yet is no fault of the plan. */
export const stopsOf = (plan: Pick<Plan, 'findings'>): Finding[] =>
  plan.findings.filter((f) => f.level === 'stop' && f.code !== 'no-people')

/** What to look at: what cannot work (stop), what wants a look, what is worth knowing; the worst first. */
export function findingsOf(s: Situation, plan: Plan): Finding[] {
  const rank = { stop: 0, look: 1, note: 2 }
  return finders.flatMap((find) => find(s, plan)).sort((a, b) => rank[a.level] - rank[b.level])
}

const group: Find = (_s, plan) => (plan.people === 0 ? [finding('no-people', 'stop', 'group')] : [])

const recipeKnown: Find = (s) =>
  s.recipeMissing
    ? [
        finding('recipe-missing', 'look', 'method', {
          recipe: s.design.recipe.id,
          version: s.design.recipe.version,
          instead: s.recipe.name,
        }),
      ]
    : []

/** A recipe of the house that goes below practice is for a sample; one that has been made anew says so. */
const ownRecipe: Find = (s, plan) => {
  const newest = latestRecipe(s.recipe.id, s.recipes)!
  const found: Finding[] = []
  if (s.recipe.below?.length && plan.people > 0 && s.recipe.from)
    found.push(
      finding('experiment-only', 'stop', 'method', { recipe: s.recipe.name, below: s.recipe.below[0]! }, [takeMethod(s, s.recipe.from.id)]),
    )
  if (!s.recipeMissing && newest.version > s.recipe.version)
    found.push(
      finding('newer-recipe', 'note', 'method', { recipe: s.recipe.name, version: s.recipe.version, newest: newest.version }, [
        { ...takeMethod(s, newest.id), code: 'newest-recipe', values: { newest: newest.version } },
      ]),
    )
  return found
}

const piece: Find = (s, plan) => {
  const found: Finding[] = []
  if (plan.print.grid.perSheet === 0 && !s.resolved.noPrint) {
    const room = { width: s.paper.widthMm - 2 * s.paper.marginMm, height: s.paper.heightMm - 2 * s.paper.marginMm }
    found.push(
      finding(
        'larger-than-paper',
        'stop',
        'piece',
        {
          paper: s.paper.name,
          pictureWidthMm: s.picture.widthMm,
          pictureHeightMm: s.picture.heightMm,
          widthMm: room.width,
          heightMm: room.height,
        },
        [fitPaper(s, room), ...largerPaper(s), remedy('tile-it', [change(s.workshop, inWorkshop.choices.tile, true)])],
      ),
    )
  }
  if (!takesMaterial(s.recipe, s.design.material)) found.push(notForThis(s))
  return found
}

/** The smallest paper that takes the picture whole. */
function largerPaper(s: Situation): Remedy[] {
  const takes = (p: Paper) => gridOnSheet(s.picture, p, p.marginMm, 0).perSheet > 0
  const found = (Object.keys(papers) as PaperId[])
    .map((id) => paperOf(id, s.house))
    .sort((a, b) => a.widthMm * a.heightMm - b.widthMm * b.heightMm)
    .find(takes)
  return found
    ? [
        remedy('larger-paper', [change(s.workshop, inWorkshop.choices.paper, found.id)], {
          paper: found.name,
        }),
      ]
    : []
}

function fitPaper(s: Situation, room: { width: number; height: number }): Remedy {
  const { widthMm, heightMm } = s.picture
  const fits = (w: number, h: number) => Math.min(room.width / w, room.height / h)
  const scale = Math.min(1, Math.max(fits(widthMm, heightMm), fits(heightMm, widthMm)))
  return scaled(s, Math.floor(scale * (s.kind.measure.by === 'face' ? 1000 : 970)) / 10)
}

/** A method on a surface it does not take: another surface of the same kind, another method, or another piece. */
function notForThis(s: Situation): Finding {
  const surfaces = s.kind.materials.filter((m) => takesMaterial(s.recipe, m))
  const methods = s.recipes.filter((r) => takesMaterial(r, s.design.material) && latestRecipe(r.id, s.recipes) === r)
  const alike = (k: PieceKind) => Number(k.form === s.kind.form)
  const kinds = pieceKinds
    .filter((k) => k.id !== s.kind.id && k.recipe === s.recipe.id)
    .sort((a, b) => alike(b) - alike(a))
    .slice(0, 2)
  const best = [...surfaces].sort((a, b) => rankFit(s, a) - rankFit(s, b)).slice(0, 1)
  return finding(
    'method-not-for-piece',
    'stop',
    'method',
    { method: s.recipe.name, piece: s.kind.plural, material: blankMaterial(s.design.material)?.name ?? s.design.material },
    [
      ...best.map((m) =>
        remedy('take-material', [change(s.workshop, inDesign(s).material, m)], {
          material: blankMaterial(m)!.name,
        }),
      ),
      ...methods.slice(0, 3).map((r) => takeMethod(s, r.id)),
      ...(best.length ? [] : kinds.map((k) => takePiece(s, k, s.recipe))),
    ],
  )
}
const rankFit = (s: Situation, material: string) => ['best', 'good', 'hard'].indexOf(s.recipe.surfaces[material]!.fit)

/** Another method, and a piece that it suits, when the present piece is none. */
function quicker(s: Situation, suits: (r: Recipe) => boolean = () => true): Remedy[] {
  return s.recipes
    .filter((r) => !r.cure && r.id !== s.recipe.id && latestRecipe(r.id, s.recipes) === r && suits(r))
    .filter((r) => r.print.ink === 'any' || s.printers.includes(r.print.ink))
    .map((r) => {
      if (takesMaterial(r, s.design.material)) return { ...takeMethod(s, r.id), to: r }
      const kind = pieceKinds.find((k) => k.recipe === r.id)!
      return { ...takePiece(s, kind, r), to: r }
    })
    .sort((a, b) => Number(b.code === 'take-method') - Number(a.code === 'take-method'))
    .slice(0, 2)
    .map(({ code, values, changes }) => ({ code, values, changes }))
}

const orientation: Find = (s, plan) => {
  if (s.resolved.noPrint) return []
  const { verdict, printMirrored } = plan.print.orientation
  if (verdict === 'fine') return []
  const fix = remedy('print-as-advised', [change(s.workshop, inDesign(s).mirrored, null)], {
    mirrored: Number(printMirrored),
  })
  return [finding('reads-backwards', verdict === 'blocker' ? 'stop' : 'look', 'pictures', { lettering: Number(s.design.lettering) }, [fix])]
}

const cold: Find = (s) =>
  s.house.climate.celsius < coldLimitCelsius.value && s.resolved.stages.some((x) => x.lays)
    ? [
        {
          ...finding('too-cold', 'stop', 'sessions', { celsius: s.house.climate.celsius, least: coldLimitCelsius.value }, [
            { code: 'warm-room', values: { least: coldLimitCelsius.value }, changes: [], link: 'house' },
            ...quicker(s, (r) => !r.stages.some((x) => x.lays)),
          ]),
          mark: coldLimitCelsius.mark,
        },
      ]
    : []

const noDate: Find = (s, plan) => (s.sessions.length === 0 && plan.people > 0 ? [finding('no-date', 'look', 'sessions')] : [])

const sessionShapes: Find = (s, plan) =>
  plan.sessions.flatMap((x) =>
    x.problems.flatMap((p) => {
      if (p === 'past') return []
      const level = p === 'no-length' || p === 'overlaps' ? 'stop' : 'look'
      return [
        finding(
          `session-${p}`,
          level,
          'sessions',
          { session: x.number, at: x.from, minutes: x.minutes },
          p === 'doubled-hour' ? [otherHour(s, x.id)] : [],
        ),
      ]
    }),
  )

function otherHour(s: Situation, id: string): Remedy {
  const now = s.workshop.sessions.find((x) => x.id === id)!.later
  return remedy('other-hour', [change(s.workshop, inWorkshop.sessions(id).later, now ? null : true)])
}

/** The next class is over although nothing was begun: a plan whose sessions all lie in the past. */
const allPast: Find = (_s, plan) =>
  plan.sessions.length > 0 && plan.sessions.every((x) => x.problems.includes('past')) ? [finding('all-past', 'note', 'sessions')] : []

const curing: Find = (s, plan) => {
  const { cure } = plan.split
  if (!cure || cure.verdict === 'ready') return []
  const values = {
    session: s.sessions.find((x) => x.id === cure.rubIn)!.number,
    laid: minutesBetween(
      s.setting.laidAt ?? s.sessions.find((x) => x.id === cure.laidIn)!.to,
      s.sessions.find((x) => x.id === cure.rubIn)!.from,
    ),
    least: cure.requiredMin,
    better: cure.recommendedMin,
    earliestAt: cure.earliestAt,
    recommendedAt: cure.recommendedAt,
  }
  const level = cure.verdict === 'too soon' ? 'stop' : 'look'
  const ways = [...moves(s, plan), ...homeSplits(s, plan), ...(cure.verdict === 'too soon' ? quicker(s) : shorterWait(s))]
  return [
    {
      ...finding(cure.verdict === 'too soon' ? 'too-soon' : 'risky', level, 'sessions', values, ways),
      mark: plan.figures['earliest']!.because.mark,
    },
  ]
}

function moves(s: Situation, plan: Plan): Remedy[] {
  const id = plan.split.cure!.rubIn
  const session = s.workshop.sessions.find((x) => x.id === id)!
  const { minutes } = s.sessions.find((x) => x.id === id)!
  const { earliest, better } = plan.proposals
  const move = (at: string, verdict: string) =>
    remedy(`move-session-${verdict}`, moveSession(session, at, minutes), { at, session: s.sessions.find((x) => x.id === id)!.number })
  const soon = plan.split.cure!.verdict === 'too soon' && earliest && earliest !== better ? [move(earliest, 'risky')] : []
  return [...(better ? [move(better, 'ready')] : []), ...soon]
}

/** "12 h is enough": the school that brings the recommended time down to the least. */
function shorterWait(s: Situation): Remedy[] {
  const school = s.recipe.schools.find((x) => x.options.some((o) => o.effects.some((e) => e.kind === 'recommended-cure')))
  const option = school?.options.find((o) => o.effects.some((e) => e.kind === 'recommended-cure'))
  const now = s.resolved.chosen.find((c) => c.school.id === school?.id)?.option.id
  if (!school || !option || now === option.id) return []
  return [remedy('believe-shorter', [choiceChange(s, school.id, option.id)], { option: option.name })]
}

/** The best feasible split that ends at home, where the present one does not hold. */
function homeSplits(s: Situation, plan: Plan): Remedy[] {
  const { setting } = s
  const laying = s.resolved.stages.find((x) => x.makes === 'laid')?.id
  const options = enumerateSplits(setting).filter(
    (j) =>
      j.problems.length === 0 &&
      j.feasible &&
      Object.values(j.split).includes('home') &&
      (!laying || j.split[laying] === plan.split.split[laying]),
  )
  return options[0] ? [remedy('finish-at-home', splitChange(s, setting, options[0]), { state: options[0].goesHome })] : []
}

function splitChange(s: Situation, setting: Parameters<typeof intendedSplit>[0], to: Judged): Change[] {
  const intended = intendedSplit(setting).split
  const wish = Object.fromEntries(Object.entries(to.split).filter(([stage, place]) => intended[stage] !== place))
  return [change(s.workshop, inWorkshop.choices.split, wish)]
}

const loads: Find = (s, plan) =>
  plan.split.loads
    .filter((l) => !l.fits)
    .map((l) => {
      const number = s.sessions.find((x) => x.id === l.sessionId)!.number
      return {
        ...finding(
          'does-not-fit',
          'stop',
          'sessions',
          { session: number, needed: l.neededMin, available: l.availableMin, over: l.neededMin - l.availableMin },
          [...morePlaces(s, l), ...betterSplit(s, plan), ...moreHands(s, l), ...fewerRounds(s), longer(s, l)],
        ),
        mark: 'E' as const,
      }
    })

/** The fewest places more with which a class fits whose queues alone make it too long. */
function morePlaces(s: Situation, l: Judged['loads'][number]): Remedy[] {
  const over = l.neededMin - l.availableMin
  return l.stages.flatMap((x) => {
    const stage = s.resolved.stages.find((y) => y.id === x.id)!
    const have = stage.station === undefined ? undefined : s.setting.places[stage.station]
    const station = roomStations.find((r) => r.id === stage.station)
    if (!have || !station || x.queue < over) return []
    const queue = (n: number) => (Math.ceil(s.people / n) - 1) * stage.minutes.value
    const enough = Array.from({ length: mostBrought }, (_, i) => have + 1 + i).find((n) => x.queue - queue(n) >= over)
    return enough ? [bring(s, station, have, enough)] : []
  })
}

/** More helpers, so that what goes in turns goes in one. */
function moreHands(s: Situation, l: Judged['loads'][number]): Remedy[] {
  const turns = s.turns.filter((t) => t.extraMin > 0 && l.stages.some((x) => x.id === t.stages[0]))
  return turns.slice(0, 1).map((t) => helpersFor(s, t))
}

function betterSplit(s: Situation, plan: Plan): Remedy[] {
  const { setting } = s
  const feasible = enumerateSplits(setting).filter((j) => j.feasible)
  const inClass = feasible.find((j) => !Object.values(j.split).includes('home'))
  const laying = s.resolved.stages.find((x) => x.makes === 'laid')?.id
  const atHome = feasible.find((j) => Object.values(j.split).includes('home') && (!laying || j.split[laying] === plan.split.split[laying]))
  return [
    ...(inClass
      ? [remedy('prepare-ahead', splitChange(s, setting, inClass), { stages: moved(plan.split.split, inClass.split, 'ahead', s) })]
      : []),
    ...(atHome ? [remedy('finish-at-home', splitChange(s, setting, atHome), { state: atHome.goesHome })] : []),
  ]
}

const moved = (from: Record<string, string>, to: Record<string, string>, place: string, s: Situation): string =>
  s.resolved.stages
    .filter((x) => to[x.id] === place && from[x.id] !== place)
    .map((x) => x.name.toLowerCase())
    .join(', ')

function fewerRounds(s: Situation): Remedy[] {
  const school = s.recipe.schools.find((x) => x.id === 'rounds')
  const fewer = school?.options.filter((o) => o.effects.some((e) => e.kind === 'rounds' && e.rounds < s.resolved.rounds)).at(-1)
  return school && fewer
    ? [
        remedy('fewer-rounds', [choiceChange(s, 'rounds', fewer.id)], {
          rounds: fewer.id,
        }),
      ]
    : []
}

function longer(s: Situation, l: Judged['loads'][number]): Remedy {
  const session = s.workshop.sessions.find((x) => x.id === l.sessionId)!
  const needed = Math.ceil(l.neededMin / 15) * 15
  const placed = s.sessions.find((x) => x.id === l.sessionId)!
  const change = moveSession(session, placed.from, needed)
  return remedy('longer-session', change, { minutes: needed - l.availableMin })
}

const brokenWaits: Find = (s, plan) =>
  plan.split.problems
    .filter((p) => p.kind === 'broken')
    .map((p) =>
      finding(
        'wait-broken',
        'stop',
        'sessions',
        { after: name(s, p.after), before: name(s, p.before) },
        plan.splitChosen ? [remedy('drop-split', [change(s.workshop, inWorkshop.choices.split, {})])] : [],
      ),
    )
const doAhead = (s: Situation, stage: string): Remedy =>
  remedy('do-ahead', [change(s.workshop, inWorkshop.choices.split(stage), 'ahead')], {
    stage: name(s, stage),
  })
const name = (s: Situation, id: string) => s.resolved.stages.find((x) => x.id === id)?.name ?? id

/** The ages in a group that must not touch a hazard, youngest first. */
const barred = (hazard: Hazard, byAge: readonly { age: AgeBand }[]): AgeBand[] =>
  ageBands.filter((a) => mayTouch[hazard][a] === 'no' && byAge.some((b) => b.age === a))

const adults: Find = (s, plan) => {
  const found: Finding[] = []
  const short = plan.adults.needed - plan.adults.coming
  if (short > 0)
    found.push({
      ...finding('adults-short', 'look', 'room', { short, needed: plan.adults.needed }, [
        remedy('ask-helper', [change(s.workshop, inWorkshop.group.helpers, s.workshop.group.helpers + short)], {
          short,
        }),
      ]),
      mark: 'E',
    })
  const small = plan.adults.atHazards.filter((h) => plan.adults.byAge.some((b) => mayTouch[h.hazard][b.age] === 'no'))
  for (const h of small) {
    const ahead = s.resolved.stages.find((x) => x.id === h.stage)?.mayBe.includes('ahead')
    found.push({
      ...finding(
        'too-young',
        'look',
        'group',
        { hazard: h.hazard, stage: name(s, h.stage), ages: barred(h.hazard, plan.adults.byAge).join() },
        ahead ? [doAhead(s, h.stage)] : [],
      ),
      mark: 'E',
    })
  }
  return found
}

const shelf: Find = (s, plan) =>
  plan.shelf && plan.shelf.places > plan.shelf.capacity
    ? [
        finding(
          'shelf-short',
          'look',
          'sessions',
          { places: plan.shelf.places, capacity: plan.shelf.capacity, short: plan.shelf.places - plan.shelf.capacity },
          [
            fewerSpares(s, plan, plan.shelf.places - plan.shelf.capacity),
            { code: 'more-places', values: {}, changes: [], link: 'house' as const },
          ].filter((r) => r !== null),
        ),
      ]
    : []

function fewerSpares(s: Situation, plan: Plan, by: number): Remedy | null {
  const after = plan.spares.count - by
  return after < 0 ? null : remedy('fewer-spares', [change(s.workshop, inWorkshop.choices.spares, after)], { spares: after })
}

/** A pack that is bought for the last tenth of it or less, where fewer spares or a shared cup may save it. */
const wholePack: Find = (s, plan) =>
  plan.kit.flatMap((l) => {
    const bought = l.toGet.purchase
    if (isRefusal(bought) || l.unit !== 'ml' || l.toGet.packs.length === 0) return []
    const smallest = l.toGet.packs.reduce((a, b) => (b.size < a.size ? b : a))
    const into = smallest.size - bought.leftOver
    if (into > smallest.size / 10 || (l.toGet.packs.length === 1 && smallest.count === 1)) return []
    const wider = l.share?.options[l.share.options.indexOf(l.share.by) + 1]
    const ways = [
      ...(wider
        ? [remedy('share-by', [change(s.workshop, inWorkshop.choices.share(l.material), wider)], { share: wider, what: l.name })]
        : []),
      fewerSpares(s, plan, 1),
    ].filter((r) => r !== null)
    return [
      {
        ...finding(
          'whole-pack',
          'look',
          'kit',
          { ml: Number(into.toFixed(1)), noun: smallest.noun, size: smallest.size, what: l.name },
          ways,
        ),
        mark: 'E' as const,
      },
    ]
  })

const lateErrands: Find = (s, plan) => {
  const ahead = plan.errands.filter(
    (e) => e.state === 'late' && s.sessions.some((x) => x.id === e.sessionId && minutesBetween(s.now, x.from) > 0),
  )
  return ahead
    .filter((e) => e.code !== 'set-up')
    .map((e) =>
      finding(`late-${e.code}`, 'look', 'sessions', { ...e.values, by: e.by }, [
        {
          code: 'did-it',
          values: {},
          changes: [change(s.workshop, inWorkshop.errandsDone(e.id), e.id)],
        },
      ]),
    )
}

const missing: Find = (s, plan) => {
  const laying = s.resolved.stages.find((x) => x.makes === 'laid')
  const place = laying && plan.split.split[laying.id]
  const away = s.workshop.group.participants.filter(
    (p) => place && p.misses.includes(place) && !s.workshop.pieces.some((x) => x.participant === p.id && x.laidAt),
  )
  return away.length
    ? [finding('misses-laying', 'note', 'group', { who: away.map((p) => p.name ?? `seat ${p.seat}`).join(', '), count: away.length })]
    : []
}

/** What goes in turns: a drying coat does not wait for 24 children, and what they may not touch is done for them. */
const inTurns: Find = (s, plan) =>
  plan.turns
    .filter((t) => t.turns > 1)
    .map((t) => {
      const ahead = t.why === 'adults-only' && s.resolved.stages.find((x) => x.id === t.stages[0])?.mayBe.includes('ahead')
      return {
        ...finding(
          t.why === 'race' ? 'race' : 'done-for-them',
          'look',
          'room',
          {
            stage: name(s, t.stages.at(-1)!),
            turns: t.turns,
            people: t.people,
            adults: t.adults,
            extra: t.extraMin,
            each: t.minutesEach,
            least: t.window?.least ?? 0,
            most: t.window?.most ?? 0,
          },
          ahead ? [doAhead(s, t.stages[0]!)] : [helpersFor(s, t)],
        ),
        mark: 'E' as const,
      }
    })

/** As many helpers as make one turn of a race, six more at the most; two more hands for what only adults may touch. */
function helpersFor(s: Situation, t: Turns): Remedy {
  const now = s.workshop.group.helpers
  const more = Math.min(t.why === 'race' ? 6 : 2, t.adults * (t.turns - 1))
  return remedy('more-hands', [change(s.workshop, inWorkshop.group.helpers, now + more)], { more })
}

const finders: Find[] = [
  group,
  recipeKnown,
  ownRecipe,
  piece,
  suits,
  pictureLooks,
  stations,
  inTurns,
  orientation,
  cold,
  noDate,
  sessionShapes,
  curing,
  loads,
  brokenWaits,
  adults,
  shelf,
  wholePack,
  lateErrands,
  missing,
  allPast,
]
