const celsius = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9

/** Oven temperature of a gas mark, C. @source 25 F a mark from 275 F at mark 1; half marks below it */
export function gasMarkC(mark: number): number {
  if (mark < 1) return Math.round(celsius(mark <= 0.25 ? 225 : 250))
  return Math.round(celsius(250 + 25 * mark))
}

/** A stated temperature in C. */
export const fahrenheitC = (fahrenheit: number): number => Math.round(celsius(fahrenheit))

/** A fan oven set this much lower cooks like a still one. Practice. */
const FAN_DROP_C = 20

/**
 * Air of a fan oven that heats as a stated temperature does: constants of the oven hold for fan ovens.
 * @param isFan whether the statement is for a fan oven
 * @param offsetC what the oven really reaches above its dial
 */
export const fanAirC = (statedC: number, isFan: boolean, offsetC: number): number =>
  statedC + fanShiftC(isFan, offsetC)

/** What is added to a stated temperature to have the fan air that heats alike, C. */
export const fanShiftC = (isFan: boolean, offsetC: number): number => offsetC - (isFan ? 0 : FAN_DROP_C)

/** What to set an oven's dial to for so much fan air, C, to the nearest 5. */
export const dialC = (fanC: number, isFan: boolean, offsetC: number): number =>
  5 * Math.round((fanC - offsetC + (isFan ? 0 : FAN_DROP_C)) / 5)
