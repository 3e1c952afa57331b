import { t as tr } from '#core/language'
import { openDB, type IDBPDatabase } from 'idb'
import { defineStore } from 'pinia'
import { ref } from 'vue'
import { uuidv7 } from 'uuidv7'
import { fileKey, ownerOf, picturesOf, type RosterOwners, type Suggestion } from '#core/pictures'
import { dateOf } from '#core/time'
import { changed, firstDesign, inWorkshop, type Picture, type Workshop } from '#core/workshop'
import type { Problem } from '../app/api'
import { useDesk } from '../app/desk'

/** A picture on its way: kept in this browser until the server has it and the workshop has a place for it. */
export interface Upload {
  id: string
  workshop: string
  name: string
  participant: string | null
  /** The design it is for; the first where nothing is said. */
  design?: string
  /** Share that is sent. */
  sent: number
  state: 'waiting' | 'sending' | 'failed' | 'refused'
  /** This browser had room to keep it: a reload does not lose it. */
  kept: boolean
  problem?: Problem
  /** The same pixels are in already, under this id. */
  sameAs?: string
}
interface Kept {
  id: string
  workshop: string
  participant: string | null
  design?: string
  name: string
  file: Blob
}
interface Answer {
  picture: {
    id: string
    width: number
    height: number
    detail: number | null
    pale: number | null
    lettering?: Suggestion[]
    sameAs: string | null
  }
}

let db: Promise<IDBPDatabase> | undefined
const open = () => (db ??= openDB('imprenta-uploads', 1, { upgrade: (d) => void d.createObjectStore('files', { keyPath: 'id' }) }))
/** Files that this browser had no room for: they are sent from memory while the page stays open. */
const unkept = new Map<string, Kept>()
async function keep(kept: Kept): Promise<boolean> {
  try {
    await (await open()).put('files', kept)
    return true
  } catch (e) {
    db = undefined
    console.warn(`no room to keep ${kept.name} in this browser`, e)
    unkept.set(kept.id, kept)
    return false
  }
}
/** So many are sent at once. */
const atOnce = 2

/** Pictures on their way in: sent two at a time, with progress; a lost connection or a reload loses none, a refused one says why
 *  and stays until it is dismissed. */
export const useUploads = defineStore('uploads', () => {
  const desk = useDesk()
  const list = ref<Upload[]>([])
  /** What was said of pictures that came in twice. */
  const doubles = ref<{ workshop: string; name: string; sameAs: string }[]>([])
  const sending = new Map<string, XMLHttpRequest>()
  const of = (workshop: string) => list.value.filter((u) => u.workshop === workshop)

  /** `owner`: whose all of them are; else `named` says (a roster's file column), else the files' own names. `design`: what for. */
  async function add(
    workshop: Workshop,
    files: readonly File[],
    owner?: string | null,
    named?: RosterOwners['owners'],
    design = firstDesign(workshop).id,
  ): Promise<void> {
    const people = workshop.group.participants
    const seats = desk.plan(workshop.id)?.seats
    const taken = new Set(picturesOf(workshop, design).map((p) => p.participant))
    const forIt = design !== firstDesign(workshop).id && { design }
    for (const file of files) {
      const told = owner === undefined ? named?.get(fileKey(file.name)) : owner
      const found = told === undefined ? ownerOf(file.name, people, seats) : told
      const participant = found && told === undefined && taken.has(found) ? null : found
      if (participant) taken.add(participant)
      const kept: Kept = { id: uuidv7(), workshop: workshop.id, participant, ...forIt, name: file.name, file }
      const isKept = await keep(kept)
      list.value.push({
        id: kept.id,
        workshop: workshop.id,
        name: file.name,
        participant,
        ...forIt,
        sent: 0,
        state: 'waiting',
        kept: isKept,
      })
    }
    void next()
  }

  /** What an earlier visit left on its way. */
  async function resume(): Promise<void> {
    const kept = (await (await open()).getAll('files')) as Kept[]
    for (const k of kept)
      if (!list.value.some((u) => u.id === k.id))
        list.value.push({
          id: k.id,
          workshop: k.workshop,
          name: k.name,
          participant: k.participant,
          ...(k.design !== undefined && { design: k.design }),
          sent: 0,
          state: 'waiting',
          kept: true,
        })
    void next()
  }

  async function next(): Promise<void> {
    const waiting = list.value.find((u) => u.state === 'waiting')
    if (!waiting || list.value.filter((u) => u.state === 'sending').length >= atOnce) return
    waiting.state = 'sending'
    const kept = unkept.get(waiting.id) ?? ((await (await open()).get('files', waiting.id)) as Kept | undefined)
    // Stopped meanwhile: nothing is sent.
    if (!list.value.some((u) => u.id === waiting.id)) return void next()
    if (!kept) return drop(waiting.id)
    post(waiting, kept)
    void next()
  }

  function post(upload: Upload, kept: Kept): void {
    const request = new XMLHttpRequest()
    sending.set(upload.id, request)
    const form = new FormData()
    form.append('file', kept.file, kept.name)
    request.open('POST', `/api/workshops/${upload.workshop}/pictures/${upload.id}`)
    request.responseType = 'json'
    const mine = () => list.value.find((u) => u.id === upload.id)
    request.upload.onprogress = (e) => {
      const u = mine()
      if (u && e.lengthComputable) u.sent = e.loaded / e.total
    }
    request.onload = () => {
      const body = request.response as Answer | { error: Problem } | null
      if (request.status < 300 && body && 'picture' in body) void arrived(upload, body)
      else
        fail(
          upload.id,
          request.status >= 400 && request.status < 500 ? 'refused' : 'failed',
          body && 'error' in body ? body.error : undefined,
        )
    }
    request.onerror = () => fail(upload.id, 'failed')
    request.onloadend = () => {
      sending.delete(upload.id)
      void next()
    }
    request.send(form)
  }

  function fail(id: string, state: 'failed' | 'refused', problem?: Problem): void {
    const u = list.value.find((x) => x.id === id)
    if (!u) return
    u.state = state
    u.problem = problem ?? { what: tr('The connection was lost.'), path: 'file', remedy: tr('It is kept here: press “try again”.') }
  }

  /** The server has it: now the workshop gets a place for it, and this browser forgets the file. */
  async function arrived(upload: Upload, { picture: p }: Answer): Promise<void> {
    // A file may have waited since an earlier visit, and its workshop not be open here.
    if (desk.coming(upload.workshop)) await desk.refresh({ kind: 'workshop', id: upload.workshop })
    const workshop = desk.workshop(upload.workshop)
    if (workshop && !workshop.pictures?.some((x) => x.id === p.id)) {
      const after: Picture = {
        id: p.id,
        participant: upload.participant,
        ...(upload.design !== undefined && { design: upload.design }),
        width: p.width,
        height: p.height,
        ...(p.detail !== null && { detail: Number(p.detail.toFixed(3)) }),
        ...(p.pale !== null && { pale: Number(p.pale.toFixed(3)) }),
        ...(p.lettering?.length && { suggested: p.lettering.map((s, i) => ({ id: `s${i + 1}`, ...s })) }),
        permitted: upload.participant === null,
        addedOn: dateOf(desk.now),
        deleteOn: null,
      }
      const owner = workshop.group.participants.find((x) => x.id === upload.participant)
      desk.act({
        kind: 'picture-in',
        label: tr('{0} picture came in', owner ? (owner.name ?? tr('seat {0}', owner.seat)) : tr('a house')),
        subject: { kind: 'workshop', id: workshop.id },
        changes: [changed(inWorkshop.pictures(p.id), null, after)],
      })
    }
    if (p.sameAs) doubles.value.push({ workshop: upload.workshop, name: upload.name, sameAs: p.sameAs })
    await drop(upload.id)
  }

  async function drop(id: string): Promise<void> {
    sending.get(id)?.abort()
    list.value = list.value.filter((u) => u.id !== id)
    if (!unkept.delete(id)) await (await open()).delete('files', id)
  }

  function retry(workshop: string): void {
    for (const u of of(workshop)) if (u.state === 'failed') Object.assign(u, { state: 'waiting', sent: 0, problem: undefined })
    void next()
  }
  const seen = (workshop: string) => (doubles.value = doubles.value.filter((d) => d.workshop !== workshop))

  return { list, doubles, of, add, resume, drop, retry, seen }
})
