import { t as tr } from '#core/language'
import { uuidv7 } from 'uuidv7'
import { computed, ref, type Ref } from 'vue'
import { checkFloor, firstFloor, floorOf, floorSizes, moved, toWater, type Floor, type FloorItem, type FloorKind } from '#core/floor'
import { figuresOf } from '#core/house'
import { change, inHouse, type Change } from '#core/workshop'
import type { Bench } from '../bench/useBench'
import { useHouseChange } from '../house/useHouseChange'

/** Names of what stands on a floor. */
const floorNames = (): Record<FloorKind, string> => ({
  table: tr('Table'),
  basin: tr('Basin'),
  'seal table': tr('Seal table'),
  'heat tool': tr('Heat tool'),
  trimmer: tr('Paper trimmer'),
  rack: tr('Rack'),
  post: tr('Helper’s post'),
  power: tr('Power'),
  door: tr('Door'),
})
export const floorName = (kind: FloorKind): string => floorNames()[kind]

/** The floor of the room in which a class is held: what stands there, moved by hand, and what to look at. */
export function useFloor(bench: Bench, room: Ref<string>) {
  const house = computed(() => bench.house.value!)
  const { act } = useHouseChange(house)
  const floor = computed(() => floorOf(house.value.floors, room.value))
  const chosen = ref<string>()
  const item = computed(() => floor.value?.items.find((i) => i.id === chosen.value))
  const people = computed(() => bench.workshop.value!.group.participants.length)
  const checks = computed(() => {
    const f = figuresOf(house.value)
    return floor.value
      ? checkFloor(floor.value, people.value, {
          wayMm: f('floor.way').value,
          heatFromWaterMm: f('floor.heat-from-water').value,
          cordMm: f('floor.cord').value,
          doorMm: f('floor.door').value,
        })
      : []
  })
  const water = computed(() => (floor.value ? toWater(floor.value) : []))

  const inFloor = (f: Floor) => inHouse.floors(f.id)
  const put = (next: FloorItem, label: string) => act([change(house.value, inFloor(floor.value!).items(next.id), next)], label, 'floor')
  function begin(tables: number) {
    const f = firstFloor(uuidv7(), room.value.trim() || tr('Room'), tables, uuidv7)
    const all = house.value.floors
    const changes: Change[] = all ? [change(house.value, inFloor(f), f)] : [change(house.value, inHouse.floors, [f])]
    act(changes, tr('the floor of {0} was drawn', f.room), 'floor')
  }
  function add(kind: FloorKind) {
    const f = floor.value!
    const { widthMm, depthMm } = floorSizes[kind]
    const next = moved(f, { id: uuidv7(), kind, xMm: 0, yMm: 0 }, (f.widthMm - widthMm) / 2, (f.depthMm - depthMm) / 2)
    put(next, tr('{0} was put down', floorName(kind)))
    chosen.value = next.id
  }
  function remove(i: FloorItem) {
    act([change(house.value, inFloor(floor.value!).items(i.id), null)], tr('{0} was taken away', floorName(i.kind)), 'floor')
    chosen.value = undefined
  }
  const move = (i: FloorItem, byX: number, byY: number) => {
    const next = moved(floor.value!, i, byX, byY)
    if (next.xMm !== i.xMm || next.yMm !== i.yMm) put(next, tr('{0} was moved', floorName(i.kind)))
  }
  const turn = (i: FloorItem) => put(moved(floor.value!, { ...i, turned: !i.turned }, 0, 0), tr('{0} was turned', floorName(i.kind)))
  const size = (of: 'widthMm' | 'depthMm', mm: number) =>
    act([change(house.value, inFloor(floor.value!)[of], mm)], tr('the room was measured'), 'floor')
  const air = (climate: Floor['climate'] | null) =>
    act([change(house.value, inFloor(floor.value!).climate, climate ?? null)], tr('the usual air of the room changed'), 'floor')
  return { house, floor, item, chosen, checks, water, people, begin, add, remove, move, turn, put, size, air }
}
