import { defaultKitchen, type Kitchen } from '@frijol/core/model'
import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import {
  changeKitchen,
  kitchenWords,
  loadKitchen,
  teachName,
  teachWord,
  typedLine,
  useKitchenStore,
} from '../store'
import { KitchenPage } from './index'

const kitchenNow = (): Kitchen => useKitchenStore.getState().kitchen
const rowOf = (start: string) => {
  const row = screen.getAllByRole('row').find(({ textContent }) => textContent.startsWith(start))
  if (row === undefined) throw new Error(`no row ${start}`)
  return within(row)
}
const thing = (id: string) => kitchenNow().equipment.find((one) => one.id === id)

beforeEach(async () => {
  await loadKitchen()
  changeKitchen('reset', () => defaultKitchen)
  render(<KitchenPage />)
})

describe('equipment', () => {
  it('lists what the kitchen cooks in, with what limits a batch', () => {
    expect(screen.getByText('Frying pan 28 cm')).toHaveTextContent('6.2 dm²')
    expect(screen.getByText('Oven', { selector: 'li span' })).toHaveTextContent('2.8 kW · fan')
    expect(screen.getByText(/^Steamer 28 cm/)).toHaveTextContent('× 2')
  })

  it('takes a pan by its width', async () => {
    await userEvent.click(screen.getByRole('button', { name: 'Change Frying pan 28 cm' }))
    const across = screen.getByLabelText('Across, cm')
    expect(across).toHaveValue('28')
    await userEvent.clear(across)
    await userEvent.type(across, '36')
    expect(thing('pan-28')?.areaDm2).toBeCloseTo(10, 0)
  })

  it('says what is wrong, and keeps what was there', async () => {
    await userEvent.click(screen.getByRole('button', { name: 'Change Frying pan 32 cm' }))
    const count = screen.getByLabelText('How many')
    await userEvent.clear(count)
    expect(count).toHaveAccessibleDescription('Enter how many there are.')
    await userEvent.type(count, '2.5')
    expect(count).toHaveAccessibleDescription(/\w/)
    expect(thing('pan-32')?.count).toBe(2)
  })

  it('knows an oven that is off its dial, and one without a fan', async () => {
    await userEvent.click(screen.getByRole('button', { name: 'Change Oven' }))
    const offset = screen.getByLabelText('Above its dial, °C')
    await userEvent.clear(offset)
    await userEvent.type(offset, '12')
    await userEvent.selectOptions(screen.getByLabelText('Air'), 'Still')
    expect(thing('oven')).toMatchObject({ offsetC: 12, isFan: false })
    expect(screen.getByText('Oven', { selector: 'li span' })).toHaveTextContent('still air · runs +12 °C')
  })

  it('is added by kind and taken out', async () => {
    await userEvent.selectOptions(screen.getByLabelText('Kind'), 'Dehydrator')
    await userEvent.click(screen.getByRole('button', { name: 'Add' }))
    const made = kitchenNow().equipment.at(-1)
    expect(made).toMatchObject({ kind: 'dehydrator', count: 1, areaDm2: null })
    await userEvent.type(screen.getByLabelText('Base, dm²'), '9')
    expect(kitchenNow().equipment.at(-1)?.areaDm2).toBe(9)
    await userEvent.click(screen.getByRole('button', { name: 'Take out Dehydrator' }))
    expect(kitchenNow().equipment.some(({ kind }) => kind === 'dehydrator')).toBe(false)
  })
})

describe('learned by weighing', () => {
  const observed = (id: string, lnRatio: number) => ({
    id,
    operation: 'brown' as const,
    vessel: 'pan-28',
    lnRatio,
    sd: 0.13,
  })

  it('teaches while nothing is learned', () => {
    expect(screen.getByText(/^Nothing yet\. Weigh a step in Method/)).toBeInTheDocument()
  })

  it('shows each operation and vessel with its factor, and resets one without the others', async () => {
    changeKitchen('set', (kitchen) => ({
      ...kitchen,
      observations: [
        observed('a@1', 0.3),
        observed('b@1', 0.26),
        { ...observed('c@1', -0.2), operation: 'roast', vessel: 'tray' },
      ],
    }))
    await screen.findByText('in frying pan 28 cm')
    const brown = rowOf('Brown in frying pan 28 cm')
    expect(brown.getByText(/^×1\.\d\d/)).toHaveTextContent('±0.1')
    expect(brown.getByText('2')).toBeInTheDocument()
    await userEvent.click(brown.getByRole('button', { name: 'Reset' }))
    expect(kitchenNow().observations.map(({ id }) => id)).toEqual(['c@1'])
    expect(rowOf('Roast in oven tray').getByText('1')).toBeInTheDocument()
  })
})

describe('words of the kitchen', () => {
  it('say how they come here while there are none', () => {
    expect(screen.getByText(/^None yet\. Set by hand what a step does/)).toBeInTheDocument()
  })

  it('are listed with what they mean, and forgotten one by one', async () => {
    teachWord('scald', 'heat')
    teachWord('frizzle', 'shallow-fry')
    teachWord('scald', 'boil')
    teachName('frying mix', 'olive-oil')
    const list = within(await screen.findByRole('list', { name: 'Words of this kitchen' }))
    expect(list.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
      '“frizzle” is Fry',
      '“scald” is Boil',
      '“frying mix” is Olive oil, extra virgin',
    ])
    await userEvent.click(list.getByRole('button', { name: 'Forget scald' }))
    expect(kitchenNow().words).toEqual([{ word: 'frizzle', operation: 'shallow-fry' }])
    await userEvent.click(list.getByRole('button', { name: 'Forget frying mix' }))
    expect(kitchenNow().names).toEqual([])
  })

  it('are known at once to the reading of lines and steps', () => {
    const read = () => typedLine('2 tbsp frying mix').ingredientId
    expect(read()).toBeNull()
    teachName('frying mix', 'olive-oil')
    expect(read()).toBe('olive-oil')
    teachWord('frizzle', 'shallow-fry')
    expect(kitchenWords().get('frizzled')?.verb.word).toBe('frizzle')
  })
})
