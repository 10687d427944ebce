/** What the record of a dish teaches: fetched with the screens that show it, not at the start. */
export { type DiagnosisQuestion, useDiagnosis, useLayOut, useNextTrials, useSeriesReading } from './asides'
export { goOn } from './goOn'
export { usePhotosByIds } from './photos'
export * as seriesCommands from './series'
export { useVine, type Vine } from './vine'
export { useStoryTastings } from './storyTastings'
export type { NextResult } from '../../workers/jobs'
