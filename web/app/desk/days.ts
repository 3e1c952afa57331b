import type { keptDay } from '../../day/keptDay'

/** Does something with the days that this device keeps, where it ever ran one. */
export const ofDays = async (work: (kept: typeof keptDay) => Promise<void>): Promise<void> => {
  if (localStorage.getItem('imprenta.device')) await work((await import('../../day/keptDay')).keptDay)
}
