import { assess, closeness, nextAct } from '@frijol/core/assess'
import { indexFoods } from '@frijol/core/measure'
import type { Assessment } from '@frijol/core/model'
import { libraryFrom, withOriginals, withOwn } from '@frijol/library/from'
import { useAssessed } from './assessed'
import { type Engine, useKitchenStore } from './kitchen'
import { useOpenDish } from './openDish'
import { watchWeighings } from './weighings'

export const engine: Engine = { assess, nextAct, closeness, indexFoods, libraryFrom, withOwn, withOriginals }

/** After this long without a change, ms, the hand rests: a pause between words, not between letters. */
const REST_MS = 250
let resting: ReturnType<typeof setTimeout> | undefined

/**
 * Keeps the assessment of the open dish in step with the dish, the library and the kitchen. Values, bands and findings
 * follow every key; how sure they are is worked out once the hand rests.
 */
function follow(isResting = false): void {
  clearTimeout(resting)
  const dish = useOpenDish.getState().value
  const { library, kitchen } = useKitchenStore.getState()
  const now = useAssessed.getState()
  if (dish === null || library === null) {
    if (now.dish !== null) useAssessed.setState({ dish: null, assessment: null })
    return
  }
  const before = isResting || now.dish?.id !== dish.id ? null : now.assessment
  const assessment: Assessment = assess(dish, library, kitchen, before)
  if (before !== null)
    resting = setTimeout(() => {
      follow(true)
    }, REST_MS)
  if (dish !== now.dish || assessment !== now.assessment) useAssessed.setState({ dish, assessment })
}

let isStarted = false
/** Called once, when the library is there. */
export function startEngine(): void {
  if (!isStarted) {
    isStarted = true
    useOpenDish.subscribe((state, before) => {
      if (state.value !== before.value) follow()
    })
    useKitchenStore.subscribe((state, before) => {
      if (state.library !== before.library || state.kitchen !== before.kitchen) follow()
    })
    watchWeighings()
  }
  follow()
}
