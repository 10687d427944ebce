import type { Assessment, Dish } from '@frijol/core/model'

export interface StageEntry {
  id: string
  label: string
  /** False for the stages that later versions bring: they are shown, and lead nowhere yet. */
  isBuilt: boolean
  /** Whether the stage has what it needs. */
  isReady: (dish: Dish, assessment: Assessment) => boolean
}

/** The loop, in the order in which people work. */
export const STAGES: readonly StageEntry[] = [
  {
    id: 'aim',
    label: 'Aim',
    isBuilt: true,
    isReady: ({ parts }) => parts.some(({ originalId }) => originalId !== null),
  },
  {
    id: 'mix',
    label: 'Mix',
    isBuilt: true,
    isReady: (_dish, { parts }) => {
      const lines = parts.flatMap((part) => part.lines)
      return lines.length > 0 && lines.every(({ massG, foodId }) => massG !== null && foodId !== null)
    },
  },
  {
    id: 'method',
    label: 'Method',
    isBuilt: true,
    isReady: ({ parts }) => parts.length > 0 && parts.every(({ steps }) => steps.length > 0),
  },
  { id: 'cook', label: 'Cook', isBuilt: false, isReady: () => false },
  { id: 'taste', label: 'Taste', isBuilt: false, isReady: () => false },
  { id: 'learn', label: 'Learn', isBuilt: false, isReady: () => false },
  {
    id: 'share',
    label: 'Share',
    isBuilt: true,
    isReady: (_dish, { perPortion, findings }) =>
      perPortion.energyKcal !== null &&
      !findings.some(({ severity, settled }) => severity === 'stop' && settled === null),
  },
]
