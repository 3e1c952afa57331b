import { afterAll, beforeAll, describe, expect, it, test } from 'vitest'
import { writeRecipe, writeWorkshop } from '#core/exchange'
import { demoHouses, demoWorkshops } from '#core/demo'
import type { OwnRecipe } from '#core/recipe'
import { command, startServer } from '../testing/start'

let server: Awaited<ReturnType<typeof startServer>>
beforeAll(async () => {
  server = await startServer('imports')
})
afterAll(() => server.stop())

const recipe: OwnRecipe = {
  id: 'marsh-v1',
  recipe: 'marsh',
  version: 1,
  base: { id: 'gesso-ground', version: 1 },
  name: 'Marsh gesso',
  note: 'Thirsty paper.',
  edits: [{ path: 'cure/recommended', figure: 900 }, { drop: 'materials/bag-paper' }],
}
const look = (kind: string, text: unknown) => server.api.post(`/api/imports/${kind}`).send({ text })
const house = async () =>
  (await server.api.get('/api/desk')).body.houses.find((h: { body: { id: string } }) => h.body.id === 'saltbox') as {
    version: number
    body: { recipes?: OwnRecipe[]; printers?: string[]; cautions?: object[] }
  }
const onHouse = async (path: string, before: unknown, after: unknown) => {
  const c = { ...command('saltbox', [{ path, before: before as never, after: after as never }]), subject: { kind: 'house', id: 'saltbox' } }
  return (await server.api.post('/api/commands').send([c])).body.outcomes[0] as { status: string; problem?: { path: string; what: string } }
}

describe('looking at files', () => {
  it('a recipe is shown as it would come in, and nothing has come in', async () => {
    const res = await look('recipe', writeRecipe(recipe))
    expect(res.status).toBe(200)
    expect(res.body.recipe).toEqual(recipe)
    expect((await house()).body.recipes).toEqual(demoHouses[0]!.recipes)
  })
  it('a workshop too', async () => {
    const { pictures: _stay, ...rest } = demoWorkshops('2026-05-15')[1]!
    expect((await look('workshop', writeWorkshop(rest))).body.workshop).toEqual(rest)
  })
  test.each([
    ['recipe', '{', 'line 1'],
    ['recipe', writeWorkshop(demoWorkshops('2026-05-15')[0]!), 'format'],
    ['recipe', writeRecipe({ ...recipe, edits: [{ drop: 'stages/lay' }] }), 'recipe.edits'],
    ['recipe', writeRecipe({ ...recipe, base: { id: 'gone', version: 1 } }), 'recipe.edits'],
    ['recipe', JSON.stringify({ format: 'imprenta-recipe', version: 2 }), 'version'],
    ['workshop', writeRecipe(recipe), 'format'],
    ['recipe', 5, 'text'],
  ])('a bad %s is answered with what, where and the way out', async (kind, text, path) => {
    const res = await look(kind, text)
    expect(res.status).toBe(422)
    expect(res.body.error.path).toContain(path)
    expect(res.body.error.remedy).not.toBe('')
  })
})

describe('the house keeps', () => {
  it('its recipes, every version, as one command each', async () => {
    expect(await onHouse('recipes', demoHouses[0]!.recipes, [recipe])).toMatchObject({ status: 'applied' })
    const two = [recipe, { ...recipe, id: 'marsh-v2', version: 2, edits: [] }]
    expect(await onHouse('recipes', [recipe], two)).toMatchObject({ status: 'applied' })
    expect((await house()).body.recipes).toEqual(two)
  })
  it('a plan that names the house’s recipe, in server and browser alike', async () => {
    const w = (await server.api.get('/api/workshops/heron-pages')).body.body
    const at = `designs/${w.designs[0].id}/recipe`
    await server.api
      .post('/api/commands')
      .send([command('heron-pages', [{ path: at, before: { id: 'gesso-ground', version: 1 }, after: { id: 'marsh', version: 2 } }])])
    const plan = (await server.api.get('/api/workshops/heron-pages/plan.json')).body.plan
    expect(plan.recipe).toMatchObject({ id: 'marsh', version: 2, name: 'Marsh gesso' })
  })
  it('its cautions and printers, and refuses what is neither', async () => {
    const caution = { id: 'c1', where: 'Radiator', text: 'no wet boards on it', stage: null }
    expect(await onHouse('cautions', null, [caution])).toMatchObject({ status: 'applied' })
    expect(await onHouse('printers', null, ['toner', 'inkjet'])).toMatchObject({ status: 'applied' })
    expect((await onHouse('printers', ['toner', 'inkjet'], ['woodcut'])).status).not.toBe('applied')
    expect((await onHouse('cautions', [caution], [{ ...caution, text: '' }])).status).not.toBe('applied')
    expect((await house()).body).toMatchObject({ printers: ['toner', 'inkjet'], cautions: [caution] })
  })
  it('them on the take-home sheets of its workshops', async () => {
    const sheets = (await server.api.get('/api/workshops/kelp-coasters/take-home.md')).text
    expect(sheets).not.toContain('undefined')
  })
})
