export { because, from, keysOf, weakest, type Because, type Figure, type Input, type Mark, figure } from './because'
export { isRefusal, refuse, type Refusal } from './refusal'
export { BadInput, readInput, whereAndWhat } from './badinput'
