import { unlink } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { Router, type RequestHandler } from 'express'
import pLimit from 'p-limit'
import multer from 'multer'
import type pg from 'pg'
import * as v from 'valibot'
import { BadInput, readInput } from '#core/reasons'
import { actorOf, idIn } from '../addresses'
import type { Clock } from '../clock'
import type { Crew } from '../crew/crew'
import { inTransaction } from '../db/query'
import { loadHouse, loadWorkshop } from '../desk/documents'
import { NotFound } from '../errors'
import { erasePicture } from '../forgetting/forgetting'
import { loadBytes, loadPicture, loadPictures, storePicture, takenId, type PictureSize } from './pictures'

/** A file may be so large. */
const mostMb = 40
const idOf = v.object({ picture: v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,64}$/, 'not an id | Use small letters, digits and hyphens.')) })

/** Pictures of a workshop: brought in one by one, served only to it, erased for good. */
export function pictureRoutes(pool: pg.Pool, clock: Clock, crew: Crew, folder = tmpdir()): Router {
  const router = Router()
  const upload = multer({ dest: folder, limits: { fileSize: mostMb * 1e6, files: 1, fields: 2, parts: 4 } }).single('file')
  const inTurn = pLimit(1)

  router.get('/workshops/:id/pictures', async (req, res) => {
    res.json({ pictures: await loadPictures(pool, idIn(req.params.id)) })
  })

  router.post('/workshops/:id/pictures/:picture', received(upload), async (req, res) => {
    const file = req.file
    try {
      const { picture } = readInput(idOf, req.params)
      const workshop = (await loadWorkshop(pool, idIn(req.params['id'])))?.body
      const house = workshop && (await loadHouse(pool, workshop.houseId))?.body
      if (!workshop || !house) throw new NotFound('This workshop is not here any more.')
      const before = await loadPicture(pool, workshop.id, picture)
      if (before) return void res.json({ picture: before })
      const taken = await takenId(pool, picture)
      if (taken) throw new BadInput(taken, 'picture', 'Bring the picture in again.')
      if (!file) throw new BadInput('No file came with it.', 'file', 'Choose the picture again.')
      const name = plainName(file.originalname)
      const at = clock.now(house.timeZone).replace(/\[.*/, '')
      await inTurn(async () => {
        const developed = await crew.run('develop', { path: file.path, name }, res)
        await inTransaction(pool, (db) => storePicture(db, { id: picture, workshop, name, at }, developed))
      })
      res.status(201).json({ picture: await loadPicture(pool, workshop.id, picture) })
    } finally {
      if (file) await unlink(file.path).catch(() => undefined) // gone already: nothing is left either way
    }
  })

  router.get('/workshops/:id/pictures/:picture/:size', async (req, res) => {
    const size = /^(full|view|thumb)\.jpg$/.exec(req.params.size)?.[1] as PictureSize | undefined
    const found = size && (await loadBytes(pool, idIn(req.params.id), idIn(req.params.picture), size))
    if (!found) throw new NotFound('This picture is not here any more.')
    // It never changes under its id, but it can be erased: no copy outlives the visit.
    res.type('image/jpeg').setHeader('cache-control', 'private, max-age=600')
    res.send(found.bytes)
  })

  router.delete('/workshops/:id/pictures/:picture', async (req, res) => {
    const [id, picture] = [idIn(req.params.id), idIn(req.params.picture)]
    const house = await loadHouse(pool, (await loadWorkshop(pool, id))?.body.houseId ?? '')
    if (!house) throw new NotFound('This workshop is not here any more.')
    const at = clock.now(house.body.timeZone)
    const actor = actorOf(req.get('x-actor'))
    const gone = await erasePicture(pool, id, picture, { actor, at, why: 'by hand' })
    if (!gone) throw new NotFound('This picture is not here any more.')
    res.json({ erased: true })
  })

  return router
}

/** Multer's own complaints as ours; a full disk as what it is. */
const received =
  (upload: RequestHandler): RequestHandler =>
  (req, res, next) =>
    void upload(req, res, (e: unknown) => {
      if (!(e instanceof multer.MulterError)) return next(e)
      next(
        e.code === 'LIMIT_FILE_SIZE'
          ? new BadInput(`That file is larger than ${mostMb} MB.`, 'file', 'Save it as JPEG, or smaller: 4000 pixels a side are plenty.')
          : new BadInput('One picture at a time, please.', 'file', 'Send each picture on its own.'),
      )
    })

/** A file's name without folders, in the letters that it was written in. Multipart headers come as Latin-1. */
function plainName(raw: string): string {
  const utf8 = Buffer.from(raw, 'latin1').toString('utf8')
  const name = utf8.includes('\uFFFD') ? raw : utf8
  const last = name.split(/[\\/]/).at(-1) ?? ''
  // Control characters and marks that turn text round have no place in a name.
  return (
    last
      .replace(/[\p{Cc}\p{Cf}]/gu, '')
      .trim()
      .slice(0, 200) || 'picture'
  )
}
