<script setup lang="ts">
import { t as tr } from '#core/language'
import type { Recipe } from '#core/recipe'
import { sayMinutes, stateWord } from '#core/phrases'
import PieceToken from '../ui/PieceToken.vue'
import HandSign from '../ui/HandSign.vue'
import SourceMark from '../ui/SourceMark.vue'
import CuePair from './CuePair.vue'
import { swatchesOf } from './cueSwatch'
import StripExample from './StripExample.vue'
import StageDrawing from './StageDrawing.vue'

/** Stages of a method, drawn, each with what it looks like when it is right and when it is not. `first` is the number of the first. */
const props = defineProps<{ recipe: Recipe; stages: Recipe['stages']; first: number }>()
const wait = (s: Recipe['stages'][number]) => {
  if (!s.then || (!s.then.least.value && !s.then.most)) return ''
  const { least, most, cures } = s.then
  if (cures)
    return tr('{0} least, {1} recommended', sayMinutes(props.recipe.cure!.minimum.value), sayMinutes(props.recipe.cure!.recommended.value))
  if (most && least.value) return tr('{0} to {1} min', least.value, most.value)
  return most ? tr('within {0} min', most.value) : tr('{0} at least', sayMinutes(least.value))
}
</script>
<template>
  <ol class="stages" :start="first">
    <li v-for="(s, i) in stages" :key="s.id" :id="s.id">
      <div class="strip">
        <PieceToken v-if="s.makes" :state="s.makes" :size="30" :label="stateWord(s.makes, recipe.words)" /><i
          v-else
          class="ring"
          aria-hidden="true"
        />
        <span class="small"
          ><b v-if="s.makes">{{ stateWord(s.makes, recipe.words) }}</b></span
        >
      </div>
      <div class="body">
        <h3>
          <small>{{ first + i }}</small> {{ $t(s.name) }}
          <HandSign v-if="s.cautions.length" />
        </h3>
        <p class="small two">
          {{ $t('{0}{1} min', s.attended ? '' : $t('a wait of '), s.minutes.value) }} <SourceMark :mark="s.minutes.mark" />{{
            s.station ? `, ${s.station}` : ''
          }}{{ s.optional ? $t(', only by choice') : '' }}
        </p>
        <CuePair :pass="s.pass" :fail="s.fail" :swatches="swatchesOf(s.id, recipe.from?.id ?? recipe.id)" />
        <StripExample v-if="s.id === 'tape'" />
        <p v-if="wait(s)" class="small lag">
          <b>{{ $t('then {0}', wait(s)) }}</b> <SourceMark :mark="(s.then!.most ?? s.then!.least).mark" /> {{ $t(s.then!.why) }}
        </p>
      </div>
      <StageDrawing :stage="s.id" :station="s.station" />
    </li>
  </ol>
</template>
<style scoped>
.stages {
  list-style: none;
  padding: 0;
  margin: var(--s-2) 0 var(--s-4);
}
.stages li {
  display: grid;
  grid-template-columns: 84px 1fr 104px;
  gap: var(--s-2);
  padding: var(--s-2) 0;
  scroll-margin-top: 20px;
  break-inside: avoid;
}
.strip {
  border-inline-start: 2px solid var(--ink);
  margin: -8px 0 -8px var(--s-4);
  padding-top: var(--s-1);
}
.strip > :first-child {
  margin-inline-start: -16px;
  background: var(--stock);
}
.strip span {
  display: block;
  padding-inline-start: var(--s-1);
}
.ring {
  display: block;
  width: 12px;
  height: 12px;
  border: 2px solid var(--ink);
  border-radius: 50%;
  margin-inline-start: -7px !important;
}
.body h3 small {
  font: var(--t-small) var(--f-text);
  color: var(--text-2);
}
.lag {
  margin-top: var(--s-1);
}
@media (max-width: 900px) {
  .stages li {
    grid-template-columns: 40px minmax(0, 1fr);
  }
  .strip span {
    display: none;
  }
}
</style>
