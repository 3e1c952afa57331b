export { diagnose, closerLooks, makingOf, mayStay, togetherOf, type Together } from './diagnose'
export { symptoms, questions } from './symptoms'
export { causes } from './causes'
export type { Cause, Evidence, Making, Question, Ranked, Symptom } from './shapes'
