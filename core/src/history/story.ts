import { attributeName, type Dish, type Idea } from '../model'
import { changeWords } from './changes'
import { effectWords } from './effects'
import { lineage, partIn, type PartKey, type PartPoint, type VineEntry } from './vine'

/** A tasting of the dish as the story tells it. */
export interface StoryTasting {
  readonly date: string
  readonly name: string
  readonly headline: string
}

export interface StoryBit {
  readonly kind: 'text' | 'point'
  readonly text: string
}
export interface Chapter {
  readonly heading: string
  readonly bits: readonly StoryBit[]
}
export interface Story {
  readonly title: string
  readonly chapters: readonly Chapter[]
}

export interface StoryAsk {
  readonly dish: Dish
  /** Whose history it is; null = the first part. */
  readonly partId: string | null
  /** Of all trials and the formula in work, in any order. */
  readonly entries: readonly VineEntry[]
  readonly ideas: readonly Idea[]
  readonly tastings: readonly StoryTasting[]
  /** How a date is written: "14 June 2026". */
  readonly day: (date: string) => string
}

/** A distance that moved by so much was a turn, points. Practice. */
const TURN = 0.3
const MOST_CHANGES = 4

const text = (words: string): StoryBit => ({ kind: 'text', text: words })
const point = (words: string): StoryBit => ({ kind: 'point', text: words })
const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)
const sentence = (words: string): string =>
  words === '' ? '' : /[.!?]$/.test(words.trim()) ? words.trim() : `${words.trim()}.`

/** Where a part stands: as tasted where it was, else by the model. */
export const standing = ({ tasted, predicted }: PartPoint): number | null =>
  tasted?.value ?? predicted?.value ?? null

const pointIn = (entry: VineEntry, part: PartKey): PartPoint | undefined => partIn(entry.parts, part)

const distanceWords = (one: PartPoint): string => {
  const { tasted, predicted } = one
  if (tasted !== null) return `${tasted.value.toFixed(1)} from the original as tasted`
  if (predicted === null) return ''
  return one.isInEveryBand
    ? 'in every band by the model'
    : `${predicted.value.toFixed(1)} from the original by the model`
}

function aimBits({ dish }: StoryAsk, original: string | null): StoryBit[] {
  const { matters, never, limits, excluded, portions } = dish.aim
  const bounds = [
    ...(limits.sodiumMgMax === null ? [] : [`at most ${limits.sodiumMgMax} mg sodium`]),
    ...(limits.proteinGMin === null ? [] : [`at least ${limits.proteinGMin} g protein`]),
    ...(limits.costMax === null ? [] : [`a cost of at most ${limits.costMax}`]),
  ]
  return [
    text(
      `${original === null ? 'No original is chosen' : `It stands for ${original.charAt(0).toLowerCase()}${original.slice(1)}`}; ${portions} portions${bounds.length === 0 ? '' : `, a portion with ${bounds.join(', ')}`}.`,
    ),
    ...(matters === '' ? [] : [text(`What matters: ${sentence(matters)}`)]),
    ...(never === '' ? [] : [text(`What it must never be: ${sentence(never)}`)]),
    ...(excluded.length === 0
      ? []
      : [text(`Left out: ${excluded.map((id) => id.replaceAll('-', ' ')).join(', ')}.`)]),
  ]
}

/** What one trial changed, and what that did. */
function trialBits(entry: VineEntry, one: PartPoint, before: PartPoint | undefined): StoryBit[] {
  const changes = changeWords(one.changes, MOST_CHANGES)
  const did = one.tastedEffects.length > 0 ? effectWords(one.tastedEffects) : effectWords(one.effects)
  const from = entry.fromNumber === null ? '' : `From trial ${entry.fromNumber}: `
  const [was, is] = [before === undefined ? null : standing(before), standing(one)]
  const turn =
    was === null || is === null || Math.abs(is - was) < TURN
      ? ''
      : is < was
        ? ` It came ${(was - is).toFixed(1)} nearer.`
        : ` It went ${(is - was).toFixed(1)} further away.`
  return [
    text(
      `${changes === '' ? (entry.fromNumber === null ? 'The first formula' : `${from}nothing in this part`) : `${from}${changes}`}.${
        did === '' ? '' : ` ${one.tastedEffects.length > 0 ? 'Tasted' : 'By the model'}: ${did}.`
      }${turn}`,
    ),
    ...(distanceWords(one) === '' ? [] : [text(`${capital(distanceWords(one))}.`)]),
    ...(entry.madeOtherwise.length === 0
      ? []
      : [text(`Made otherwise than written: ${entry.madeOtherwise.join(', ')}.`)]),
    ...(entry.notes === '' ? [] : [text(`“${entry.notes.trim()}”`)]),
    ...(entry.decision === '' ? [] : [text(sentence(entry.decision))]),
  ]
}

/** What the trials taught: the change that did most for each attribute that counts, along the line that led here. */
function taughtBits(entries: readonly VineEntry[], part: PartKey): StoryBit[] {
  const best = new Map<string, { by: number; words: string }>()
  for (const entry of entries) {
    const one = pointIn(entry, part)
    const [first] = one?.changes ?? []
    if (one === undefined || first === undefined || entry.state === 'now') continue
    const effects = one.tastedEffects.length > 0 ? one.tastedEffects : one.effects
    for (const { attribute, change, weight, gapBefore, gapAfter } of effects) {
      const nearer = Math.abs(gapBefore) - Math.abs(gapAfter)
      if (weight === 0 || Math.abs(nearer) < TURN) continue
      const known = best.get(attribute)
      if (known !== undefined && Math.abs(known.by) >= Math.abs(nearer)) continue
      best.set(attribute, {
        by: nearer,
        words: `${capital(attributeName(attribute))} ${change > 0 ? 'rose' : 'fell'} by ${Math.abs(change).toFixed(1)} in trial ${entry.number} (${changeWords(one.changes, 2)})${nearer > 0 ? '' : ', the wrong way'}.`,
      })
    }
  }
  return [...best.values()].sort((a, b) => Math.abs(b.by) - Math.abs(a.by)).map(({ words }) => point(words))
}

/**
 * The development of a dish told from its record: the aim, every trial with what changed and what it did, what was
 * tasted, what was learned and is kept in mind, and where it stands.
 */
export function storyOf(ask: StoryAsk): Story {
  const { dish, day } = ask
  const own = dish.parts.find(({ id }) => id === ask.partId) ?? dish.parts[0]
  const name = own?.name ?? dish.name
  const part: PartKey = { partId: own?.id ?? '', part: name }
  const entries = [...ask.entries].sort((a, b) =>
    a.state === 'now' ? 1 : b.state === 'now' ? -1 : a.number - b.number,
  )
  const byNumber = new Map(entries.map((entry) => [entry.number, entry]))
  const kept = entries.filter(({ state }) => state !== 'now')
  const now = entries.find(({ state }) => state === 'now')
  const original = (now ?? kept.at(-1))?.parts.find((one) => one.partId === part.partId)?.originalName ?? null
  const chapters: Chapter[] = [{ heading: 'The aim', bits: aimBits(ask, original) }]
  for (const entry of kept) {
    const one = pointIn(entry, part)
    if (one === undefined) continue
    const parent = entry.fromNumber === null ? undefined : byNumber.get(entry.fromNumber)
    chapters.push({
      heading: `Trial ${entry.number}${entry.date === null ? '' : `, ${day(entry.date)}`}${entry.state === 'set-aside' ? ': set aside' : ''}`,
      bits: trialBits(entry, one, parent === undefined ? undefined : pointIn(parent, part)),
    })
  }
  if (ask.tastings.length > 0)
    chapters.push({
      heading: 'What tasters said',
      bits: ask.tastings.map(({ date, name: what, headline }) => point(`${day(date)}, ${what}: ${headline}`)),
    })
  const taught = taughtBits(entries, part)
  const ideas = ask.ideas.map(({ verdict, words, reason, trialNumber }) =>
    point(
      `${verdict === 'kept' ? 'Kept' : 'Not again'}: ${words}. ${sentence(capital(reason))}${trialNumber === null ? '' : ` Shown by trial ${trialNumber}.`}`,
    ),
  )
  if (taught.length + ideas.length > 0)
    chapters.push({ heading: 'What was learned', bits: [...taught, ...ideas] })
  const best = bestOf(kept, part)
  const here = now === undefined ? undefined : pointIn(now, part)
  chapters.push({
    heading: 'Where it stands',
    bits: [
      ...(best === null
        ? []
        : [
            text(
              `The best so far is trial ${best.number}: ${distanceWords(pointIn(best, part) as PartPoint)}.`,
            ),
          ]),
      ...(now === undefined || here === undefined
        ? []
        : [
            text(
              `In work is trial ${now.number}${now.fromNumber === null ? '' : ` from trial ${now.fromNumber}`}: ${here.changes.length === 0 ? 'unchanged so far' : changeWords(here.changes, MOST_CHANGES)}${distanceWords(here) === '' ? '' : `; ${distanceWords(here)}`}.`,
            ),
            ...(now.fromNumber === null
              ? []
              : [
                  text(
                    `It came by way of ${lineage(entries, now.number)
                      .map((one) => `trial ${one}`)
                      .join(', ')}.`,
                  ),
                ]),
          ]),
    ],
  })
  return { title: name === dish.name ? dish.name : `${dish.name}: ${name}`, chapters }
}

/** The kept trial that stands nearest to the original, of those that were not set aside; null without one. */
export function bestOf(entries: readonly VineEntry[], part: PartKey): VineEntry | null {
  let best: { entry: VineEntry; value: number } | null = null
  for (const entry of entries) {
    if (entry.state !== 'made') continue
    const one = pointIn(entry, part)
    const value = one === undefined ? null : standing(one)
    if (value !== null && (best === null || value < best.value)) best = { entry, value }
  }
  return best?.entry ?? null
}

/** Characters that Markdown reads as marks, made plain. */
const plain = (words: string): string =>
  words.replace(/([\\`*_{}[\]<>#|])/g, '\\$1').replace(/\s*\n\s*/g, ' ')

/** The same as a Markdown file. */
export function storyMarkdown({ title, chapters }: Story): string {
  return [
    `# ${plain(title)}`,
    ...chapters.map(({ heading, bits }) => {
      const blocks: string[] = []
      for (const { kind, text: words } of bits) {
        const line = kind === 'point' ? `- ${plain(words)}` : plain(words)
        const last = blocks.at(-1)
        if (kind === 'point' && last?.startsWith('- ') === true)
          blocks[blocks.length - 1] = `${last}\n${line}`
        else blocks.push(line)
      }
      return [`## ${plain(heading)}`, ...blocks].join('\n\n')
    }),
  ]
    .join('\n\n')
    .concat('\n')
}
