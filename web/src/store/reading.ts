import type { ReadContext } from '@frijol/core/interchange'
import { type OwnWords, ownWordsOf, readRecipeMethod, stepFrom } from '@frijol/core/reading'
import { newId, nowIso } from './ids'
import { lineReader, useKitchenStore } from './kitchen'

/** Verbs that this kitchen has taught the reader. */
export const kitchenWords = (): OwnWords => ownWordsOf(useKitchenStore.getState().kitchen)

/** What reading a recipe needs in this browser. */
export const readContext = (): ReadContext => ({
  reader: lineReader(),
  newId,
  now: nowIso(),
  readStep: (text, id) => stepFrom(text, id, kitchenWords()),
  readMethod: readRecipeMethod,
})
