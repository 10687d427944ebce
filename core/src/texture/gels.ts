import type { AgentState, PartState } from '../process'

/** Softly cut off at 0: nothing below, x above, smooth between. */
const above = (x: number): number => (x > 20 * SOFT ? x : SOFT * Math.log1p(Math.exp(x / SOFT)))
const SOFT = 0.05
const on = (value: number, wanted: number, width: number): number =>
  1 / (1 + Math.exp((value - wanted) / width))

/** What each family of agents gives: kPa-like index per squared % above its floor. @source (c - c0)^2 laws of gels; scale: 0.7 % agar slices at 18, firm tofu at 15; practice */
const STRENGTH: Partial<Record<string, { readonly factor: number; readonly floorPct: number }>> = {
  agar: { factor: 58, floorPct: 0.15 },
  carrageenan: { factor: 35, floorPct: 0.3 },
  pectin: { factor: 12, floorPct: 0.3 },
  alginate: { factor: 20, floorPct: 0.3 },
  konjac: { factor: 60, floorPct: 0 },
  methylcellulose: { factor: 6, floorPct: 0.5 },
}
/** Methylcellulose gels when it is hot and lets go when it cools. */
const HOT_SETS_C = 52
/** Proteins, amylose and waxy starch together, % that gives no gel yet, and the index per squared % above it. @source firm tofu of 15 % protein: 15; practice */
const NETWORK_FLOOR = 1.5
const NETWORK_FACTOR = 0.085
/** Starch pastes are soft while hot. */
const PASTE_SETS_C = 45
const HOT_PASTE = 0.35
const WAXY_SHARE = 0.4
/** Coagulated protein and konjac do not melt. */
const NEVER_C = 95
const PASTE_MELTS_C = 60

/** A cooling agent is set as far as it has been cold, and has not been warmed over its melting point since. */
function setShare(agent: AgentState, coldestC: number, servingC: number): number {
  if (agent.setsHot) return on(-servingC, -HOT_SETS_C, 2)
  const set = agent.setC === null ? 1 : on(Math.min(coldestC, servingC), agent.setC, 2)
  return set * (agent.meltsC === null ? 1 : on(servingC, agent.meltsC, 3))
}

/** Agents of a family as far as they dissolved and acid left them whole, g per 100 g. */
export function agentPct({ agents, cooked }: PartState, family: string): number {
  let active = 0
  for (const one of agents) if (one.family === family) active += one.activeG
  return cooked.massG > 0 ? (100 * active) / cooked.massG : 0
}

export interface Gel {
  /** kPa-like strength at a temperature. */
  readonly index: number
  /** Where the main of it melts, C. */
  readonly meltsC: number
}

/**
 * Strength of what holds a part together as a gel, and where it lets go: agents that dissolved and cooled, curdled and
 * heat-set protein, cooled starch paste. One definition for every family.
 *
 * @param servingC 0 to 100
 * @source (c - c0)^2 gel laws, Handbook of Hydrocolloids 2009; protein and starch terms practice
 */
export function gelAt(state: PartState, servingC: number): Gel {
  // Several inputs of one reading ask for the same gel.
  if (last.state === state && last.servingC === servingC) return last.gel
  last = { state, servingC, gel: work(state, servingC) }
  return last.gel
}
const NO_GEL: Gel = { index: 0, meltsC: 0 }
let last: { readonly state: PartState | null; readonly servingC: number; readonly gel: Gel } = {
  state: null,
  servingC: Number.NaN,
  gel: NO_GEL,
}

function work(state: PartState, servingC: number): Gel {
  const { cooked, agents, cooling, starch, notes } = state
  if (cooked.massG <= 0) return NO_GEL
  const doses = new Map<string, number>()
  const melts = new Map<string, number>()
  for (const agent of agents) {
    const share = setShare(agent, cooling.coldestC, servingC)
    doses.set(agent.family, (doses.get(agent.family) ?? 0) + (100 * agent.activeG * share) / cooked.massG)
    melts.set(agent.family, agent.meltsC ?? NEVER_C)
  }
  let index = 0
  let melting = 0
  for (const [family, dose] of doses) {
    const known = STRENGTH[family]
    if (known === undefined) continue
    const part = known.factor * above(dose - known.floorPct) ** 2 - known.factor * above(-known.floorPct) ** 2
    index += Math.max(0, part)
    melting += Math.max(0, part) * (melts.get(family) ?? NEVER_C)
  }
  const paste = HOT_PASTE + (1 - HOT_PASTE) * on(servingC, PASTE_SETS_C, 3)
  const pct = 100 / cooked.massG
  const starchy = paste * (starch.amyloseG + WAXY_SHARE * starch.waxyG) * pct
  const protein = notes.gelProteinG * pct
  const network = NETWORK_FACTOR * above(protein + starchy - NETWORK_FLOOR) ** 2
  index += network
  const held = protein + starchy > 0 ? protein / (protein + starchy) : 0
  melting += network * (held * NEVER_C + (1 - held) * PASTE_MELTS_C)
  return { index, meltsC: index > 1e-6 ? melting / index : 0 }
}

/** Chance that liquid weeps out, 0 to 1: much agar, cultured milk that was not heated or went too sour, a gel that never set. @source weeping: P18 and the sauce tables; practice */
export function weepRisk(state: PartState, servingC: number): number {
  const agar = agentPct(state, 'agar')
  const isAgar = on(-agar, -1.2, 0.1)
  let risk = 0.1 + isAgar * (0.2 + 0.5 * Math.max(0, agar - 1.2))
  if (!Number.isNaN(state.culturePH)) {
    risk += 0.6 * on(state.peakC, 84, 2)
    risk += 0.6 * on(state.culturePH, 4.1, 0.05)
  }
  risk += 0.6 * on(gelAt(state, servingC).index, 0.6, 0.2) * on(-agar, -0.2, 0.05)
  return 1 - Math.exp(-risk - 0.3 * risk ** 2)
}
