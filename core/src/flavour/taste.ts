import type { Batch } from '../composition'
import { equivalentUmami } from './umami'

/** Salt per gram of sodium. @source Regulation (EU) 1169/2011 Annex I */
export const SALT_PER_SODIUM = 2.5

/** All-source salt, % of mass, by sodium x 2.5. */
export const saltPct = (batch: Batch): number =>
  batch.massG > 0 ? ((batch.sodiumMg / 1000) * SALT_PER_SODIUM * 100) / batch.massG : 0

/** Equivalent umami concentration of a batch, g MSG per 100 g. */
export function umamiOf(batch: Batch): number {
  if (batch.massG <= 0) return 0
  const per100g = (mg: number): number => mg / 10 / batch.massG
  return equivalentUmami({
    glutamateGPer100g: per100g(batch.glutamateMg),
    impGPer100g: per100g(batch.impMg),
    gmpGPer100g: per100g(batch.gmpMg),
    ampGPer100g: per100g(batch.ampMg),
  })
}

/**
 * Saltiness on the 0 to 10 kitchen scale: 0.85 % salt reads about 4.3, 1.3 % about 5.6, an olive's 4 % about 9.
 * @source saturating curve through the sodium and saltiness of the originals and the soup and olive anchors; practice
 */
export const saltiness = (saltPercent: number): number => 10 * (1 - Math.exp(-((saltPercent / 1.55) ** 0.95)))

/**
 * Umami on the 0 to 10 kitchen scale: Y 0.03 reads about 2, broth's 0.3 about 5, 1.5 about 8.
 * @source saturating curve through the anchors chicken broth 5 and aged hard cheese 10; practice
 */
export const umamiScore = (y: number): number => 10 * (1 - Math.exp(-((y / 0.55) ** 0.55)))

/**
 * Richness on the 0 to 10 kitchen scale from fat: 12 % reads 5, butter's 82 % reads 10.
 * @source power law through the anchors omelette 12 % fat and butter; practice
 */
export const richness = (fatPercent: number): number =>
  Math.min(10, 10 * (Math.max(0, fatPercent) / 82) ** 0.36)
