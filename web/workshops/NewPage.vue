<script setup lang="ts">
import { t as tr } from '#core/language'
import { uuidv7 } from 'uuidv7'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { sizeUnit } from '#core/house'
import { latestRecipe, pieceKind, type PieceKind } from '#core/recipe'
import { beginWorkshop, changed, copyOf, inWorkshop, type Summary, type Workshop } from '#core/workshop'
import { useDesk } from '../app/desk'
import HouseDrawing from '../ui/HouseDrawing.vue'
import KindChoice from '../ui/KindChoice.vue'
import SegmentChoice from '../ui/SegmentChoice.vue'
import StepField from '../ui/StepField.vue'

/** A workshop begins with its piece and how many make it, or as the last one was. */
const desk = useDesk()
const router = useRouter()
const latest = computed(() => [...desk.summaries].reverse())
const houseId = ref(latest.value[0]?.houseId ?? desk.houseList[0]!.id)
const house = computed(() => desk.house(houseId.value)!)
const before = computed(() => latest.value.filter((w) => w.houseId === houseId.value).slice(0, 4))
const kind = ref<PieceKind>(pieceKind('plaque'))
const typed = ref<number>()
const people = computed(() => typed.value ?? before.value[0]?.people ?? 12)
const method = computed(() => latestRecipe(kind.value.recipe)!)
const plural = computed(() => (kind.value.id === 'custom' ? tr('pieces') : tr(kind.value.plural)))
const first = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

function create(w: Workshop, label: string) {
  desk.act({ kind: 'create', label, subject: { kind: 'workshop', id: w.id }, changes: [changed(inWorkshop, null, w)] })
  void router.push(`/w/${w.id}/bench/group`)
}
const begin = () =>
  create(
    beginWorkshop(
      {
        houseId: houseId.value,
        unit: sizeUnit(house.value),
        title: first(plural.value),
        kind: kind.value.id,
        people: people.value,
        at: desk.now,
      },
      uuidv7,
    ),
    tr('a workshop was made'),
  )
async function asLastTime({ id }: Summary) {
  desk.want([id])
  if (!desk.workshop(id)) await desk.refresh({ kind: 'workshop', id })
  const w = desk.workshop(id)
  if (w) create(copyOf(w, { title: tr('{0}, again', w.title), houseId: w.houseId, at: desk.now }, uuidv7), tr('{0} was copied', w.title))
}
const saidOf = (w: Summary) => {
  const k = pieceKind(w.kind)
  const what = w.called ?? (w.people === 1 ? k.name : k.plural)
  return tr('{0} {1}, {2}', w.people, tr(what), tr(latestRecipe(w.recipe.id)?.name ?? w.recipe.id).toLowerCase())
}
</script>
<template>
  <main class="page">
    <section class="stacked">
      <h1>{{ $t('What will they make?') }}</h1>
      <KindChoice :model-value="kind.id" drawing="moth" @take="kind = $event" />
      <p class="two">{{ $t('Usually {0}. {1}', $t(method.name).toLowerCase(), $t(method.summary)) }}</p>
    </section>
    <section class="how stacked">
      <SegmentChoice
        v-if="desk.houseList.length > 1"
        :label="$t('Where')"
        :model-value="houseId"
        :options="desk.houseList.map((h) => ({ id: h.id, name: h.name }))"
        @update:model-value="houseId = $event"
      />
      <StepField :label="$t('People')" strong :model-value="people" :max="400" @update:model-value="typed = $event" />
      <v-btn color="primary" variant="flat" size="large" @click="begin">{{ $t('Begin with {0} {1}', people, plural) }}</v-btn>
      <template v-if="before.length">
        <h2>{{ $t('Or as last time') }}</h2>
        <ul class="bare">
          <li v-for="w in before" :key="w.id">
            <span class="drawn"><HouseDrawing :drawing="w.drawing" :width="44" /></span>
            <span
              ><b>{{ w.title }}</b
              ><br /><span class="two small">{{ saidOf(w) }}</span></span
            >
            <v-btn :aria-label="$t('As last time: {0}', w.title)" @click="asLastTime(w)">{{ $t('Again') }}</v-btn>
          </li>
        </ul>
        <p class="two small">{{ $t('What and how, and so many people; no names, no date, no pictures.') }}</p>
      </template>
    </section>
  </main>
</template>
<style scoped>
.page {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 380px;
  gap: var(--s-6);
  padding: var(--s-page) var(--s-page) var(--s-6);
  align-items: start;
}
.how {
  border-inline-start: 1px solid var(--rule);
  padding-inline-start: var(--s-6);
}
h2 {
  border-top: 2px solid var(--text);
  margin-top: var(--s-3);
  padding-top: var(--s-2);
}
li {
  display: grid;
  grid-template-columns: 52px minmax(0, 1fr) auto;
  gap: var(--s-2);
  align-items: center;
  padding: var(--s-1) 0;
  border-bottom: 1px solid var(--rule);
}
.drawn {
  display: grid;
  place-items: center;
  border: 1.5px solid var(--text);
  background: var(--stock);
  height: 38px;
}
@media (max-width: 900px) {
  .page {
    grid-template-columns: minmax(0, 1fr);
  }
  .how {
    border: 0;
    padding: 0;
  }
}
</style>
