import { expect, test } from '@playwright/test'
import { campaignDay } from '../bin/campaignDay'

const rounds = 200

test('no tap is lost: two hundred times the server or a browser is killed, or the net is cut, while a class is run on three tablets', async () => {
  test.setTimeout(2_400_000)
  const f = await campaignDay(rounds)
  expect(f.serverKills + f.browserKills + f.netCuts).toBe(rounds)
  expect(Math.min(f.serverKills, f.browserKills, f.netCuts)).toBeGreaterThan(rounds / 8)
  expect(f.shown).toBeGreaterThan(rounds)
  expect({ lost: f.lost, twice: f.twice, refused: f.refused, differ: f.differ }).toEqual({ lost: 0, twice: 0, refused: 0, differ: 0 })
})
