export { type JobOptions, runJob } from './door'
export { type ImportReport, isRecipeFile, type NamedFile } from './recipeFiles'
export type { PlanResult, ReplanResult, TuneResult } from './jobs'
