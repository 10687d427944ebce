export { MATTERS, type NextAsk, type NextTrial, type NextTrials, nextTrials } from './propose'
export { residualAt, type TastedPoint, type TriedPart } from './tried'
