import { expect, it } from 'vitest'
import { prepBeside } from './prepBeside'

it.each([
  [{ food: 'black-eyed peas', prep: 'cooked, half mashed' }, 'Black-eyed peas, cooked', 'half mashed'],
  [{ food: 'chopped walnuts', prep: '' }, 'Walnuts', 'chopped'],
  [{ food: 'finely grated carrots', prep: 'squeezed' }, 'Carrot', 'finely grated, squeezed'],
  [{ food: 'ground cumin', prep: '' }, 'Cumin, ground', ''],
  [{ food: 'onion', prep: '' }, 'Onion', ''],
])('of %j beside %j is %j', (line, name, shown) => {
  expect(prepBeside(line, name)).toBe(shown)
})
