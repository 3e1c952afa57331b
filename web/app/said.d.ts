import type { t } from '#core/language'

declare module 'vue' {
  interface ComponentCustomProperties {
    /** A text in the language that is spoken, by its English. */
    $t: typeof t
  }
}
export {}
