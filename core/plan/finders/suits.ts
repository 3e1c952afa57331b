import type { FindingValues, SuitValues } from '#core/codes'
import { blankMaterial, hazardOf, latestRecipe, type Hazard } from '#core/recipe'
import { suit, type Suit } from '#core/suitability'
import { change, inWorkshop } from '#core/workshop'
import type { Figured, Finding, Remedy } from '../shapes'
import type { Situation } from '../situation'
import {
  choiceChange,
  inChoices,
  inDesign,
  finding,
  knownChange,
  optionsWith,
  remedy,
  scaled,
  type Find,
  keepWhites,
  methodsWith,
  takeMethod,
  takeOption,
} from './ways'

/** Whether pictures, prints and what is allowed suit the method, each with its way out. */
export const suits: Find = (s, plan) => [...printSuits(s), ...pages(s), ...allowances(s, plan), ...seams(s, plan)]

function printSuits(s: Situation): Finding[] {
  const pictures = { ...s.design.picture, lettering: s.lettering }
  const found = suit(pictures, s.design.print ?? {}, {
    ink: s.resolved.print.ink,
    smearTest: s.resolved.print.smearTest,
    rubbed: s.resolved.rounds > 0,
    whites: s.resolved.whites,
    surfaceIsWhite: blankMaterial(s.design.material)?.white ?? false,
    wished: s.design.whites,
    forgives: s.recipe.forgives,
    ...s.picture,
    printers: s.printers,
  })
  const counts = countsFor(s)
  const printed = found.filter((x) => counts(x.code))
  return printed.map((x) => ({
    ...finding(x.code, x.level, 'pictures', x.values as FindingValues[typeof x.code], wayOut(s, x)),
    mark: x.mark,
  }))
}

/** What is found of pictures that are printed here; of a page only its paper and its whites, of what people bring all but how it was printed;
 *  of a stamp its whites. */
function countsFor(s: Situation): (code: Suit['code']) => boolean {
  const { pictures } = s.design
  const ofPage: Suit['code'][] = ['whites-wish', 'whites-vanish', 'coated', 'paper-heavy', 'paper-thick', 'precious', 'faces']
  if (pictures === 'magazine') return (c) => ofPage.includes(c)
  if (pictures === 'brought') return (c) => ofPage.includes(c) || c === 'smear-test' || c === 'smear-failed' || c === 'wrong-ink'
  return s.resolved.noPrint ? (c) => c === 'whites-wish' : () => true
}

/** A page is not every method's: its ink sits on coated or filled paper, and it cannot be mirrored. */
const pages = (s: Situation): Finding[] => {
  if (s.design.pictures !== 'magazine') return []
  const others = s.recipes
    .filter((r) => r.takesPages && r.id !== s.recipe.id && s.design.material in r.surfaces && latestRecipe(r.id, s.recipes) === r)
    .map((r) => takeMethod(s, r.id))
  const printed = remedy('print-it', [change(s.workshop, inDesign(s).pictures, 'own')])
  const backwards = s.lettering && s.resolved.print.laidFaceDown
  return [
    ...(s.recipe.takesPages
      ? []
      : [{ ...finding('pages-not-here', 'look', 'pictures', { method: s.recipe.name }, [...others, printed]), mark: 'P' as const }]),
    ...(backwards ? [finding('pages-backwards', 'look', 'pictures', {}, [...others, printed])] : []),
  ]
}

/** Each code's ways out, as data beside its code. */
const ways: { [C in keyof SuitValues]: (s: Situation, values: SuitValues[C]) => Remedy[] } = {
  'printer-missing': (s, v) => [
    ...otherInk(s),
    remedy('prints-from-elsewhere', [knownChange(s, 'print', { printer: v.ink })], {
      ink: v.ink,
    }),
    { ...remedy('add-printer', [], { ink: v.ink }), link: 'house' },
  ],
  'wrong-ink': (s, v) => [
    ...otherInk(s),
    remedy('reprint', [knownChange(s, 'print', { printer: v.ink, smear: undefined })], {
      ink: v.ink,
    }),
  ],
  'smear-failed': (s, v) => [
    remedy('photocopy', [knownChange(s, 'print', { printer: 'toner', smear: 'passed' }), ...(v.ink === 'toner' ? [] : tonerAgain(s))]),
  ],
  'smear-test': (s) => [
    remedy('smear-passed', [knownChange(s, 'print', { smear: 'passed' })]),
    remedy('smear-did-fail', [knownChange(s, 'print', { smear: 'failed' })]),
  ],
  coated: (s) => [remedy('plain-paper', [knownChange(s, 'print', { coated: false, gsm: 80 })])],
  'paper-heavy': (s) => [remedy('plain-paper', [knownChange(s, 'print', { gsm: 80 })])],
  'paper-thick': (s) => [remedy('plain-paper', [knownChange(s, 'print', { gsm: 80 })])],
  'whites-vanish': (s) => keepWhites(s),
  'whites-wish': (s) => [
    ...groundFor(s).map((x) => takeOption(s, x)),
    ...methodsWith(s, s.design.whites).slice(0, 2),
    remedy('any-whites', [change(s.workshop, inDesign(s).whites, null)]),
  ],
  soft: (s, v) => [scaled(s, v.percent)],
  blurred: (s, v) => [scaled(s, v.percent)],
  fair: () => [],
  'fine-lost': () => [],
  faces: () => [],
  precious: (s) => [remedy('copied', [knownChange(s, 'picture', { precious: false })])],
}
const wayOut = (s: Situation, x: Suit): Remedy[] => ways[x.code](s, x.values as never)

/** A school of this method that takes the ink that is here. */
const otherInk = (s: Situation): Remedy[] =>
  optionsWith(s, (o) => o.effects.some((e) => e.kind === 'print' && s.printers.includes(e.ink) && e.ink !== s.resolved.print.ink)).map(
    (x) => takeOption(s, x),
  )

const tonerAgain = (s: Situation) =>
  s.recipe.schools
    .filter((x) => x.options.some((o) => o.effects.some((e) => e.kind === 'print' && e.smearTest)))
    .map((x) => choiceChange(s, x.id, x.default))

/** Options of the school that decides the whites which make them as wished. */
const groundFor = (s: Situation) =>
  optionsWith(s, (o) => (o.effects.find((e) => e.kind === 'whites')?.whites ?? s.recipe.whites) === s.design.whites).filter((x) =>
    x.school.options.some((o) => o.effects.some((e) => e.kind === 'whites')),
  )

/** Heat, sprays and blades that a class would use although they are not allowed or arranged. */
function allowances(s: Situation, plan: Figured): Finding[] {
  return s.resolved.stages.flatMap((stage) => {
    const place = plan.split.split[stage.id]
    const session = s.sessions.find((x) => x.id === place)
    return stage.cautions.flatMap((c) => {
      const hazard = hazardOf(c)
      // Who drills has chosen to: it is the adult at it that counts, not leave.
      if (!hazard || hazard === 'drill' || s.allow[hazard] || !session) return []
      const code = hazard === 'spray' ? 'spray-indoors' : (`${hazard}-not-allowed` as const)
      const values = { stage: stage.name, session: session.number }
      return [finding(code, 'stop', hazard === 'spray' ? 'method' : 'room', values, withoutHazard(s, stage.id, hazard))]
    })
  })
}

function withoutHazard(s: Situation, stage: string, hazard: Exclude<Hazard, 'drill'>): Remedy[] {
  const makes = (o: { effects: { kind: string; stage?: string; caution?: string }[] }) =>
    o.effects.some((e) => e.kind === 'caution' && hazardOf(e.caution as never) === hazard)
  const guilty = s.resolved.chosen.find((c) => makes(c.option))
  const may = s.resolved.stages.find((x) => x.id === stage)!.mayBe
  const brush = guilty?.school.options.find((o) => !makes(o) && !o.effects.some((e) => e.kind === 'exclude-stage'))
  const without = s.recipe.schools.flatMap((x) =>
    x.options.filter((o) => o.effects.some((e) => e.kind === 'exclude-stage' && e.stage === stage)).map((o) => ({ school: x, option: o })),
  )
  const move = (place: 'ahead' | 'home') =>
    remedy(place === 'ahead' ? 'do-ahead' : 'do-at-home', [change(s.workshop, inChoices(s).split(stage), place)], {
      stage: s.resolved.stages.find((x) => x.id === stage)!.name,
    })
  return [
    ...(guilty && brush ? [takeOption(s, { school: guilty.school, option: brush })] : []),
    ...(may.includes('ahead') ? [move('ahead')] : []),
    ...(may.includes('home') ? [move('home')] : []),
    ...(brush ? [] : without.map((x) => takeOption(s, x))),
    remedy('arrange', [change(s.workshop, inWorkshop.choices.allow, { ...s.allow, [hazard]: true })], {
      hazard,
    }),
  ]
}

/** Seams of the tape that run over a face or lettering and cannot be shifted off. */
const seams: Find = (s, plan) =>
  plan.tape && plan.tape.seamOnKeepClearMm > 0
    ? [
        {
          ...finding(
            'seam-on-face',
            'look',
            'pictures',
            { mm: plan.tape.seamOnKeepClearMm },
            optionsWith(s, (o) => o.effects.some((e) => e.kind === 'tape' && e.width.value > s.resolved.tapeWidth.value)).map((x) =>
              takeOption(s, x),
            ),
          ),
          mark: 'E' as const,
        },
      ]
    : []
