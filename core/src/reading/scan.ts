import type { Clause, Parsed } from './clauses'
import { mentionAt } from './mentionAt'
import type { Mention, Role, Scene } from './mentions'
import { letterName } from './named'
import { ALL_OF_IT } from './said'
import { type Token, tokensOf } from './tokens'

const ROLES: Readonly<Record<string, Role>> = {
  with: 'with',
  plus: 'with',
  using: 'with',
  adding: 'with',
  alongside: 'with',
  w: 'with',
  into: 'into',
  onto: 'into',
  to: 'into',
  over: 'into',
  through: 'into',
  on: 'into',
  under: 'in',
  in: 'in',
  inside: 'in',
  for: 'for',
  except: 'except',
  bar: 'except',
  excluding: 'except',
  from: 'into',
}
/** After these "in" and "over" belong to the verb: "stir in the peas", "pour over the brine". */
const PARTICLE_VERBS =
  /^(?:pour|stir|whisk|fold|mix|beat|work|knead|slide|tip|sprinkle|scatter|strew|blend|add|crumble|drop|press|put|rub|shake|stream|trickle|drizzle|spoon|ladle|pile|bring|cook|save|squeeze|grate|lower|slip|plunge|crush|throw|tuck|nestle|swirl|return|snip|tear|flake)$/
/** Words by which no food and no lot is ever meant. */
const NAMES_NOTHING: ReadonlySet<string> = new Set(
  'the a an and or of at by as is are be so then about another more until till minute minutes min mins hour hours second seconds large small medium well gently slowly again off up down out very too just still your my their its into'.split(
    ' ',
  ),
)
/** "Scoop out the seeds": they are thrown away. */
const goesOut = (mention: Mention, { verb }: Clause, before: string): boolean =>
  (mention.kind === 'class' || mention.kind === 'word') &&
  /^(?:scoop|scrape|remove|cut|spoon|dig|pull)$/.test(verb?.word ?? '') &&
  /^(?:seed|core|pulp|flesh|pod|piece)$/.test(mention.word) &&
  /\bout (?:and discard )?(?:the |any |all the )?(?:\w+ )?$/iu.test(before)

const CUTS =
  /^(?:cut|chop|slice|tear|break|dice|shape|form|roll|portion|pull|shred|crumble|divide|press|cube|halve|flake)$/
const TURNS_INTO = /\binto (?:(?!the\b|that\b|these\b|those\b|each\b|every\b|your\b)[a-zß-ɏ\d.,-]+ ){0,4}$/iu
/** "Tear it into bite-sized pieces": what it becomes, not where it goes. */
const becomes = (mention: Mention, { verb }: Clause, before: string): boolean =>
  (mention.kind === 'word' ||
    (mention.kind === 'named' &&
      /^(?:baton|matchstick|slice|round|slab|chip|wedge|floret|strip)$/.test(mention.word))) &&
  mention.role === 'into' &&
  CUTS.test(verb?.word ?? '') &&
  TURNS_INTO.test(before)

/** "Put A in a pot": the part of that letter; "180 °C" is none. */
function letterAt({ tokens, index, words, scene, role }: Letters): Mention | null {
  const token = tokens[index]
  if (token?.text.length !== 1 || !/^[A-H]$/u.test(words.slice(token.at, token.end))) return null
  const before = tokens[index - 1]
  if (before === undefined || (before.kind !== 'word' && !/^[,(+&]$/.test(before.text))) return null
  const of = scene.names.get(letterName(token.text)) ?? []
  const base = { at: token.at, role, said: ALL_OF_IT }
  return of.length === 0
    ? null
    : { kind: 'named', of, isWhole: true, word: token.text, made: null, product: null, ...base }
}
const BEFORE_A_STEP = /^(?:add|combine|mix|blend|stir|pour|put|return|steps?|with|to|over)$/
const AFTER_A_STEP = /^(?:and|to|in|into|with|on|over|together|[,.;&+])$/
/** "Add 1, 2 and 3", "stir 2 into 1": what those steps made. */
function stepAt({ tokens, index, scene, role }: Letters): Mention | null {
  const token = tokens[index]
  if (token?.kind !== 'number' || !/^\d{1,2}$/.test(token.text)) return null
  const before = tokens[index - 1]?.text ?? ''
  const after = tokens[index + 1]
  // "…, 2 and 3" goes on with numbers alone.
  const goesOn = /^(?:and|[,&+])$/.test(before) && tokens[index - 2]?.kind === 'number'
  if (!goesOn && !BEFORE_A_STEP.test(before)) return null
  if (after !== undefined && !AFTER_A_STEP.test(after.text)) return null
  const stepId = scene.stepOf(Number(token.text))
  return stepId === null ? null : { kind: 'step', stepId, at: token.at, role, said: ALL_OF_IT }
}
interface Letters {
  readonly tokens: readonly Token[]
  readonly index: number
  readonly words: string
  readonly scene: Scene
  readonly role: Role
}

/** What the words of a clause name, in their order. */
export function scan(parsed: Parsed, clause: Clause, scene: Scene): Mention[] {
  const offset = clause.from
  const words = parsed.bare.slice(clause.from, clause.to)
  const tokens = tokensOf(words)
  const found: Mention[] = []
  let role: Role = 'object'
  let particleAt = -1
  for (let index = 0; index < tokens.length; index += 1) {
    const token = tokens[index]
    if (token === undefined) break
    const at = token.at + offset
    if (clause.verb !== null && at === clause.verbFrom) {
      role = 'object'
      while ((tokens[index + 1]?.at ?? Infinity) + offset < clause.verbTo) index += 1
      particleAt = (tokens[index + 1]?.at ?? -1) + offset
      continue
    }
    const here = { tokens, index, words, scene, role }
    const called = token.text.length > 2 ? null : (letterAt(here) ?? stepAt(here))
    if (called !== null) {
      found.push({ ...called, at })
      continue
    }
    if (token.kind !== 'word') {
      const ends = token.kind === 'mark' && /[;:.]/.test(token.text)
      // "Toss it through, sesame on top": nothing stands after the first.
      const isOver = token.text === ',' && Object.hasOwn(ROLES, tokens[index - 1]?.text ?? '')
      if (ends || isOver || (token.text === ',' && clause.verb === null)) role = 'object'
      continue
    }
    if (
      token.text === 'but' &&
      /^(?:all|everything)$/.test(tokens[index - 1]?.text ?? '') &&
      !/^(?:a|an|one|\d)/.test(tokens[index + 1]?.text ?? '')
    ) {
      role = 'except'
      continue
    }
    // "With the rest, keeping the chives back"; "drain, keeping the liquid".
    if (
      /^(?:keeping|holding|leaving|saving|reserving)$/.test(token.text) &&
      /^[^,;.]{0,40}\b(?:back|aside|out|for later|liquid|liquor|water|marinade|brine|juices?|oil|stock|whey)\b/iu.test(
        words.slice(token.end),
      )
    ) {
      role = 'except'
      continue
    }
    const isParticle =
      at === particleAt &&
      PARTICLE_VERBS.test(clause.verb?.word ?? '') &&
      /^(?:in|over|through|on|up|back)$/.test(token.text)
    if (isParticle) continue
    const next = Object.hasOwn(ROLES, token.text) ? ROLES[token.text] : undefined
    if (next !== undefined) {
      role = next
      continue
    }
    if (NAMES_NOTHING.has(token.text)) continue
    const before = words.slice(at > clause.verbFrom ? clause.verbTo - offset : 0, token.at)
    // "In a pot with no oil", "without the salt".
    if (/with/iu.test(before) && /\b(?:with no|without)(?: any| the| more)?\s+$/iu.test(before)) continue
    const after = words.slice(token.end)
    const raw = parsed.text.slice(at > clause.verbFrom ? clause.verbTo : clause.from, at)
    const bracket = raw.includes(')') ? /\(([^)]*\d[^)]*)\)\s*of(?: the)?\s*$/u.exec(raw) : null
    const mention = mentionAt(
      tokens,
      index,
      role,
      bracket === null ? before : `${bracket[1] ?? ''} of the `,
      after,
      scene,
    )
    if (
      mention === null ||
      becomes(mention.mention, clause, before) ||
      goesOut(mention.mention, clause, before)
    )
      continue
    const isTopic =
      role === 'object' &&
      clause.verb !== null &&
      at < clause.verbFrom &&
      /^\s*:/u.test(after) &&
      mention.mention.kind === 'named' &&
      mention.mention.of[0]?.kind === 'part'
    found.push({ ...mention.mention, at, ...(isTopic ? { role: 'for' as const } : {}) })
    index += Math.max(0, mention.length - 1)
  }
  return found
}
