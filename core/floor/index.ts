export {
  boxOf,
  drawnPlaces,
  floorKinds,
  floorOf,
  floorSizes,
  hasPlaces,
  placesOfItem,
  tablesFor,
  type Floor,
  type FloorItem,
  type FloorKind,
} from './floor'
export { checkFloor, firstFloor, moved, postsFor, tableGrid, toWater, type FloorCheck, type FloorLimits, type Post } from './stand'
