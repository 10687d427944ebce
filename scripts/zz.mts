import { library } from '../library/src'
import { readLine, findFood, indexFoods } from '../core/src/measure'
import { reader } from '../library/test/dishes'
import * as m from '../core/src/measure'
for (const t of ['refined coconut oil 180 g, melted','sunflower oil 60 g','lactic acid 80% 2 g','Liquid from one can of chickpeas (120 g)','1 can chickpeas, drained (240g)','Lait de coco (coconut milk) : 500 ml','Sucre (sugar) : 50 g','Water from 1 can chickpeas','Agar-agar powder : 3 g','soy milk 80 g (unsweetened)','tofu, firm, 300g','vinegar 5%: 20 ml','1 tin of butter beans (400g), drained','1 x 400g tin chickpeas (240g drained)','walnuts 100g, chopped','chickpea liquid 100 ml','brine from a jar of olives 2 tbsp','1 can (15 oz) black beans, drained and rinsed (about 250 g)','the liquid from a tin of chickpeas','75% dark chocolate 50 g','0.5% salt 3 g','oil 2 tbsp, plus extra for frying']) {
  const l = m.lineFrom(t, {reader, newId: ()=>'x'}) as any
  console.log(t.padEnd(52), '|', l.food, '|', l.ingredientId, '|', JSON.stringify(l.amount?.terms?.map((x:any)=>[x.low,x.unit,x.pack])), l.prep, l.open)
}
