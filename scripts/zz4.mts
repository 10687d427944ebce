import { readRecipes } from '../core/src/interchange'
import { mixContext } from '../library/test/mixContext'
import { readFileSync } from 'node:fs'
const set = JSON.parse(readFileSync('/tmp/fresh2.json','utf8'))
for (const id of ['fr-blanc-manger','wa-suya-strips','letter-seitan']) { const r=readRecipes(set.find((x:any)=>x.id===id).text, mixContext()); if(r.ok) console.log(r.value[0]!.name,'|', r.value[0]!.note,'|', r.value[0]!.parts.map(p=>[p.name,p.lines.map(l=>l.text)])); else console.log(id, r.issues[0]!.message) }
