export { demoHouses, demoWorkshops } from './demo'
