export { writeWorkshop, readWorkshopFile, planFormat } from './exchange'
