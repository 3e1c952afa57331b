export { sparesFor, sparesInput, sureWith, type SparesInput, type Spares, type Copies } from './spares'
