import { readFileSync } from 'node:fs'
import { PlanProblem, plan, PlanFault } from '@frijol/core/schedule'
const { cases } = JSON.parse(readFileSync('/work/shared/vectors/plan.json','utf8'))
let bad=0
for (const c of cases) {
  const t=performance.now()
  try {
    const p=PlanProblem.parse(c.problem)
    const r=plan(p, {})
    const ms=performance.now()-t
    const ok=r.makespanMin===c.optimalMakespanMin
    if(!ok) bad++
    console.log(c.id, r.makespanMin, c.optimalMakespanMin, 'lb',r.lowerBoundMin, r.isOptimal, r.looked, ms.toFixed(0)+'ms', ok?'':'<<<<')
  } catch(e:any) { const ok = e instanceof PlanFault && JSON.stringify([...e.collide].sort())===JSON.stringify([...(c.collides??[])].sort()); if(!ok)bad++; console.log(c.id,(performance.now()-t).toFixed(0)+'ms', ok, e.message, c.collides?.join()) }
}
console.log('bad',bad)
