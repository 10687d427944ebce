import { publicRecipes } from '../library/test/scoreRecipes'
import { writeFileSync } from 'node:fs'
for (const r of publicRecipes()) if (process.argv.slice(2).includes(r.id)) { writeFileSync(`/tmp/p/r-${r.id}.txt`, r.text); console.log(r.id, JSON.stringify(r.doings.map((d) => [d.id, d.operation, d.takes.map((t) => `${t.line ?? t.doing ?? 'p' + t.part}${t.share ? '*' + t.share : ''}`).join(' ')]))) }
