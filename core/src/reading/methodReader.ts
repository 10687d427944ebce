import { resolveLine } from '../composition'
import type { LineReader } from '../measure'
import type { Part } from '../model'
import { type MethodText, readMethod, type ReadMethod } from './method'

/** Reads the method of a recipe that comes in: foods by the reader's own list, amounts by its kitchen's measures. */
export function readRecipeMethod(
  parts: readonly Part[],
  method: readonly MethodText[],
  { reader, newId }: { readonly reader: LineReader; readonly newId: () => string },
): ReadMethod {
  const listed = parts.map((part) => ({
    part,
    lines: part.lines.map((line) => resolveLine(line, reader.ingredients, reader.kitchen)),
  }))
  return readMethod(listed, method, reader.kitchen, newId)
}
