import { createVuetify } from 'vuetify'
import { mdiCheckboxBlankOutline, mdiCheckboxMarked, mdiCloseCircle, mdiMenuDown, mdiMinusBox } from '@mdi/js'
import { mdi } from 'vuetify/iconsets/mdi-svg'

const theme = (dark: boolean, c: Record<'paper' | 'stock' | 'ink' | 'ok' | 'watch' | 'stop' | 'water' | 'text' | 'onInk', string>) => ({
  dark,
  colors: {
    background: c.paper,
    surface: c.stock,
    primary: c.ink,
    'on-primary': c.onInk,
    success: c.ok,
    warning: c.watch,
    error: c.stop,
    info: c.water,
    'on-surface': c.text,
    'on-background': c.text,
  },
  variables: { 'high-emphasis-opacity': 1, 'medium-emphasis-opacity': 1, 'border-opacity': 1 },
})

/** The icons that the controls in use bring along. */
const aliases = {
  checkboxOn: mdiCheckboxMarked,
  checkboxOff: mdiCheckboxBlankOutline,
  checkboxIndeterminate: mdiMinusBox,
  dropdown: mdiMenuDown,
  clear: mdiCloseCircle,
}

/** Vuetify, themed once so that nothing looks stock; pages never restyle a control. */
export const vuetify = createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  theme: {
    defaultTheme: 'proof',
    themes: {
      proof: theme(false, {
        paper: '#F3ECDF',
        stock: '#FBF8F1',
        ink: '#4A2A91',
        ok: '#2A6240',
        watch: '#8A4B00',
        stop: '#A1261C',
        water: '#1E5C75',
        text: '#241C17',
        onInk: '#FBF8F1',
      }),
      proofDark: theme(true, {
        paper: '#17130F',
        stock: '#221C17',
        ink: '#C7B2FF',
        ok: '#8FD0A2',
        watch: '#F2B45A',
        stop: '#FF9C8A',
        water: '#8CCBE0',
        text: '#F4ECDF',
        onInk: '#17130F',
      }),
    },
  },
  defaults: {
    global: { ripple: false, elevation: 0 },
    VBtn: { variant: 'outlined', height: 44, rounded: 'md' },
    VBtnToggle: { mandatory: true, VBtn: { variant: 'text', height: 41, rounded: 0 } },
    VTextField: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto' },
    VSelect: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto' },
    VCheckbox: { hideDetails: 'auto', color: 'primary' },
  },
})
