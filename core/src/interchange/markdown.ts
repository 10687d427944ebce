import { fromMarkdown } from 'mdast-util-from-markdown'
import { toString } from 'mdast-util-to-string'
import { type Dish, methodEntries } from '../model'
import { type MethodLine, type RecipeText, writtenLines } from './recipe'
import { PartGatherer, sectionKind, type SectionKind, statedYield } from './sections'

type Block = ReturnType<typeof fromMarkdown>['children'][number]
type List = Extract<Block, { type: 'list' }>
type Paragraph = Extract<Block, { type: 'paragraph' }>

const flat = (text: string): string => text.replace(/\s+/g, ' ').trim()
/** "**For the lentils:**" alone in a paragraph heads what follows. */
const isBoldHead = ({ children }: Paragraph): boolean => {
  const [only, ...more] = children
  return only?.type === 'strong' && more.length === 0 && flat(toString(only)).length < 60
}
interface Item {
  readonly heading: string | null
  readonly words: string
}
/** What a list tells, item by item. "1. **Cook the lentils:**" above a list of its own is its heading. */
function itemsOf({ children }: List): Item[] {
  return children.flatMap((item): Item[] => {
    const [first, ...below] = item.children
    const lists = below.filter((one): one is List => one.type === 'list')
    const isHead = first?.type === 'paragraph' && isBoldHead(first) && lists.length === below.length
    if (!isHead || lists.length === 0)
      return [{ heading: null, words: flat(item.children.map((one) => toString(one)).join(' ')) }]
    const steps = lists.flatMap((list) => itemsOf(list))
    return steps.map((one, at) =>
      at === 0 ? { ...one, heading: flat(toString(first)).replace(/:$/u, '') } : one,
    )
  })
}

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
      for (const { heading: own, words } of itemsOf(node)) {
        if (own !== null && isSteps) heading = own
        if (kind === 'notes') notes.push(words)
        else if (isSteps) step(words)
        else {
          // A list of foods below a heading of the method opens a part after all.
          if (heading !== null) gatherer.heading(heading)
          heading = null
          gatherer.line(words)
        }
      }
    } else if (node.type === 'paragraph' && isBoldHead(node) && kind !== 'notes') {
      const words = flat(content).replace(/:$/u, '')
      const announced = sectionKind(words)
      if (announced !== 'part') {
        kind = announced
        if (announced === 'method') under = null
      } else if (kind === 'method') heading = words
      else if (/:$/u.test(flat(content))) gatherer.heading(words)
      else {
        portions ??= statedYield(content)
        if (statedYield(content) === null) notes.push(content)
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
