export {
  analyse,
  type Analysis,
  bestGuess,
  type BestGuess,
  controlsOf,
  gridOf,
  predictAt,
  type Predicted,
} from './analysis'
export { controlSetting, type Designed, designSeries, type SeriesPlan } from './design'
export { dishOfRun, type Rounding, roundingOf, ROUNDING_MATTERS, settingWords, weighable } from './runs'
export {
  boundsFault,
  candidateSettings,
  centreOf,
  coordinates,
  isInside,
  isShare,
  placesOf,
  type Setting,
  termsFor,
  unreached,
} from './space'
export {
  readSeries,
  type ResponseReading,
  type SeriesReading,
  type Slice,
  type Surface,
  type TernarySurface,
} from './surfaces'
