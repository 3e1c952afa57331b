import { recipes } from '#core/recipe'
import { execFileSync, spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, it, test } from 'vitest'
import { demoHouses, demoWorkshops } from '#core/demo'

const folder = mkdtempSync(join(tmpdir(), 'imprenta-cli-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const run = (args: string[], input = '') => {
  const { status, stdout, stderr } = spawnSync('bin/compute', args, { maxBuffer: 64 * 1024 * 1024, input, encoding: 'utf8' })
  return {
    status,
    stdout,
    stderr,
    answer: () => JSON.parse(stdout) as Record<string, unknown>,
    error: () => (JSON.parse(stderr) as { error: { what: string; path: string; remedy: string } }).error,
  }
}
const medium = { pieces: 18, areaMm2: 15504, filmUm: 150, coats: 1, wasteShare: 0, brushes: 0, heldPerBrushMl: 0 }

describe('bin/compute', () => {
  it('answers from standard input and from a file alike', () => {
    const file = join(folder, 'medium.json')
    writeFileSync(file, JSON.stringify(medium))
    expect(run(['medium'], JSON.stringify(medium)).answer()).toMatchObject({ needMl: 41.8608 })
    expect(run(['medium', file]).stdout).toBe(run(['medium'], JSON.stringify(medium)).stdout)
  })
  it('an array in, an array out, in order', () => {
    const answers = JSON.parse(run(['medium'], JSON.stringify([medium, { ...medium, pieces: 1 }])).stdout) as { needMl: number }[]
    expect(answers.map((a) => a.needMl)).toEqual([41.8608, 2.3256])
    expect(run(['medium'], '[]').stdout).toBe('[]\n')
  })
  it('a refusal is an answer', () => {
    const { status, answer } = run(['buying'], '{"need":10,"cupboard":0,"packs":[]}')
    expect(status).toBe(0)
    expect(answer()).toHaveProperty('refused.remedies')
  })
  it('plans a whole workshop, with its words', () => {
    const { status, answer } = run(
      ['plan'],
      JSON.stringify({
        workshop: demoWorkshops('2026-05-15')[0],
        house: demoHouses[0],
        now: '2026-05-15T15:00:00-04:00[America/New_York]',
      }),
    )
    expect(status).toBe(0)
    expect(answer()).toMatchObject({ people: 18, said: { decisions: expect.arrayContaining(['18 adults']) } })
  })
  test.each([
    ['an item of a list', ['medium'], JSON.stringify([medium, { ...medium, pieces: -1 }]), '1.pieces'],
    ['a missing field', ['medium'], '{}', 'pieces'],
    ['no JSON', ['medium'], '{', '(input)'],
    ['nothing at all', ['medium'], '', '(input)'],
    ['a text', ['medium'], '"x"', '(input)'],
    ['an unknown capability', ['magic'], '{}', '(input)'],
    ['a name of Object’s own', ['constructor'], '{}', '(input)'],
    ['no capability', [], '', '(input)'],
    ['a file that is not there', ['medium', '/nowhere.json'], '', '(input)'],
    ['an unknown option', ['medium', '--fast'], '{}', 'fast'],
    ['an option without its number', ['medium', '--seed', 'x'], '{}', 'seed'],
  ])('%s is bad input: exit 2, one JSON object on standard error, nothing on standard output', (_name, args, input, path) => {
    const { status, stdout, error } = run(args, input)
    expect([status, stdout, error().path]).toEqual([2, '', path])
    expect(error().remedy).not.toBe('')
  })
  const sheets = {
    sheet: { widthMm: 210, heightMm: 297, marginMm: 5 },
    gutterMm: '6',
    pictures: [
      { id: 'moth', widthMm: '127', heightMm: 178, count: 3, mayTurn: true },
      { id: 'kelp', widthMm: 60, heightMm: 60, count: 4, mayTurn: false },
    ],
  }
  it('gangs sheets: the same bytes for the same seed and steps, an array within its time', () => {
    const two = run(['sheets', '--steps', '80', '--seed', '7'], JSON.stringify(sheets))
    expect(two.stdout).toBe(run(['sheets', '--seed', '7', '--steps', '80'], JSON.stringify(sheets)).stdout)
    const answer = two.answer() as { sheets: unknown[]; lowerBound: number }
    expect([answer.sheets.length, answer.lowerBound]).toEqual([2, 2])
    expect((run(['sheets', '--ms', '60'], JSON.stringify([sheets, sheets])).answer() as unknown as unknown[]).length).toBe(2)
  })
  it('refuses a picture larger than the sheet by its id, and says where bad input is', () => {
    const large = { ...sheets, pictures: [{ id: 'banner', widthMm: 400, heightMm: 300, count: 1, mayTurn: true }] }
    const refused = run(['sheets'], JSON.stringify(large))
    expect([refused.status, JSON.stringify(refused.answer())]).toEqual([0, expect.stringContaining('banner')])
    const bad = run(
      ['sheets'],
      JSON.stringify([sheets, { ...sheets, pictures: [sheets.pictures[0], { ...sheets.pictures[1], widthMm: -3 }] }]),
    )
    expect([bad.status, bad.stdout, bad.error().path]).toEqual([2, '', '1.pictures.1.widthMm'])
    expect(run(['sheets'], JSON.stringify({ ...sheets, pictures: [{ ...sheets.pictures[0], count: 4001 }] })).error().path).toBe(
      'pictures.0.count',
    )
  })
  it('cuts stock, and plans every method in one call', () => {
    const stock = run(['stock'], JSON.stringify({ pieces: [{ lengthMm: 152, count: 18 }], stock: [{ lengthMm: 2400 }], kerfMm: 3 }))
    expect(JSON.parse(stock.stdout)).toMatchObject({ lowerBound: 2, offcutsMm: [75, 1935] })
    const [workshop] = demoWorkshops('2026-05-15')
    const inputs = recipes.map((r) => ({
      workshop: {
        ...workshop!,
        pieces: [],
        designs: [
          { ...workshop!.designs[0]!, material: Object.keys(r.surfaces)[0]!, recipe: { id: r.id, version: r.version }, choices: {} },
        ],
      },
      house: demoHouses[0]!,
      now: '2026-05-12T09:00:00-04:00[America/New_York]',
    }))
    const plans = JSON.parse(run(['plan'], JSON.stringify(inputs)).stdout) as {
      recipe: { id: string }
      said: { findings: { title: string }[] }
    }[]
    expect(plans.map((p) => p.recipe.id)).toEqual(recipes.map((r) => r.id))
    for (const p of plans) for (const f of p.said.findings) expect(f.title).not.toBe('')
  })
  it('answers from any folder', () => {
    expect(
      execFileSync(join(process.cwd(), 'bin/compute'), ['medium'], { cwd: folder, input: JSON.stringify(medium), encoding: 'utf8' }),
    ).toContain('41.8608')
  })
})
