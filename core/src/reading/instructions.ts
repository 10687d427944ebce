import type { OperationId, Step } from '../model'
import { operationIn } from './operationIn'
import { readStep, stepFrom } from './readStep'

const NUMBERED = /^\s*(?:(?:step\s*)?\d{1,2}\s*[.):-]\s+|step\s+\d{1,2}\s*[:.]?\s*|[-–•*▢]\s+)/i
const HEADING = /^[^.!?]{1,60}:$/
/** Words after which a full stop does not end a sentence. */
const ABBREVIATED = /(?:\b(?:approx|min|mins|hrs?|tbsp|tsp|oz|lb|no|ca|e\.g|i\.e|deg)|\d)\.$/i
const PREHEAT = /^(?:meanwhile,?\s*)?(?:pre-?heat|heat|set) (?:the |your )?(?:fan )?(?:oven|grill|broiler)\b/i
/** What only tells how, or when it is done. */
const ASIDE =
  /^(?:leave (?:them|it) alone|do not|don.t|avoid|be careful|take care|note|tip|they should|it should|this (?:should|will|takes)|serves?\b|enjoy|adjust|taste|check)\b/i
/** Beside these an "and" joins: "add and sweat" is one doing. "Then" and a semicolon part them all the same. */
const JOINED: ReadonlySet<OperationId> = new Set(['mix', 'heat', 'thicken'])
const KNIFE: ReadonlySet<OperationId> = new Set(['chop', 'trim', 'grate'])
const CLAUSE_BREAK = /(?:;|,?\s+(?:and\s+)?then\b|,\s+(?=and\b)|\s+and\b|,\s+(?=[a-z]))\s*/gi

const sentenceEnds = new Intl.Segmenter('en', { granularity: 'sentence' })

function sentencesOf(line: string): string[] {
  const sentences: string[] = []
  for (const { segment } of sentenceEnds.segment(line)) {
    const text = segment.trim()
    const last = sentences.at(-1)
    if (text === '') continue
    if (last !== undefined && (ABBREVIATED.test(last) || /^[a-z]/.test(text)))
      sentences[sentences.length - 1] = `${last} ${text}`
    else sentences.push(text)
  }
  return sentences
}

/** Whether a clause is a doing of its own: it begins with the operation's word. */
function opensWith(clause: string): OperationId | null {
  const bare = clause.replace(
    /^(?:and|then|finally|next|meanwhile|gently|slowly|quickly|once more)[,\s]+/gi,
    '',
  )
  const [word = ''] = /^[\p{L}-]+/u.exec(bare) ?? []
  if (word === '') return null
  const start = bare.split(/\s+/).slice(0, 3).join(' ')
  const operation = operationIn(start)
  return operation !== null && operationIn(word) !== null ? operation : null
}

/** "Soak overnight, then drain and boil 40 minutes": three doings. */
function clausesOf(sentence: string): string[] {
  const cuts: number[] = []
  let from = 0
  let before = operationIn(sentence.slice(0, CLAUSE_BREAK.exec(sentence)?.index ?? sentence.length))
  CLAUSE_BREAK.lastIndex = 0
  for (const match of sentence.matchAll(CLAUSE_BREAK)) {
    const after = sentence.slice(match.index + match[0].length)
    const next = opensWith(after)
    if (next === null) continue
    const here = operationIn(sentence.slice(from, match.index)) ?? before
    if (here === null || here === next) continue
    const isStrong = /;|\bthen\b/i.test(match[0])
    if (!isStrong && (JOINED.has(here) || JOINED.has(next))) continue
    if (KNIFE.has(here) && KNIFE.has(next)) continue
    cuts.push(match.index, match.index + match[0].length)
    from = match.index + match[0].length
    before = next
  }
  const clauses: string[] = []
  let start = 0
  for (let at = 0; at < cuts.length; at += 2) {
    clauses.push(sentence.slice(start, cuts[at]))
    start = cuts[at + 1] ?? start
  }
  clauses.push(sentence.slice(start))
  return clauses
    .map((clause) => clause.trim().replace(/[,;]$/, ''))
    .filter((clause) => clause !== '')
    .map((clause) => clause.charAt(0).toUpperCase() + clause.slice(1))
}

/**
 * Cuts a recipe's instruction text into the doings of a method.
 *
 * Numbers and bullets go; headings are left out; a sentence that only tells how ("they should be golden") joins the step
 * before it; "preheat the oven to 190 °C" joins the first baking that states no temperature.
 *
 * @param text as pasted, any number of lines
 * @returns the words of each step, in order; empty for a text without words
 */
export function splitInstructions(text: string): string[] {
  const steps: string[] = []
  let oven: string | null = null
  for (const line of text.split(/\r?\n/)) {
    const bare = line.replace(NUMBERED, '').trim()
    if (bare === '' || HEADING.test(bare)) continue
    for (const sentence of sentencesOf(bare)) {
      if (PREHEAT.test(sentence)) {
        const [first = sentence, ...rest] = clausesOf(sentence)
        oven = first
        steps.push(...rest)
        continue
      }
      const isAside = ASIDE.test(sentence) || operationIn(sentence) === null
      const last = steps.at(-1)
      if (isAside && last !== undefined) steps[steps.length - 1] = `${last} ${sentence}`
      else steps.push(...clausesOf(sentence))
    }
  }
  if (oven === null) return steps
  const heated = oven
  const at = steps.findIndex((step) => {
    const { operation, tempC } = readStep(step)
    return (operation === 'roast' || operation === 'broil') && tempC === null
  })
  return at < 0 ? steps : steps.map((step, index) => (index === at ? `${step} ${heated}` : step))
}

/**
 * A method proposed from a recipe's instruction text, for a person to confirm.
 * @param newId makes an id for each step
 */
export const proposeSteps = (text: string, newId: () => string): Step[] =>
  splitInstructions(text)
    .slice(0, 300)
    .map((words) => stepFrom(words, newId()))
