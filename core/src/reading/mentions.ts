import type { Kitchen } from '../model'
import type { Bench } from './bench'
import type { Verb } from './lexicon/verbs'
import type { Named, Names } from './named'
import type { Reading } from './rests'
import type { Said } from './said'

/** How a thing stands in its clause: what is worked, what goes with it, what it goes into, what is left out. */
export type Role = 'object' | 'with' | 'into' | 'in' | 'for' | 'except'

interface Base {
  readonly at: number
  readonly role: Role
  readonly said: Said
}

/** What words of a clause name. */
export type Mention = Base &
  (
    | {
        readonly kind: 'named'
        readonly of: readonly Named[]
        readonly isWhole: boolean
        readonly word: string
        readonly made: Verb | null
        readonly product: string | null
      }
    | {
        readonly kind: 'word'
        readonly word: string
        readonly made: Verb | null
        /** "The sauces": all that are called so. */
        readonly isEvery: boolean
      }
    | { readonly kind: 'side'; readonly word: string; readonly isMarked: boolean }
    | { readonly kind: 'pronoun'; readonly word: string; readonly isAll: boolean }
    | { readonly kind: 'class'; readonly word: string; readonly made: Verb | null }
    | {
        readonly kind: 'group'
        readonly which: 'all' | 'rest' | 'dry' | 'wet'
        readonly part: number | null
        readonly isList: boolean
      }
    | {
        readonly kind: 'remainder'
        /** "The rest", and not a part that was spoken of: all that was not taken yet. */ readonly isRest: boolean
      }
    | { readonly kind: 'water'; readonly isThe: boolean }
    /** "Add 1 and 2": what the written steps of those numbers made. */
    | { readonly kind: 'step'; readonly stepId: string }
  )

/** What scanning a clause needs to know beside its words. */
export interface Scene {
  readonly names: Names
  readonly kitchen: Kitchen
  readonly reading: Reading
  readonly bench: Bench
  /** Part that the words are about, where headings or the list say so. */
  readonly part: number | null
  /** Part whose foods alone can be named: a step that was typed into it; null = all. */
  readonly only: number | null
  /** The last step that the written step of a number made, counted from 1; null where it made none yet. */
  readonly stepOf: (number: number) => string | null
  /** Stem of the verb in hand, as purposes name it: "fry", "dust". */
  readonly verb: string | null
}
