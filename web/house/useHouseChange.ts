import { t as tr } from '#core/language'
import { computed, ref, watch, type Ref } from 'vue'
import type { House } from '#core/house'
import { difference, planWorkshop } from '#core/plan'
import { inZone } from '#core/time'
import { applyChanges, type Change } from '#core/workshop'
import { useDesk } from '../app/desk'

/** What is told of an open workshop that a change of the house touches. */
const telling: Record<string, string> = {
  sheets: 'sheets',
  earliest: tr('first rub'),
  recommended: 'ready',
  adults: 'adults',
  spares: 'spares',
  'cost-bought': tr('to buy, a head'),
}

/** Changes of a house, and what the last one did to its open workshops: the newest twenty are held against it. */
export function useHouseChange(house: Ref<House | undefined>) {
  const desk = useDesk()
  const news = ref<{ label: string; lines: string[] }>()
  const openHere = computed(() => desk.summaries.filter((w) => w.houseId === house.value?.id && !w.archivedAt).slice(-20))
  watch(openHere, (list) => desk.want(list.map((w) => w.id)), { immediate: true })

  function act(changes: Change[], label: string, kind = 'house'): void {
    const h = house.value!
    const changed = applyChanges<House>(h, changes)!
    const now = inZone(desk.now, changed.timeZone)
    const say = desk.say(changed)
    const lines = openHere.value.flatMap(({ id }) => {
      const [w, before] = [desk.workshop(id), desk.plan(id)]
      if (!w || !before) return []
      const found = difference(before, planWorkshop({ ...desk.planInput(id)!, house: changed, now })).filter((d) => d.by)
      const told = found.find((d) => d.key in telling) ?? found.find((d) => d.key.startsWith('session/') || d.key.startsWith('kit/'))
      return told
        ? [`${w.title}: ${telling[told.key] ?? (told.key.startsWith('kit/') ? 'kit' : tr('a class takes'))} ${say.difference(told)}`]
        : []
    })
    news.value = { label, lines }
    desk.act({ kind, label, subject: { kind: 'house', id: h.id }, changes })
  }

  return { desk, news, act }
}
