import { fromMarkdown } from 'mdast-util-from-markdown'
import { toString } from 'mdast-util-to-string'
import type { Dish } from '../model'
import type { RecipeText } from './recipe'
import { PartGatherer, sectionKind, type SectionKind, statedYield } from './sections'

/** A Markdown recipe: title, headings as parts, bullets as ingredients, numbers as steps, the rest as the note. */
export function fromMarkdownRecipe(text: string): RecipeText {
  const gatherer = new PartGatherer()
  const notes: string[] = []
  let name = ''
  let portions: number | null = null
  let kind: SectionKind = 'ingredients'
  for (const node of fromMarkdown(text).children) {
    const content = toString(node).trim()
    if (node.type === 'heading') {
      if (name === '' && node.depth === 1) {
        name = content
        continue
      }
      const announced = sectionKind(content)
      if (announced === 'part') gatherer.heading(content)
      kind = announced === 'part' ? 'ingredients' : announced
    } else if (node.type === 'list') {
      const isSteps = node.ordered === true || kind === 'method'
      for (const item of node.children) {
        const words = toString(item).replace(/\s+/g, ' ')
        if (kind === 'notes') notes.push(words)
        else if (isSteps) gatherer.step(words)
        else gatherer.line(words)
      }
    } else if (kind === 'method' && node.type === 'paragraph') {
      for (const line of content.split('\n')) gatherer.step(line)
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

/** A dish as Markdown that reads back to the same lines and steps. */
export function toMarkdown(dish: Dish): string {
  const blocks = [`# ${escaped(dish.name)}`, `Makes ${dish.aim.portions} portions.`]
  if (dish.note !== '') blocks.push(escaped(dish.note))
  for (const part of dish.parts) {
    blocks.push(`## ${escaped(part.name)}`)
    if (part.lines.length > 0) blocks.push(part.lines.map(({ text }) => `- ${escaped(text)}`).join('\n'))
    if (part.steps.length > 0)
      blocks.push(part.steps.map(({ text }, at) => `${at + 1}. ${escaped(text)}`).join('\n'))
  }
  return `${blocks.join('\n\n')}\n`
}
