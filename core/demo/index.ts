export { demoHouses, demoWorkshops } from './demo'
export { demoPictures, type DemoPicture } from './pictures'
