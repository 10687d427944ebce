export { type ScaleNote, scaleNotes } from './notes'
export { roundDish, type RoundedDish, type RoundedLine } from './rounding'
export { scaleDish, scaleLine, scalePart } from './scaleDish'
export { scaleFactor, type ScaleFactor, type ScaleTarget, type VesselId, VESSELS } from './targets'
