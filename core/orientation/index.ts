export { orient, orientationInput, type OrientationInput, type Orientation } from './orientation'
