export { Amount, AmountTerm, OpenAmount, QualifierId, SizeId, UnitId } from './amount'
export {
  Assessment,
  AttributeReading,
  Behaviour,
  Finding,
  LineReading,
  Measured,
  PartAssessment,
  RatioReading,
  SecondReading,
  StepMove,
  StepReading,
  StepState,
  Totals,
  WaterReading,
} from './assessment'
export { Backup, BackupContent } from './backup'
export { blankDish, blankPart } from './blank'
export {
  CookDay,
  CookSession,
  DayEvent,
  DayBatch,
  DayMeasure,
  DayNote,
  DaySettings,
  DayWay,
  DayTask,
  Leftover,
  MEASURED_KINDS,
  Photo,
  TimedTask,
  Weighing,
} from './cookDay'
export {
  Aim,
  Dish,
  dishOfTrial,
  FormulaLine,
  Limits,
  MOST_LINES,
  MOST_REASONS,
  MOST_STEPS,
  noLimits,
  Part,
  Settled,
  Trial,
} from './dish'
export { AlsoServed, Band, Importance, Moved, nothingMoved, RatioWindow } from './goal'
export {
  AMINO_ACIDS,
  type AminoAcid,
  Composition,
  CountMeasure,
  FoodClass,
  FunctionalData,
  Holding,
  Ingredient,
  NUTRIENTS,
  type Nutrient,
  PackMeasure,
  ProteinClass,
  StarchClass,
  VolumeMeasure,
} from './ingredient'
export { Tasted, Taster } from './panel'
export {
  Ask,
  Glass,
  Mark,
  Protocol,
  PROTOCOLS,
  Seat,
  Serving,
  Tasting,
  TastingAnswer,
  TastingSample,
  TastingSettings,
} from './tasting'
export { Idea, IdeaScope, IdeaWhat } from './idea'
export { defaultKitchen, Kitchen, MeasureRegion, Pack, Price, TurnedDown, usualEquipment } from './kitchen'
export {
  type Agent,
  type Aroma,
  AROMAS,
  type ClassUsual,
  type ColourFact,
  type Culture,
  type Facts,
  FAT_TEMPS,
  type FoodFact,
  type ParticleFact,
  type Pigment,
  PIGMENTS,
  type ProteinFact,
  REFUSE_PARTS,
  type RefusePart,
  SCORED_AMINO_ACIDS,
  type ScoredAminoAcid,
  SIGNATURE_ASKS,
  type SignatureAsk,
  type SignatureRow,
  type StarchFact,
  type TraceFact,
} from './facts'
export type { Allergen, Conversion, Library, ProcessLaw, RateConstant, YieldRow } from './library'
export {
  Equipment,
  EQUIPMENT_KINDS,
  EquipmentKind,
  Form,
  FORMS,
  HAND_FIELDS,
  NO_SETTINGS,
  Observation,
  OperationId,
  OPERATIONS,
  Step,
  StepSettings,
  StepUse,
  Until,
  upgradeParts,
  upgradeStep,
  Way,
} from './method'
export { PlanLag, PlanTask } from './planTask'
export { attributeName } from './attributeName'
export { AttributeId, ATTRIBUTES, FamilyId, FAMILIES, Original } from './original'
export { type MethodEntry, methodEntries, type PlacedStep, stepsInOrder } from './methodEntries'
export { Written } from './written'
export { fail, type Issue, ok, type Result } from './result'
export { Series, SeriesFactor, SeriesGoal, SeriesRun } from './series'
export { SWAP_BASES, type SwapBasis, type SwapRow } from './swap'
