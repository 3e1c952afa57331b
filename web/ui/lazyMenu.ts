import { defineAsyncComponent } from 'vue'

/** A menu that stands in its own button and is fetched when that is first pressed: `<LazyMenu v-if="asked" v-model="open" activator="parent">`. */
export const LazyMenu = defineAsyncComponent(() => import('vuetify/components/VMenu').then((m) => m.VMenu))
