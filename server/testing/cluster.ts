import { execFileSync } from 'node:child_process'
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, chownSync, chmodSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
export const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => resolve(port))
    })
  })

export interface Cluster {
  url: string
  stop: () => void
  /** Starts it again after {@link Cluster.kill}, which ends it as a power cut would. */
  start: () => void
  kill: () => void
}

/** A PostgreSQL of the tests' own, on loopback, thrown away afterwards; `durable` keeps what a demo keeps through a power cut. */
export async function startCluster(durable = false): Promise<Cluster> {
  const version = readdirSync('/usr/lib/postgresql').sort((a, b) => Number(b) - Number(a))[0]!
  const bin = (name: string) => `/usr/lib/postgresql/${version}/bin/${name}`
  const folder = mkdtempSync(join(tmpdir(), 'imprenta-test-'))
  const root = process.getuid?.() === 0
  if (root) {
    const id = (flag: string) => Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }))
    chownSync(folder, id('-u'), id('-g'))
    chmodSync(folder, 0o700)
  }
  const call = (name: string, args: string[]) =>
    root
      ? execFileSync('runuser', ['-u', 'postgres', '--', bin(name), ...args], { cwd: folder, stdio: 'ignore' })
      : execFileSync(bin(name), args, { cwd: folder, stdio: 'ignore' })
  const data = join(folder, 'data')
  const port = await freePort()
  call('initdb', ['-D', data, '-U', 'imprenta', '-A', 'trust', '-E', 'UTF8', '--locale=C.UTF-8'])
  const careless = durable ? '' : '-c fsync=off -c synchronous_commit=off -c full_page_writes=off'
  const options = `-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories='' ${careless}`
  const begin = () => call('pg_ctl', ['-D', data, '-w', '-o', options, '-l', join(folder, 'log'), 'start'])
  begin()
  const stop = () => {
    call('pg_ctl', ['-D', data, '-m', 'immediate', 'stop'])
    rmSync(folder, { recursive: true, force: true })
  }
  /** What was killed leaves its number behind, and for a moment its children: tried until they are gone. */
  const start = () => {
    const pidFile = join(data, 'postmaster.pid')
    for (let tries = 0; ; tries++) {
      const pid = existsSync(pidFile) ? readFileSync(pidFile, 'utf8').split('\n')[0]! : ''
      const gone = pid !== '' && (!existsSync(`/proc/${pid}/cmdline`) || readFileSync(`/proc/${pid}/cmdline`, 'utf8') === '')
      if (gone && tries > 0) rmSync(pidFile)
      try {
        return begin()
      } catch (e) {
        if (tries >= 20) throw e
        execFileSync('sleep', ['0.2'])
      }
    }
  }
  const kill = () => process.kill(Number(readFileSync(join(data, 'postmaster.pid'), 'utf8').split('\n')[0]), 'SIGKILL')
  return { url: `postgres://imprenta@127.0.0.1:${port}/postgres`, stop, start, kill }
}
