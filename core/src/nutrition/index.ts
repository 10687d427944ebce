export { addSums, ENERGY_KCAL_PER_G, energyKcal, sumLines, type Sums, totalsPer } from './totals'
