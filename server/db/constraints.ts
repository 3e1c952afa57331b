import type { Problem } from '#core/desk'

/** What the database says of a constraint, in people's words. */
const said: Record<string, Problem> = {
  workshop_house: { what: 'a house that is not here', path: 'houseId', remedy: 'Choose one of the houses.' },
  command_version_once: { what: 'somebody else was first', path: '', remedy: 'Try again.' },
  command_pkey: { what: 'the id of another change', path: 'id', remedy: 'Make a new id for each change.' },
  participant_name_name_check: { what: 'a name longer than 80 letters', path: 'group/participants', remedy: 'Shorten it.' },
  picture_workshop: { what: 'a workshop that is not here', path: '(address)', remedy: 'Go back to Workshops.' },
  print_job_workshop: { what: 'a workshop that is not here', path: '(address)', remedy: 'Go back to Workshops.' },
  print_job_pkey: { what: 'the id of another job', path: 'id', remedy: 'Make a new id for each job.' },
}

/** What is wrong with what was asked, where the database is right to refuse it; undefined where it is not the asker's fault. */
export function refusalOf(e: unknown): Problem | undefined {
  const { code = '', constraint = '' } = (e ?? {}) as { code?: string; constraint?: string }
  if (said[constraint]) return said[constraint]
  if (code.startsWith('22') || code.startsWith('54'))
    return { what: 'a value that cannot be kept', path: 'changes', remedy: 'Type it anew, shorter or without what was pasted.' }
  if (code.startsWith('23')) return { what: `it goes against ${constraint || 'what is there'}`, path: 'changes', remedy: 'Change it.' }
  return undefined
}
