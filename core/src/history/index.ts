export { type Change, foodWords, gramsWords } from './change'
export { changesBetween, changeWords } from './changes'
export {
  type Distance,
  type Effect,
  effectWords,
  predictedEffects,
  tastedGaps,
  tastedOfTrial,
} from './effects'
export { asMadeDish, entriesOf, type Entry, NOW, type WorkedEntry, workedEntry } from './entry'
export { batchFactor, pairedLines } from './lineChanges'
export { minutesWords, pairedSteps } from './stepChanges'
export { stepNames, verbOf } from './stepNames'
export { bestOf, standing, type Story, storyMarkdown, storyOf, type StoryTasting } from './story'
export { lineage, type PartKey, partIn, type PartPoint, type VineEntry, vineEntry, vineOf } from './vine'
