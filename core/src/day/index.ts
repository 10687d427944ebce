export { type DayAsk, type DayPlan, minuteOf, planDay, type TimedTask, type Wait } from './plan'
export { daySheet, dayToIcal, type SheetOptions, spell } from './sheet'
export { COOK, type DayTask, NEAR, resourcesOf, tasksOf } from './tasks'
