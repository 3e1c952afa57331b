import { defineConfig } from '@playwright/test'
import { chromiumOptions } from './e2e/chromium'

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/setup.ts',
  workers: 1,
  timeout: 60_000,
  expect: { timeout: 8000 },
  reporter: [['list'], ['json', { outputFile: '.local/e2e.json' }]],
  outputDir: '.local/e2e',
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: chromiumOptions,
  },
})
