<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { t as tr } from '#core/language'
import { computed, onMounted, ref } from 'vue'
import { fileKey, ownerName, ownersNamed, type RosterOwners } from '#core/pictures'
import type { RosterPreview } from '#core/roster'
import type { Plan } from '#core/plan'
import type { Workshop } from '#core/workshop'
import { api, Refused } from '../app/api'
import { useUploads } from './uploads'

/** Brings pictures in: dropped (files or a folder), pasted or chosen; each with its progress, to be stopped or tried again. */
const props = defineProps<{ workshop: Workshop; design: string; seats: Plan['seats'] }>()
const uploads = useUploads()
const mine = computed(() => uploads.of(props.workshop.id))
const doubles = computed(() => uploads.doubles.filter((d) => d.workshop === props.workshop.id))
const over = ref(false)
const input = ref<HTMLInputElement>()
let owner: string | null | undefined

function choose(who?: string | null) {
  owner = who
  input.value?.click()
}
function chosen(e: Event) {
  const field = e.target as HTMLInputElement
  const files = [...(field.files ?? [])]
  field.value = ''
  if (files.length) void bring(owner ? files.slice(0, 1) : files, owner)
}
/** A roster among the files says whose the others are. */
const fromRoster = ref<{ file: string; found: number; absent: string[]; unclear: string[] }>()
const rosterProblem = ref('')
const isRoster = (f: File) => /\.(csv|tsv|txt)$/i.test(f.name)
async function bring(files: File[], who?: string | null) {
  const rosters = files.filter(isRoster)
  const pictures = files.filter((f) => !isRoster(f))
  fromRoster.value = undefined
  rosterProblem.value = ''
  let said: RosterOwners | undefined
  let roster: File | undefined
  for (const file of rosters) {
    said = await readOwners(file)
    roster = file
    if (said) break
  }
  if (roster && said) {
    rosterProblem.value = ''
    const here = new Set(pictures.map((f) => fileKey(f.name)))
    const found = [...said.owners.keys()].filter((k) => here.has(k)).length
    fromRoster.value = { file: roster.name, found, absent: said.files.filter((f) => !here.has(fileKey(f))), unclear: said.unclear }
  }
  if (pictures.length) await uploads.add(props.workshop, pictures, who, said?.owners, props.design)
}
async function readOwners(roster: File): Promise<RosterOwners | undefined> {
  try {
    // A server that hangs does not hold the pictures up.
    const read = await api.lookAtRoster<RosterPreview>(await roster.text(), {}, AbortSignal.timeout(8000))
    if (read.good.some((g) => g.picture && g.name)) return ownersNamed(read.good, props.workshop.group.participants)
    rosterProblem.value = tr('{0} names no pictures. Give it the columns “name” and “picture”, the file’s name in the second.', roster.name)
  } catch (e) {
    rosterProblem.value = tr(
      '{0} could not be read: {1} The pictures came in by their own names.',
      roster.name,
      e instanceof Refused ? `${e.problem.what} ${e.problem.remedy}` : tr('the server does not answer.'),
    )
  }
  return undefined
}
const few = (list: readonly string[]) => `${list.slice(0, 3).join(', ')}${list.length > 3 ? tr(' and {0} more', list.length - 3) : ''}`
async function dropped(e: DragEvent) {
  over.value = false
  const items = [...(e.dataTransfer?.items ?? [])]
  const entries = items.flatMap((i) => i.webkitGetAsEntry() ?? [])
  const files = entries.length ? (await Promise.all(entries.map(filesIn))).flat() : [...(e.dataTransfer?.files ?? [])]
  if (files.length) await bring(files)
}
/** Everything in a folder, and in its folders. */
async function filesIn(entry: FileSystemEntry): Promise<File[]> {
  if (entry.isFile) return [await new Promise<File>((ok, no) => (entry as FileSystemFileEntry).file(ok, no))]
  const reader = (entry as FileSystemDirectoryEntry).createReader()
  const all: FileSystemEntry[] = []
  for (;;) {
    const some = await new Promise<FileSystemEntry[]>((ok, no) => reader.readEntries(ok, no))
    if (some.length === 0) break
    all.push(...some)
  }
  return (await Promise.all(all.filter((x) => !x.name.startsWith('.')).map(filesIn))).flat()
}
function pasted(e: ClipboardEvent) {
  const files = [...(e.clipboardData?.files ?? [])]
  if (files.length) void bring(files)
}
useEventListener(window, 'paste', pasted)
onMounted(() => void uploads.resume())
const who = (id: string) => {
  const participant = props.workshop.pictures?.find((p) => p.id === id)?.participant ?? null
  return participant ? `${ownerName(props.workshop.group.participants, { participant }, props.seats)}’s` : tr('a house picture')
}
const failed = computed(() => mine.value.filter((u) => u.state === 'failed').length)
const done = computed(() => mine.value.reduce((sum, u) => sum + u.sent, 0))
defineExpose({ choose })
const foundText = computed(() => {
  const n = fromRoster.value?.found ?? 0
  return tr('{0} {1} found {2}', n, n === 1 ? tr('picture') : tr('pictures'), n === 1 ? tr('its owner') : tr('their owners'))
})
</script>
<template>
  <div class="drop" :class="{ over }" @dragover.prevent="over = true" @dragleave="over = false" @drop.prevent="dropped">
    <slot />
    <input
      ref="input"
      class="sr"
      type="file"
      multiple
      accept="image/*,.csv,.tsv,.txt"
      :aria-label="$t('Pictures to bring in')"
      tabindex="-1"
      @change="chosen"
    />
    <div v-if="fromRoster || rosterProblem" class="list" role="status">
      <p v-if="fromRoster" class="small">
        <b>{{ foundText }}</b>
        {{ $t('in {0}.', fromRoster.file) }}
        <span v-if="fromRoster.absent.length" class="watch">{{ $t('Not among the files: {0}.', few(fromRoster.absent)) }}</span>{{ ' ' }}
        <span v-if="fromRoster.unclear.length" class="watch">{{ $t('Not one person in the group: {0}.', few(fromRoster.unclear)) }}</span>
      </p>
      <p v-else class="small watch">{{ rosterProblem }}</p>
    </div>
    <div v-if="mine.length || doubles.length" class="list" role="status">
      <p v-if="mine.length" class="small">
        <b>{{ $t('{0} on {1} way', mine.length, mine.length === 1 ? $t('its') : $t('their')) }}</b>,
        {{ Math.round((100 * done) / mine.length) }} %.
        {{
          mine.every((u) => u.kept)
            ? $t('They are kept in this browser until they are in.')
            : $t('This browser has no room to keep them all: leave this page open until they are in.')
        }}
        <v-btn v-if="failed" @click="uploads.retry(workshop.id)">{{ $t('Try again') }}</v-btn>
      </p>
      <ul v-if="mine.length">
        <li v-for="u in mine" :key="u.id">
          <span class="ellipsis">{{ u.name }}</span>
          <span v-if="u.state === 'refused' || u.state === 'failed'" class="small" :class="u.state === 'refused' ? 'stop' : 'watch'"
            ><b>{{ u.problem?.what }}</b> {{ u.problem?.remedy }}</span
          ><span
            v-else
            class="bar"
            role="progressbar"
            :aria-label="u.name"
            :aria-valuenow="Math.round(u.sent * 100)"
            aria-valuemin="0"
            aria-valuemax="100"
            ><i :style="{ width: `${Math.round(u.sent * 20) * 5}%` }"
          /></span>
          <v-btn :aria-label="`${u.state === 'refused' ? $t('Put aside') : $t('Stop')}: ${u.name}`" @click="uploads.drop(u.id)">{{
            u.state === 'refused' ? $t('Put aside') : $t('Stop')
          }}</v-btn>
        </li>
      </ul>
      <p v-for="d in doubles" :key="d.name" class="small watch">
        {{ $t('{0} shows the same as {1}.', d.name, who(d.sameAs)) }} <v-btn @click="uploads.seen(workshop.id)">{{ $t('I see') }}</v-btn>
      </p>
    </div>
  </div>
</template>
<style scoped>
.drop.over {
  outline: 2.5px dashed var(--ink);
  outline-offset: 6px;
  background: var(--wash);
}
.list {
  border-top: 1px solid var(--edge);
  margin-top: var(--s-2);
  padding-top: var(--s-2);
}
ul {
  list-style: none;
  padding: 0;
  margin: var(--s-1) 0 0;
  max-height: 240px;
  overflow-y: auto;
}
li {
  display: grid;
  grid-template-columns: minmax(100px, 1fr) 2fr auto;
  gap: var(--s-2);
  align-items: center;
  border-bottom: 1px solid var(--rule);
}
.bar {
  height: 10px;
  border: 1.5px solid var(--text-2);
}
.bar i {
  display: block;
  height: 100%;
  background: var(--ink);
}
</style>
