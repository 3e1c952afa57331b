import { stringify } from 'csv-stringify/sync'
import type { House } from '#core/house'
import { t } from '#core/language'
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
    t(l.name),
    t(l.note),
    l.need,
    l.unit,
    l.toGet.have,
    isRefusal(l.toGet.purchase)
      ? l.toGet.purchase.refused.why
      : l.toGet.packs.map((p) => t('{0} x {1} of {2}', p.count, t(p.noun), p.size)).join(' + '),
    moneyAmount(l.boughtMinor, house.currency),
    house.currency,
    l.because.mark,
  ])
  const names = [t('what'), t('note'), t('needed'), t('unit'), t('in the cupboard'), t('to buy'), t('price'), t('currency'), t('source')]
  return csv([names, ...rows])
}
