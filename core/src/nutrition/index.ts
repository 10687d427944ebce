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
export { complementOf, PATTERN, type Protein, proteinQuality, type ProteinQuality } from './proteinQuality'
