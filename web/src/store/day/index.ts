/** What the days at the counter need of the planner: fetched with the screens that show them, not at the start. */
export {
  acceptPlan,
  beginTask,
  closeDay,
  dropLeftover,
  endTask,
  giveLonger,
  keepLeftover,
  keepPhoto,
  markMissed,
  replanDay,
  sessionOf,
  skipTask,
  useClosings,
  usePhotos,
  useWeighLines,
  writeMeasure,
  writeNote,
  writeWeighing,
} from './cooking'
export * as dayCommands from './dayCommands'
export { flushDay, openDay, redoDay, runDay, undoDay, useOpenDay } from './openDay'
export { cookBatches, fieldOf, useDayDishes, useDayPlan, useDaySettings } from './planning'
export {
  connectDevices,
  disconnectDevices,
  probeFollows,
  type StandInCommand,
  tellStandIn,
  useDevices,
  wantsDevices,
} from './devices'
export {
  countAnew,
  keyInHand,
  startWeighing,
  stopWeighing,
  takeTyped,
  takeWeighed,
  useWeighing,
} from './weighing'
export { useProbeInFood } from './probeInFood'
