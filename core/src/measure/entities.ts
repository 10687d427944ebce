import { decodeHTML } from 'entities'

const ENTITY = /&(?:#\d{1,7}|#x[\da-f]{1,6}|[a-z][a-z\d]{1,31});/i

/**
 * Text with its named and numeric character references ("&frac12;", "&#189;", "&amp;") as characters.
 *
 * @param text any text; without references it comes back as it is
 * @returns the text decoded once; no-break spaces become plain spaces (HTML Living Standard, named references)
 */
export const unescaped = (text: string): string =>
  ENTITY.test(text) ? decodeHTML(text).replaceAll('\u00A0', ' ') : text
