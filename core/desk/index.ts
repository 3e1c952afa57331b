export { decide, notStorable, readCommand, type Decision, type Problem } from './decide'
