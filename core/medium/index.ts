export { mediumNeed, mediumInput, filmUm, coats, type MediumInput, type Coat } from './medium'
