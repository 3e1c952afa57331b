import '@fontsource-variable/bricolage-grotesque/index.css'
import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import '@fontsource/atkinson-hyperlegible-mono/400.css'
import 'vuetify/styles'
import './app/tokens.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './app/App.vue'
import { router } from './app/router'
import { vuetify } from './app/theme'

createApp(App).use(createPinia()).use(router).use(vuetify).mount('#app')
