export {
  addSums,
  ENERGY_KCAL_PER_G,
  energyKcal,
  shareOfSums,
  sumCooked,
  sumLines,
  type Sums,
  totalsPer,
} from './totals'
export { type Claim, euClaims, usClaims } from './claims'
export { DAILY, type DailyFigure, type DailyIntake } from './intakes'
export {
  euEnergy,
  labelRows,
  type LabelRegion,
  type LabelRow,
  SALT_G_PER_SODIUM_MG,
  usEnergyKcal,
} from './label'
export { complementOf, PATTERN, type Protein, proteinQuality, type ProteinQuality } from './proteinQuality'
