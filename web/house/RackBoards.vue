<script setup lang="ts">
import { t as tr } from '#core/language'
import { uuidv7 } from 'uuidv7'
import type { House } from '#core/house'
import { sizeUnit } from '#core/house'
import { showLength } from '#core/units'
import { change, inHouse, type Change } from '#core/workshop'
import LengthField from '../ui/LengthField.vue'

/** The boards of the drying rack, measured: places for pieces of any size follow. */
const props = defineProps<{ house: House }>()
const emit = defineEmits<{ change: [changes: Change[], label: string] }>()
type Board = NonNullable<House['rack']>[number]
const set = (list: Board[], label: string) => emit('change', [change(props.house, inHouse.rack, list)], label)
const boards = () => props.house.rack ?? []
function add() {
  const like = boards().at(-1)
  const n = boards().length + 1
  const named = boards().some((b) => b.name === String(n)) ? String(n + 1) : String(n)
  set(
    [
      ...boards(),
      { id: uuidv7(), name: named, widthMm: like?.widthMm ?? 900, depthMm: like?.depthMm ?? 450, clearMm: like?.clearMm ?? 120 },
    ],
    tr('a board was added'),
  )
}
const put = (b: Board, part: Partial<Board>) =>
  set(
    boards().map((x) => (x.id === b.id ? { ...x, ...part } : x)),
    tr('board {0} was measured', b.name),
  )
const rename = (b: Board, e: Event) => {
  const name = (e.target as HTMLInputElement).value.trim()
  if (name && !boards().some((x) => x.id !== b.id && x.name === name)) put(b, { name })
  else (e.target as HTMLInputElement).value = b.name
}
</script>
<template>
  <section>
    <h3>{{ $t('Drying rack') }}</h3>
    <p class="small two">
      {{ $t('Measured boards say by themselves how many pieces of a size they take. Without them the places above count.') }}
    </p>
    <ul class="bare">
      <li v-for="b in boards()" :key="b.id">
        <label class="name"
          ><span class="label">{{ $t('Board') }}</span
          ><input class="field" :value="b.name" maxlength="12" @change="rename(b, $event)"
        /></label>
        <LengthField
          v-for="f in ['widthMm', 'depthMm', 'clearMm'] as const"
          :key="f"
          :label="{ widthMm: $t('Width'), depthMm: $t('Depth'), clearMm: $t('Free above') }[f]"
          :unit="sizeUnit(house)"
          :model-value="{ mm: b[f], text: showLength(b[f], sizeUnit(house)) }"
          @update:model-value="put(b, { [f]: $event.mm })"
        />
        <v-btn
          :aria-label="$t('Take out board {0}', b.name)"
          @click="
            set(
              boards().filter((x) => x.id !== b.id),
              $t('a board was taken out'),
            )
          "
          >{{ $t('Take out') }}</v-btn
        >
      </li>
    </ul>
    <v-btn :disabled="boards().length >= 40" @click="add">{{ $t('Add a board') }}</v-btn>
  </section>
</template>
<style scoped>
li .v-btn {
  margin-top: 20px;
}
li {
  display: grid;
  grid-template-columns: 74px repeat(3, 170px) auto;
  gap: var(--s-2);
  justify-content: start;
  align-items: start;
  padding-bottom: var(--s-2);
}
.name input {
  width: 100%;
}
@media (max-width: 760px) {
  li {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
