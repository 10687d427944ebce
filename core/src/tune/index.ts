export { type AnswerKind, closestFrom } from './answers'
export {
  aimLimits,
  type Bench,
  type Bound,
  type Focus,
  FOCUSES,
  isLimited,
  type Limit,
  LIMITED,
  type LimitedId,
  TuneFault,
  type TuneAsk,
  usualAsk,
} from './ask'
export type { Bind } from './binds'
export type { Collision, Collisions } from './collide'
export type { Addition } from './little'
export { problemOf } from './problem'
export type { Output, Problem } from './problemTypes'
export { CLOSEST, distanceOf, type Found, search } from './search'
export {
  type Answer,
  type ChangedLine,
  type ChangedSetting,
  type KeptLimit,
  tune,
  type Tuned,
  type TunedAttribute,
  type TuneOptions,
} from './tune'
