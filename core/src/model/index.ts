export { Amount, AmountTerm, OpenAmount, QualifierId, SizeId, UnitId } from './amount'
export {
  Assessment,
  AttributeReading,
  Finding,
  LineReading,
  Measured,
  PartAssessment,
  RatioReading,
  StepReading,
  Totals,
  WaterReading,
} from './assessment'
export { Backup, BackupContent } from './backup'
export { blankDish, blankPart } from './blank'
export { Aim, Dish, FormulaLine, Part, Settled, Step, Trial } from './dish'
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
export { defaultKitchen, Kitchen, MeasureRegion, Pack, Price } from './kitchen'
export type { Allergen, Conversion, Library } from './library'
export { AttributeId, ATTRIBUTES, FamilyId, FAMILIES, Original } from './original'
export { fail, type Issue, ok, type Result } from './result'
