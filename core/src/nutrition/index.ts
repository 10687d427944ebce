export { addSums, ENERGY_KCAL_PER_G, energyKcal, sumCooked, sumLines, type Sums, totalsPer } from './totals'
