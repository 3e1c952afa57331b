export { placeOnRack, takesOfSize, type Board, type Footprint, type Lying, type Place } from './shelf'
