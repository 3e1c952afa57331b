export { spanish } from './spanish'
