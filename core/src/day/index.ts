export { batchDishes, dishesOfDay, trialOfBatch } from './batches'
export { checksOfDay, type PartCheck, tastedByChecks } from './checked'
export {
  closingOf,
  type DishClosing,
  differenceWords,
  madeTrial,
  type MadeDifference,
  type PartYield,
  type TubLabel,
  tubLabel,
} from './close'
export { heatingCurve, type HeatingStep } from './heating'
export {
  beginSession,
  checkUntilMs,
  followedBy,
  hasSlipped,
  type LiveDay,
  liveOf,
  type LiveState,
  type LiveTask,
  missedChecks,
} from './live'
export { replan, type Replanned } from './replan'
export { withMasses } from './masses'
export { measuresFor } from './measures'
export { inOtherWays, type Mode } from './modes'
export { type DayAsk, type DayOptions, type DayPlan, minuteOf, planDay, type Wait } from './plan'
export { preheatMin } from './preheat'
export { usualRemarks } from './remarks'
export { coldOvenWords, daySheet, dayToIcal, type SheetOptions, spell, stretchedWords } from './sheet'
export type { Stretched } from './sharedOven'
export { COOK, NEAR, resourcesOf, tasksOf } from './tasks'
export {
  asMadeOf,
  asWeighed,
  decidedBy,
  ratiosWith,
  weighedOf,
  weighingKey,
  type WeighLine,
  weighLines,
} from './weigh'
export { beginRun, recount, type ScaleSays, takeReading, type WeighRun } from './weighRun'
