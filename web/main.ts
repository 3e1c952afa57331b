import '@fontsource-variable/bricolage-grotesque/index.css'
import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import '@fontsource/atkinson-hyperlegible-mono/400.css'
import 'vuetify/styles/core'
import './app/tokens.css'
import { createPinia } from 'pinia'
import { createApp, h } from 'vue'
import { t } from '#core/language'
import App from './app/App.vue'
import { useDesk } from './app/desk'
import { followHouse, language } from './app/language'
import { router } from './app/router'
import { vuetify } from './app/theme'

// Drawn anew when the language changes.
const app = createApp({ render: () => h(App, { key: language.value }) })
  .use(createPinia())
  .use(router)
  .use(vuetify)
app.config.globalProperties.$t = t
const desk = useDesk()
// The workshop that the address names comes with the first answer.
const named = /^\/w\/([a-z0-9-]{1,64})/.exec(location.pathname)?.[1]
if (named) desk.want([named])
void desk.start()
// Drawn once the place is known, and this device's language is there, so that nothing shifts; a page that cannot be fetched still gets
// the frame.
void Promise.allSettled([router.isReady(), followHouse(undefined)]).then(() => app.mount('#app'))
