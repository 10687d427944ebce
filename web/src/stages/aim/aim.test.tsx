import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { MemoryRouter } from 'react-router'
import { beforeAll, beforeEach, describe, expect, it } from 'vitest'
import {
  closeDish,
  commands,
  importText,
  loadKitchen,
  openDish,
  run,
  useKitchenStore,
  useOpenDish,
} from '../../store'
import { useAssessed } from '../../store/assessed'
import { AimStage } from './AimStage'

const MINCE = `# Mince layer

## Ingredients

- 340 g cooked lentils
- 100 g walnuts
- 45 g vital wheat gluten
- 20 g coconut oil

## Method

1. Pulse the walnuts and lentils, then mix in the rest.
2. Roast at 190 °C for 25 minutes.
`

const partNow = () => {
  const [part] = useOpenDish.getState().value?.parts ?? []
  if (part === undefined) throw new Error('no part')
  return part
}
const readingNow = (id: string) =>
  useAssessed.getState().assessment?.parts[0]?.attributes.find((one) => one.id === id)

beforeAll(loadKitchen)
beforeEach(async () => {
  await closeDish()
  const read = await importText(MINCE)
  if (!read.ok) throw new Error(read.issues[0]?.message)
  await openDish(read.value[0]?.id ?? '')
  const lamb = useKitchenStore.getState().library?.originals.get('lamb_mince') ?? null
  run(commands.chooseOriginal(partNow().id, lamb))
  render(
    <MemoryRouter>
      <AimStage />
    </MemoryRouter>,
  )
})
const card = () => within(screen.getByLabelText(/^Original of/))

describe('Aim', () => {
  it('moves a band by keyboard, and the readings follow', async () => {
    const user = userEvent.setup()
    const before = readingNow('chewiness')?.target
    card().getByRole('slider', { name: 'chewiness, to' }).focus()
    await user.keyboard('{ArrowRight}')
    expect(partNow().moved.bands.chewiness).toEqual({ low: before?.low, high: (before?.high ?? 0) + 0.5 })
    expect(readingNow('chewiness')?.target?.high).toBe((before?.high ?? 0) + 0.5)
    await user.click(card().getByRole('button', { name: 'chewiness: as the original' }))
    expect(readingNow('chewiness')?.target).toEqual(before)
  })
  it('weighs an attribute: a seed more, a seed less', async () => {
    const user = userEvent.setup()
    const seeds = within(card().getByRole('group', { name: 'How often tenderness counts' }))
    await user.click(seeds.getByRole('button', { name: 'tenderness counts twice' }))
    expect(readingNow('tenderness')?.weight).toBe(2)
    await user.click(seeds.getByRole('button', { name: 'tenderness counts twice', pressed: true }))
    expect(readingNow('tenderness')?.weight).toBe(1)
  })
  it('says what an attribute means, what stands at its ends, and how to judge it', async () => {
    const user = userEvent.setup()
    await user.click(card().getByRole('button', { name: 'umami' }))
    const words = await screen.findByRole('dialog')
    expect(words).toHaveTextContent('savoury taste')
    expect(words).toHaveTextContent('aged hard cheese')
    expect(words).toHaveTextContent('beside a broth')
  })
  it('moves a window, and refuses one that does not rise', async () => {
    const user = userEvent.setup()
    await user.click(card().getByText(/^Working windows/))
    const [low] = card().getAllByRole('textbox', { name: 'works from' })
    if (low === undefined) throw new Error('no window')
    await user.clear(low)
    await user.type(low, '9999')
    expect(card().getByText(/A window rises/)).toBeInTheDocument()
    expect(partNow().moved.windows).toEqual({})
    await user.clear(low)
    await user.type(low, '0.01')
    expect(Object.values(partNow().moved.windows)).toMatchObject([{ low: 0.01 }])
  })
  it('reads a part by another family, and warmer', async () => {
    const user = userEvent.setup()
    await user.selectOptions(card().getByRole('combobox', { name: 'Read as' }), 'bound-patty')
    expect(useAssessed.getState().assessment?.parts[0]?.family).toBe('bound-patty')
    const temp = card().getByRole('textbox', { name: 'Served at, °C' })
    await user.clear(temp)
    await user.type(temp, '20')
    expect(partNow().moved.servingTempC).toBe(20)
  })
  it('limits the portion and the method, and leaves equipment and foods out', async () => {
    const user = userEvent.setup()
    await user.type(screen.getByRole('textbox', { name: 'Saturated fat, at most, g' }), '0.1')
    await user.click(screen.getByRole('button', { name: /^oven$/i }))
    const rules = useAssessed.getState().assessment?.findings.map(({ rule }) => rule)
    expect(rules).toContain('limit-saturated-fat')
    expect(rules).toContain('without-equipment')
    await user.click(screen.getByRole('button', { name: 'Isolates and additives' }))
    expect(useOpenDish.getState().value?.aim.excluded).toContain('additives')
  })
})
