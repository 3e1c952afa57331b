export { rehearsalInput, rehearsalLimits, type RehearsalInput, type RoomChange } from './input'
export { rehearse, triangular, type Queue, type Rehearsed } from './rehearse'
export { beginRehearsal, type Profile, type Rehearsal } from './story'
