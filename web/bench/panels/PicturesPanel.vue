<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref, watch } from 'vue'
import { judgePicture, ownerName, pictureOf, picturesOf } from '#core/pictures'
import { pictureContextOf } from '#core/plan'
import { blankMaterial } from '#core/recipe'
import { api } from '../../app/api'
import { inWorkshop, makersOf, pictureSources, type Picture, type PictureSource } from '#core/workshop'
import { usePageKeys } from '../../app/usePageKeys'
import CuePair from '../../craft/CuePair.vue'
import AddPictures from '../../pictures/AddPictures.vue'
import ContactSheet from '../../pictures/ContactSheet.vue'
import PictureDetail from '../../pictures/PictureDetail.vue'
import SegmentChoice from '../../ui/SegmentChoice.vue'
import type { Bench } from '../useBench'
import PrintSettings from './PrintSettings.vue'

/** The pictures of the group: who is missing, what to look at, how each will look; and how they are printed. */
const props = defineProps<{ bench: Bench }>()
const w = computed(() => props.bench.workshop.value!)
const plan = computed(() => props.bench.plan.value!)
const d = computed(() => props.bench.design.value!)
const own = computed(() => d.value.pictures === 'own')
const pictures = computed(() => picturesOf(w.value, d.value.id))
const context = computed(() =>
  pictureContextOf({ workshop: w.value, house: props.bench.house.value!, now: plan.value.now }, plan.value, d.value.id),
)
const surface = computed(() => blankMaterial(d.value.material)?.colour ?? '#E6D2AC')
const wanted = ref('')
const chosen = computed(() => pictures.value.find((p) => p.id === wanted.value) ?? pictures.value[0])
const adding = ref<InstanceType<typeof AddPictures>>()
const white = ref<boolean>()
const count = computed(() => {
  const people = makersOf(w.value, d.value)
  const inNow = own.value ? people.filter((p) => pictureOf(w.value, p.id, d.value.id)).length : pictures.value.length
  const toLook = pictures.value.filter((p) => judgePicture(p, context.value).some((f) => f.level === 'look' || f.level === 'stop')).length
  return { in: inNow, of: people.length, missing: people.length - inNow, toLook }
})
const needsLook = (id: string) =>
  judgePicture(
    pictures.value.find((p) => p.id === id)!,
    context.value,
  ).some((f) => f.level === 'look' || f.level === 'stop')
function next() {
  const ids = pictures.value.map((p) => p.id)
  const from = ids.indexOf(chosen.value?.id ?? '')
  const found = [...ids.slice(from + 1), ...ids.slice(0, from + 1)].find(needsLook)
  if (found) wanted.value = found
}
/** Files' names, to tell pictures apart that have no owner; they stand with the bytes and go with them. */
const names = ref<Record<string, string>>({})
watch(
  () => pictures.value.map((p) => p.id).join(),
  async () => {
    try {
      const found = await api.pictureNames(w.value.id)
      names.value = Object.fromEntries(found.pictures.map((p) => [p.id, p.name.replace(/\.[^.]*$/, '')]))
    } catch {
      names.value = {} // offline: they are numbered instead
    }
  },
  { immediate: true },
)
const erasing = ref(false)
const safe = ref<{ $el: HTMLElement }>()
const problem = ref('')
async function erase() {
  const p = chosen.value!
  erasing.value = false
  try {
    await api.erasePicture(w.value.id, p.id, props.bench.desk.actor)
    problem.value = ''
    await props.bench.desk.refresh({ kind: 'workshop', id: w.value.id })
  } catch (e) {
    problem.value = e instanceof Error ? e.message : String(e)
  }
}
/** Keys of the sheet: N next finding, A accepts, W white or bare, Delete asks. Without a picture they do nothing. */
const onChosen = (deed: (p: Picture) => void) => () => (chosen.value ? deed(chosen.value) : false)
usePageKeys({
  n: onChosen(next),
  w: onChosen(() => (white.value = !(white.value ?? false))),
  Delete: onChosen(() => (erasing.value = true)),
  a: onChosen((p) => {
    const f = judgePicture(p, context.value).find((x) => x.level === 'look' && x.code !== 'not-permitted')
    if (f) props.bench.set(inWorkshop.pictures(p.id).accepted(f.code), f.code, tr('looked at, and fine'))
  }),
})
const erased = computed(() => (w.value.picturesErased ?? []).reduce((sum, x) => sum + x.count, 0))
const sourceNames: Record<PictureSource, string> = {
  house: tr('house pictures'),
  own: tr('everybody’s own'),
  magazine: tr('magazine pages'),
  brought: tr('what people bring'),
}
const choose = (v: PictureSource) => props.bench.set(inWorkshop.designs(d.value.id).pictures, v, tr('pictures became {0}', sourceNames[v]))
/** What is not printed here says what to look for. */
const unprinted = computed(() =>
  d.value.pictures === 'magazine' || d.value.pictures === 'brought' ? plan.value.stages.find((s) => s.id === 'choose') : undefined,
)
const toDo = computed(() => {
  const { missing, toLook } = count.value
  const said = [own.value && missing > 0 ? tr('{0} missing', missing) : '', toLook ? tr('{0} to look at', toLook) : ''].filter(Boolean)
  if (said.length) return said.join(', ')
  return pictures.value.length ? tr('nothing to look at') : tr('drop them here, or a whole folder')
})
const chosenName = computed(() =>
  chosen.value?.participant
    ? tr('{0}’s picture', ownerName(w.value.group.participants, chosen.value, plan.value.seats))
    : tr('this house picture'),
)
</script>
<template>
  <div>
    <template v-if="unprinted">
      <h1>{{ $t('Pictures') }}</h1>
      <p>
        <b>{{ $t('Nothing is printed: {0}.', sourceNames[d.pictures]) }}</b>
      </p>
      <CuePair :pass="unprinted.pass" :fail="unprinted.fail" />
    </template>
    <AddPictures v-else ref="adding" :workshop="w" :design="d.id" :seats="plan.seats">
      <div class="head">
        <h1>{{ $t('Pictures') }}</h1>
        <p>
          <b>{{
            own
              ? $t('{0} of {1} are in', count.in, count.of)
              : $t('{0} house {1}', count.in, count.in === 1 ? $t('picture') : $t('pictures'))
          }}</b><br /><span class="two">{{ toDo }}</span>
        </p>
        <v-btn @click="adding?.choose()">{{ $t('Add pictures') }}</v-btn>
      </div>
      <ContactSheet
        :seats="plan.seats"
        v-if="own || pictures.length"
        :workshop="w"
        :design="d.id"
        :context="context"
        :surface="surface"
        :names="names"
        :chosen="chosen?.id ?? ''"
        @choose="wanted = $event"
        @bring="adding?.choose($event)"
      />
      <p v-if="own && count.in === 0 && count.of > 0" class="small two told">
        {{
          $t(
            'Drop a folder: files find their owners by name (“Juno ferry.jpg”, “seat 5.png”), or by a roster dropped along with the columns name and picture.',
          )
        }}
      </p>
      <div v-if="!own && !pictures.length" class="hollow">
        {{ $t('Here will be the pictures. Drop a folder on this sheet, paste one, or press “Add pictures”.') }}
      </div>
    </AddPictures>
    <p v-if="problem" role="alert" class="stop">{{ problem }}</p>
    <PictureDetail
      v-if="chosen && !unprinted"
      :key="chosen.id"
      :bench="bench"
      :picture="chosen"
      :context="context"
      :white="white"
      @white="white = $event"
      @erase="erasing = true"
      @next="next"
    />
    <component :is="unprinted ? 'div' : PrintSettings" class="ruled" :bench="unprinted ? undefined : bench">
      <SegmentChoice
        :label="$t('Whose pictures')"
        :model-value="d.pictures"
        :options="pictureSources.map((s) => ({ id: s, name: sourceNames[s] }))"
        @update:model-value="choose"
      />
    </component>
    <p class="small two ruled">
      {{
        $t(
          'Use pictures you may copy; of children only with permission, and only as long as needed. Copy precious papers first. Where a picture was taken is not kept.{0}',
          erased ? $t(' {0} {1} erased.', erased, erased === 1 ? $t('picture was') : $t('pictures were')) : '',
        )
      }}
    </p>
    <v-dialog v-model="erasing" max-width="460" @after-enter="safe?.$el.focus()">
      <div class="ask above" role="alertdialog" :aria-label="$t('Erase this picture?')">
        <h2>
          {{ $t('Erase {0}?', chosenName) }}
        </h2>
        <p>
          <b>{{ $t('Goes:') }}</b>
          {{ $t('the picture in every size, its file’s name, its crop and marks, and PDFs of the out-tray that show it.') }}
        </p>
        <p>
          <b>{{ $t('Stays:') }}</b> {{ $t('the name, the seat, what is printed on paper.') }}
        </p>
        <p class="two">{{ $t('Undo does not bring it back.') }}</p>
        <div class="ends">
          <v-btn ref="safe" color="primary" variant="flat" @click="erasing = false">{{ $t('Keep it') }}</v-btn><v-btn
            class="stop"
            @click="erase"
            >{{ $t('Erase it') }}</v-btn
          >
        </div>
      </div>
    </v-dialog>
  </div>
</template>
<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-2) var(--s-4);
  align-items: center;
  margin-bottom: var(--s-2);
}
.head p {
  flex: 1 1 150px;
  line-height: 1.25;
}
.told {
  margin: var(--s-2) 0 0;
}
.ask p {
  margin-top: var(--s-2);
}
.ends {
  display: flex;
  justify-content: flex-end;
  gap: var(--s-2);
  margin-top: var(--s-3);
}
</style>
