<script setup lang="ts">
import { computed } from 'vue'
import type { Outcome } from '#core/day'
import type { MinePage, MinePiece } from '#core/mine'
import CueDrawing from '../craft/CueDrawing.vue'
import { swatchesOf } from '../craft/cueSwatch'
import HouseDrawing from '../ui/HouseDrawing.vue'
import PieceToken from '../ui/PieceToken.vue'
import { phaseAt, stillSaid, waitParts } from './useMine'

/** One piece: what it is now, what to do now, the wait in its three parts, how to know, what if; at the end how it came out. */
const props = defineProps<{ piece: MinePiece; who: string; labels: MinePage['labels']; now: number; unsent: boolean }>()
const emit = defineEmits<{ how: [how: Outcome]; laid: [laid: boolean] }>()
const phase = computed(() => phaseAt(props.piece.phases, props.now))
const still = computed(() => (phase.value.until ? stillSaid(phase.value.until, props.now, props.labels) : ''))
const parts = computed(() => props.piece.wait && waitParts(props.piece.wait, props.now))
const swatches = computed(() => (props.piece.cue ? swatchesOf(props.piece.cue.stage) : undefined))
const ways: Outcome[] = ['good', 'hazy', 'bald', 'torn']
const share = (x: number) => `${x * 100}%`
</script>
<template>
  <article>
    <div class="top">
      <div>
        <h1 v-if="who">{{ who }}</h1>
        <p class="two">{{ piece.what }}</p>
        <p class="state">
          <PieceToken :state="piece.state" :size="26" /> <b>{{ piece.stateWord }}</b>
        </p>
      </div>
      <span class="drawn" :class="piece.outline" aria-hidden="true"><HouseDrawing :drawing="piece.drawing" :width="78" /></span>
    </div>
    <section class="now" aria-live="polite">
      <p class="label">{{ labels.now }}</p>
      <h2>{{ phase.title }}</h2>
      <p>{{ phase.words }}</p>
    </section>
    <div v-if="still" class="count">
      <p>{{ phase.counts }}</p>
      <p class="big" role="timer">{{ still }}</p>
      <p v-if="piece.mark === 'E'" class="two">{{ labels.estimate }}</p>
    </div>
    <div v-if="piece.wait && parts" class="wait">
      <div class="bar" aria-hidden="true">
        <i class="not" :style="{ inlineSize: share(parts.never) }">{{ labels.never }}</i><i
          class="risky"
          :style="{ insetInlineStart: share(parts.never), inlineSize: share(parts.ready - parts.never) }"
          >{{ labels.risky }}</i
        ><i class="ready" :style="{ insetInlineStart: share(parts.ready) }" /><i
          class="at"
          :style="{ insetInlineStart: share(parts.now) }"
        />
      </div>
      <p class="ends">
        <span class="stop">{{ piece.wait.never }}</span><span class="ink">{{ piece.wait.ready }}</span>
      </p>
    </div>
    <p v-if="piece.never && parts && parts.now < parts.never" class="stop never">{{ piece.never }}</p>
    <section v-if="piece.cue" class="cues">
      <h3>{{ labels.cue }}</h3>
      <div v-for="side in ['right', 'wrong'] as const" :key="side" :class="side">
        <CueDrawing v-if="swatches" :drawing="swatches[side === 'right' ? 'pass' : 'fail'].drawing" />
        <p>{{ piece.cue[side] }}</p>
      </div>
    </section>
    <section v-if="piece.lay === 'ask'" class="lay">
      <button type="button" class="strong" @click="emit('laid', true)">{{ labels.laidNow }}</button>
      <p class="two">{{ labels.layWhy }}</p>
      <p v-if="unsent" class="watch" role="alert">{{ labels.notSent }}</p>
    </section>
    <section v-else-if="piece.lay === 'said'" class="lay">
      <button type="button" @click="emit('laid', false)">{{ labels.layWrong }}</button>
      <p v-if="unsent" class="watch" role="alert">{{ labels.notSent }}</p>
    </section>
    <section v-if="piece.asks" class="came">
      <h3>
        {{ labels.came }} <small class="two">{{ labels.tap }}</small>
      </h3>
      <button v-for="w in ways" :key="w" type="button" :aria-pressed="piece.outcome === w" @click="emit('how', w)">{{ labels[w] }}</button>
      <p v-if="unsent" class="watch" role="alert">{{ labels.notSent }}</p>
      <p v-else-if="piece.outcome" class="two" role="status">{{ labels.kept }}</p>
    </section>
    <ol class="chain">
      <li v-for="c in piece.chain" :key="c.state" :class="{ done: c.done }">
        <PieceToken :state="c.state" :size="26" /><b>{{ c.word }}</b
        ><small>{{ c.when }}</small>
      </li>
    </ol>
    <details v-if="piece.steps.length" :open="piece.lay === 'ask'">
      <summary>{{ piece.stepsTitle }}</summary>
      <ol>
        <li v-for="s in piece.steps" :key="s.title">
          <b>{{ s.title }}</b> {{ s.text }}
        </li>
      </ol>
    </details>
    <details v-for="f in piece.whatIf" :key="f.seen">
      <summary>{{ f.seen }}</summary>
      <p>{{ f.now }}</p>
    </details>
    <section v-if="piece.care.length" class="care">
      <h3>{{ labels.keep }}</h3>
      <p v-for="c in piece.care" :key="c">{{ c }}</p>
    </section>
  </article>
</template>
<style scoped src="./mine.css"></style>
