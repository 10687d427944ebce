import type { Protocol } from '../model'
import type { Forced } from './psychometric'

/** How a way of tasting works, and what it can and cannot say. */
export interface ProtocolTable {
  readonly id: Protocol
  readonly name: string
  /** The question that it answers, and what it leaves open. */
  readonly answers: string
  readonly leaves: string
  /** What the taster is asked. */
  readonly task: string
  readonly kind: 'forced' | 'scores' | 'ranks'
  /** Its statistics, where answers are right or wrong. */
  readonly forced: Forced | null
  readonly samples: readonly [least: number, most: number]
  /** Glasses before one taster at once where that is not one of each sample. */
  readonly glasses: number | null
  /** One sample stands there with its name on. */
  readonly hasReference: boolean
  /** Without a sample to hold the others against, it has no sense. */
  readonly needsControl: boolean
  readonly source: string
}

const table = (
  id: Protocol,
  name: string,
  [answers, leaves, task]: readonly [string, string, string],
  rest: Omit<ProtocolTable, 'id' | 'name' | 'answers' | 'leaves' | 'task'>,
): ProtocolTable => ({ id, name, answers, leaves, task, ...rest })

const TWO = [2, 2] as const

/** Every way of tasting. @source as each row says; what it leaves open: Lawless & Heymann 2010 */
export const PROTOCOL_TABLES: Readonly<Record<Protocol, ProtocolTable>> = {
  tetrad: table(
    'tetrad',
    'Tetrad',
    [
      'Can they tell the two apart at all?',
      'Not in what they differ, nor which is better.',
      'Two of these four are one dish and two are another. Which two go together?',
    ],
    {
      kind: 'forced',
      forced: 'tetrad',
      samples: TWO,
      glasses: 4,
      hasReference: false,
      needsControl: true,
      source: 'ASTM E3009',
    },
  ),
  triangle: table(
    'triangle',
    'Triangle',
    [
      'Can they tell the two apart at all?',
      'Not in what they differ, nor which is better.',
      'Two of these three are alike. Which is the odd one?',
    ],
    {
      kind: 'forced',
      forced: 'triangle',
      samples: TWO,
      glasses: 3,
      hasReference: false,
      needsControl: true,
      source: 'ISO 4120',
    },
  ),
  duotrio: table(
    'duotrio',
    'Duo-trio',
    [
      'Can they tell it from the original that they know?',
      'Not in what they differ, nor which is better.',
      'Taste the named one first. Which of the other two is the same?',
    ],
    {
      kind: 'forced',
      forced: 'duotrio',
      samples: TWO,
      glasses: 2,
      hasReference: true,
      needsControl: true,
      source: 'ISO 10399',
    },
  ),
  paired: table(
    'paired',
    'Paired comparison',
    [
      'Which of the two has more of one thing?',
      'Or which is liked better. Not by how much, and nothing beside the one thing asked.',
      'Which of the two?',
    ],
    {
      kind: 'forced',
      forced: 'twoafc',
      samples: TWO,
      glasses: 2,
      hasReference: false,
      needsControl: false,
      source: 'ISO 5495',
    },
  ),
  control: table(
    'control',
    'Difference from control',
    [
      'How far is each trial from the original?',
      'Not in which direction it differs.',
      'How different is each from the named one?',
    ],
    {
      kind: 'scores',
      forced: null,
      samples: [2, 6],
      glasses: null,
      hasReference: true,
      needsControl: true,
      source: 'Aust et al. 1985, J. Food Sci. 50:511',
    },
  ),
  profile: table(
    'profile',
    'Attribute profile',
    [
      'In what does it differ, and by how much?',
      'Not whether anybody minds.',
      'Rate each, from none to most.',
    ],
    {
      kind: 'scores',
      forced: null,
      samples: [1, 6],
      glasses: null,
      hasReference: false,
      needsControl: false,
      source: 'ISO 13299, ISO 4121',
    },
  ),
  jar: table(
    'jar',
    'Just about right',
    [
      'What is too little, what is too much?',
      'And what that costs in liking. It shows what goes together, not what causes what.',
      'Say how you like it, then what is too little or too much.',
    ],
    {
      kind: 'scores',
      forced: null,
      samples: [1, 4],
      glasses: null,
      hasReference: false,
      needsControl: false,
      source: 'ASTM MNL63',
    },
  ),
  liking: table(
    'liking',
    'Liking, nine points',
    [
      'How well do these people like it?',
      'Not what a market likes: a few tasters are no sample of it.',
      'How do you like each?',
    ],
    {
      kind: 'scores',
      forced: null,
      samples: [1, 6],
      glasses: null,
      hasReference: false,
      needsControl: false,
      source: 'Peryam & Pilgrim 1957; ISO 11136',
    },
  ),
  ranking: table(
    'ranking',
    'Ranking',
    [
      'In which order do they put several?',
      'Not how far apart they are.',
      'Put them in order: the most first.',
    ],
    {
      kind: 'ranks',
      forced: null,
      samples: [3, 6],
      glasses: null,
      hasReference: false,
      needsControl: false,
      source: 'ISO 8587',
    },
  ),
  own: table(
    'own',
    'Cook’s own check',
    [
      'Can you tell it blind yourself?',
      'One taster, the odd one of three, again and again. It speaks of you alone. A cook who knows the dish tells more than a guest does.',
      'Two of these three are alike. Which is the odd one?',
    ],
    {
      kind: 'forced',
      forced: 'triangle',
      samples: TWO,
      glasses: 3,
      hasReference: false,
      needsControl: true,
      source: 'ISO 4120, repeated by one person; practice',
    },
  ),
}

export const protocolTable = (id: Protocol): ProtocolTable => PROTOCOL_TABLES[id]

/** Where people's answers run both ways: two-sided. */
export const isTwoSided = ({
  protocol,
  expectedId,
}: {
  readonly protocol: Protocol
  readonly expectedId: string | null
}): boolean => protocol === 'paired' && expectedId === null

/** Scales by what is asked. */
export const SCALES = {
  attribute: { least: 0, most: 10, step: 0.5 },
  difference: { least: 0, most: 10, step: 0.5 },
  liking: { least: 1, most: 9, step: 1 },
  jar: { least: 1, most: 5, step: 1 },
} as const

/** Words of the nine-point liking scale, from 1. @source Peryam & Pilgrim 1957 */
export const LIKING_WORDS = [
  'dislike extremely',
  'dislike very much',
  'dislike moderately',
  'dislike slightly',
  'neither like nor dislike',
  'like slightly',
  'like moderately',
  'like very much',
  'like extremely',
] as const
/** Words of the just-about-right scale, from 1. @source ASTM MNL63 */
export const JAR_WORDS = [
  'much too little',
  'too little',
  'just about right',
  'too much',
  'much too much',
] as const
/** What nobody wants has no amount that is right. @source Lawless & Heymann 2010 */
export const NOT_FOR_JAR: ReadonlySet<string> = new Set(['bitterness', 'graininess'])

/** How large a d' is, in words. Practice. */
export const DIFFERENCES = [
  { dPrime: 1, word: 'modest' },
  { dPrime: 1.5, word: 'plain' },
  { dPrime: 2, word: 'obvious' },
] as const
