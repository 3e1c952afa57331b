import { mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, getActivePinia } from 'pinia'
import { nextTick, type Component } from 'vue'
import { t } from '#core/language'
import { createMemoryHistory, createRouter } from 'vue-router'
import { createVuetify } from 'vuetify'
import * as components from 'vuetify/components'

/** Mounts a component in a page with the application's controls, as a browser without a screen: what is drawn on canvas stays blank,
 *  pictures never come near. */
export function mountIn(component: Component, props: Record<string, unknown>, slots: Record<string, string> = {}): VueWrapper {
  for (const [name, blank] of Object.entries(blanks)) if (!(name in globalThis)) Object.assign(globalThis, { [name]: blank })
  const router = createRouter({ history: createMemoryHistory(), routes: [{ path: '/:all(.*)*', component: { render: () => null } }] })
  const plugins = [createVuetify({ components }), router, getActivePinia() ?? createPinia()]
  return mount(component, { props, slots, attachTo: document.body, global: { plugins, mocks: { $t: t } } })
}

class Watcher {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
/** What jsdom does not have. */
const blanks = {
  ResizeObserver: Watcher,
  IntersectionObserver: Watcher,
  visualViewport: new EventTarget(),
}

/** Chooses in a field of choices, by its label: only what the field has can be chosen. */
export async function choose(page: VueWrapper, label: string, id: string): Promise<void> {
  const field = page.findAllComponents({ name: 'ChoiceField' }).find((f) => f.props('label') === label)
  if (!field) throw new Error(`no field is called ${label}`)
  field.findComponent({ name: 'VSelect' }).vm.$emit('update:modelValue', id)
  await nextTick()
}
