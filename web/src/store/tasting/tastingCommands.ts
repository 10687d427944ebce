import type {
  Protocol,
  Seat,
  Serving,
  Tasting,
  TastingAnswer,
  TastingSample,
  TastingSettings,
} from '@frijol/core/model'
import { protocolTable } from '@frijol/core/sensory'
import type { Draft } from 'immer'
import type { TastingCommand } from './openTasting'

const planned =
  (change: (settings: Draft<TastingSettings>) => void) =>
  (tasting: Draft<Tasting>): void => {
    // What was settled before the tasting is not moved after it has begun.
    if (tasting.design === null) change(tasting.settings)
  }

/** Changes how a tasting is planned. `merge` joins the keys of one field. */
export const changePlan = (
  label: string,
  change: Partial<TastingSettings>,
  merge?: string,
): TastingCommand => ({
  label,
  ...(merge === undefined ? {} : { merge }),
  apply: planned((settings) => {
    Object.assign(settings, change)
  }),
})

/** Takes another protocol, with what it needs: one taster where it has one, liking where it is read beside it. */
export const takeProtocol = (protocol: Protocol): TastingCommand => ({
  label: `taste by ${protocolTable(protocol).name.toLowerCase()}`,
  apply: planned((settings) => {
    const before = protocolTable(settings.protocol).kind
    settings.protocol = protocol
    const { kind } = protocolTable(protocol)
    if (protocol === 'own') {
      settings.tasters = settings.tasters.slice(0, 1)
      settings.rounds = Math.max(6, settings.rounds)
    } else if (kind === 'forced' && settings.rounds > 4) settings.rounds = 1
    settings.asksLiking = protocol === 'jar' || protocol === 'liking'
    if (protocol !== 'paired') settings.expectedId = null
    // d' where answers are right or wrong, points of the scale else: a plain difference is 1.5 of either.
    if (before !== kind) settings.detects = 1.5
  }),
})

export const setSamples = (
  label: string,
  samples: readonly TastingSample[],
  controlId: string | null,
): TastingCommand => ({
  label,
  apply: planned((settings) => {
    settings.samples = [...samples]
    settings.controlId = samples.some(({ id }) => id === controlId) ? controlId : null
    if (samples.every(({ id }) => id !== settings.expectedId)) settings.expectedId = null
  }),
})

export const setTasters = (label: string, tasters: readonly Seat[]): TastingCommand => ({
  label,
  apply: planned((settings) => {
    settings.tasters = [...tasters]
  }),
})

/** Sets the tasting out: what was settled stands from now on. */
export const setOut = (servings: readonly Serving[], at: number): TastingCommand => ({
  label: 'set the tasting out',
  apply: (tasting) => {
    tasting.design = { at, servings: [...servings] as Draft<Serving[]> }
  },
})

/** Writes answers down; one of the same serving before it is replaced. */
export const answer = (answers: readonly TastingAnswer[], label = 'write an answer'): TastingCommand => ({
  label,
  apply: (tasting) => {
    const ids = new Set(answers.map(({ servingId }) => servingId))
    tasting.answers = [
      ...tasting.answers.filter(({ servingId }) => !ids.has(servingId)),
      ...(answers as Draft<TastingAnswer[]>),
    ]
  },
})

export const takeBackAnswer = (servingId: string): TastingCommand => ({
  label: 'take an answer back',
  apply: (tasting) => {
    tasting.answers = tasting.answers.filter((one) => one.servingId !== servingId)
  },
})

export const closeTasting = (at: number | null): TastingCommand => ({
  label: at === null ? 'open the tasting again' : 'close the tasting',
  apply: (tasting) => {
    tasting.closedAt = at
  },
})

export const renameTasting = (name: string): TastingCommand => ({
  label: 'name the tasting',
  merge: 'name',
  apply: (tasting) => {
    tasting.name = name
  },
})
