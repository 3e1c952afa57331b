import vue from '@vitejs/plugin-vue'
import { defineConfig, type Plugin } from 'vite'
import { generateSW } from 'workbox-build'
import vuetify from 'vite-plugin-vuetify'

/** The two faces of the first view are fetched with the page: nothing shifts when they arrive. */
const fontsFirst: Plugin = {
  name: 'fonts-first',
  transformIndexHtml: {
    order: 'post',
    handler: (_html, { bundle }) =>
      Object.keys(bundle ?? {})
        .filter((name) => /(bricolage-grotesque|atkinson-hyperlegible-next)-latin-wght-normal.*\.woff2$/.test(name))
        .map((name) => ({
          tag: 'link',
          attrs: { rel: 'preload', href: `/${name}`, as: 'font', type: 'font/woff2', crossorigin: '' },
          injectTo: 'head-prepend' as const,
        })),
  },
}

/** Parts of the control library that its buttons and fields bring along and nothing here uses: turning wheels and bars in controls (no
 *  control here has `loading`), the calendar behind date pickers (there are none), ripples (switched off in app/theme), scrolling by the library. Left out, the first page is 12 kB lighter. */
const unused: Plugin = {
  name: 'unused-parts',
  enforce: 'pre',
  resolveId(source, importer = '') {
    const isLoader = /composables\/loader\.js$/.test(importer) && source.includes('VProgressLinear')
    const isButton = /VBtn\/VBtn\.js$/.test(importer) && source.includes('VProgressCircular')
    const isDate = /composables\/date\/date\.js$/.test(importer) && source.includes('adapters/vuetify')
    const isRipple = importer.includes('/vuetify/') && source.endsWith('directives/ripple/index.js')
    const isGoTo = /vuetify\/lib\/framework\.js$/.test(importer) && source.endsWith('composables/goto.js')
    return isLoader || isButton || isDate || isRipple || isGoTo ? '\0unused-parts' : null
  },
  load: (id) =>
    id === '\0unused-parts'
      ? 'export default {}; export const createGoTo = () => ({}); export const GoToSymbol = Symbol(); export const VProgressLinear = () => null; export const VProgressCircular = () => null; export class VuetifyDateAdapter {}'
      : null,
}

/** A service worker with all of the built application, for the screens of the day: they open without a server. It is asked for there only,
 *  and takes a newer version when nobody has a page of the older one open. */
const withoutNet: Plugin = {
  name: 'without-net',
  apply: 'build',
  closeBundle: {
    sequential: true,
    order: 'post',
    async handler() {
      const { count } = await generateSW({
        globDirectory: 'dist/web',
        globPatterns: ['**/*.{js,css,html,woff2,svg}'],
        globIgnores: ['mine.html', 'assets/mine-*'],
        maximumFileSizeToCacheInBytes: 4_000_000,
        swDest: 'dist/web/sw.js',
        inlineWorkboxRuntime: true,
        sourcemap: false,
        skipWaiting: false,
        clientsClaim: true,
        navigateFallback: '/index.html',
        navigateFallbackAllowlist: [/^\/w\/[^/]+\/(day|wall|helper)(\/|$)/],
      })
      if (count === 0) throw new Error('nothing was built for the service worker')
    },
  },
}

const firstGroups = [
  { name: 'vue', test: /node_modules\/(@vue|vue|vue-router|pinia)\// },
  {
    name: 'plan',
    // What only a later page uses (a simulated logger, comparing recipes) stays apart.
    test: /^(?!.*\/(cure\/logger|recipe\/compare)\.ts$).*(\/core\/(workshop|recipe|time|units|reasons|house|figures|medium|cure|language)\/|node_modules\/(temporal-polyfill|temporal-utils|valibot|decimal\.js)\/)/,
  },
]

export default defineConfig({
  root: 'web',
  // Nothing here is written in Vue's options.
  plugins: [vue({ features: { optionsAPI: false } }), vuetify({ autoImport: true }), fontsFirst, unused, withoutNet],
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    assetsInlineLimit: 0,
    target: 'es2022',
    // What every page needs is in few files: cut in many it is packed worse.
    rolldownOptions: { output: { codeSplitting: { groups: firstGroups } } },
  },
  server: { port: 4301, proxy: { '/api': 'http://127.0.0.1:4300' } },
})
