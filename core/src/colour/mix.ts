import { converter, differenceCiede2000, formatHex } from 'culori/fn'
import { modeLab65, modeLrgb, modeRgb, useMode as registerMode } from 'culori/fn'

/** CIE L*, a*, b* under D65. */
export type Lab = readonly [l: number, a: number, b: number]

registerMode(modeLab65)
registerMode(modeLrgb)
registerMode(modeRgb)
const toLinear = converter('lrgb')
const toLab = converter('lab65')
const distance = differenceCiede2000()

const asLab = ([l, a, b]: Lab) => ({ mode: 'lab65', l, a, b }) as const
type Channels = readonly [r: number, g: number, b: number]

/** No food is blacker or whiter than this in a channel. */
const DARKEST = 0.003
const LIGHTEST = 0.985
const held = (value: number): number => Math.min(LIGHTEST, Math.max(DARKEST, value))
const channels = (lab: Lab): Channels => {
  const { r, g, b } = toLinear(asLab(lab))
  return [held(r), held(g), held(b)]
}
const labOf = ([r, g, b]: Channels): Lab => {
  const { l, a, b: blue } = toLab({ mode: 'lrgb', r, g, b })
  return [l, a, blue]
}

/** A colour in a mix, and how much it weighs there: its solids times its tinting strength. */
export interface Coloured {
  readonly lab: Lab
  readonly weight: number
}

/** Absorption over scattering of an opaque layer, and back. @source Kubelka and Munk 1931 */
const absorption = (reflectance: number): number => (1 - reflectance) ** 2 / (2 * reflectance)
const reflectance = (ratio: number): number => 1 + ratio - Math.sqrt(ratio * ratio + 2 * ratio)

/**
 * The colour of foods mixed as pastes: absorption over scattering adds up by weight, in three bands of light.
 * @param overrunPct air whipped in, % more volume: bubbles scatter, and whiten
 * @returns null where nothing has a weight
 * @source Kubelka and Munk 1931, in linear sRGB; weights are practice
 */
export function mixed(colours: readonly Coloured[], overrunPct = 0): Lab | null {
  const whole = colours.reduce((sum, { weight }) => sum + weight, 0)
  if (whole <= 0) return null
  const sums = [0, 0, 0]
  for (const { lab, weight } of colours)
    channels(lab).forEach((value, at) => {
      sums[at] = (sums[at] ?? 0) + (weight / whole) * absorption(value)
    })
  const [r = 1, g = 1, b = 1] = sums.map((ratio) => reflectance(ratio / (1 + overrunPct / 100)))
  return labOf([r, g, b])
}

/** Two colours side by side on a surface, as the eye adds them. @param share of the second, 0 to 1 */
export function beside(first: Lab, second: Lab, share: number): Lab {
  const [a, b] = [channels(first), channels(second)]
  const at = (index: 0 | 1 | 2): number => (1 - share) * a[index] + share * b[index]
  return labOf([at(0), at(1), at(2)])
}

/** Pieces of one food in a mix: what they are made of, how much of the mass they are, and their size. */
export interface Piece {
  readonly colours: readonly Coloured[]
  readonly massG: number
  readonly mm: number
}

/** Pieces of this size are coated to a third, crumbs all over. @source of 12 to 30 mm, the one by which 55 good analogues come nearest to their originals' colours; practice */
const COATED_MM = 30

/**
 * The colour of a mix with pieces in it: they are coated by the paste, the more the smaller they are, and do not tint it;
 * the eye adds pieces and paste by their masses.
 * @param paste what is no piece; pasteG its mass, g
 * @returns null where nothing has a weight
 * @source as `mixed`; coating by size is practice
 */
export function withPieces(
  paste: readonly Coloured[],
  pasteG: number,
  pieces: readonly Piece[],
  overrunPct = 0,
): Lab | null {
  const whole = pasteG + pieces.reduce((sum, { massG }) => sum + massG, 0)
  if (whole <= 0) return null
  const sum = [0, 0, 0]
  let seen = 0
  const add = (lab: Lab | null, massG: number): void => {
    if (lab === null || massG <= 0) return
    channels(lab).forEach((value, at) => {
      sum[at] = (sum[at] ?? 0) + value * massG
    })
    seen += massG
  }
  add(mixed(paste, overrunPct), pasteG)
  for (const { colours, massG, mm } of pieces) {
    const coat = (massG / whole) * Math.exp(-((mm / COATED_MM) ** 2))
    const coating = paste.map(({ lab, weight }) => ({ lab, weight: weight * coat }))
    add(mixed([...colours, ...coating]), massG)
  }
  if (seen <= 0) return null
  const [r = 0, g = 0, b = 0] = sum
  return labOf([r / seen, g / seen, b / seen])
}

/** Difference as the eye sees it: below 3 a match, above 10 obvious. @source CIEDE2000, ISO/CIE 11664-6 */
export const deltaE = (one: Lab, other: Lab): number => distance(asLab(one), asLab(other))

/** For a swatch on a screen, as near as sRGB comes. */
export const hexOf = (lab: Lab): string => {
  const { r, g, b } = toLinear(asLab(lab))
  const inside = (value: number): number => Math.min(1, Math.max(0, value))
  return formatHex({ mode: 'lrgb', r: inside(r), g: inside(g), b: inside(b) })
}

/** @source delta E below 3 match, 3 to 6 close, above 10 obvious; practice */
const SEEN: readonly (readonly [from: number, words: string])[] = [
  [0, 'a match'],
  [3, 'close'],
  [6, 'seen side by side'],
  [10, 'seen at once'],
]
/** A way is named from so many units on. Practice. */
const LEAST_SAID = 4

/** How a colour differs from the one it should be, in a cook's words: "darker and yellower, seen at once". */
export function colourWords(mine: Lab, theirs: Lab): string {
  const delta = deltaE(mine, theirs)
  const seen = SEEN.filter(([from]) => delta >= from).at(-1)?.[1] ?? ''
  const ways = [
    [mine[0] - theirs[0], 'lighter', 'darker'],
    [mine[1] - theirs[1], 'redder', 'less red'],
    [mine[2] - theirs[2], 'yellower', 'less yellow'],
  ] as const
  const said = [...ways]
    .filter(([by]) => Math.abs(by) >= LEAST_SAID)
    .sort((a, b) => Math.abs(b[0]) - Math.abs(a[0]))
    .slice(0, 2)
    .map(([by, more, less]) => (by > 0 ? more : less))
  return [said.join(' and '), seen].filter((part) => part !== '').join(', ')
}
