// Each fault stands in mutants.txt as four lines: file, tests, - what is there, + what is planted. The text has to stand once in its file.
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { spawnSync } from 'node:child_process'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const word = process.argv[2] ?? ''
const blocks = readFileSync('bin/mutants.txt', 'utf8')
  .split(/\n\s*\n/)
  .map((b) => b.split('\n').filter((l) => l !== '' && !l.startsWith('#')))
  .filter((b) => b.length >= 4)
const faults = blocks
  .map(([file, tests, was, now]) => ({ file, tests: tests.split(' '), was: was.slice(2), now: now.slice(2) }))
  .filter((f) => `${f.file} ${f.was} ${f.now}`.includes(word))

const copy = mkdtempSync(join(tmpdir(), 'imprenta-mutants-'))
for (const part of [
  'core',
  'server',
  'web',
  'cli',
  'bin',
  'e2e',
  'package.json',
  'package-lock.json',
  'vitest.config.ts',
  'tsconfig.json',
  'tsconfig.base.json',
])
  cpSync(part, join(copy, part), { recursive: true })
symlinkSync(join(process.cwd(), 'node_modules'), join(copy, 'node_modules'))

const survivors = []
const stale = []
for (const [i, f] of faults.entries()) {
  const path = join(copy, f.file)
  const text = readFileSync(path, 'utf8')
  if (text.split(f.was).length !== 2) {
    stale.push(f)
    continue
  }
  writeFileSync(
    path,
    text.replace(f.was, () => f.now),
  )
  const run = spawnSync('node_modules/.bin/vitest', ['run', '--bail', '1', '--reporter=dot', ...f.tests], {
    cwd: copy,
    encoding: 'utf8',
    timeout: 240_000,
  })
  writeFileSync(path, text)
  const caught = run.status !== 0 && !/No test files found/.test(run.stdout + run.stderr)
  if (!caught) survivors.push(f)
  console.log(
    `${i + 1} of ${faults.length} ${caught ? 'caught  ' : 'SURVIVED'} ${f.file}: ${f.was.trim().slice(0, 60)} -> ${f.now.trim().slice(0, 60)}`,
  )
}
rmSync(copy, { recursive: true, force: true })
for (const f of stale) console.log(`NOT PLANTED ${f.file}: the text does not stand there once: ${f.was}`)
const planted = faults.length - stale.length
console.log(`${planted} planted, ${planted - survivors.length} caught, ${survivors.length} survived, ${stale.length} could not be planted`)
process.exit(stale.length > 0 || survivors.length > planted / 20 ? 1 : 0)
