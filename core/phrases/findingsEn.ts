import { craftFindings, craftRemedies } from './craftEn'
import { ageName, sayList, stateWord } from './words'
import type { AgeBand, PieceState } from '#core/recipe'
import type { DecisionValues, ErrandValues } from '#core/codes'
import type { Lines, LinesOf, Said } from '#core/language'

const said = (title: string, body = ''): Said => ({ title, body })
const s = (n: string | number | undefined, one: string, many = `${one}s`) => `${n} ${Number(n) === 1 ? one : many}`
const shares: Record<string, string> = {
  each: 'One each',
  pair: 'A cup per pair',
  table: 'A cup per table',
  stagger: 'Tables take turns',
  room: 'One for the room',
}

/** What is found, why, in the trade's words. */
export const findingLines: Lines['findings'] = {
  ...craftFindings,
  'no-people': () => said('Nobody is in the group yet', 'Say how many come; everything else follows.'),
  'recipe-missing': (v) => said(`Recipe ${v.recipe} ${v.version} is not here`, `Planned with ${v.instead} instead.`),
  'larger-than-paper': (v, say) =>
    said(
      'The picture is larger than the paper',
      `It is ${say.length(v.pictureWidthMm)} × ${say.length(v.pictureHeightMm)}; of ${v.paper} the printer reaches ${say.length(v.widthMm)} × ${say.length(v.heightMm)}.`,
    ),
  'beyond-piece': (v, say) =>
    said(
      'The picture goes over the edge of its piece',
      `It is ${say.length(v.widthMm)} × ${say.length(v.heightMm)} on a face of ${say.length(v.faceWidthMm)} × ${say.length(v.faceHeightMm)}.`,
    ),
  'no-pick-up': () => said('No pick-up yet', 'With a date the plan can say when to print, pack and order.'),
  'not-for-home': (v) =>
    said(`${v.method} is not for a kit to go`, `${v.stage} wants tools that nobody is sent home with: it is done in class, by an adult.`),
  'candle-narrow': (v, say) =>
    said(
      `For show only: ${say.length(v.diameterMm)} is narrow for a flame`,
      `Tissue and ink are fuel. From ${say.length(v.wideMm)} on the wall of wax stands between, and it still burns watched.`,
    ),
  'method-not-for-piece': (v) => said(`${v.method} does not suit ${v.piece} of ${v.material}`, 'The film or the ink would not hold.'),
  'reads-backwards': (v) =>
    said('The finished picture would read backwards', v.lettering ? 'It has lettering.' : 'Without lettering it is only a mirror image.'),
  'too-cold': (v) =>
    said(`Too cold to lay: the room has ${v.celsius} °C`, `Below ${v.least} °C, or the label’s minimum, the film does not form.`),
  'no-date': () => said('No date yet', 'With two classes the plan can say when to rub, print and order.'),
  'session-no-length': (v) => said(`Class ${v.session} has no length`, 'It ends when it begins.'),
  'session-overlaps': (v) => said(`Class ${v.session} begins before the one before ends`, 'The same people cannot be in both.'),
  'session-over-midnight': (v, say) =>
    said(`Class ${v.session} ends after midnight`, `It is ${say.minutes(v.minutes)} long. Was the end meant for the same day?`),
  'session-skipped-hour': (v, say) =>
    said(`Class ${v.session} begins in an hour that is skipped`, `The clock goes forward that night; planned from ${say.at(v.at)}.`),
  'session-doubled-hour': (v, say) =>
    said(`Class ${v.session} begins in an hour that comes twice`, `The clock goes back that night; planned from ${say.at(v.at)}.`),
  'session-closed-day': (v, say) => said(`The house is closed for class ${v.session}`, `${say.at(v.at)} is a closed day.`),
  'session-outside-hours': (v) => said(`Class ${v.session} lies outside opening hours`, 'Somebody has to let people in and out.'),
  'all-past': () => said('All classes are over', 'Nothing is left to plan here.'),
  'too-soon': (v, say) =>
    said(
      `Too soon to rub in class ${v.session}`,
      `Laid ${say.minutes(v.laid)} before, ${say.minutes(v.least)} least. Sooner, the ink comes off with the paper. Earliest ${say.at(v.earliestAt)}, better ${say.at(v.recommendedAt)}.`,
    ),
  risky: (v, say) =>
    said(
      `Risky to rub in class ${v.session}`,
      `${say.minutes(v.laid)} after laying; ${say.minutes(v.better)} recommended, from ${say.at(v.recommendedAt)}.`,
    ),
  'does-not-fit': (v, say) =>
    said(
      `Class ${v.session} is ${say.minutes(v.over)} too short`,
      `About ${say.minutes(v.needed)} with set-up and clean-up; ${say.minutes(v.available)} booked.`,
    ),
  'wait-broken': (v) => said(`${v.before} cannot wait after ${String(v.after).toLowerCase()}`, 'The two belong in one go.'),
  'adults-short': (v) => said(`${s(v.short, 'adult')} short`, `${v.needed} are needed. Whoever is at a blade does nothing else.`),
  'too-young': (v) => {
    const ages = sayList(
      String(v.ages)
        .split(',')
        .map((a) => ageName(a as AgeBand)),
    )
    return said(`${ages} at the ${v.hazard}`, `${v.stage} is not for them, not even with an adult beside.`)
  },
  'room-taken': (v, say) =>
    said(`${v.room} is taken for class ${v.session}`, `“${v.title}” has it from ${say.at(v.at)} to ${say.at(v.to)}: it was planned first.`),
  'room-wanted': (v, say) =>
    said(`“${v.title}” wants ${v.room} at the time of class ${v.session}`, `From ${say.at(v.at)}. You were first and have it.`),
  'shelf-shared': (v, say) =>
    said(
      `The shelf is ${s(v.short, 'place')} short`,
      `From ${say.at(v.at)} ${v.places} pieces lie on ${v.capacity} places, with those of ${v.titles}.`,
    ),
  'shelf-short': (v) => said(`The shelf is ${s(v.short, 'place')} short`, `${v.places} pieces, ${v.capacity} places.`),
  'whole-pack': (v, say) =>
    said(`A whole ${v.noun} for ${say.volume(Number(v.ml))}`, `${v.what}: a ${v.noun} holds ${say.volume(Number(v.size))}.`),
  'late-order': (v, say) => said('Too late to order in time', `Due ${say.at(v.by)}. Ask a shop nearby, or borrow.`),
  'late-collect': (v, say) => said('Pictures should be in', `Due ${say.at(v.by)}. House pictures stand in for what is missing.`),
  'late-paint': (v, say) =>
    said(
      `Too late to ${String(v.stage).toLowerCase()}`,
      `Due ${say.at(v.by)}: paint that is not dry comes off with the paper. Bare wood needs none.`,
    ),
  'late-print': (v, say) => said('Print now', `Due ${say.at(v.by)}.`),
  'late-sample': (v, say) => said(`No ${v.sample} sample in time`, `Should have begun by ${say.at(v.by)}. Show a piece from last time.`),
  'late-gather': (v, say) =>
    said(`The ${v.pieces} that people bring should be in`, `Due ${say.at(v.by)}: they are prepared the day before.`),
  'late-pack-kits': (v, say) => said(`Pack ${s(v.kits, 'kit')} now`, `Due ${say.at(v.by)}.`),
  'late-trim': (v, say) => said(`${v.stage} now`, `Due ${say.at(v.by)}.`),
  'late-pack': (v, say) => said('Pack now', `Due ${say.at(v.by)}.`),
  'misses-laying': (v) =>
    said(
      `${v.who} ${Number(v.count) === 1 ? 'misses' : 'miss'} the laying`,
      'Lay a spare for them, or note when their own was laid, on Take-home.',
    ),
  'misses-rubbing': (v) =>
    said(
      `${v.who} ${Number(v.count) === 1 ? 'misses' : 'miss'} the rubbing`,
      'It goes home laid, with a sheet; or they come at an hour of their own.',
    ),
  'rubs-later': (v, say) =>
    said(
      `${v.who} rubs ${say.at(v.at)}`,
      v.ready ? 'It is ready then. Somebody has to be there who shows and seals.' : 'It is not ready then: a later hour, or at home.',
    ),
  'catch-up': (v, say) =>
    said(
      v.helper ? `A helper lays ${v.who}’s piece, ${say.at(v.at)}` : `${v.who} lays at another hour, ${say.at(v.at)}`,
      v.ready ? 'Ready when it is rubbed.' : 'Not ready when the class rubs: it goes home with a sheet.',
    ),
}

/** Ways out, as buttons say them. */
export const remedyLines: Lines['remedies'] = {
  ...craftRemedies,
  'smaller-piece': (v, say) => `Picture ${say.length(v.widthMm)} × ${say.length(v.heightMm)}`,
  'take-method': (v) => `Take ${String(v.method).toLowerCase()}`,
  'wider-candle': (v, say) => `Candle ${say.length(v.wideMm)} wide`,
  'quicker-method': (v) => `${v.method} on ${v.piece}, one sitting`,
  'print-as-advised': (v) => (v.mirrored ? 'Print mirrored' : 'Print unmirrored'),
  'warm-room': (v) => `Warm the room to ${v.least} °C`,
  'other-hour': () => 'Take the other hour',
  'move-session-ready': (v, say) => `Move class ${v.session} to ${say.at(v.at)}`,
  'move-session-risky': (v, say) => `Move class ${v.session} to ${say.at(v.at)}, risky`,
  'move-session-free': (v, say) => `Move class ${v.session} to ${say.at(v.at)}`,
  'move-all': (v, say) => `Begin at ${say.at(v.at)}, all classes as much later`,
  'other-room': (v) => `Not in ${v.room}`,
  'believe-shorter': (v) => `Go by ${v.option}`,
  'finish-at-home': (v) => `Finish at home, from ${stateWord(v.state as PieceState).toLowerCase()}`,
  'prepare-ahead': (v) =>
    v.stages ? `${String(v.stages)[0]!.toUpperCase()}${String(v.stages).slice(1)} ahead` : 'Spread the work over the classes',
  'stagger-tables': (v) => `Tables begin ${v.minutes} min apart`,
  'lay-for-them': (v) => (Number(v.count) === 1 ? 'A helper lays it for them in class' : 'A helper lays theirs in class'),
  'catch-up-at': (v, say) => `Laid at another hour: ${say.at(v.at)}`,
  'drop-catch-up': () => 'Take it back',
  'rub-later': (v, say) => `Rubbed at another hour: ${say.at(v.at)}`,
  'drop-rub-later': () => 'Take it back',
  'rest-at-home': (v) => `From ${String(v.stage).toLowerCase()} at home`,
  'fewer-rounds': (v) => s(v.rounds, 'round'),
  'longer-session': (v, say) => `${say.minutes(v.minutes)} longer`,
  'drop-pins': () => 'Take the pins out',
  'drop-split': () => 'Back to the usual split',
  'ask-helper': (v) => `${s(v.short, 'more helper')}`,
  'do-ahead': (v) => `${v.stage} ahead, by staff`,
  'fewer-spares': (v) => `${s(v.spares, 'spare')}`,
  'more-places': () => 'More places in the house',
  'share-by': (v) => shares[String(v.share)] ?? String(v.share),
  'did-it': () => 'It is done',
}

const clip = (parts: (string | false | undefined)[]) => parts.filter(Boolean).join(', ')

/** A link of the chain in one line. */
export const decisionLines: LinesOf<DecisionValues, string> = {
  'decision-group': (v) => {
    const ages = (['under-8', '8-12', '13-17', 'adult'] as const).filter((a) => Number(v[a]) > 0)
    if (Number(v.people) === 0) return 'nobody yet'
    if (ages.length === 1) return ages[0] === 'adult' ? s(v.people, 'adult') : `${s(v.people, 'child', 'children')}, ${ageName(ages[0]!)}`
    return `${v.people} people, mixed ages`
  },
  'decision-piece': (v) => `${v.piece}, ${v.material}`,
  'decision-method': (v, say) => clip([String(v.method), Number(v.cure) > 0 && `${say.minutes(v.cure)} cure`]),
  'decision-pictures': (v) =>
    v.source === 'magazine'
      ? 'magazine pages'
      : v.source === 'brought'
        ? 'what people bring'
        : v.stamped
          ? 'stamped in class'
          : `${v.own ? `${v.in} of ${v.people} in, ` : ''}${s(v.prints, 'print')}, ${v.mirrored ? 'mirrored' : 'not mirrored'}`,
  'decision-kit': (v) => `${s(v.blanks, 'piece')}, ${s(v.things, 'thing')} to buy`,
  'decision-sessions': ({ home, ...v }, say) => {
    const [pickUp, back] = Object.values(v).map((at) => say.at(at))
    if (home) return pickUp === undefined ? 'at home, no pick-up yet' : clip([`pick-up ${pickUp}`, back !== undefined && `back ${back}`])
    return sayList(Object.values(v).map((at) => say.at(at))) || 'no date yet'
  },
  'decision-room': (v) =>
    v.home ? 'none: all is done at home' : `${s(v.tables, 'table')}${Number(v.adults) > 0 ? `, ${s(v.adults, 'adult')} needed` : ''}`,
  'decision-takehome': (v) =>
    v.home
      ? `${s(v.sheets, 'sheet')}, all done at home`
      : v.dated
        ? `${s(v.sheets, 'sheet')}, ${stateWord(v.state as PieceState).toLowerCase()}`
        : 'once there is a date',
}

/** What is to be done. */
export const errandLines: LinesOf<ErrandValues, Said> = {
  gather: (v) => said(`Gather the ${v.pieces} that people bring`, 'and prepare them'),
  'pack-kits': (v) => said(`Pack ${s(v.kits, 'kit')} to go`, 'pots labelled, prints cut, pieces ready to coat'),
  'hand-out': (v) => said(`Hand out ${s(v.kits, 'kit')}`),
  'take-back': (v) => said('Take back what is used again', `of ${s(v.kits, 'kit')}`),
  order: (v) => said('Order', `${s(v.things, 'thing')} to buy`),
  collect: () => said('Collect the pictures', 'everybody’s own'),
  paint: (v, say) => said(String(v.stage), `about ${say.minutes(v.minutes)}, and let it dry`),
  print: (v) => said(`Print ${s(v.sheets, 'sheet')}`),
  sample: (v) => said(`Start the ${v.sample} sample`),
  trim: (v, say) => said(`${v.stage} ahead`, `about ${say.minutes(v.minutes)}`),
  pack: (v) => said(`Pack for class ${v.session}`, s(v.bags, 'bag')),
  'set-up': (v) => said(`Set up for class ${v.session}`),
}
