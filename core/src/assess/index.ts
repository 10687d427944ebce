export { assess } from './assess'
export { type Asked, explain, type Explained, type Explanation, type PortionFigure } from './explain'
export { nextAct, type NextAct, type StageId } from './nextAct'
