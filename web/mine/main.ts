import '@fontsource-variable/bricolage-grotesque/index.css'
import '@fontsource-variable/atkinson-hyperlegible-next/index.css'
import '../app/tokens.css'
import { createApp } from 'vue'
import MinePage from './MinePage.vue'

// A page by itself: no desk, no other workshop, nobody else's name comes with it.
document.documentElement.dataset['theme'] = matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light'
createApp(MinePage).mount('#mine')
