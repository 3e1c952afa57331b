import moths from './golden/moths-of-the-marsh.json'
import blocks from './golden/lighthouse-blocks.json'
import lanterns from './golden/ferry-lanterns.json'
import { describe, expect, it } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'
import { planWorkshop, type Plan } from '#core/plan'
import { isRefusal } from '#core/reasons'

const now = '2026-05-15T15:00:00-04:00[America/New_York]'
const short = (at: string) => at.replace(/(:\d\d)?[+-]\d\d:\d\d\[.*/, '').replace('T', ' ')

/** A plan as a person would check it by hand: a line a thing, with its figures. */
function asLines(p: Plan): Record<string, string | string[]> {
  return {
    made: `${p.people} x ${p.pieceName}, ${p.recipe.id} ${p.recipe.version}, ${p.coat}, ${p.rounds} rounds, ${p.outline}, goes home ${p.goesHome}`,
    tables: p.seating.join(' '),
    seats: Object.values(p.seats).join(' '),
    prints: `${p.print.prints} prints on ${p.print.sheets} sheets of ${p.print.grid.perSheet}, copies ${p.print.copies}, ${p.print.mirrored ? 'mirrored' : 'not mirrored'}, ${p.print.widthMm} x ${p.print.heightMm} mm, ${p.print.paper.id}`,
    spares: `${p.spares.count} spares (${p.spares.sure.toFixed(3)}), ${p.samples.count} samples`,
    samples: p.stageSamples.map((s) => `${s.id}: ${s.startBy ? short(s.startBy) : 'on the day'}, uses ${s.uses.join(' ')}`),
    kit: p.kit.map((l) => {
      const { purchase } = l.toGet
      const packs = isRefusal(purchase) ? purchase.refused.why : l.toGet.packs.map((x) => `${x.count} ${x.noun} of ${x.size}`).join(' + ')
      return `${l.name} (${l.note}): ${l.need} ${l.unit}, each ${l.each}, table ${l.table}, have ${l.toGet.have}, get ${packs || 'nothing'}, used ${l.usedMinor}, bought ${l.boughtMinor}, ${l.because.mark}${l.share ? `, by ${l.share.by}` : ''}`
    }),
    money: `used ${p.figures['cost-used']!.value as number}, bought ${p.figures['cost-bought']!.value as number} a head`,
    classes: p.sessions.map((s) => `${s.number}: ${short(s.from)} to ${short(s.to)}, ${s.minutes} min, ${s.problems.join(' ') || 'sound'}`),
    split: Object.entries(p.split.split).map(([stage, where]) => `${stage}: ${where}`),
    loads: p.split.loads.map((l) => `${l.sessionId}: ${l.stages.map((s) => s.id).join(' ')}`),
    cure: p.split.cure
      ? `${p.split.cure.verdict}, least ${p.figures['cure-least']?.value as number}, better ${p.figures['cure-better']?.value as number}`
      : 'none',
    shelf: p.shelf ? `${p.shelf.places} of ${p.shelf.capacity}, ${short(p.shelf.from)} to ${short(p.shelf.to)}` : 'none',
    adults: `${p.adults.needed} needed, ${p.adults.coming} coming; ${p.adults.byAge.map((a) => `${a.people} ${a.age} 1 to ${a.ratio}`).join(', ')}; ${p.adults.atHazards.map((h) => `${h.hazard} at ${h.stage}`).join(', ') || 'no hazard'}`,
    errands: p.errands.map((e) => `${e.id}: ${e.startBy ? 'begun' : 'done'} by ${short(e.by)}, ${e.state}`),
    findings: p.findings.map((f) => `${f.level} ${f.code}: ${f.remedies.map((r) => r.code).join(' ')}`),
    home: p.takeHome.map(
      (s) =>
        `${p.seats[s.participant]} ${s.name ?? ''} ${s.state} (${s.known ? 'known' : 'planned'}, ${s.group}), ${s.ready ? `ready ${short(s.ready.tellAt)}, never before ${short(s.ready.neverBefore)}` : 'no wait'}, ${s.steps.length} steps, ${s.done} of ${s.chain.length} done, bag: ${s.bag.join('; ') || 'nothing'}`,
    ),
  }
}

const golden: [string, Record<string, string | string[]>][] = [
  ['moths-of-the-marsh', moths],
  ['lighthouse-blocks', blocks],
  ['ferry-lanterns', lanterns],
]
// Read by a person against the methods when they were written down; a change of a line is a change of a plan and has to be meant.
describe.each(golden)('%s, whole', (id, expected) => {
  const w = demoWorkshops('2026-05-15').find((x) => x.id === id)!
  const lines = asLines(planWorkshop({ workshop: w, house: demoHouses.find((h) => h.id === w.houseId)!, now }))
  it.each(Object.keys(lines))('%s', (field) => expect(lines[field]).toEqual(expected[field]))
  it('has no more and no fewer fields', () => expect(Object.keys(expected).sort()).toEqual(Object.keys(lines).sort()))
})
