export { practiceFigures, boundsOf, type Bounds, type FigureKey } from './practice'
export { readFigure, typedFigure, type TypedFigure, type Writing } from './typed'
export { asPractised, figureKey, figuresWith, ownFigureShape, type Figures, type OwnFigure, type OwnFigures } from './figures'
