export { sparesFor, sparesInput, sureWith, sureWithCopies, type SparesInput, type Spares, type Copies } from './spares'
