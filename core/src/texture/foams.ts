import type { PartState } from '../process'

/** Share of a foam's volume that bubbles and clumped fat take. @param setFat solid fat at serving, % @source foams stand above about 0.64 packed volume; practice */
export function packedFraction({ overrunPct }: PartState, setFat: number): number {
  const air = overrunPct / (100 + overrunPct)
  const fatVolume = (setFat / 100 / 0.92) * (1 - air)
  return air + 2 * fatVolume
}

/** Dry foamer in its liquid, g per 100 g; of soy drink where there is no bean liquid. @source bean liquid 5 to 9 %; practice */
function foamerPct({ notes }: PartState): number {
  if (notes.foamLiquidG > 0) return (100 * notes.foamerG) / notes.foamLiquidG
  return notes.soyDrinkG > 0 ? (100 * notes.soyDrinkProteinG) / notes.soyDrinkG : 0
}

/** How well the films between bubbles hold, about 0 to 2. @source practice */
export function filmStrength(state: PartState, setFat: number): number {
  const { cooked } = state
  const sugar = cooked.waterG > 0 ? cooked.sugarsG / cooked.waterG : 0
  return foamerPct(state) / 7 + setFat / 28 + 0.1 * Math.min(sugar, 3)
}
