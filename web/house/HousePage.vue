<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { cureFactor, coldLimitCelsius } from '#core/cure'
import { recipes, chosenOption, latestRecipe, type Ink, type School } from '#core/recipe'
import { figuresOf, printersOf } from '#core/house'
import { currencies } from '#core/units'
import { isClock, isDate, weekdays, type Weekday } from '#core/time'
import { sayMinutes } from '#core/phrases'
import LostPage from '../app/LostPage.vue'
import { useDesk } from '../app/desk'
import SegmentChoice from '../ui/SegmentChoice.vue'
import SourceMark from '../ui/SourceMark.vue'
import StepField from '../ui/StepField.vue'
import ClimateField from './ClimateField.vue'
import { useHouseChange } from './useHouseChange'
import HouseCautions from './HouseCautions.vue'
import type { House } from '#core/house'
import { change, inHouse, type Path } from '#core/workshop'

const route = useRoute()
const house = computed(() => useDesk().house(String(route.params['house'])))
const { news, act } = useHouseChange(house)
const day = ref('')
const zones = Intl.supportedValuesOf('timeZone')
const names: Record<Weekday, string> = {
  mon: tr('Mon'),
  tue: tr('Tue'),
  wed: tr('Wed'),
  thu: tr('Thu'),
  fri: tr('Fri'),
  sat: tr('Sat'),
  sun: tr('Sun'),
}
const order = computed(() => (house.value?.weekStart === 'sun' ? (['sun', ...weekdays.slice(0, 6)] as Weekday[]) : [...weekdays]))

/** Sets one field, and says what it does to the open workshops of the house. */
const set = <V,>(path: Path<V>, after: NoInfer<V>, label: string) => act([change(house.value, path, after)], label)
const hour = (d: Weekday, field: 'from' | 'to', value: string) => {
  const span = house.value!.hours[d] ?? { from: '09:00', to: '17:00' }
  const after = { ...span, [field]: value }
  if (isClock(value) && after.from < after.to) set(inHouse.hours[d], after, tr('{0} became {1} to {2}', names[d], after.from, after.to))
}
const addDay = () => {
  if (isDate(day.value) && !house.value!.closedDays.includes(day.value))
    set(inHouse.closedDays(day.value), day.value, tr('{0} is closed', day.value))
  day.value = ''
}
const fahrenheit = computed(() => house.value?.units === 'imperial')
const shownTemp = computed(() => Math.round(fahrenheit.value ? (house.value!.climate.celsius * 9) / 5 + 32 : house.value!.climate.celsius))
const setTemp = (n: number) =>
  set(inHouse.climate.celsius, Number((fahrenheit.value ? ((n - 32) * 5) / 9 : n).toFixed(1)), tr('{0}° became {1}°', shownTemp.value, n))
const factor = computed(() =>
  cureFactor(house.value!.climate.celsius, house.value!.climate.humidityPct, 'moderate', 'porous', figuresOf(house.value!)),
)
const shown = ref('medium-transfer')
const recipe = computed(() => latestRecipe(shown.value)!)
const printerWays: { id: 'toner' | 'inkjet' | 'toner,inkjet'; name: string }[] = [
  { id: 'toner', name: 'toner' },
  { id: 'inkjet', name: 'inkjet' },
  { id: 'toner,inkjet', name: 'both' },
]
const printers = computed(() => [...printersOf(house.value!)].sort().reverse().join(',') as (typeof printerWays)[number]['id'])
const setPrinters = (x: string) => set(inHouse.printers, x.split(',') as Ink[], tr('printers became {0}', x.replace(',', ' and ')))
const choose = (recipe: string, s: School, o: string) => {
  const ways = { ...house.value!.recipeChoices[recipe], [s.id]: o }
  set(inHouse.recipeChoices, { ...house.value!.recipeChoices, [recipe]: ways }, tr('{0} became {1}', s.question.toLowerCase(), o))
}
</script>
<template>
  <LostPage v-if="!house" />
  <main v-else class="page">
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
      <section>
        <h3>{{ $t('Measures') }}</h3>
        <label
          ><span class="label">{{ $t('Name') }}</span
          ><input
            :value="house.name"
            maxlength="80"
            @change="
              ($event.target as HTMLInputElement).value.trim() &&
              set(inHouse.name, ($event.target as HTMLInputElement).value.trim(), $t('the house was renamed'))
            "
        /></label>
        <SegmentChoice
          :label="$t('Units')"
          :model-value="house.units"
          :options="[
            { id: 'imperial', name: $t('in, fl oz') },
            { id: 'metric', name: $t('mm, ml') },
          ]"
          @update:model-value="set(inHouse.units, $event, $t('units changed'))"
        />
        <SegmentChoice
          :label="$t('Speaks')"
          :model-value="house.language ?? 'en'"
          :options="[
            { id: 'en', name: 'English' },
            { id: 'es', name: 'Español' },
          ]"
          @update:model-value="set(inHouse.language, $event, $t('the language changed'))"
        />
        <SegmentChoice
          :label="$t('Paper')"
          :model-value="house.paper"
          :options="[
            { id: 'letter', name: $t('Letter') },
            { id: 'a4', name: 'A4' },
          ]"
          @update:model-value="set(inHouse.paper, $event, $t('paper became {0}', $event))"
        />
        <label
          ><span class="label">{{ $t('Currency') }}</span
          ><select
            :value="house.currency"
            @change="set(inHouse.currency, ($event.target as HTMLSelectElement).value as House['currency'], $t('the currency changed'))"
          >
            <option v-for="c in currencies" :key="c">{{ c }}</option>
          </select></label
        >
        <label
          ><span class="label">{{ $t('Time zone') }}</span
          ><select
            :value="house.timeZone"
            @change="set(inHouse.timeZone, ($event.target as HTMLSelectElement).value, $t('the time zone changed'))"
          >
            <option v-for="z in zones" :key="z">{{ z }}</option>
          </select></label
        >
        <label
          ><span class="label">{{ $t('Whom to ask, on the sheets') }}</span
          ><input
            :value="house.contact"
            maxlength="80"
            @change="set(inHouse.contact, ($event.target as HTMLInputElement).value, $t('whom to ask changed'))"
        /></label>
      </section>
      <section>
        <div class="between">
          <h3>{{ $t('Open') }}</h3>
          <SegmentChoice
            :label="$t('First day')"
            hide-label
            :model-value="house.weekStart"
            :options="[
              { id: 'sun', name: $t('Sun first') },
              { id: 'mon', name: $t('Mon first') },
            ]"
            @update:model-value="set(inHouse.weekStart, $event, $t('the first day of the week changed'))"
          />
        </div>
        <ul class="week">
          <li v-for="d in order" :key="d">
            <b>{{ names[d] }}</b><template v-if="house.hours[d]"
              ><input
                type="time"
                step="900"
                :aria-label="$t('{0} from', names[d])"
                :value="house.hours[d].from"
                @change="hour(d, 'from', ($event.target as HTMLInputElement).value)"
              /><i class="bar" aria-hidden="true"
                ><i
                  :style="{
                    left: `${(100 * (parseInt(house.hours[d].from) - 6)) / 17}%`,
                    right: `${100 - (100 * (parseInt(house.hours[d].to) + Number(house.hours[d].to.slice(3)) / 60 - 6)) / 17}%`,
                  }" /></i
              ><input
                type="time"
                step="900"
                :aria-label="$t('{0} to', names[d])"
                :value="house.hours[d].to"
                @change="hour(d, 'to', ($event.target as HTMLInputElement).value)"
              /><v-btn @click="set(inHouse.hours[d], null, $t('{0} is closed', names[d]))">{{ $t('Close') }}</v-btn></template
            ><template v-else
              ><span class="two">{{ $t('closed') }}</span
              ><i class="bar shut" /><span /><v-btn
                @click="set(inHouse.hours[d], { from: '09:00', to: '17:00' }, $t('{0} is open', names[d]))"
                >{{ $t('Open') }}</v-btn
              ></template
            >
          </li>
        </ul>
      </section>
      <section>
        <h3>{{ $t('Closed days') }}</h3>
        <ul class="days">
          <li v-for="d in [...house.closedDays].sort()" :key="d">
            <span class="code">{{ d }}</span><v-btn
              :aria-label="$t('Open again on {0}', d)"
              @click="set(inHouse.closedDays(d), null, $t('{0} is open', d))"
              >{{ $t('Open') }}</v-btn
            >
          </li>
        </ul>
        <form class="row" @submit.prevent="addDay">
          <input v-model="day" type="date" :aria-label="$t('A closed day')" /><v-btn type="submit" :disabled="!day">{{
            $t('Close it')
          }}</v-btn>
        </form>
        <p class="small two">
          <b>{{ $t('Nothing is due on them:') }}</b> {{ $t('an errand moves back to the last open hour. Cure goes on.') }}
        </p>
        <StepField
          :label="$t('Shelf places')"
          :model-value="house.shelfPlaces"
          :max="2000"
          @update:model-value="set(inHouse.shelfPlaces, $event, $t('shelf places became {0}', $event))"
        />
        <StepField
          :label="$t('Days a supplier takes')"
          :model-value="house.supplierDays"
          :max="60"
          @update:model-value="set(inHouse.supplierDays, $event, $t('supplier days became {0}', $event))"
          ><SourceMark mark="E"
        /></StepField>
      </section>
    </div>
    <div class="bottom">
      <section>
        <h3>
          {{ $t('Room') }}
          <span class="two small light">{{ $t('how long a piece cures, medium transfer on bare wood') }} <SourceMark mark="E" /></span>
        </h3>
        <div class="room">
          <ClimateField
            :climate="house.climate"
            :fahrenheit="fahrenheit"
            @set="(c) => set(inHouse.climate, c, $t('the room’s air changed'))"
          />
          <div class="dials">
            <StepField
              :label="fahrenheit ? $t('Temperature, °F') : $t('Temperature, °C')"
              strong
              :model-value="shownTemp"
              :max="fahrenheit ? 113 : 45"
              @update:model-value="setTemp"
            /><StepField
              :label="$t('Humidity, %')"
              :model-value="Math.round(house.climate.humidityPct)"
              :max="100"
              @update:model-value="set(inHouse.climate.humidityPct, $event, $t('{0} % became {1} %', house.climate.humidityPct, $event))"
            />
            <p class="fig">24 h → {{ sayMinutes(1440 * factor) }} <SourceMark mark="E" /></p>
            <p class="small two">{{ $t('12 h least becomes {0}.', sayMinutes(720 * factor)) }}</p>
            <p v-if="house.climate.celsius < coldLimitCelsius.value" class="stop">
              <b>{{ $t('Too cold to lay: below {0} °C the film does not form.', coldLimitCelsius.value) }}</b>
            </p>
          </div>
        </div>
      </section>
      <section>
        <h3>
          {{ $t('Recipes') }} <span class="two small light">{{ $t('how this house does it; a plan’s own choice goes first') }}</span>
        </h3>
        <div class="row">
          <SegmentChoice :label="$t('Printers here')" :model-value="printers" :options="printerWays" @update:model-value="setPrinters" />
          <router-link class="own" :to="`/house/${house.id}/figures`">{{
            Object.keys(house.figures ?? {}).length
              ? $t('Figures: {0} of your own', Object.keys(house.figures ?? {}).length)
              : $t('All figures, yours to set')
          }}</router-link>
          <router-link class="own" :to="`/house/${house.id}/recipes`">{{
            house.recipes?.length ? $t('{0} of your own', house.recipes.length) : $t('Make your own recipe')
          }}</router-link>
        </div>
        <label
          ><span class="label">{{ $t('Method') }}</span
          ><select v-model="shown">
            <option v-for="r in recipes" :key="r.id" :value="r.id">{{ $t(r.name) }}</option>
          </select></label
        >
        <div class="ways">
          <label v-for="s in recipe.schools" :key="s.id"
            ><span class="label">{{ $t(s.question) }}</span
            ><select
              :value="chosenOption(s, {}, house.recipeChoices[recipe.id] ?? {}).option.id"
              @change="choose(recipe.id, s, ($event.target as HTMLSelectElement).value)"
            >
              <option v-for="o in s.options" :key="o.id" :value="o.id">{{ $t(o.name) }}</option>
            </select></label
          >
        </div>
      </section>
    </div>
    <HouseCautions :cautions="house.cautions ?? []" @set="(list, label) => set(inHouse.cautions, list, label)" />
  </main>
</template>
<style scoped>
.page {
  padding: 14px 20px 30px;
}
.head {
  display: flex;
  gap: 24px;
  align-items: baseline;
  margin-bottom: 10px;
}
.top {
  display: grid;
  grid-template-columns: 300px 1fr 280px;
  gap: 26px;
}
section {
  border-top: 2px solid var(--text);
  padding-top: 10px;
  display: grid;
  gap: 12px;
  align-content: start;
}
.bottom {
  display: grid;
  grid-template-columns: 1.1fr 1fr;
  gap: 26px;
  margin-top: 22px;
}
.own {
  color: var(--text);
  font-weight: 700;
  align-self: end;
  padding: 12px 0;
}
.light {
  font: 400 var(--t-small) var(--f-text);
}
.between {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
input,
select {
  height: 44px;
  border: 1.5px solid var(--edge);
  border-radius: 6px;
  padding: 0 8px;
  background: var(--stock);
  color: var(--text);
  font: 600 var(--t-list) var(--f-text);
  color-scheme: light dark;
  min-width: 0;
}
label input,
label select {
  width: 100%;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
.week li {
  display: grid;
  grid-template-columns: 40px 118px 1fr 118px 84px;
  gap: 8px;
  align-items: center;
  padding: 2px 0;
}
.bar {
  position: relative;
  height: 26px;
  background: repeating-linear-gradient(135deg, transparent 0 6px, var(--hatch) 6px 7.5px);
}
.bar i {
  position: absolute;
  top: 0;
  bottom: 0;
  background: var(--stock);
  border: 2px solid var(--text);
  border-radius: 3px;
}
.days li {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.row {
  display: flex;
  gap: 8px;
}
.room {
  display: flex;
  gap: 20px;
  flex-wrap: wrap;
}
.dials {
  display: grid;
  gap: 10px;
  align-content: start;
  min-width: 200px;
  flex: 1;
}
.ways {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(130px, 1fr));
  gap: 8px;
}
h4 {
  font: 750 var(--t-lead) var(--f-head);
  margin: 0 0 4px;
}
@media (max-width: 1000px) {
  .top,
  .bottom {
    grid-template-columns: minmax(0, 1fr);
  }
  .week li {
    grid-template-columns: 36px 1fr 1fr;
  }
  .bar {
    display: none;
  }
}
</style>
