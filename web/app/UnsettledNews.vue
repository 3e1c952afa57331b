<script setup lang="ts">
import { inWorkshop, pathText } from '#core/workshop'
import { computed } from 'vue'
import type { Unsettled } from '#core/desk'
import { sayField, sayValue } from '#core/phrases'
import { useDesk } from './desk'

/** What waits for a person: somebody else was first, or something cannot be. Both texts stand whole; nothing goes by itself. */
const desk = useDesk()
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
const rows = computed(() =>
  desk.unsettled.map((u) => {
    const doc = u.command.subject.kind === 'workshop' ? desk.workshop(u.command.subject.id) : undefined
    const typed = u.command.changes[0]!.after
    return {
      u,
      title: doc?.title ?? '',
      text: typeof typed === 'string' && typed !== '' ? typed : '',
      fields: (u.clashes ?? []).slice(0, 3).map((c) => ({
        path: c.path,
        field: capital(sayField(c.path, doc)),
        gone: c.stored === null && c.yours !== null && !!doc && sayField(c.path, doc).includes('is gone'),
        yours:
          c.path === pathText(inWorkshop.group.participants) && u.command.intent?.kind === 'headcount'
            ? String(u.command.intent.args.people)
            : sayValue(c.yours),
        theirs: sayValue(c.stored),
      })),
      more: Math.max(0, (u.clashes?.length ?? 0) - 3),
      where: u.error?.path ? capital(sayField(u.error.path.replace(/\./g, '/'), doc)) : '',
    }
  }),
)
const settle = (u: Unsettled, mine: boolean) => desk.settle(u, mine)
</script>
<template>
  <section class="news" role="alert">
    <div v-for="r in rows" :key="r.u.command.id" class="row">
      <p>
        <template v-if="r.u.clashes">
          <template v-for="f in r.fields" :key="f.path">
            <b>{{ f.field }}:</b>
            {{ f.gone ? $t('it went meanwhile. You had') : $t('somebody else was first. Yours') }} <q>{{ f.yours }}</q><template
              v-if="!f.gone"
              >{{ $t(', theirs') }} <q>{{ f.theirs }}</q></template
            >.
          </template>
          {{ $t('{0} Theirs stands; yours is kept until you choose.', r.more ? $t('And {0} more.', r.more) : '') }}
        </template>
        <template v-else-if="r.u.error">
          <b>{{ r.where || capital(r.u.label) }}</b> {{ $t('was not taken: {0}. {1}', r.u.error.what, r.u.error.remedy) }}
          <template v-if="r.text">
            {{ $t('You had written') }} <q>{{ r.text }}</q>.
          </template>
        </template>
        {{ r.title && `(${r.title})` }}
      </p>
      <span class="ways">
        <template v-if="r.u.clashes">
          <v-btn @click="settle(r.u, false)">{{ $t('Keep theirs') }}</v-btn>
          <v-btn @click="settle(r.u, true)">{{ $t('Put back mine') }}</v-btn>
        </template>
        <v-btn v-else @click="settle(r.u, false)">{{ $t('Understood') }}</v-btn>
      </span>
    </div>
  </section>
</template>
<style scoped>
.news {
  background: var(--watch-wash);
  padding: var(--s-2) var(--s-page);
  border-bottom: 2px solid var(--watch);
  max-height: 40vh;
  overflow-y: auto;
}
.row {
  display: flex;
  gap: var(--s-4);
  align-items: center;
  justify-content: space-between;
  padding: var(--s-1) 0;
}
.row p {
  margin: 0;
  overflow-wrap: anywhere;
}
.ways {
  display: flex;
  gap: var(--s-2);
  flex: none;
}
@media (max-width: 760px) {
  .row {
    flex-direction: column;
    align-items: flex-start;
  }
}
</style>
