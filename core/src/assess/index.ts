export { assess } from './assess'
export { explain } from './explain'
export type { Asked, Explained, Explanation, PortionFigure } from './explanation'
export { nextAct, type NextAct, type StageId } from './nextAct'
