<script setup lang="ts">
import type { SheetText } from '#core/phrases'
import type { Outline } from '#core/recipe'
import type { Drawing } from '#core/workshop'
import PieceDrawing from '../ui/PieceDrawing.vue'
import PieceToken from '../ui/PieceToken.vue'
import SourceMark from '../ui/SourceMark.vue'
/** A take-home sheet as it will stand on paper. */
defineProps<{
  text: SheetText
  paper: 'letter' | 'a4'
  black: boolean
  large: boolean
  drawing: Drawing
  kind: string
  outline?: Outline
}>()
</script>
<template>
  <article class="paper" :class="[paper, { black, large }]" data-theme="light" :aria-label="$t('{0}’s sheet', text.who)">
    <header>
      <div>
        <h2 class="who" :class="{ long: text.who.length > 18 }">{{ text.who }}</h2>
        <p>{{ text.what }}</p>
      </div>
      <p class="right">{{ text.house }}<br />{{ text.workshop }}<br />{{ text.date }}</p>
    </header>
    <section class="when">
      <div>
        <p class="h">{{ text.headline }}</p>
        <p class="big" :class="{ two: text.when.includes('\n') }">{{ text.when }}</p>
        <p v-if="text.never">
          <b>{{ text.never }}</b>
        </p>
        <p>{{ text.why }} <SourceMark v-if="text.mark" :mark="text.mark" /></p>
      </div>
      <PieceDrawing :kind="kind" :drawing="drawing" :width="110" :outline="outline" />
    </section>
    <ol class="chain">
      <li v-for="c in text.chain" :key="c.state">
        <PieceToken :state="c.state" :size="28" /><span :class="{ b: c.done }">{{ c.word }}</span>
      </li>
    </ol>
    <p v-if="text.stepsTitle" class="h">{{ text.stepsTitle }}</p>
    <ol v-if="text.steps.length" class="steps" :class="{ made: text.stepsTitle }">
      <li v-for="(s, i) in text.steps" :key="i">
        <b class="n">{{ i + 1 }}</b>
        <div>
          <p class="h"><PieceToken v-if="s.state" class="then" :state="s.state" :size="17" /> {{ s.title }}</p>
          <p>{{ s.text }}</p>
        </div>
      </li>
    </ol>
    <div class="lists">
      <section v-if="text.bag.length">
        <p class="h">{{ text.titles.bag }}</p>
        <ul class="boxes">
          <li v-for="b in text.bag" :key="b">{{ b }}</li>
        </ul>
      </section>
      <section v-if="text.faults.length">
        <p class="h">{{ text.titles.whatIf }}</p>
        <p v-for="f in text.faults" :key="f.seen">
          <b>{{ f.seen }}</b> {{ f.now }}
        </p>
      </section>
      <section v-if="text.cautions.length">
        <p class="h">{{ text.titles.care }}</p>
        <ul>
          <li v-for="c in text.cautions" :key="c">{{ c }}</li>
        </ul>
      </section>
    </div>
    <footer>
      <p>{{ text.care }}</p>
      <p>
        <b>{{ text.ask }}</b>
      </p>
    </footer>
  </article>
</template>
<style scoped>
/* In two languages each says its own line. */
.paper p {
  white-space: pre-line;
}
.big.two {
  font-size: var(--t-big) !important;
  color: inherit;
}
.paper {
  --paper: #fff;
  --stock: #fff;
  --text: #241c17;
  --text-2: #241c17;
  --ink: #4a2a91;
  --rule: #cdbfa8;
  background: #fff;
  color: #241c17;
  width: 100%;
  max-width: 560px;
  padding: 5.6%;
  font-size: var(--t-label);
  line-height: 1.28;
  box-shadow: 5px 5px 0 0 var(--night);
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.letter {
  min-height: 720px;
}
.a4 {
  min-height: 786px;
  max-width: 545px;
}
.black {
  --ink: #000;
}
.large {
  font-size: var(--t-lead);
}
header {
  display: flex;
  justify-content: space-between;
  gap: 14px;
  border-bottom: 2px solid;
  padding-bottom: 8px;
}
.who {
  font-size: var(--t-h1);
  overflow-wrap: anywhere;
}
.who.long {
  font-size: var(--t-h3);
}
header > div {
  flex: 1 1 60%;
  min-width: 0;
}
.right {
  text-align: end;
  flex: 0 1 38%;
  overflow-wrap: anywhere;
}
.h {
  font: 750 1.15em var(--f-head);
}
.big {
  font: 800 var(--t-h1)/1.02 var(--f-head);
  color: var(--ink);
  letter-spacing: -0.01em;
  margin: 2px 0 5px;
}
.when {
  display: flex;
  justify-content: space-between;
  gap: 10px;
}
.chain {
  list-style: none;
  display: flex;
  padding: 0 0 9px;
  margin: 0;
  justify-content: space-between;
  border-bottom: 2px solid;
}
.chain li {
  display: grid;
  justify-items: center;
}
.b {
  font-weight: 700;
}
.steps {
  list-style: none;
  padding: 0 0 8px;
  margin: 0;
  columns: 2;
  column-gap: 22px;
  border-bottom: 2px solid;
}
/* Cues are short: a recipe to keep is set closer than things to do. */
.made li {
  padding-bottom: 5px;
}
.large .steps {
  columns: 1;
}
.steps li {
  display: flex;
  gap: 8px;
  break-inside: avoid;
  padding-bottom: 9px;
}
.n {
  font: 800 var(--t-h3)/1 var(--f-head);
  color: var(--ink);
}
.then {
  vertical-align: -3px;
}
.lists {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 14px;
}
ul {
  margin: 0;
  padding-inline-start: 15px;
}
.boxes {
  list-style: none;
  padding: 0;
}
.boxes li::before {
  content: '';
  display: inline-block;
  width: 9px;
  height: 9px;
  border: 1.5px solid;
  margin-inline-end: 6px;
}
footer {
  margin-top: auto;
  border-top: 1px solid #8a7b66;
  padding-top: 6px;
}
@media (max-width: 760px) {
  .steps {
    columns: 1;
  }
  .big {
    font-size: var(--t-big);
  }
}
</style>
