import { ref } from 'vue'
import { isTaught, languages, speak, teach, type Language } from '#core/language'

const key = 'imprenta.language'

/** The language that the page speaks. When it changes, the page is drawn anew (see main.ts); nothing that is typed is lost: it is a
 *  change already, or a draft of its own. */
export const language = ref<Language>('en')

/** What was chosen for this device; undefined where it follows the house. */
export function ofDevice(): Language | undefined {
  const kept = localStorage.getItem(key)
  return languages.find((l) => l === kept)
}

/** Fetches a language, without speaking it yet: for a sheet of paper. */
export async function know(l: Language): Promise<void> {
  if (isTaught(l)) return
  const { spanish } = await import('#core/spanish')
  teach(spanish)
}

/** Speaks a language, fetched when it is first needed. Where it cannot be fetched, the page goes on as it is. */
export async function setLanguage(l: Language): Promise<void> {
  await know(l)
  speak(l)
  language.value = l
  document.documentElement.lang = l
}

/** Chooses for this device alone. */
export function chooseLanguage(l: Language): Promise<void> {
  localStorage.setItem(key, l)
  return setLanguage(l)
}

/** As the house speaks, unless this device has a language of its own. */
export const followHouse = (l: Language | undefined): Promise<void> => {
  const wanted = ofDevice() ?? l ?? 'en'
  return wanted === language.value ? Promise.resolve() : setLanguage(wanted)
}
