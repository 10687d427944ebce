import { assess } from '../core/src/assess'
import { library } from '../library/src'
import { defaultKitchen } from '../core/src/model'
import { readRecipes } from '../core/src/interchange'
import { mixContext } from '../library/test/mixContext'
const go=(lines:string[], steps:string)=>{ const r=readRecipes(['# T','## Ingredients',...lines.map(l=>'- '+l),'## Method',steps].join('\n\n'), mixContext()); if(!r.ok) return console.log('X'); const p=assess(r.value[0]!,library,defaultKitchen).parts[0]!; console.log(p.steps.map(s=>[s.operation,s.takes.map(t=>t.name.slice(0,12)+Math.round(t.massG)).join('+'),Math.round(s.massG),Math.round(s.state.coreC),s.minutes].join(' ')).join('\n'),'\n') }
go(['200 g mung batter','1 tbsp oil','1 onion'],'Heat oil, saute onion 4 min. Pour in the batter, let it set 1 min then scramble for 6-7 minutes till cooked through.')
go(['300 g tofu','1 tbsp oil'],'Heat the oil. Scramble the tofu for 5 minutes.')
go(['1 cup soy milk','4 tbsp tapioca starch','1 tsp salt'],'Everything in a pot. Whisk. Medium heat, keep whisking till it goes gloopy, boils and pulls away, about 6 mins. Pour in an oiled bowl. Fridge 2 hrs. Grate over pizza.')
