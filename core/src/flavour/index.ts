export { BEANY_NOTICED, beanyLeft, type BeanyInputs, beanyWords, heatWords } from './bite'
export {
  type Dose,
  type NoteCarrier,
  type NoteStanding,
  signatureOf,
  type SignatureNote,
  type TurnedFood,
} from './signature'
export { richness, SALT_PER_SODIUM, saltiness, saltPct, umamiOf, umamiScore } from './taste'
export { equivalentUmami, type UmamiInputs } from './umami'
