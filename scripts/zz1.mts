import { assess } from '@frijol/core/assess'
import { readRecipes } from '@frijol/core/interchange'
import { defaultKitchen } from '@frijol/core/model'
import { readRecipeMethod, stepFrom } from '@frijol/core/reading'
import { library } from '../library/src'
import { reader } from '../library/test/dishes'
import { ownRecipes, publicRecipes } from '../library/test/scoreRecipes'
const which = process.argv[2] === 'open' ? ownRecipes('open.txt') : publicRecipes()
const only = process.argv[3]
for (const r of which) {
  if (r.cookedMassG === null) continue
  if (only && r.id !== only) continue
  let c = 0
  const res = readRecipes(r.text, { reader, newId: () => `i${c += 1}`, now: '2026-06-14T12:00:00Z', readStep: stepFrom, readMethod: readRecipeMethod })
  const dish = res.ok ? res.value[0] : undefined
  if (!dish) continue
  const a = assess(dish, library, defaultKitchen)
  const [lo, hi] = r.cookedMassG
  if (!only && a.cookedMassG >= lo && a.cookedMassG <= hi) continue
  console.log('=====', r.id, r.style, Math.round(a.cookedMassG), 'not', lo, hi, 'raw', Math.round(a.parts.reduce((s, p) => s + p.rawMassG, 0)))
  console.log(r.text)
  for (const p of a.parts) {
    console.log('--', p.name, 'raw', p.rawMassG.toFixed(0), 'cooked', p.cookedMassG.toFixed(0), p.cookedBasis)
    for (const l of p.lines) console.log('   ', l.text, '=>', l.foodId, l.massG === null ? null : Number(l.massG.toFixed?.(1) ?? l.massG))
    for (const s of p.steps) console.log('   *', s.operation, s.minutes, 'min', `in ${s.massInG.toFixed(0)} out ${s.massG.toFixed(0)}`, 'takes', s.takes.map((t) => `${t.kind}:${t.name ?? t.id}${t.share != null && t.share < 1 ? '*' + t.share.toFixed(2) : ''}`).join(', '))
  }
}
