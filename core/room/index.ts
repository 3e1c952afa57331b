export { roomInput, roomLimits, type RoomInput } from './input'
export { planRoom, type Bottleneck, type RoomBudget, type RoomPlan, type Start } from './room'
export { lowerBound } from './bound'
export { checkRoom } from './check'
