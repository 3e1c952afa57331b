import { Router } from 'express'
import type { Crew } from '../crew/crew'
import { fileKinds } from './files'

/** Looks at files without taking anything in. */
export function importRoutes(crew: Crew): Router {
  const router = Router()
  for (const kind of fileKinds)
    router.post(`/imports/${kind}`, async (req, res) => {
      res.json(await crew.run('file', { kind, body: req.body as unknown }, res))
    })
  return router
}
