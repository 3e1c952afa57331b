<script setup lang="ts">
import { computed } from 'vue'
import ChangeMark from './ChangeMark.vue'
import StepsEditor from './StepsEditor.vue'
import ThingsEditor from './ThingsEditor.vue'
import { editing } from './editing'
import type { RecipeDraft } from './useRecipeDraft'

/** A method's stages, times, cues and things beside what this house does: what differs is marked, and the practice's own value
 *  stands beside it. */
const props = defineProps<{ of: RecipeDraft }>()
const { base } = props.of
const stages = computed(() => base.value!.stages)
const { figureAt, textAt, setFigure } = editing(props.of)
const cures = computed(() => (base.value!.cure ? (['minimum', 'recommended'] as const) : []))
const value = (e: Event) => (e.target as HTMLInputElement).value
</script>
<template>
  <div>
    <section v-if="cures.length">
      <h3>{{ $t('Wait before rubbing, minutes') }}</h3>
      <div class="cure">
        <label v-for="c in cures" :key="c"
          ><span class="label">{{ c === 'minimum' ? $t('at least') : $t('recommended') }}</span
          ><input
            class="field num"
            inputmode="decimal"
            :aria-label="$t('Wait before rubbing: {0}', c === 'minimum' ? $t('at least') : $t('recommended'))"
            :value="figureAt(`cure/${c}`, base!.cure![c])"
            @change="setFigure(`cure/${c}`, value($event), base!.cure![c])" /><ChangeMark
            :differs="figureAt(`cure/${c}`, base!.cure![c]) !== base!.cure![c].value"
            :practice="`${base!.cure![c].value} min`"
        /></label>
      </div>
    </section>
    <h3 class="gap">{{ $t('Stages') }}</h3>
    <ol class="bare stages">
      <li v-for="s in stages" :key="s.id" :class="{ gone: of.dropped(`stages/${s.id}`) }">
        <div class="head">
          <input
            class="field named"
            maxlength="60"
            :aria-label="$t('Name of {0}', s.name)"
            :value="textAt(`stages/${s.id}/name`, s.name)"
            @change="value($event).trim() && of.set(`stages/${s.id}/name`, value($event).trim(), s.name)"
          /><ChangeMark :differs="textAt(`stages/${s.id}/name`, s.name) !== s.name" :practice="s.name" />
          <v-checkbox
            v-if="!s.makes && !s.then?.makes"
            :model-value="!of.dropped(`stages/${s.id}`)"
            :label="$t('we do it')"
            @update:model-value="of.drop(`stages/${s.id}`, !$event)"
          /><span v-else class="small two">{{ $t('makes the piece what it is') }}</span>
        </div>
        <template v-if="!of.dropped(`stages/${s.id}`)">
          <label
            ><span class="label">{{ $t('minutes') }}</span
            ><input
              class="field num"
              inputmode="decimal"
              :aria-label="$t('{0}: minutes', s.name)"
              :value="figureAt(`stages/${s.id}/minutes`, s.minutes)"
              @change="setFigure(`stages/${s.id}/minutes`, value($event), s.minutes)" /><ChangeMark
              :differs="figureAt(`stages/${s.id}/minutes`, s.minutes) !== s.minutes.value"
              :practice="`${s.minutes.value}`"
          /></label>
          <label v-if="s.then && !s.then.cures && s.then.least.value > 0"
            ><span class="label">{{ $t('then at least') }}</span
            ><input
              class="field num"
              inputmode="decimal"
              :aria-label="$t('{0}: then at least', s.name)"
              :value="figureAt(`stages/${s.id}/then/least`, s.then.least)"
              @change="setFigure(`stages/${s.id}/then/least`, value($event), s.then.least)" /><ChangeMark
              :differs="figureAt(`stages/${s.id}/then/least`, s.then.least) !== s.then.least.value"
              :practice="`${s.then.least.value}`"
          /></label>
          <label v-if="s.then?.most"
            ><span class="label">{{ $t('then within') }}</span
            ><input
              class="field num"
              inputmode="decimal"
              :aria-label="$t('{0}: then within', s.name)"
              :value="figureAt(`stages/${s.id}/then/most`, s.then.most)"
              @change="setFigure(`stages/${s.id}/then/most`, value($event), s.then.most)" /><ChangeMark
              :differs="figureAt(`stages/${s.id}/then/most`, s.then.most) !== s.then.most.value"
              :practice="`${s.then.most.value}`"
          /></label>
          <label v-for="cue in ['pass', 'fail'] as const" :key="cue" class="wide"
            ><span class="label">{{ cue === 'pass' ? $t('right when') : $t('wrong when') }}</span
            ><textarea
              class="field"
              rows="2"
              maxlength="300"
              :aria-label="`${s.name}: ${cue === 'pass' ? $t('right when') : $t('wrong when')}`"
              :value="textAt(`stages/${s.id}/${cue}`, s[cue])"
              @change="value($event).trim() && of.set(`stages/${s.id}/${cue}`, value($event).trim(), s[cue])" /><ChangeMark
              :differs="textAt(`stages/${s.id}/${cue}`, s[cue]) !== s[cue]"
              :practice="s[cue]"
          /></label>
        </template>
      </li>
    </ol>
    <StepsEditor :of="of" />
    <ThingsEditor :of="of" />
  </div>
</template>
<style scoped src="./editor.css"></style>
<style scoped>
.cure {
  display: flex;
  gap: var(--s-page);
}
.named {
  width: 100%;
  font-weight: 700;
}
</style>
