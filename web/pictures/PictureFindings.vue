<script setup lang="ts">
import { t as tr } from '#core/language'
import { computed } from 'vue'
import { uuidv7 } from 'uuidv7'
import { asOfPictures, judgePicture, ownerName, type PictureContext, type PictureFinding } from '#core/pictures'
import { pictureWord } from '#core/phrases'
import { changed, inWorkshop, type LetteringSuggestion, type Path, type Picture } from '#core/workshop'
import SourceMark from '../ui/SourceMark.vue'
import VerdictShape from '../ui/VerdictShape.vue'
import type { Bench } from '../bench/useBench'

/** What is found in one picture, to be accepted, and lettering that somebody has to confirm. */
const props = defineProps<{ bench: Bench; picture: Picture; name: string; context: PictureContext }>()
const w = computed(() => props.bench.workshop.value!)
const here = computed(() => inWorkshop.pictures(props.picture.id))
const set = <V,>(path: Path<V>, after: NoInfer<V>, label: string) => props.bench.set(path, after, label)
const plan = computed(() => props.bench.plan.value!)
const say = computed(() => props.bench.say.value!)
/** Lettering that nobody has confirmed has its own lines, with its answers. */
const findings = computed(() => judgePicture(props.picture, props.context).filter((f) => f.code !== 'lettering-perhaps'))
const titleOf = (f: PictureFinding): string => {
  const said = asOfPictures(f, { names: ownerName(w.value.group.participants, props.picture, plan.value.seats), count: 1 })
  return said ? say.value.finding(said).title : tr('mirrored: lettering will read right')
}
/** What the measuring took for lettering: confirmed, it is a mark like any other; else it is gone. */
function settle(s: LetteringSuggestion, is: boolean) {
  const { marks = [], suggested = [] } = props.picture
  const { sure: _, ...box } = s
  const rest = suggested.filter((x) => x.id !== s.id)
  props.bench.act('picture-lettering', `${props.name}: ${is ? tr('it is lettering') : tr('no lettering there')}`, [
    changed(here.value.suggested, suggested, rest.length ? rest : null),
    ...(is ? [changed(here.value.marks, props.picture.marks, [...marks, { ...box, id: uuidv7(), what: 'lettering' }])] : []),
  ])
}
const accept = (code: string) => set(here.value.accepted(code), code, tr('{0}: looked at, and fine', props.name))
</script>
<template>
  <ul v-if="findings.length || picture.suggested?.length" class="findings">
    <li v-for="f in findings" :key="f.code">
      <VerdictShape :state="f.level === 'stop' ? 'stop' : f.level === 'look' ? 'look' : 'settled'" :size="17" /><span
        >{{ titleOf(f) }} <SourceMark :mark="f.mark" /></span
      ><v-btn
        v-if="f.level === 'look' && f.code !== 'not-permitted'"
        :aria-label="$t('Accept: {0}', pictureWord(f))"
        @click="accept(f.code)"
        >{{ $t('It is fine') }}</v-btn
      >
    </li>
    <li v-for="(s, i) in picture.suggested" :key="s.id">
      <i class="box" aria-hidden="true" />
      <span
        >{{ s.sure === 'likely' ? $t('Probably lettering') : $t('Perhaps lettering') }} <SourceMark mark="E" />{{ ' '
        }}<span class="small two">{{ $t('tilted, joined or tiny letters are not seen: look yourself') }}</span></span
      ><span class="inline"
        ><v-btn :aria-label="$t('Place {0} is lettering', i + 1)" @click="settle(s, true)">{{ $t('It is') }}</v-btn
        ><v-btn :aria-label="$t('Place {0} is not lettering', i + 1)" @click="settle(s, false)">{{ $t('It is not') }}</v-btn></span
      >
    </li>
  </ul>
</template>
<style scoped>
.findings {
  list-style: none;
  padding: 0;
  margin: 0;
  border-top: 1px solid var(--rule);
}
.findings li {
  display: grid;
  grid-template-columns: 17px 1fr auto;
  gap: var(--s-2);
  align-items: center;
  border-bottom: 1px solid var(--rule);
  min-height: 40px;
}
.box {
  width: 15px;
  height: 11px;
  border: 2px dashed var(--watch);
}
</style>
