import { assess, colourOf, flavourOf } from '../core/src/assess'
import { library } from '../library/src'
import { defaultKitchen } from '../core/src/model'
import { readRecipes } from '../core/src/interchange'
import { mixContext } from '../library/test/mixContext'
import { readFileSync } from 'node:fs'
const set = JSON.parse(readFileSync('/tmp/fresh2.json','utf8'))
let ok=0, n=0
for (const m of set) {
  const r = readRecipes(m.text, mixContext()); if (!r.ok) { console.log('UNREAD', m.id, r.issues[0]); continue }
  const d = r.value[0]!; const o = m.original ? library.originals.get(m.original)! : undefined
  const dish = {...d, parts: d.parts.map((p,i)=> i>0?p:{...p, originalId:o?.id??null, family: o?.family??m.family??null})}
  const a = assess(dish,library,defaultKitchen); const p = a.parts[0]!
  const bad:string[]=[]
  for (const e of m.expect) {
    n++
    let v:number|string|undefined
    if (e.attr) v = p.attributes.find(x=>x.id===e.attr)?.value
    else if (e.ratio) v = p.ratios.find(x=>x.id===e.ratio)?.value
    else if (e.finding) v = a.findings.some(f=>f.rule===e.finding)?1:0
    else if (e.nofinding) v = a.findings.some(f=>f.rule===e.nofinding)?0:1
    else if (e.mass) v = p.cookedMassG
    else if (e.colour) v = colourOf(dish,p.partId,library,defaultKitchen)?.target?.deltaE
    else if (e.colourL) v = colourOf(dish,p.partId,library,defaultKitchen)?.[e.colourL as 'inside'][0]
    else if (e.heat) v = flavourOf(dish,p.partId,library,defaultKitchen)?.heat.words
    else if (e.beany!==undefined) v = flavourOf(dish,p.partId,library,defaultKitchen)?.beany.isNoticed?1:0
    const good = typeof e.is==='string' ? v===e.is || (Array.isArray(e.any)&&e.any.includes(v)) : Array.isArray(e.any) ? e.any.includes(v) : e.beany!==undefined ? v===(e.beany?1:0) : (e.finding||e.nofinding) ? v===1 : v!==undefined && (v as number)>=(e.lo??-1e9) && (v as number)<=(e.hi??1e9)
    if (good) ok++; else bad.push(`${JSON.stringify(e)} got ${typeof v==='number'?v.toFixed(2):v}`)
  }
  if (bad.length) { console.log('--', m.id); for (const b of bad) console.log('   ', b); if (process.argv[2]===m.id||process.argv[2]==='all') console.log(p.steps.map(s=>[s.operation,s.takes.map(t=>t.name+Math.round(t.massG)).join('+'),Math.round(s.massG),Math.round(s.state.coreC)].join(' ')).join('\n'), p.lines.map(l=>l.text+' -> '+l.foodId+' '+l.massG).join('\n'), 'unused', p.unused.map(u=>u.name)) }
}
console.log(`${ok}/${n}`)
