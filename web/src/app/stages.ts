import type { Assessment, Dish } from '@frijol/core/model'
import type { ComponentType } from 'react'

export interface StageEntry {
  id: string
  label: string
  /** Fetches its screen. */
  load: () => Promise<ComponentType>
  /** Whether it shows one part at a time. */
  isOfPart: boolean
  /** Whether the counter with the totals stays under it. */
  hasCounter: boolean
  /** Whether the stage has what it needs. */
  isReady: (dish: Dish, assessment: Assessment) => boolean
}

const plain = { isOfPart: false, hasCounter: false } as const

/** The loop, in the order in which people work. Everything that a stage needs of the frame stands here. */
export const STAGES: readonly StageEntry[] = [
  {
    ...plain,
    id: 'aim',
    label: 'Aim',
    load: async () => (await import('../stages/aim')).AimStage,
    isReady: ({ parts }) => parts.some(({ originalId }) => originalId !== null),
  },
  {
    id: 'mix',
    label: 'Mix',
    load: async () => (await import('../stages/mix')).MixStage,
    isOfPart: true,
    hasCounter: true,
    isReady: (_dish, { parts }) => {
      const lines = parts.flatMap((part) => part.lines)
      return lines.length > 0 && lines.every(({ massG, foodId }) => massG !== null && foodId !== null)
    },
  },
  {
    id: 'method',
    label: 'Method',
    load: async () => (await import('../stages/method')).MethodStage,
    isOfPart: true,
    hasCounter: true,
    isReady: ({ parts }) => parts.length > 0 && parts.every(({ steps }) => steps.length > 0),
  },
  {
    ...plain,
    id: 'cook',
    label: 'Cook',
    load: async () => (await import('../stages/cook')).CookStage,
    isReady: ({ parts }) => parts.length > 0 && parts.every(({ steps }) => steps.length > 0),
  },
  {
    ...plain,
    id: 'taste',
    label: 'Taste',
    load: async () => (await import('../stages/taste')).TasteStage,
    isReady: ({ parts }, assessment) =>
      assessment.cookedMassG > 0 && parts.some(({ originalId }) => originalId !== null),
  },
  {
    id: 'learn',
    label: 'Learn',
    load: async () => (await import('../stages/learn')).LearnStage,
    isOfPart: true,
    hasCounter: false,
    isReady: (dish) => dish.trial.number > 1,
  },
  {
    ...plain,
    id: 'share',
    label: 'Share',
    load: async () => (await import('../stages/share')).ShareStage,
    isReady: (_dish, { perPortion, findings }) =>
      perPortion.energyKcal !== null &&
      !findings.some(({ severity, settled }) => severity === 'stop' && settled === null),
  },
]

/** The stage that an address shows; null outside a dish. */
export function stageOf(pathname: string): StageEntry | null {
  const id = /^\/dish\/[^/]+\/([^/]+)/.exec(pathname)?.[1]
  return STAGES.find((stage) => stage.id === id) ?? null
}
