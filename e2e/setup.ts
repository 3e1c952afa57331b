import { spawn } from 'node:child_process'
import { freePort, startCluster } from '../server/testing/cluster'

/** A cluster and a built server, started as bin/demo starts it, of the journeys' own, the clock fixed at Friday 15 May 2026, 3 pm in New York,
 *  unless IMPRENTA_E2E_NOW says another moment. */
export default async function setup(durable: unknown = false): Promise<() => void> {
  const cluster = await startCluster(durable === true)
  const port = await freePort()
  const env = {
    ...process.env,
    MALLOC_ARENA_MAX: '2',
    MALLOC_MMAP_THRESHOLD_: '262144',
    MALLOC_TRIM_THRESHOLD_: '262144',
    DATABASE_URL: cluster.url,
    PORT: String(port),
    IMPRENTA_NOW: process.env['IMPRENTA_E2E_NOW'] ?? '2026-05-15T15:00:00-04:00[America/New_York]',
  }
  const server = spawn('node', ['dist/server/main.js'], { env, stdio: ['ignore', 'pipe', 'inherit'] })
  await new Promise<void>((resolve, reject) => {
    server.stdout.on('data', (d: Buffer) => d.toString().includes('Imprenta is at') && resolve())
    server.on('exit', (code) => reject(new Error(`the server ended with ${code}`)))
  })
  process.env['IMPRENTA_URL'] = `http://127.0.0.1:${port}`
  process.env['IMPRENTA_SERVER_PID'] = String(server.pid)
  process.env['IMPRENTA_E2E_DATABASE'] = cluster.url
  let ended = false
  const end = () => {
    if (ended) return
    ended = true
    server.removeAllListeners('exit')
    server.kill('SIGKILL')
    cluster.stop()
  }
  // A command that fails half-way leaves neither running: they would hold its output open.
  process.once('exit', end)
  return end
}
