import { stringify } from 'csv-stringify/sync'
import type { House } from '#core/house'
import { isRefusal } from '#core/reasons'
import type { Plan } from '#core/plan'
import { rosterRows, safeCell } from '#core/roster'
import { moneyAmount } from '#core/units'
import type { Workshop } from '#core/workshop'

const csv = (rows: (string | number)[][]) =>
  stringify(
    rows.map((r) => r.map((c) => (typeof c === 'string' ? safeCell(c) : c))),
    { bom: true, record_delimiter: '\r\n' },
  )

/** The roster as CSV. Cells that begin like a formula are made safe. */
export const rosterCsv = (workshop: Workshop): string =>
  stringify(rosterRows(workshop.group.participants), { bom: true, record_delimiter: '\r\n' })

/** The kit list as CSV: what, how much, what to buy. Prices are estimates. */
export function kitCsv(plan: Plan, house: House): string {
  const rows = plan.kit.map((l) => [
    l.name,
    l.note,
    l.need,
    l.unit,
    l.toGet.have,
    isRefusal(l.toGet.purchase)
      ? l.toGet.purchase.refused.why
      : l.toGet.packs.map((p) => `${p.count} x ${p.noun} of ${p.size}`).join(' + '),
    moneyAmount(l.boughtMinor, house.currency),
    house.currency,
    l.because.mark,
  ])
  return csv([['what', 'note', 'needed', 'unit', 'in the cupboard', 'to buy', 'price', 'currency', 'source'], ...rows])
}
