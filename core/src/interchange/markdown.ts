import { fromMarkdown } from 'mdast-util-from-markdown'
import { toString } from 'mdast-util-to-string'
import { type Dish, methodEntries } from '../model'
import { type MethodLine, type RecipeText, writtenLines } from './recipe'
import { PartGatherer, sectionKind, type SectionKind, statedYield } from './sections'

/** A Markdown recipe: title, headings as parts, bullets as ingredients, numbers as steps, the rest as the note. */
export function fromMarkdownRecipe(text: string): RecipeText {
  const gatherer = new PartGatherer()
  const method: MethodLine[] = []
  const notes: string[] = []
  let name = ''
  let portions: number | null = null
  let kind: SectionKind = 'ingredients'
  let heading: string | null = null
  /** Steps that stand right under a part's own lines belong to it. */
  let under: number | null = null
  const step = (words: string): void => {
    if (words.trim() === '') return
    method.push({ text: words.trim(), heading, part: under })
    heading = null
  }
  for (const node of fromMarkdown(text).children) {
    const content = toString(node).trim()
    if (node.type === 'heading') {
      if (name === '' && node.depth === 1) {
        name = content
        continue
      }
      const announced = sectionKind(content)
      const isInMethod: boolean = kind === 'method' && announced === 'part'
      if (isInMethod) heading = content
      else if (announced === 'part') gatherer.heading(content)
      if (!isInMethod) kind = announced === 'part' ? 'ingredients' : announced
      if (announced === 'method') under = null
    } else if (node.type === 'list') {
      const isSteps = node.ordered === true || kind === 'method'
      if (isSteps && kind !== 'method') under = gatherer.current()
      for (const item of node.children) {
        const words = toString(item).replace(/\s+/g, ' ')
        if (kind === 'notes') notes.push(words)
        else if (isSteps) step(words)
        else {
          // A list of foods below a heading of the method opens a part after all.
          if (heading !== null) gatherer.heading(heading)
          heading = null
          gatherer.line(words)
        }
      }
    } else if (kind === 'method' && node.type === 'paragraph') {
      for (const line of content.split('\n')) step(line)
    } else if (content !== '') {
      portions ??= statedYield(content)
      if (statedYield(content) === null || content.length > 60) notes.push(content)
    }
  }
  return {
    name,
    menu: '',
    note: notes.join('\n\n'),
    portions,
    parts: gatherer.parts.map((part) => ({ ...part, own: null })),
    method,
    written: null,
    aim: null,
    extra: {},
  }
}

/** Characters that Markdown would read as markup are written so that they read back as themselves. */
const escaped = (text: string): string =>
  text
    .replace(/([\\`*_[\]<>#~&])/g, '\\$1')
    .replace(/^([-+=])/, '\\$1')
    .replace(/^(\d+)([.)])(?=\s|$)/, '$1\\$2')

const numbered = (texts: readonly string[]): string =>
  texts.map((text, at) => `${at + 1}. ${escaped(text.replace(/\s*\n\s*/g, ' '))}`).join('\n')

/** The method as it was written, in one list under its own headings. */
function methodBlocks(dish: Dish): string[] {
  const blocks = ['## Method']
  let steps: string[] = []
  const close = (): void => {
    if (steps.length > 0) blocks.push(numbered(steps))
    steps = []
  }
  for (const { heading, text } of methodEntries(dish)) {
    if (heading !== null) {
      close()
      blocks.push(`### ${escaped(heading)}`)
    }
    steps.push(text)
  }
  close()
  return blocks
}

/** A dish as Markdown that reads back to the same lines and steps; a method that came as a whole stays one. */
export function toMarkdown(dish: Dish): string {
  const blocks = [`# ${escaped(dish.name)}`, `Makes ${dish.aim.portions} portions.`]
  if (dish.note !== '') blocks.push(escaped(dish.note))
  const isWhole = dish.written.length > 0
  for (const part of dish.parts) {
    blocks.push(`## ${escaped(part.name)}`)
    if (part.lines.length > 0)
      blocks.push(
        writtenLines(part)
          .map((text) => `- ${escaped(text)}`)
          .join('\n'),
      )
    if (part.steps.length > 0 && !isWhole) blocks.push(numbered(part.steps.map(({ text }) => text)))
  }
  if (isWhole) blocks.push(...methodBlocks(dish))
  return `${blocks.join('\n\n')}\n`
}
