import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import vuetify from 'vite-plugin-vuetify'

export default defineConfig({
  root: 'web',
  plugins: [vue(), vuetify({ autoImport: true })],
  build: { outDir: '../dist/web', emptyOutDir: true, assetsInlineLimit: 0, target: 'es2022' },
  server: { port: 4301, proxy: { '/api': 'http://127.0.0.1:4300' } },
})
