export { applied } from './apply'
export { type AnswerKind, closestFrom } from './answers'
export {
  aimLimits,
  type Bench,
  type Bound,
  CONSISTENCIES,
  type Consistency,
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
export type { Answer, ChangedLine, ChangedSetting, KeptLimit, TunedAttribute } from './proposal'
export { tune, type Tuned, type TuneOptions } from './tune'
