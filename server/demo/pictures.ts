import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type pg from 'pg'
import pLimit from 'p-limit'
import sharp from 'sharp'
import { demoPictures } from '#core/demo'
import { inTransaction, maybeOne } from '../db/query'
import { loadWorkshop } from '../desk/documents'
import { develop } from '../pictures/develop'
import { storePicture } from '../pictures/pictures'
import { drawnSvg } from './drawn'

/** Draws the demo's pictures and brings them in the way everybody's come in; those that are there, or whose workshop has no place
 *  for them any more, are left out. Answers with how many were made. */
export async function seedPictures(pool: pg.Pool, at: string): Promise<number> {
  const folder = await mkdtemp(join(tmpdir(), 'imprenta-demo-'))
  let made = 0
  try {
    const inTurn = pLimit(2)
    await Promise.all(
      demoPictures.map((d) =>
        inTurn(async () => {
          const body = (await loadWorkshop(pool, d.workshop))?.body
          const known = await maybeOne<{ id: string }>(pool, 'select id from picture where id = $1', [d.picture.id])
          if (known || !body?.pictures?.some((p) => p.id === d.picture.id)) return
          const path = join(folder, d.picture.id)
          const { width, height } = d.picture
          await writeFile(
            path,
            await sharp(Buffer.from(drawnSvg(d.motif, width, height)))
              .png({ compressionLevel: 1 })
              .toBuffer(),
          )
          const developed = await develop(path, d.name)
          const row = { id: d.picture.id, workshop: body, name: d.name, at: at.replace(/\[.*/, '') }
          await inTransaction(pool, (db) => storePicture(db, row, developed))
          made++
        }),
      ),
    )
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
  return made
}
