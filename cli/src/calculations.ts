import { z } from 'zod'
import { InputFault } from './options'

interface Calculation {
  run(given: unknown, at: string): unknown
}

/** One calculation: what it takes, and what it gives. */
export const calculation = <T extends z.ZodType>(
  input: T,
  run: (given: z.infer<T>) => unknown,
): Calculation => ({
  run(given, at) {
    const read = input.safeParse(given)
    if (read.success) return run(read.data)
    const [first] = read.error.issues
    const where = [at, ...(first?.path ?? [])].join('.')
    throw new InputFault(first?.message ?? 'This does not fit.', where, 'See docs/guide/cli.md.')
  },
})

const Case = z.object({ fn: z.string(), input: z.unknown() })

/**
 * Works out what a command is given as JSON, one case or an array of cases in their order: `{ "fn", "input" }`.
 * @throws InputFault for what does not fit
 */
export function calculated(calculations: ReadonlyMap<string, Calculation>, text: string): unknown {
  const names = [...calculations.keys()].join(', ')
  const one = (given: unknown, at: string): unknown => {
    const read = Case.safeParse(given)
    if (!read.success) throw new InputFault('A case is { "fn", "input" }.', at, `"fn" is one of ${names}.`)
    const found = calculations.get(read.data.fn)
    if (found === undefined)
      throw new InputFault(`There is no calculation “${read.data.fn}”.`, `${at}fn`, `Use one of ${names}.`)
    try {
      return found.run(read.data.input, `${at}input`)
    } catch (error) {
      if (error instanceof RangeError) throw new InputFault(error.message, `${at}input`, 'Ask for fewer.')
      throw error
    }
  }
  let given: unknown
  try {
    given = JSON.parse(text)
  } catch {
    throw new InputFault('The input is no JSON.', 'input', 'Give { "fn", "input" }, or an array of them.')
  }
  return Array.isArray(given) ? given.map((of, at) => one(of, `${at}.`)) : one(given, '')
}
