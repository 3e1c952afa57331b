<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import type { Announcement, DayStage, PersonDay, PieceDay } from '#core/day'

/** What can be tapped for the table or the seat that is chosen: the one action large, the others beside it. */
const props = defineProps<{
  table: string
  /** What is next for the table. */
  next: Announcement | undefined
  person: PersonDay | undefined
  pieces: readonly PieceDay[]
  name: string
  /** The stage that the person is at or that is next, and the one after. */
  stage: DayStage | null
  notYet: string
  /** Whom of the table it is for, where that is not all of it. */
  who: string
  /** What is next for the table may begin by now. */
  may: boolean
  spares: number
}>()
const emit = defineEmits<{
  next: [a: Announcement]
  past: [a: Announcement]
  presence: [what: 'here' | 'absent' | 'left']
  did: [stage: DayStage]
  needs: [what: 'you' | 'patch' | null]
  spare: []
  home: []
}>()
const hint = computed(() => (props.person ? tr('this seat alone') : props.who || tr('or tap one seat to mark it alone')))
const needs = computed(() => props.pieces.find((p) => p.needs)?.needs ?? null)
const title = computed(() => (props.person ? props.name || tr('Guest') : tr('Table {0}', props.table)))
/** Where nothing of the haze is left, the round that is next is not needed. */
const clear = computed(() => props.next?.kind === 'begin' && (props.next.stage?.round ?? 0) >= 2 && props.next.then)
</script>
<template>
  <section class="actions" :aria-label="title">
    <div class="about">
      <h2>{{ title }}</h2>
      <p class="two">{{ notYet || hint }}</p>
    </div>
    <template v-if="person">
      <v-btn v-if="person.presence !== 'here'" class="big" color="primary" variant="flat" @click="emit('presence', 'here')">{{
        $t('Here')
      }}</v-btn>
      <v-btn v-if="person.presence !== 'absent'" class="big" @click="emit('presence', person.at > 0 || person.doing ? 'left' : 'absent')">{{
        person.at > 0 || person.doing ? $t('Has left') : $t('Not here')
      }}</v-btn>
      <v-btn class="big" :class="{ set: needs === 'you' }" @click="emit('needs', needs === 'you' ? null : 'you')">{{
        $t('Needs you')
      }}</v-btn>
      <v-btn class="big" :class="{ set: needs === 'patch' }" @click="emit('needs', needs === 'patch' ? null : 'patch')">{{
        $t('Patch')
      }}</v-btn>
      <v-btn class="big" @click="emit('spare')">{{ spares > 0 ? $t('On a spare, {0} left', spares) : $t('On a spare, none left') }}</v-btn>
      <v-btn class="big" @click="emit('home')">{{ $t('Home as it is') }}</v-btn>
      <v-btn v-if="stage && !notYet" class="big" color="primary" variant="flat" @click="emit('did', stage)">{{
        $t('{0}: done', $t(stage.name))
      }}</v-btn>
    </template>
    <template v-else-if="next">
      <v-btn v-if="clear" class="big" :disabled="!may" @click="emit('past', next)">{{
        $t('No haze: {0}', $t(clear.name).toLowerCase())
      }}</v-btn>
      <v-btn class="big main" color="primary" variant="flat" :disabled="!may" @click="emit('next', next)"><slot /></v-btn>
    </template>
  </section>
</template>
<style scoped>
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-2) var(--s-3);
  align-items: center;
}
.about {
  flex: 1;
  min-width: 200px;
}
.big {
  height: 64px !important;
  font-size: var(--t-text);
}
.main {
  min-width: 240px !important;
}
.set {
  background: var(--watch-wash);
}
</style>
