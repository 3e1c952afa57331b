import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

/** A participant's page, built by itself: it shares nothing with the desk, and takes nothing from its first load. */
export default defineConfig({
  root: 'web',
  plugins: [vue({ features: { optionsAPI: false } })],
  build: {
    outDir: '../dist/web',
    emptyOutDir: false,
    assetsInlineLimit: 0,
    target: 'es2022',
    rolldownOptions: {
      input: 'web/mine.html',
      output: {
        entryFileNames: 'assets/mine-[hash].js',
        chunkFileNames: 'assets/mine-[hash].js',
        assetFileNames: 'assets/mine-[name]-[hash][extname]',
      },
    },
  },
})
