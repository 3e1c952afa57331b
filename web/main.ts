import '@fontsource-variable/bricolage-grotesque/index.css'
import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import '@fontsource/atkinson-hyperlegible-mono/400.css'
import 'vuetify/styles/core'
import './app/tokens.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './app/App.vue'
import { useDesk } from './app/desk'
import { router } from './app/router'
import { vuetify } from './app/theme'

const app = createApp(App).use(createPinia()).use(router).use(vuetify)
const desk = useDesk()
// The workshop that the address names comes with the first answer.
const named = /^\/w\/([a-z0-9-]{1,64})/.exec(location.pathname)?.[1]
if (named) desk.want([named])
void desk.start()
// Drawn once the place is known, so that nothing shifts; a page that cannot be fetched still gets the frame.
void router.isReady().finally(() => app.mount('#app'))
