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
