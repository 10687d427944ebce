import { parseArgs } from 'node:util'

/** A fault of the input: printed as one JSON object, exit code 2. */
export class InputFault extends Error {
  readonly at: string
  readonly hint: string
  /** Fields beside the message, as ids of limits that collide. */
  readonly more: Readonly<Record<string, unknown>>
  constructor(message: string, at: string, hint: string, more: Readonly<Record<string, unknown>> = {}) {
    super(message)
    this.at = at
    this.hint = hint
    this.more = more
  }
}

export interface Options {
  readonly command: string
  readonly file: string | null
  readonly original: string | null
  readonly family: string | null
  readonly portions: number | null
  readonly region: string | null
  /** File of a kitchen, or a backup that holds one: its prices, packs, equipment, words. */
  readonly kitchen: string | null
  readonly as: string | null
  readonly food: string | null
  readonly mass: number | null
  readonly have: readonly string[]
  /** Of `tune` and `swap`. */
  readonly part: string | null
  readonly hold: readonly string[]
  readonly allow: readonly string[]
  readonly limit: readonly string[]
  readonly amountsOnly: boolean
  readonly focus: string | null
  /** Pa.s and °C that a sauce is to come to. */
  readonly viscosity: number | null
  readonly at: number | null
  readonly seed: number | null
  readonly without: readonly string[]
  /** Of `convert`: lower-sodium, cheaper, pantry. */
  readonly toward: readonly string[]
  /** Of `swap`: what amounts are matched by. */
  readonly match: string | null
  readonly line: number | null
  /** Of `plan`: ISO times, how many cooks, hours of the night. */
  readonly serve: string | null
  readonly start: string | null
  readonly cooks: number | null
  readonly night: string | null
}

export const USAGE =
  'frijol lines|read|assess|scale|tune|swap|convert|plan|taste|experiment|export|library [FILE|-] [--original ID] [--family ID] [--portions N] [--region us|metric|australian|imperial] [--kitchen FILE] [--as jsonld|md|csv|ics|backup] [--food ID] [--mass G] [--have "food=200 g"] [--part NAME] [--hold FOOD] [--allow FOOD] [--limit "sodiumMg<=400"] [--amounts-only] [--focus all|seasoning|thickness] [--viscosity PAS --at C] [--seed N] [--line N] [--without gluten,soy] [--toward lower-sodium,cheaper,pantry] [--match sodium|umami|volume] [--serve ISO] [--start ISO] [--cooks N] [--night 22-7]'

function positive(text: string | undefined, name: string): number | null {
  if (text === undefined) return null
  const value = Number(text)
  if (!Number.isFinite(value) || value <= 0) {
    throw new InputFault(`--${name} is “${text}”.`, `--${name}`, 'Give a number above 0.')
  }
  return value
}

/** "gluten,soy" and repeated options as one list. */
const listed = (values: readonly string[] = []): string[] =>
  values.flatMap((ids) => ids.split(/[,\s]+/)).filter((id) => id !== '')

/** Reads the arguments. Throws InputFault for unknown options. */
export function readOptions(argv: readonly string[]): Options {
  const text = { type: 'string' } as const
  const many = { type: 'string', multiple: true } as const
  let parsed
  try {
    parsed = parseArgs({
      args: [...argv],
      allowPositionals: true,
      options: {
        original: text,
        family: text,
        portions: text,
        region: text,
        kitchen: text,
        as: text,
        food: text,
        mass: text,
        have: many,
        part: text,
        hold: many,
        allow: many,
        limit: many,
        'amounts-only': { type: 'boolean' },
        focus: text,
        viscosity: text,
        at: text,
        seed: text,
        without: many,
        toward: many,
        match: text,
        line: text,
        serve: text,
        start: text,
        cooks: text,
        night: text,
      },
    })
  } catch (error) {
    throw new InputFault(error instanceof Error ? error.message : 'bad arguments', 'arguments', USAGE)
  }
  const { positionals, values } = parsed
  const [command, file] = positionals
  if (command === undefined) throw new InputFault('No command was given.', 'arguments', USAGE)
  return {
    command,
    file: file ?? null,
    original: values.original ?? null,
    family: values.family ?? null,
    portions: positive(values.portions, 'portions'),
    region: values.region ?? null,
    kitchen: values.kitchen ?? null,
    as: values.as ?? null,
    food: values.food ?? null,
    mass: positive(values.mass, 'mass'),
    have: values.have ?? [],
    part: values.part ?? null,
    hold: values.hold ?? [],
    allow: values.allow ?? [],
    limit: values.limit ?? [],
    amountsOnly: values['amounts-only'] ?? false,
    focus: values.focus ?? null,
    viscosity: positive(values.viscosity, 'viscosity'),
    at: positive(values.at, 'at'),
    seed: positive(values.seed, 'seed'),
    without: listed(values.without),
    toward: listed(values.toward),
    match: values.match ?? null,
    line: positive(values.line, 'line'),
    serve: values.serve ?? null,
    start: values.start ?? null,
    cooks: positive(values.cooks, 'cooks'),
    night: values.night ?? null,
  }
}
