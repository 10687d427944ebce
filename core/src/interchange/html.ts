import { Parser } from 'htmlparser2'

/** The text of every JSON-LD script of a page. The page is read as inert text: nothing runs, nothing is fetched. */
export function jsonLdScripts(html: string): string[] {
  const scripts: string[] = []
  let current: string | null = null
  const parser = new Parser({
    onopentag(name, attributes) {
      if (name === 'script' && /^application\/ld\+json\b/i.test(attributes['type'] ?? '')) current = ''
    },
    ontext(text) {
      if (current !== null) current += text
    },
    onclosetag(name) {
      if (name !== 'script' || current === null) return
      scripts.push(current)
      current = null
    },
  })
  parser.write(html)
  parser.end()
  return scripts
}
