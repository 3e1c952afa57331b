<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { judgePicture, pictureOf, picturesOf, type PictureContext, type PictureFinding } from '#core/pictures'
import { pictureWord } from '#core/phrases'
import type { Plan } from '#core/plan'
import { makersOf, type Picture, type Workshop } from '#core/workshop'
import VerdictShape from '../ui/VerdictShape.vue'
import CroppedPicture from './CroppedPicture.vue'

/** The group's pictures, a tile each with at most one finding, and who is missing. Arrows walk; what is chosen is shown below. */
const props = defineProps<{
  workshop: Workshop
  design: string
  context: PictureContext
  surface: string
  chosen: string
  names: Record<string, string>
  seats: Plan['seats']
}>()
const emit = defineEmits<{ choose: [string]; bring: [string | null] }>()

interface Tile {
  key: string
  name: string
  participant: string | null
  picture?: Picture
  finding?: PictureFinding
}
const own = computed(() => props.workshop.designs.find((d) => d.id === props.design)!.pictures === 'own')
const worst = (p: Picture) => judgePicture(p, props.context).find((f) => f.level !== 'note')
const tiles = computed((): Tile[] => {
  const makers = makersOf(
    props.workshop,
    props.workshop.designs.find((d) => d.id === props.design)!,
  )
  const all = picturesOf(props.workshop, props.design)
  const people = own.value
    ? makers.map((p): Tile => {
        const picture = pictureOf(props.workshop, p.id, props.design)
        const finding = picture && worst(picture)
        return {
          key: p.id,
          name: p.name ?? tr('Seat {0}', props.seats[p.id]),
          participant: p.id,
          ...(picture && { picture }),
          ...(finding && { finding }),
        }
      })
    : []
  const shown = new Set(people.map((t) => t.picture?.id))
  const rest = all
    .filter((p) => !shown.has(p.id))
    .map((p, i): Tile => {
      const finding = worst(p)
      return { key: p.id, name: props.names[p.id] || tr('House {0}', i + 1), participant: null, picture: p, ...(finding && { finding }) }
    })
  return [...people, ...rest]
})
const word = { look: 'watch', stop: 'stop', fine: 'ok', note: 'two' } as const
const shape = { look: 'look', stop: 'stop', fine: 'settled', note: 'settled' } as const
const side = computed(() => {
  const { widthMm: w, heightMm: h } = props.context.print
  const k = Math.min(82 / w, 60 / h)
  return { w: Math.round(w * k), h: Math.round(h * k) }
})
function walk(e: KeyboardEvent) {
  const all = [...(e.currentTarget as HTMLElement).querySelectorAll<HTMLElement>('button')]
  // As many as stand in the first row.
  const below = all.findIndex((t) => t.offsetTop > all[0]!.offsetTop)
  const row = below > 0 ? below : 6
  const by = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -row, ArrowDown: row }[e.key]
  if (by === undefined) return
  e.preventDefault()
  all[Math.min(all.length - 1, Math.max(0, all.indexOf(document.activeElement as HTMLElement) + by))]?.focus()
}
defineExpose({ tiles })
</script>
<template>
  <div class="sheet" :class="{ long: tiles.length > 24 }" role="group" :aria-label="$t('Pictures of the group')" @keydown="walk">
    <button
      v-for="t in tiles"
      :key="t.key"
      type="button"
      class="plain tile"
      :class="{ on: t.picture?.id === chosen }"
      :aria-pressed="t.picture ? t.picture.id === chosen : undefined"
      :aria-label="`${t.name}: ${t.picture ? (t.finding ? pictureWord(t.finding) : $t('in')) : $t('not in yet, bring it in')}`"
      @click="t.picture ? emit('choose', t.picture.id) : emit('bring', t.participant)"
    >
      <span class="frame" :class="{ empty: !t.picture }"
        ><CroppedPicture
          v-if="t.picture"
          :workshop="workshop.id"
          :picture="t.picture"
          :print="context.print"
          :width="side.w"
          :height="side.h"
          :finding="t.finding"
          :surface="surface"
          :outline="context.outline"
        /><i v-else class="plus" aria-hidden="true">+</i></span
      >
      <b class="name">{{ t.name }}</b>
      <span v-if="t.finding" class="small word" :class="word[t.finding.level]"
        ><VerdictShape :state="shape[t.finding.level]" :size="13" />{{ pictureWord(t.finding) }}</span
      ><span v-else-if="!t.picture" class="small two">{{ $t('not in yet') }}</span>
    </button>
  </div>
</template>
<style scoped>
.sheet {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(84px, 1fr));
  gap: var(--s-2) var(--s-2);
  border-top: 2px solid var(--text);
  padding-top: var(--s-2);
}
/* So many that what is chosen would lie far below: they scroll by themselves. */
.long {
  max-height: max(360px, 48vh);
  overflow-y: auto;
  padding: var(--s-2) var(--s-1) var(--s-1);
  margin: 0 -5px;
  border-bottom: 1px solid var(--edge);
}
.tile {
  display: grid;
  gap: 1px;
  justify-items: start;
  align-content: start;
  text-align: start;
  min-height: 92px;
  padding: 2px;
}
.tile:hover {
  background: var(--wash);
}
.tile.on {
  box-shadow: 0 0 0 3px var(--ink);
}
.frame {
  width: 84px;
  height: 62px;
  display: grid;
  place-items: center;
  background: #fff;
  border: 1px solid var(--edge);
}
.frame.empty {
  background: none;
  border: 1.5px dashed var(--edge);
}
.plus {
  font: 400 var(--t-big)/1 var(--f-text);
  color: var(--text-2);
}
.name {
  line-height: 1.2;
  max-width: 88px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.word {
  display: inline-flex;
  gap: var(--s-1);
  align-items: center;
  font-weight: 700;
}
</style>
