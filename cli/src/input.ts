import { readFileSync, statSync } from 'node:fs'
import { LARGEST_FILE, readBackup, type ReadContext, readRecipes, tooLarge } from '@frijol/core/interchange'
import { indexFoods } from '@frijol/core/measure'
import { defaultKitchen, type Dish, FamilyId, Kitchen, MeasureRegion } from '@frijol/core/model'
import { ownWordsOf, readRecipeMethod, stepFrom } from '@frijol/core/reading'
import { library } from '@frijol/library'
import { InputFault, type Options } from './options'

/** What a command reads from and writes to. */
export interface Streams {
  readonly input: () => string
  readonly out: (text: string) => void
  readonly err: (text: string) => void
}

/** The whole text of a file, or of standard input for "-" and for no name. */
export function readInput(file: string | null, { input }: Streams): string {
  if (file === null || file === '-') return input()
  try {
    const size = statSync(file).size
    const refusal = size > LARGEST_FILE ? tooLarge(size / 1e6) : null
    if (refusal !== null && !refusal.ok)
      throw new InputFault(refusal.issues[0]?.message ?? '', file, 'Open a smaller file.')
    return readFileSync(file, 'utf8')
  } catch (error) {
    if (error instanceof InputFault) throw error
    throw new InputFault(
      `The file cannot be read: ${error instanceof Error && 'code' in error ? String(error.code) : 'unknown'}.`,
      file,
      'Check the name.',
    )
  }
}

/** The kitchen of a file: a kitchen's own document, or the one in a backup. */
function kitchenFrom(file: string, streams: Streams): Kitchen {
  const text = readInput(file, streams)
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    throw new InputFault('The kitchen is no JSON.', file, 'Give a backup, or a kitchen document.')
  }
  const isBackup =
    typeof json === 'object' && json !== null && 'format' in json && json.format === 'frijol/backup'
  const backup = isBackup ? readBackup(text) : null
  if (backup?.ok === false)
    throw new InputFault(backup.issues[0]?.message ?? 'The backup cannot be read.', file, 'Give another one.')
  const own = backup === null ? json : backup.value.kitchen
  const parsed = Kitchen.safeParse(own)
  if (parsed.success) return parsed.data
  const [issue] = parsed.error.issues
  throw new InputFault(
    `That is no kitchen: ${issue?.message ?? 'it cannot be read'}${issue === undefined ? '' : ` (${issue.path.join('.')})`}.`,
    file,
    'Give a backup, or a kitchen document.',
  )
}

export function kitchenFor({ region, kitchen: file }: Options, streams: Streams): Kitchen {
  const kitchen = file === null ? defaultKitchen : kitchenFrom(file, streams)
  if (region === null) return kitchen
  const parsed = MeasureRegion.safeParse(region)
  if (!parsed.success)
    throw new InputFault(
      `There is no region “${region}”.`,
      '--region',
      'Use us, metric, australian or imperial.',
    )
  return { ...kitchen, region: parsed.data }
}

export function contextFor(kitchen: Kitchen): ReadContext {
  let count = 0
  return {
    reader: {
      index: indexFoods(library.ingredients.values(), kitchen.names),
      ingredients: library.ingredients,
      kitchen,
    },
    newId: () => `i${(count += 1)}`,
    now: new Date().toISOString(),
    readStep: (text, id) => stepFrom(text, id, ownWordsOf(kitchen)),
    readMethod: readRecipeMethod,
  }
}

/** The dishes of the input. Throws InputFault with the reader's own message. */
export const dishesFrom = (options: Options, kitchen: Kitchen, streams: Streams): Dish[] =>
  dishesOf(readInput(options.file, streams), options, kitchen)

/** The dishes of a text: one recipe, several, a list of dish documents, or a backup. */
export function dishesOf(
  text: string,
  options: Pick<Options, 'file'> & { readonly isBackupRead?: boolean },
  kitchen: Kitchen,
): Dish[] {
  // Where whole days are planned, the dishes of a backup are meant.
  const backup = options.isBackupRead === true && text.includes('"frijol/backup"') ? readBackup(text) : null
  const read =
    backup?.ok === true
      ? { ok: true as const, value: backup.value.dishes }
      : readRecipes(text, contextFor(kitchen))
  if (!read.ok) {
    const issue = read.issues[0]
    throw new InputFault(
      issue?.message ?? 'The input cannot be read.',
      issue?.path.join('.') || (options.file ?? '-'),
      'See docs/guide/files.md.',
    )
  }
  return read.value
}

function familyOf(id: string): FamilyId {
  const parsed = FamilyId.safeParse(id)
  if (!parsed.success)
    throw new InputFault(
      `There is no family “${id}”.`,
      '--family',
      `Use one of ${FamilyId.options.join(', ')}.`,
    )
  return parsed.data
}

/** A dish with the original, family and portions of the command line. The first part takes the original. */
export function withAim(dish: Dish, { original, family, portions }: Options): Dish {
  const found = original === null ? null : library.originals.get(original)
  if (found === undefined) {
    throw new InputFault(
      `There is no original “${original ?? ''}”.`,
      '--original',
      `Use one of ${[...library.originals.keys()].join(', ')}.`,
    )
  }
  const chosen = family === null ? (found?.family ?? null) : familyOf(family)
  return {
    ...dish,
    aim: portions === null ? dish.aim : { ...dish.aim, portions },
    parts: dish.parts.map((part, at) =>
      at > 0 ? part : { ...part, family: chosen ?? part.family, originalId: found?.id ?? part.originalId },
    ),
  }
}
