import { readFileSync } from 'node:fs'
import { parseArgs } from 'node:util'
import { BadInput } from '#core/reasons'
import { answer, capabilities, type Budget } from './capabilities'

const usage = `Say bin/compute CAPABILITY [FILE] [--ms N] [--steps N] [--seed N], with one of: ${Object.keys(capabilities).join(', ')}.`

interface Call {
  capability: string
  file?: string
  budget: Budget
}

function readCall(argv: string[]): Call {
  let parsed
  try {
    parsed = parseArgs({
      args: argv,
      allowPositionals: true,
      options: { ms: { type: 'string' }, steps: { type: 'string' }, seed: { type: 'string' } },
    })
  } catch (e) {
    const option = /'-{0,2}([^'\s]+)/.exec((e as Error).message)?.[1] ?? '(input)'
    throw new BadInput((e as Error).message.split('. ')[0]!, option, usage)
  }
  const [capability, file, ...more] = parsed.positionals
  if (!capability) throw new BadInput('no capability is named', '(input)', usage)
  if (!Object.hasOwn(capabilities, capability)) throw new BadInput(`there is no capability "${capability.slice(0, 40)}"`, '(input)', usage)
  if (more.length) throw new BadInput('more than one file is named', '(input)', usage)
  const { ms, steps, seed } = parsed.values
  return {
    capability,
    ...(file !== undefined && { file }),
    budget: { ms: wholeOption('ms', ms), steps: wholeOption('steps', steps), seed: wholeOption('seed', seed) },
  }
}

function wholeOption(name: string, text: string | undefined): number | undefined {
  if (text === undefined) return undefined
  const n = Number(text)
  if (!/^\d+$/.test(text) || !Number.isSafeInteger(n))
    throw new BadInput(`"${text}" is not a whole number`, name, `Give --${name} a whole number.`)
  return n
}

function readText(file: string | undefined): string {
  try {
    return readFileSync(file === undefined || file === '-' ? 0 : file, 'utf8')
  } catch (e) {
    throw new BadInput(
      `${file ?? 'standard input'} cannot be read (${(e as NodeJS.ErrnoException).code})`,
      '(input)',
      'Name a file that is there.',
    )
  }
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch (e) {
    throw new BadInput(`this is not JSON: ${(e as Error).message}`, '(input)', 'Give one JSON value.')
  }
}

function run(argv: string[]): string {
  const call = readCall(argv)
  return JSON.stringify(answer(call.capability, parse(readText(call.file)), call.budget)) + '\n'
}

try {
  process.stdout.write(run(process.argv.slice(2)))
} catch (e) {
  if (!(e instanceof BadInput)) throw e
  process.stderr.write(JSON.stringify(e.answer) + '\n')
  process.exitCode = 2
}
