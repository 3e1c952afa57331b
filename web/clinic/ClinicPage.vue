<script setup lang="ts">
import { t as tr } from '#core/language'
import { pieceOf } from '#core/workshop'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { closerLooks, diagnose, makingOf, mayStay, symptoms, togetherOf, type Making } from '#core/clinic'
import { latestRecipe, recipes, resolveRecipe } from '#core/recipe'
import { inZone } from '#core/time'
import { useDesk } from '../app/desk'
import ChoiceField from '../ui/ChoiceField.vue'
import LostPage from '../app/LostPage.vue'
import HouseDrawing from '../ui/HouseDrawing.vue'
import TrimSheet from '../ui/TrimSheet.vue'
import SymptomChoice from './SymptomChoice.vue'
import CauseList from './CauseList.vue'
import MadeHow from './MadeHow.vue'
import KnownAlone from './KnownAlone.vue'

/** What is seen, closer looks, and how this piece was made, against every cause: for a workshop's pieces, or on its own. */
const route = useRoute()
const desk = useDesk()
const id = computed(() => (typeof route.params['id'] === 'string' ? route.params['id'] : undefined))
const w = computed(() => (id.value ? desk.workshop(id.value) : undefined))
const house = computed(() => (w.value ? desk.house(w.value.houseId) : desk.houseList[0]))
const plan = computed(() => (id.value ? desk.plan(id.value) : undefined))
const say = computed(() => house.value && desk.say(house.value))
const who = ref(typeof route.query['piece'] === 'string' ? route.query['piece'] : '')
const method = ref(typeof route.query['method'] === 'string' ? route.query['method'] : 'medium-transfer')
const seen = ref<string[]>([])
const answers = ref<Record<string, string>>({})
/** Alone, without a workshop: what is known is said here. */
const alone = ref<Making>({})

const recipe = computed(() => (plan.value ? undefined : latestRecipe(method.value)))
const stages = computed(() =>
  plan.value
    ? plan.value.stages.map((s) => s.id)
    : recipe.value
      ? resolveRecipe(recipe.value, {}, {}, 'porous').stages.map((s) => s.id)
      : [],
)
const piece = computed(() => w.value && plan.value && pieceOf(w.value, who.value, plan.value.design))
const making = computed<Making>(() =>
  plan.value && w.value && house.value
    ? makingOf(plan.value, w.value, house.value, piece.value, inZone(desk.now, house.value.timeZone))
    : alone.value,
)
const ranked = computed(() => (seen.value.length ? diagnose(seen.value, answers.value, making.value, stages.value) : []))
const looks = computed(() => closerLooks(seen.value, stages.value))
/** Two causes that explain all of it together, where the best alone explains less likely. */
const pairs = computed(() => {
  const best = ranked.value[0]?.sum ?? 0
  return togetherOf(seen.value, answers.value, making.value, stages.value).filter((t) => t.sum > best)
})
const shown = computed(() => symptoms.filter((s) => diagnose([s.id], {}, {}, stages.value).length > 0))

const name = computed(() => {
  const p = w.value?.group.participants.find((x) => x.id === who.value)
  return p
    ? `${p.name ?? tr('Seat {0}', plan.value?.seats[p.id])}’s ${plan.value?.pieceName ?? 'piece'}`
    : w.value
      ? tr('A {0}', plan.value?.pieceName)
      : tr('Your piece')
})
const what = computed(() => symptoms.filter((s) => seen.value.includes(s.id)).map((s) => tr(s.name)))
const aim = computed(() => w.value?.designs.find((d) => d.id === plan.value?.design)?.quality)
const stays = computed(() =>
  mayStay(seen.value, aim.value)
    .map((s) => tr(s.name))
    .join(', '),
)
const missing = computed(() => id.value !== undefined && !w.value)
const owners = computed(() => [
  { id: '', name: tr('any piece of this plan') },
  ...(w.value?.group.participants ?? []).map((p) => ({ id: p.id, name: p.name ?? tr('Seat {0}', plan.value?.seats[p.id]) })),
])
</script>
<template>
  <LostPage v-if="missing" />
  <main v-else class="clinic">
    <SymptomChoice v-model:seen="seen" v-model:answers="answers" class="side" :symptoms="shown" :looks="looks" />
    <TrimSheet class="sheet">
      <div class="case">
        <span class="pic"><HouseDrawing :drawing="w?.drawing ?? 'moth'" :width="150" /></span>
        <div class="told">
          <h2>{{ name }}{{ what.length ? `, ${what.join(', ')}` : '' }}</h2>
          <ChoiceField v-if="w" v-model="who" class="pick" :label="$t('Whose')" :options="owners" />
          <template v-else>
            <ChoiceField
              v-model="method"
              class="pick"
              :label="$t('Made by')"
              :options="recipes.map((r) => ({ id: r.id, name: $t(r.name) }))"
            />
            <KnownAlone v-model="alone" />
          </template>
          <MadeHow v-if="plan && say" :making="making" :plan="plan" :piece="piece" :say="say" />
        </div>
      </div>
      <p v-if="stays" class="hollow">
        <b>{{ $t('Worn is aimed at here: {0} may stay.', stays) }}</b>
        {{ $t('It is a fault only where it took a face or lettering.') }}
      </p>
      <CauseList v-if="ranked.length" :ranked="ranked" :pairs="pairs" />
      <div v-else class="hollow">
        {{
          seen.length
            ? $t('Nothing this method does looks like that. Look again, or choose the method.')
            : $t('Press what you see on the left: causes stand here, with what speaks for and against each.')
        }}
      </div>
    </TrimSheet>
  </main>
</template>
<style scoped>
.clinic {
  display: grid;
  grid-template-columns: 280px minmax(0, 1fr);
  gap: 0 var(--s-6);
  padding: var(--s-4) var(--s-page) var(--s-6);
  align-items: start;
}
.side :deep(.v-btn-toggle) {
  margin-bottom: var(--s-2);
}
.side :deep(.v-btn) {
  padding: 0 var(--s-2);
  font-size: var(--t-small);
}
.case {
  display: grid;
  grid-template-columns: 190px 1fr;
  gap: var(--s-page);
  margin-bottom: var(--s-4);
}
.pic {
  display: grid;
  place-items: center;
  background: #fbf8f1;
  color: #241c17;
  border: 2px solid #241c17;
  box-shadow: 5px 5px 0 0 #c9ae80;
  min-height: 128px;
  align-self: start;
}
.pick {
  display: inline-grid;
  max-width: 260px;
  margin: var(--s-1) 0;
}
.name {
  font: 700 var(--t-lead)/1.15 var(--f-head);
}
@media (max-width: 900px) {
  .clinic,
  .case {
    grid-template-columns: minmax(0, 1fr);
  }
  .side {
    margin-bottom: var(--s-4);
  }
}
</style>
