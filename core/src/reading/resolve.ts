import type { OperationId, StepUse } from '../model'
import { joinBase } from './base'
import type { Clause } from './clauses'
import type { DoingText } from './doings'
import { CLASS_WORDS } from './lexicon/things'
import { takeMention } from './meanings'
import { takePronoun } from './pronouns'
import type { Mention, Scene } from './mentions'
import type { Named } from './named'
import { scan } from './scan'
import { type Stage, type Takes, Taking } from './takes'
import { takeUnsaid } from './unsaid'

interface Met {
  hasObject: boolean
  hasPronoun: boolean
  /** A lot or part stands as what it goes into, over or with. */
  hasTarget: boolean
  hasLineTarget: boolean
}

/** Takes what one mention means and notes as what it stands. */
function noteMet(t: Taking, mention: Exclude<Mention, { kind: 'pronoun' }>, met: Met): void {
  const lines = t.takes.lines.length
  const made = t.takes.lots.length + t.takes.parts.length
  takeMention(t, mention)
  const hasMade = t.takes.lots.length + t.takes.parts.length > made
  if (!hasMade && t.takes.lines.length === lines) return
  if (mention.role === 'object') met.hasObject = true
  else if (hasMade && mention.role !== 'with') met.hasTarget = true
  if (mention.role === 'into' && !hasMade) met.hasLineTarget = true
}

const DOWN_THE_MIDDLE =
  /\b(?:down|in|along|on|over|across|onto|into) (?:the|its|one) (?:middle|centre|center|half|side|short side|long side|length)\b/iu

const IF_USING = /\b(?:using|have|like|want|adding)\s+(?:the |any |some )?/iu
/** "If you are using agar, whisk it in": what the condition names is meant. */
function noteCondition(t: Taking, { from, sentence }: Clause): void {
  const { subordinates, text } = t.doing.parsed
  const condition = subordinates.find(
    (one) =>
      one.kind === 'condition' && one.to >= from - 2 && one.from <= from && one.from >= t.doing.from - 80,
  )
  const words = condition === undefined ? '' : text.slice(condition.from, condition.to)
  const found = IF_USING.exec(words)
  if (condition === undefined || found === null) return
  const at = condition.from + found.index + found[0].length
  const named = { from: at, to: condition.to, verb: null, verbFrom: at, verbTo: at, sentence }
  const clause = { ...named, isJoined: false, isOptional: true, isRemark: false, isOtherWay: false }
  const [one] = scan({ ...t.doing.parsed, bare: text }, clause, { ...t.scene, part: t.part })
  if (one?.kind === 'named') t.antecedent = one
}

const ON_ITS_OWN =
  /\b(?:in|on|into|onto) (?:a|an|one|another|its own) (?:[a-zß-ɏ]+ ){0,3}(?:plate|dish|bowl|tray|board)\b/iu
/** "Put the flour on a plate, …": it stands there for what names it later. */
function setsOut(t: Taking, { verb, verbTo, to }: Clause, mentions: readonly Mention[]): boolean {
  return (
    /^(?:put|place|tip|spread|scatter)$/.test(verb?.word ?? '') &&
    t.doing.main.verb?.word !== verb?.word &&
    ON_ITS_OWN.test(t.doing.parsed.bare.slice(verbTo, to)) &&
    mentions.length > 0 &&
    mentions.every((one) => one.kind === 'named' && one.of.every((of) => of.kind === 'line' && t.isLater(of)))
  )
}

/** "Everything except the salt", "everything but the veg". */
function exceptedBy(t: Taking, mention: Mention): readonly Named[] {
  if (mention.kind === 'named') return mention.of
  if (mention.kind !== 'class') return []
  const classes = CLASS_WORDS.get(mention.word) ?? []
  return t.stage.lines.filter(({ foodClass }) => foodClass !== null && classes.includes(foodClass))
}

/** Takes what a clause names, then the lot that it goes on with. */
function takeClause(t: Taking, clause: Clause, shared: readonly Mention[] | null): void {
  const own = scan(t.doing.parsed, clause, { ...t.scene, part: t.part })
  const topic = own.find((one) => one.role === 'for' && one.kind === 'named' && one.of[0]?.kind === 'part')
  if (topic?.kind === 'named') t.takes.topic = topic.of[0]?.part ?? null
  const mentions = (shared ?? own).filter((one) => one.role !== 'for')
  for (const one of mentions)
    if (one.role === 'except') for (const { id } of exceptedBy(t, one)) t.excepted.add(id)
  if (setsOut(t, clause, mentions)) return
  const before = t.hasAny
  const kept = mentions.filter((one) => one.role !== 'except')
  const met: Met = { hasObject: false, hasPronoun: false, hasTarget: false, hasLineTarget: false }
  if (kept.some(({ kind }) => kind === 'pronoun')) noteCondition(t, clause)
  for (const mention of kept) {
    if (mention.kind === 'pronoun') {
      const stood = t.takes.lines.length
      takePronoun(t, mention, before)
      // "It" is a food that was named just before, and not what is in hand.
      if (t.antecedent !== null && t.takes.lines.length > stood) met.hasObject = true
      else met.hasPronoun = true
    } else noteMet(t, mention, met)
  }
  // "Unroll the pastry. Spread the filling down the middle."
  const words = t.doing.parsed.bare.slice(clause.verbTo, clause.to)
  if (t.antecedent !== null && DOWN_THE_MIDDLE.test(words)) noteMet(t, { ...t.antecedent, role: 'into' }, met)
  const { hasObject, hasPronoun } = met
  if ((met.hasTarget && (hasObject || hasPronoun || before)) || (met.hasLineTarget && hasObject)) return
  const hasLead = kept.some(
    (one) =>
      clause.verb !== null && clause.isTold !== true && one.at < clause.verbFrom && one.role === 'object',
  )
  const isMoreOf = kept.some(
    (one) =>
      (one.kind === 'named' && one.of[0]?.foodClass === 'fat') ||
      (one.kind === 'class' && (one.word === 'oil' || one.word === 'fat')),
  )
  joinBase(t, clause, { hasObject, hasPronoun, before, hasLead, isMoreOf })
}

/** "Set aside a quarter of the marinade": what is kept back is not taken by what comes next. */
function keepBack(t: Taking, clause: Clause): void {
  if (!/^(?:set|reserve|save|keep)$/.test(clause.verb?.word ?? '')) return
  for (const one of scan(t.doing.parsed, clause, { ...t.scene, part: t.part })) {
    const { share } = one.said
    if (share === null || one.role !== 'object') continue
    const word = one.kind === 'word' || one.kind === 'side' ? one.word : null
    const lot = word === null ? undefined : t.lastLot((one) => one.words.has(word))
    if (lot !== undefined) lot.reserved = share
  }
}

/** "Make the pasta.": what follows is about that part. */
function noteTopic(t: Taking, clause: Clause): void {
  const [only, ...more] = scan(t.doing.parsed, clause, { ...t.scene, part: t.part })
  if (only?.kind === 'named' && more.length === 0 && only.role === 'object' && only.of[0]?.kind === 'part')
    t.takes.topic = only.of[0].part
}

const TAKES_OUT = /^(?:scoop|scrape|remove|discard|fish|pick|pull|lift|take)$/
const OUT_OF_HEAT = /\b(?:out of|from) the (?:hot )?(?:oven|pan|heat|steamer|grill|fridge)\b/iu
/** "Remove the bay leaves from the lentils and stir in the peas": into the lentils. */
function noteTurn(t: Taking, clause: Clause): void {
  const rest = t.doing.parsed.bare.slice(clause.verbTo, clause.to)
  const isOut = OUT_OF_HEAT.test(rest)
  if (!TAKES_OUT.test(clause.verb?.word ?? '') || !(isOut || /\bfrom the\b/iu.test(rest))) return
  // "Take the tomatoes out of the oven": those; "remove the bay from the lentils": the lentils.
  const from = isOut ? 0 : clause.verbTo + rest.search(/\bfrom the\b/iu)
  for (const one of scan(t.doing.parsed, clause, { ...t.scene, part: t.part })) {
    if (one.at < from) continue
    const { bench } = t.stage
    const lots =
      one.kind === 'named'
        ? one.of.flatMap(({ id }) => bench.holding(id))
        : one.kind === 'word'
          ? bench.lots.filter((lot) => !lot.isSide && lot.words.has(one.word))
          : []
    t.turnedTo = [...lots].sort((a, b) => a.order - b.order).at(-1) ?? null
    return
  }
}

const READIES =
  /^(?:prick|score|scrub|wipe|pat|dry|brush|unwrap|unroll|unfold|stick|break|clean|pierce|slash)$/
/** "I take my carrot and …": what a clause that does nothing names is what "it" means next. */
function noteAntecedent(t: Taking, clause: Clause): void {
  const word = clause.verb?.word ?? ''
  if (READIES.test(word))
    for (const one of scan(t.doing.parsed, clause, { ...t.scene, part: t.part }))
      if (one.kind === 'named' && one.role === 'object' && one.of[0]?.kind === 'line') t.readied ??= one
  if (/^(?:make|prepare|finish|cook|mix)$/.test(word) && t.takes.topic === null) noteTopic(t, clause)
  if (!/^(?:take|start|begin|open|get|remember|use|unroll|unfold)$/.test(word)) return
  for (const one of scan(t.doing.parsed, clause, { ...t.scene, part: t.part }))
    if (one.kind === 'named' && (one.role === 'object' || one.role === 'with')) {
      if (one.of[0]?.kind === 'part') t.takes.topic ??= one.of[0].part
      t.antecedent = one
      return
    }
}

/** "Heat the oil to 180 C" beside something else: the oil waits for what is fried. */
const isBathClause = (doing: DoingText, { verb, verbTo, to }: Clause): boolean =>
  verb?.word === 'heat' &&
  /\b(?:oil|fat)\b[^.;]*\b(?:1[4-9]\d\s*°?\s*C|3[0-9]\d\s*°?\s*F|(?<=to )3[2-9]\d)\b/u.test(
    doing.parsed.bare.slice(verbTo, to),
  )
/**
 * What a doing takes: lines and their shares, lots, water.
 * @param operation as read or set by hand
 * @param text its place in the method
 * @param next the doing after it, whose object it may share
 */
export function takesOf(
  stage: Stage,
  scene: Scene,
  doing: DoingText,
  operation: OperationId | null,
  text: number,
  next: DoingText | null,
): Takes {
  const taking = new Taking(stage, scene, doing, operation, text)
  const shared =
    doing.sharesNext && next !== null
      ? scan(next.parsed, next.main, scene).filter(
          ({ role, kind }) => role === 'object' && kind !== 'pronoun',
        )
      : []
  for (const clause of doing.clauses) {
    // "Don't slice it before it has had 15 minutes": it rests.
    if (clause.isRemark && clause === doing.main) joinHand(taking)
    if (clause.isRemark) continue
    const isActive =
      doing.active.includes(clause) &&
      !(isBathClause(doing, clause) && operation !== 'shallow-fry' && operation !== 'deep-fry')
    if (!isActive) {
      noteAntecedent(taking, clause)
      noteTurn(taking, clause)
      keepBack(taking, clause)
    } else {
      if (/^(?:scoop|scrape)$/.test(clause.verb?.word ?? '')) noteTurn(taking, clause)
      takeClause(taking, clause, clause === doing.main && shared.length > 0 ? shared : null)
    }
  }
  const { takes } = taking
  if (doing.clauses.some(({ verb }) => verb?.word === 'repeat'))
    for (const one of takes.lots) one.share = null
  takeUnsaid(taking)
  takes.isEmpty = takes.lines.length + takes.lots.length + takes.parts.length === 0
  return takes
}

function joinHand(t: Taking): void {
  const hand = t.hand()
  if (hand !== null) t.join(hand)
}

/** What a doing takes, as the document states it. */
export const asUses = ({ lines, lots, parts }: Takes): StepUse[] => [
  ...lots.map(({ lot, share }): StepUse => ({ kind: 'step', id: lot.stepId, share })),
  ...lines.map(({ of, share }): StepUse => ({ kind: 'line', id: of.id, share })),
  ...parts.map(({ of, share }): StepUse => ({ kind: 'part', id: of.id, share })),
]
