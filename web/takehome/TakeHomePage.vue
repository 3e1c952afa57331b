<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { sheetKey, type TakeHomeSheet } from '#core/takehome'
import { planOf } from '#core/plan'
import { inLanguage, type Language } from '#core/language'
import { inBoth, seatOf, sheetText, type Wording } from '#core/phrases'
import { know, language } from '../app/language'
import LostPage from '../app/LostPage.vue'
import { useBench } from '../bench/useBench'
import SegmentChoice from '../ui/SegmentChoice.vue'
import SheetPaper from './SheetPaper.vue'
import HomeState from './HomeState.vue'
import SheetList from './SheetList.vue'

const route = useRoute()
const id = computed(() => String(route.params['id']))
const bench = useBench(id)
const { workshop, house, say, whole: plan } = bench
const chosen = ref<string>()
const wording = ref<Wording>('few')
const black = ref(false)
/** Codes for phones are of use where this page was opened by an address that phones reach. */
const reached = !['localhost', '127.0.0.1', '[::1]'].includes(location.hostname)
const codes = ref(reached)
const paper = ref<'letter' | 'a4'>()

const sheet = computed(
  () =>
    plan.value?.takeHome.find((s) => sheetKey(s) === chosen.value) ?? plan.value?.takeHome.find((s) => s.ready) ?? plan.value?.takeHome[0],
)
/** What the sheets speak: as the page does, unless somebody chooses; two stand on one sheet. */
const spoken = ref<'en' | 'es' | 'es,en'>()
const tongue = computed(() => spoken.value ?? language.value)
async function speakOn(l: 'en' | 'es' | 'es,en') {
  if (l !== 'en') await know('es')
  spoken.value = l
}
const text = computed(() => {
  const said = (l: Language) => inLanguage(l, () => sheetText(sheet.value!, plan.value!, workshop.value!, house.value!, wording.value))
  const [first, second] = tongue.value.split(',') as [Language, Language?]
  return second ? inBoth(said(first), said(second)) : said(first)
})
const several = computed(() => (plan.value?.designs.length ?? 1) > 1)
const who = (s: TakeHomeSheet) => s.name ?? seatOf(plan.value!, s)
/** The plan of the sheet's own design. */
const own = computed(() => planOf(plan.value!, sheet.value!.design))
const size = computed(() => paper.value ?? house.value?.paper ?? 'letter')
const query = computed(
  () => `wording=${wording.value}&paper=${size.value}&black=${black.value ? 1 : 0}&language=${tongue.value}&codes=${codes.value ? 1 : 0}`,
)
const pdf = (one?: string) => `/api/workshops/${id.value}/take-home.pdf?${query.value}${one ? `&who=${one}` : ''}`
const print = () => window.open(pdf(sheet.value?.participant), '_blank')
useEventListener(window, 'imprenta:print', print)
</script>
<template>
  <LostPage v-if="!workshop || !house || !plan || !say" />
  <main v-else-if="!sheet" class="none">
    <h1>{{ $t('Take-home') }}</h1>
    <p class="two">{{ $t('Nobody is in the group yet, so there is no sheet.') }}</p>
    <v-btn :to="`/w/${id}/bench/group`">{{ $t('To the group') }}</v-btn>
  </main>
  <main v-else class="page">
    <SheetList :plan="plan" :sheet="sheet" :say="say" @choose="chosen = $event" />
    <div class="desk">
      <SheetPaper
        :text="text"
        :paper="size"
        :black="black"
        :large="wording === 'large'"
        :drawing="workshop.drawing"
        :kind="workshop.designs.find((d) => d.id === own.design)!.kind"
        :outline="own.outline"
      />
    </div>
    <aside class="side">
      <h3>{{ $t('{0}’s sheet', who(sheet)) }}</h3>
      <hr class="rule" />
      <HomeState :bench="bench" :plan="plan" :sheet="sheet" />
      <div class="offered">
        <span>{{ $t('Paper') }}</span><SegmentChoice
          :label="$t('Paper')"
          hide-label
          :model-value="size"
          :options="[
            { id: 'letter', name: $t('Letter') },
            { id: 'a4', name: 'A4' },
          ]"
          @update:model-value="paper = $event as 'letter' | 'a4'"
        />
      </div>
      <div class="offered">
        <span>{{ $t('Words') }}</span><SegmentChoice
          :label="$t('Words')"
          hide-label
          :model-value="wording"
          :options="[
            { id: 'few', name: $t('Few') },
            { id: 'more', name: $t('More') },
            { id: 'large', name: $t('Large') },
          ]"
          @update:model-value="wording = $event as Wording"
        />
      </div>
      <div class="offered">
        <span>{{ $t('Language') }}</span><SegmentChoice
          :label="$t('Language')"
          hide-label
          :model-value="tongue"
          :options="[
            { id: 'en', name: 'English' },
            { id: 'es', name: 'Español' },
            { id: 'es,en', name: $t('Both') },
          ]"
          @update:model-value="speakOn($event)"
        />
      </div>
      <div class="offered"><v-checkbox v-model="black" :label="$t('Black ink only')" /></div>
      <div class="offered"><v-checkbox v-model="codes" :label="$t('With a code for their phone')" /></div>
      <p v-if="codes && !reached" class="small watch">
        {{
          $t('This page was opened by an address of this computer alone: phones do not reach it. Open it by its name in the network first.')
        }}
      </p>
      <v-btn block :href="`/api/workshops/${id}/cards.pdf?paper=${size}`" target="_blank">{{
        $t('Cards for the seats, with codes')
      }}</v-btn>
      <v-btn block :href="pdf()" target="_blank">{{ $t('Print all {0} (PDF)', plan.takeHome.length) }}</v-btn>
      <v-btn block :href="`/api/workshops/${id}/take-home.md?${query}`">{{ $t('All as Markdown') }}</v-btn>
      <v-btn block color="primary" variant="flat" :href="pdf(sheet.participant)" target="_blank">{{
        $t('Print {0}’s {1}', who(sheet), several ? $t('sheets') : $t('sheet'))
      }}</v-btn>
    </aside>
  </main>
</template>
<style scoped>
.page {
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr) 320px;
  flex: 1;
}
.desk {
  background: var(--board);
  padding: var(--s-3);
  display: grid;
  justify-items: center;
  align-items: start;
  min-width: 0;
}
.side {
  padding: var(--s-4) var(--s-page);
  display: grid;
  gap: var(--s-2);
  align-content: start;
}
.side :deep(.v-btn-toggle .v-btn) {
  padding: 0 var(--s-3);
}
.none {
  padding: var(--s-6) var(--s-page);
  display: grid;
  gap: var(--s-3);
  justify-items: start;
}
@media (max-width: 1100px) {
  .page {
    grid-template-columns: 240px 1fr;
  }
  .side {
    grid-column: 1 / -1;
  }
}
@media (max-width: 760px) {
  .page {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
