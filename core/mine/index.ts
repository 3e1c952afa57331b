export { laidAtHome, mineEnds, mineLabels, minePage, type MineDay, type MineLabel, type MinePage, type MinePiece, type Phase } from './mine'
