import { mkdir, readdir, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const prefix = 'imprenta-uploads-'

/** A folder of this process for files that are being read. Those of processes that are gone are removed with all that was left
 *  in them: an original may say where it was taken. */
export async function uploadsFolder(root = tmpdir()): Promise<string> {
  const left = (await readdir(root)).filter((name) => name.startsWith(prefix))
  for (const name of left) if (!isRunning(Number(name.slice(prefix.length)))) await rm(join(root, name), { recursive: true, force: true })
  const mine = join(root, `${prefix}${process.pid}`)
  await mkdir(mine, { recursive: true, mode: 0o700 })
  return mine
}

function isRunning(pid: number): boolean {
  if (!Number.isInteger(pid) || pid <= 0) return false
  try {
    process.kill(pid, 0)
    return true
  } catch (e) {
    return (e as NodeJS.ErrnoException).code === 'EPERM' // it is somebody else's, and runs
  }
}
