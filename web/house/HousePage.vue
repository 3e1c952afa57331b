<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import LostPage from '../app/LostPage.vue'
import { useDesk } from '../app/desk'
import { useHouseChange } from './useHouseChange'
import HouseCautions from './HouseCautions.vue'
import { change, inHouse, type Path } from '#core/workshop'
import HouseMeasures from './HouseMeasures.vue'
import HouseHours from './HouseHours.vue'
import ClosedDays from './ClosedDays.vue'
import RackBoards from './RackBoards.vue'
import HouseAir from './HouseAir.vue'
import HouseWays from './HouseWays.vue'

const route = useRoute()
const house = computed(() => useDesk().house(String(route.params['house'])))
const { news, act } = useHouseChange(house)

/** Sets one field, and says what it does to the open workshops of the house. */
const set = <V,>(path: Path<V>, after: NoInfer<V>, label: string) => act([change(house.value, path, after)], label)
</script>
<template>
  <LostPage v-if="!house" />
  <main v-else class="roomy">
    <div class="head">
      <h1>{{ $t('House') }}</h1>
      <p v-if="news" aria-live="polite">
        <span class="ink"
          ><b>{{ $t('since {0}', news.label) }}</b></span
        >
        {{ news.lines.length ? news.lines.join('; ') : $t('no open workshop changes') }}.
      </p>
    </div>
    <div class="top">
      <HouseMeasures :house="house" @change="act" />
      <HouseHours :house="house" @change="act" />
      <ClosedDays :house="house" @change="act" />
    </div>
    <div class="bottom">
      <HouseAir :house="house" @change="act" />
      <HouseWays :house="house" @change="act" />
    </div>
    <RackBoards :house="house" class="rack" @change="act" />
    <HouseCautions :cautions="house.cautions ?? []" @set="(list, label) => set(inHouse.cautions, list, label)" />
  </main>
</template>
<style scoped>
.head {
  display: flex;
  gap: var(--s-5);
  align-items: baseline;
  margin-bottom: var(--s-2);
}
.top {
  display: grid;
  grid-template-columns: 300px 1fr 280px;
  gap: var(--s-5);
}
.rack {
  margin-block: var(--s-4);
}
.bottom {
  display: grid;
  grid-template-columns: 1.1fr 1fr;
  gap: var(--s-5);
  margin-top: var(--s-page);
}
@media (max-width: 1000px) {
  .top,
  .bottom {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
