export { decide, notStorable, readCommand, type Decision, type Problem } from './decide'
export {
  emptyDesk,
  keyOf,
  redoOf,
  seenAs,
  step,
  undoOf,
  withoutErased,
  type Answered,
  type Deed,
  type DeskEvent,
  type DeskState,
  type Document,
  type Done,
  type Stored,
  type Unsettled,
  type Waiting,
} from './desk'
