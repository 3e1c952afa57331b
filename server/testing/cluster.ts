import { execFileSync } from 'node:child_process'
import { mkdtempSync, readdirSync, rmSync, chownSync, chmodSync } from 'node:fs'
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

/** A PostgreSQL of the tests' own, on loopback, thrown away afterwards; `durable` keeps what a demo keeps through a power cut. */
export async function startCluster(durable = false): Promise<{ url: string; stop: () => void }> {
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
  call('pg_ctl', ['-D', data, '-w', '-o', options, '-l', join(folder, 'log'), 'start'])
  const stop = () => {
    call('pg_ctl', ['-D', data, '-m', 'immediate', 'stop'])
    rmSync(folder, { recursive: true, force: true })
  }
  return { url: `postgres://imprenta@127.0.0.1:${port}/postgres`, stop }
}
