import { defineConfig } from 'vitest/config'
import vue from '@vitejs/plugin-vue'

export default defineConfig({
  plugins: [vue()],
  test: {
    server: { deps: { inline: ['vuetify'] } },
    projects: [
      {
        extends: true,
        test: { name: 'core', include: ['core/**/*.test.ts', 'cli/**/*.test.ts'], environment: 'node', testTimeout: 60_000 },
      },
      { extends: true, test: { name: 'web', include: ['web/**/*.test.ts'], environment: 'node' } },
      {
        extends: true,
        test: {
          name: 'server',
          include: ['server/**/*.test.ts'],
          environment: 'node',
          globalSetup: ['server/testing/setup.ts'],
          testTimeout: 30_000,
          hookTimeout: 60_000,
        },
      },
    ],
  },
})
