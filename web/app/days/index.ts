import type { keptDay } from './keptDay'

/** This device ran a day once: what it kept of it is fetched to be looked after. */
const ranOne = () => localStorage.getItem('imprenta.device') !== null

/** Does something with the days that this device keeps. */
export const ofDays = async (work: (kept: typeof keptDay) => Promise<void>): Promise<void> => {
  if (ranOne()) await work((await import('./keptDay')).keptDay)
}

/** Sends taps that were left with a page that was closed; without net they wait for the next time. */
export const sendDays = async (): Promise<void> => {
  if (!ranOne()) return
  const { sendKept } = await import('./sendKept')
  await sendKept().catch(() => undefined)
}
