<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed, ref, watch } from 'vue'
import type { Evidence, Ranked, Together } from '#core/clinic'
import SourceMark from '../ui/SourceMark.vue'
import BalanceDrawing from './BalanceDrawing.vue'

/** Causes, the likeliest first, with what speaks for and against each; and what to do about the one that is chosen. */
const props = defineProps<{ ranked: readonly Ranked[]; pairs: readonly Together[] }>()
const one = ref(0)
const chosen = computed(() => props.ranked[one.value] ?? props.ranked[0])
watch(
  () => props.ranked.map((r) => r.cause.id).join(),
  () => (one.value = 0),
)
const blocks = (list: readonly Evidence[]) => list.reduce((sum, e) => sum + Math.abs(e.weight), 0)
const low = (r: Ranked) => tr(r.cause.name).toLowerCase()
</script>
<template>
  <div>
    <div class="cols">
      <h3>{{ $t('What did it') }}</h3>
      <span class="small two">{{ $t('speaks against') }}</span><span /><span class="small two">{{ $t('speaks for') }}</span
      ><span
        class="small two"
        :title="$t('Solid blocks less open ones: from 4 on likely, from 1 possible, 0 can’t tell, below −2 ruled out.')"
        >{{ $t('a block, a weight') }} <SourceMark mark="E" />{{ $t('; 4 is likely, 1 possible') }}</span
      >
    </div>
    <p v-if="pairs.length" class="pairs">
      <b>{{ $t('More likely two things at once:') }}</b>
      <template v-for="(t, k) in pairs" :key="k">{{ $t('{0}{1} and {2}', k ? $t('; or ') : ' ', low(t.two[0]), low(t.two[1])) }}</template>.
      <SourceMark mark="E" />
    </p>
    <div role="radiogroup" :aria-label="$t('Causes')">
      <button
        v-for="(r, i) in ranked.slice(0, 6)"
        :key="r.cause.id"
        type="button"
        role="radio"
        class="plain cause"
        :aria-checked="chosen === r"
        :class="{ on: chosen === r, out: r.word === 'ruled out' }"
        @click="one = i"
      >
        <span
          ><b class="name">{{ $t(r.cause.name) }}</b
          ><br /><span :class="r.word === 'likely' ? 'ink strong' : 'two'"
            >{{ $t(r.word) }} {{ r.sum > 0 ? `+${r.sum}` : String(r.sum).replace('-', '−') }}</span
          ></span
        >
        <ul class="against">
          <li v-for="e in r.against" :key="e.said">
            {{ $t(e.said) }} <span class="bl"><i v-for="n in -e.weight" :key="n" /></span>
          </li>
          <li v-if="!r.against.length" class="two">{{ $t('nothing') }}</li>
        </ul>
        <BalanceDrawing :against="blocks(r.against)" :in-favour="blocks(r.for)" />
        <ul class="for">
          <li v-for="e in r.for" :key="e.said">
            <span class="bl solid"><i v-for="n in e.weight" :key="n" /></span> {{ $t(e.said) }}
          </li>
          <li v-if="!r.for.length" class="two">{{ $t('nothing') }}</li>
        </ul>
      </button>
    </div>
    <div v-if="chosen" class="todo" aria-live="polite">
      <div>
        <h3>{{ $t('Now') }}</h3>
        <p>{{ $t(chosen.cause.now) }} <SourceMark :mark="chosen.cause.mark" /></p>
      </div>
      <div>
        <h3>{{ $t('Next time') }}</h3>
        <p>{{ $t(chosen.cause.next) }} <SourceMark :mark="chosen.cause.mark" /></p>
      </div>
    </div>
  </div>
</template>
<style scoped>
.cols,
.cause {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr) 140px minmax(0, 1.1fr);
  gap: var(--s-3);
  align-items: center;
}
.cols {
  border-top: 2px solid var(--text);
  padding: var(--s-1) var(--s-2) var(--s-1);
  grid-template-columns: 190px minmax(0, 1fr) 140px minmax(0, 0.5fr) minmax(0, 0.6fr);
}
.cols span:nth-child(2) {
  text-align: end;
}
.cause {
  width: 100%;
  padding: var(--s-1) var(--s-2);
  border-bottom: 1px solid var(--rule);
  min-height: 72px;
}
.cause:hover {
  box-shadow: inset 0 0 0 1.5px var(--ink);
}
.cause:focus-visible {
  outline-offset: -3px;
}
.cause.on {
  background: var(--wash);
  border-inline-start: 4px solid var(--ink);
  padding-inline-start: var(--s-1);
}
.cause.out .name {
  color: var(--text-2);
}
.name {
  font: 700 var(--t-lead)/1.15 var(--f-head);
}
.strong {
  font-weight: 700;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
  font-size: var(--t-small);
  line-height: 1.25;
}
.against {
  text-align: end;
}
.bl {
  white-space: nowrap;
}
.bl i {
  display: inline-block;
  width: 10px;
  height: 10px;
  border: 1.5px solid var(--text);
  margin-inline-start: var(--s-1);
  vertical-align: -1px;
}
.bl.solid i {
  background: var(--text);
  margin: 0 var(--s-1) 0 0;
}
.todo {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--s-5);
  margin-top: var(--s-3);
}
.todo > div + div {
  border-inline-start: 1px solid var(--rule);
  padding-inline-start: var(--s-5);
}
@media (max-width: 900px) {
  .cols,
  .cause,
  .todo {
    grid-template-columns: minmax(0, 1fr);
  }
  .cols span {
    display: none;
  }
  .against {
    text-align: start;
  }
  .todo > div + div {
    border: 0;
    padding: 0;
  }
}
</style>
