import type { Behaviour } from '../model'
import type { PartState } from '../process'
import type { FamilyTable } from './family'
import type { Goal } from './goal'
import { packedFraction } from './foams'
import { setFatPct } from './fats'
import { gelAt, weepRisk } from './gels'
import { served } from './readings'
import { viscosityAt } from './viscosity'

type Bands = readonly (readonly [from: number, words: string])[]
const wordsFor = (bands: Bands, value: number): string =>
  bands.filter(([from]) => value >= from).at(-1)?.[1] ?? bands[0]?.[1] ?? ''

/** What a cook says of a thickness, Pa.s at 50 1/s. @source pour 0.02 to 0.1, coat 0.15 to 0.6, thick 0.6 to 2, dip 2 to 8, spread 8 to 30; practice */
const POURS: Bands = [
  [0, 'runs like milk'],
  [0.02, 'pours like cream'],
  [0.12, 'coats a spoon'],
  [0.6, 'falls slowly from the spoon'],
  [2, 'mounds like a dip'],
  [8, 'spreads with a knife'],
  [30, 'stands like a paste'],
]
/** "coats a spoon", "mounds like a dip". @param paS at 50 1/s */
export const pourWords = (paS: number): string => wordsFor(POURS, paS)

/** Flow in the trough in 30 s at a thickness: 100 mL, 50 mm wide. @source kitchen measurement P9: coating 5 to 9 cm, pouring 10 to 20, thick yogurt 0 to 3; between them practice */
const FLOWS: readonly (readonly [log10: number, cm: number])[] = [
  [-2, 22],
  [-1, 14],
  [-0.52, 9],
  [0, 5.5],
  [0.48, 3],
  [0.9, 1],
  [1.5, 0],
]
const FLOW_SD_CM = 2

/** Flow in 30 s in the trough, cm, ± 2. @param paS at 50 1/s, above 0 */
export function troughFlowCm(paS: number): number {
  const x = Math.log10(Math.max(paS, 1e-5))
  let low = FLOWS[0] ?? [0, 0]
  for (const point of FLOWS) {
    if (x <= point[0]) {
      const span = point[0] - low[0]
      return span > 0 ? low[1] + ((x - low[0]) / span) * (point[1] - low[1]) : low[1]
    }
    low = point
  }
  return 0
}

/** @source scale of the gel index: 0.7 % agar 18, firm tofu 15; practice */
const SETS: Bands = [
  [0, 'not set'],
  [0.6, 'trembles, hardly holds'],
  [2, 'soft set, cut with a spoon'],
  [8, 'slices cleanly'],
  [30, 'firm'],
  [80, 'hard, breaks when bent'],
]
const WEEPS: Bands = [
  [0, 'keeps its water'],
  [0.25, 'may weep a little'],
  [0.5, 'will weep'],
]
/** A foam with less packed volume than this slumps. @source close packing of bubbles, 0.64 */
const STANDS = 0.64
const LEAST_AIR_PCT = 20
/** A skin from the bath: minutes. @source 1.5 to 4 min; practice */
const SKINS: Bands = [
  [0, 'a skin too thin to lift'],
  [0.7, 'a thin skin'],
  [1.5, 'a skin that bursts under the fork'],
  [4, 'a thick, chewy skin'],
]
const ROOM_C = 20
/** Warmer than this, what it does when it has cooled is told as well. */
const WARM_C = 35

const shown = (value: number): string => String(Number(value.toPrecision(2)))
const flow = (paS: number): string => {
  const cm = troughFlowCm(paS)
  return cm > 20
    ? 'it runs the whole trough in 30 s'
    : `${Math.max(0, Math.round(cm - FLOW_SD_CM))} to ${Math.round(cm + FLOW_SD_CM)} cm in 30 s in a trough 50 mm wide`
}

/** Families that are held by a gel: whether it is set is what matters first. */
const HELD: ReadonlySet<string> = new Set([
  'sliceable-gel',
  'custard-gel',
  'egg-curd',
  'crumbly-brined',
  'cultured-thick',
])

function pouring(state: PartState, servingC: number): Behaviour[] {
  const hot = viscosityAt(state, servingC)
  const rows = [
    {
      id: 'thickness',
      label: `Thickness at ${Math.round(servingC)} °C`,
      value: `${pourWords(hot)}, ${shown(hot)} Pa·s`,
      confirm: flow(hot),
    },
  ]
  if (servingC <= WARM_C) return rows
  const cold = viscosityAt(state, ROOM_C)
  return [
    ...rows,
    {
      id: 'thickness-cooled',
      label: 'Cooled to 20 °C',
      value: `${pourWords(cold)}, ${shown(cold)} Pa·s`,
      confirm: flow(cold),
    },
  ]
}

function gelling(state: PartState, servingC: number): Behaviour[] {
  const gel = gelAt(state, servingC)
  const agent = [...state.agents]
    .filter(({ setC, activeG }) => setC !== null && activeG > 0)
    .sort((a, b) => b.activeG - a.activeG)[0]
  const weep = weepRisk(state, servingC)
  return [
    {
      id: 'set',
      label: 'Set',
      value: wordsFor(SETS, gel.index),
      confirm:
        agent?.setC == null
          ? 'cut it with a wire when it is as cold as it is served'
          : `the ${agent.family} sets ${agent.setsHot ? 'above' : 'below'} ${agent.setC} °C${agent.meltsC === null ? '' : ` and lets go at ${agent.meltsC} °C`}`,
    },
    {
      id: 'weep',
      label: 'Weeping',
      value: wordsFor(WEEPS, weep),
      confirm: 'a 50 mm cube for 24 h at 4 °C: weigh the liquid beside it',
    },
  ]
}

/**
 * What a part will do at the counter, in a cook's words, and how to confirm it there: whether it pours, sets, weeps,
 * stands or has a skin.
 *
 * @returns nothing for families of which only the bite is judged
 */
export function behaviourOf(table: FamilyTable, state: PartState, goal: Goal): Behaviour[] {
  const { servingC } = served(table, state, goal)
  const rows = table.isPoured ? pouring(state, servingC) : []
  if (HELD.has(table.id)) rows.push(...gelling(state, servingC))
  if (table.id === 'foam' || state.overrunPct > LEAST_AIR_PCT) {
    const packed = packedFraction(state, setFatPct(state, servingC, servingC))
    rows.push({
      id: 'air',
      label: 'Air',
      value: `${Math.round(state.overrunPct)} % more volume; ${packed >= STANDS ? 'it stands' : 'it slumps'}`,
      confirm: 'weigh one cup full before and after whipping: liquid ÷ foam − 1',
    })
  }
  if (state.bathMin > 0)
    rows.push({
      id: 'skin',
      label: 'Skin',
      value: wordsFor(SKINS, state.bathMin),
      confirm: `${shown(state.bathMin)} min in the bath; lift one and prick it`,
    })
  if (!Number.isNaN(state.culturePH))
    rows.push({
      id: 'sour',
      label: 'Soured to',
      value: `pH ${state.culturePH.toFixed(1)} ± ${shown(state.pH.sd)}${state.culturePH > SAFE_PH ? '; not sour enough to keep' : ''}`,
      confirm: 'a pH strip or meter; keep it only at 4.6 or below, and follow your local food code',
    })
  return rows
}
/** Cultured food is kept below this. @source pH 4.6, the usual bound of acid foods */
const SAFE_PH = 4.6
