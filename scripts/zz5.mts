import { parse } from '../core/src/reading/clauses'
import { doingsIn } from '../core/src/reading/doings'
for (const t of process.argv.slice(2)) {
  const p = parse(t)
  console.log(p.clauses.map((c) => [c.verb?.word ?? null, c.isRemark ? 'R' : '', c.isOptional ? 'O' : '', t.slice(c.from, c.to)]))
  console.log(doingsIn(t).map((d) => [d.operation, t.slice(d.from, d.to)]))
}
