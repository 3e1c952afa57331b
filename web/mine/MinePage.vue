<script setup lang="ts">
import MinePiece from './MinePiece.vue'
import { useMine } from './useMine'

/** A participant's phone: their piece, what to do now, a true countdown, how to know, what if. By code, no account. */
const token = location.pathname.split('/').at(-1) ?? ''
const { page, gone, away, unsent, now, sayHow, sayLaid, speak } = useMine(token)
const clock = (at: number, language: string) => new Date(at).toLocaleTimeString(language, { hour: 'numeric', minute: '2-digit' })
const names: Record<string, string> = { en: 'English', es: 'Español' }
</script>
<template>
  <main v-if="page" class="mine">
    <header>
      <p>
        <b>{{ page.title }}</b><br /><span class="two">{{ page.house }}</span>
      </p>
      <button type="button" class="speak" :lang="page.other" @click="speak(page.other)">{{ names[page.other] }}</button>
    </header>
    <p v-if="away !== undefined" class="watch" role="status">{{ page.labels.away.replace('{0}', clock(away, page.language)) }}</p>
    <MinePiece
      v-for="(p, i) in page.pieces"
      :key="p.id"
      :piece="p"
      :who="i === 0 ? page.who : ''"
      :labels="page.labels"
      :now="now"
      :unsent="unsent"
      @how="sayHow(p.id, $event)"
      @laid="sayLaid(p.id, $event)"
    />
    <footer class="two">
      <b>{{ page.ask }}</b> {{ page.gone }}
    </footer>
  </main>
  <main v-else-if="gone" class="mine">
    <h1>This page has ended, or never was.</h1>
    <p>Your paper sheet says the same; else ask where the class was.</p>
    <h1 lang="es">Esta página ha terminado, o nunca existió.</h1>
    <p lang="es">Tu hoja de papel dice lo mismo; si no, pregunta donde fue la clase.</p>
  </main>
  <main v-else class="mine" aria-busy="true">
    <p class="two">{{ away === undefined ? '…' : 'No net yet · Aún sin red' }}</p>
  </main>
</template>
<style>
body {
  margin: 0;
  background: var(--paper);
}
.mine {
  max-width: 460px;
  margin: 0 auto;
  padding: var(--s-4) var(--s-page) var(--s-6);
  display: grid;
  gap: var(--s-4);
  font: 400 var(--t-text) / 1.35 var(--f-text);
  color: var(--text);
}
.mine header {
  display: flex;
  justify-content: space-between;
  gap: var(--s-3);
  align-items: start;
}
.mine .two {
  color: var(--text-2);
}
.mine .watch {
  color: var(--watch);
}
.mine .speak {
  min-height: 44px;
  padding: 0 var(--s-3);
  border: 1.5px solid var(--edge);
  border-radius: var(--r-ctl);
  background: var(--stock);
  color: var(--text);
  font: 600 var(--t-small) var(--f-text);
}
.mine footer {
  border-top: 1px solid var(--rule);
  padding-top: var(--s-3);
  font-size: var(--t-small);
}
.mine h1 {
  font: 800 var(--t-h1) / 1.05 var(--f-head);
  margin: 0;
}
.mine p {
  margin: 0;
}
</style>
