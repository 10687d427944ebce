export { richness, SALT_PER_SODIUM, saltiness, saltPct, umamiOf, umamiScore } from './taste'
export { equivalentUmami, type UmamiInputs } from './umami'
