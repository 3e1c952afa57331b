/** What somebody said of a piece and the server does not have yet: by where it goes and of which piece, the last word on each. */
export type Told = Record<string, { path: string; body: { piece: string } & Record<string, unknown> }>

/** Kept on this phone by the page's address; a phone that keeps nothing has it as long as the page is open. */
export function keptTold(token: string, storage: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'> = localStorage) {
  const key = `imprenta.mine-told.${token}`
  let here: Told = {}
  try {
    here = JSON.parse(storage.getItem(key) ?? '{}') as Told
  } catch {
    // Nothing, or nothing that can be read: there is nothing to send.
  }
  function keep(): void {
    try {
      if (Object.keys(here).length > 0) storage.setItem(key, JSON.stringify(here))
      else storage.removeItem(key)
    } catch {
      // A phone that keeps nothing: it lives with the page, which says that it is not sent.
    }
  }
  return {
    all: (): Told => here,
    say(path: string, body: Told[string]['body']): void {
      here = { ...here, [`${path} ${body.piece}`]: { path, body } }
      keep()
    },
    /** The page has ended: nobody waits for it any more. */
    drop(): void {
      here = {}
      keep()
    },
    /** The server has it, or will not have it: unless something else was said meanwhile. */
    settled(name: string, what: Told[string]): void {
      if (JSON.stringify(here[name]) !== JSON.stringify(what)) return
      here = Object.fromEntries(Object.entries(here).filter(([k]) => k !== name))
      keep()
    },
  }
}
