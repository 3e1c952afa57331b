export { placeOnRack, roomFor, takesOfSize, type Board, type Footprint, type Lying, type Place, type Sized } from './shelf'
