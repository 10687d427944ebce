import { assess } from '@frijol/core/assess'
import { act, render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { MemoryRouter } from 'react-router'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { standInForSight } from '../../../test/sight'
import {
  closeDish,
  commands,
  importText,
  loadKitchen,
  openDish,
  run,
  typedLine,
  useKitchenStore,
  useOpenDish,
} from '../../store'
import { useAssessed } from '../../store/assessed'
import { Readings } from './Readings'

const MINCE = `# Bolognese

## Ingredients

- 340 g cooked lentils
- 100 g walnuts
- 45 g vital wheat gluten
- 20 g soy sauce

## Method

1. Pulse the walnuts and lentils.
2. Mix in the gluten and soy sauce.
3. Roast at 190 °C for 25 minutes.
`
const SAUCE = `# White sauce

## Ingredients

- 500 g soy milk
- 40 g plant butter
- 40 g plain flour

## Method

1. Cook the flour in the plant butter for 2 minutes.
2. Whisk in the soy milk.
3. Simmer for 8 minutes.
`

function Shown() {
  const dish = useOpenDish((state) => state.value)
  const { library, kitchen } = useKitchenStore.getState()
  const part = dish?.parts[0]
  if (dish === null || library === null || part === undefined) return null
  const assessment = assess(dish, library, kitchen)
  const [reading] = assessment.parts
  if (useAssessed.getState().dish !== dish) useAssessed.setState({ dish, assessment })
  return reading === undefined ? null : <Readings part={part} reading={reading} assessment={assessment} />
}

async function show(recipe: string, originalId: string | null) {
  const read = await importText(recipe)
  if (!read.ok) throw new Error(read.issues[0]?.message)
  await openDish(read.value[0]?.id ?? '')
  const part = useOpenDish.getState().value?.parts[0]
  const { library } = useKitchenStore.getState()
  if (part === undefined || library === null) throw new Error('no part')
  if (originalId !== null) run(commands.chooseOriginal(part.id, library.originals.get(originalId) ?? null))
  render(
    <MemoryRouter>
      <Shown />
    </MemoryRouter>,
  )
}

beforeEach(async () => {
  vi.restoreAllMocks()
  await closeDish()
  await loadKitchen()
})

describe('cards out of sight', () => {
  const goesOut = standInForSight()
  const water = (): string => screen.getByText(/^of \d+ g in the mix$/).textContent
  const more = () => {
    const part = useOpenDish.getState().value?.parts[0]
    if (part === undefined) throw new Error('no part')
    act(() => void run(commands.addLines(part.id, [typedLine('100 g water')])))
  }
  it('follow once the hand rests, and those in sight at once', async () => {
    await show(MINCE, 'beef_mince')
    const seen = water()
    more()
    expect(water()).not.toBe(seen)
    goesOut('water')
    const before = water()
    more()
    expect(water()).toBe(before)
    await waitFor(() => expect(water()).not.toBe(before))
  })
  it('follow at once when they come back', async () => {
    await show(MINCE, 'beef_mince')
    goesOut('water')
    const before = water()
    more()
    expect(water()).toBe(before)
    goesOut('water', true)
    expect(water()).not.toBe(before)
  })
  it('never show those of another part', async () => {
    await show(MINCE, 'beef_mince')
    goesOut('water')
    const before = water()
    await act(async () => {
      const read = await importText(SAUCE)
      if (read.ok) await openDish(read.value[0]?.id ?? '')
    })
    expect(water()).not.toBe(before)
  })
})

describe('readings beside the formula', () => {
  it('show what counts first and fold what is in band', async () => {
    await show(MINCE, 'beef_mince')
    const card = screen.getByRole('heading', { name: 'Against the original' }).closest('section')
    if (card === null) throw new Error('no card')
    const rows = within(card).getAllByText(
      /^(?:crumbliness|umami|chewiness|richness|roasted|sweetness|sourness|marine|sea)$/i,
    )
    expect(rows[0]?.textContent).toMatch(/crumbliness|umami/i)
    const fold = within(card).getByText(/more, in band or near it$/)
    expect(fold.closest('details')?.open).toBe(false)
    expect(within(card).queryByText(/smokiness/i)).toBeNull()
    await userEvent.click(fold)
    expect(await within(card).findByText(/smokiness/i)).toBeVisible()
  })

  it('put the original beside the part', async () => {
    await show(MINCE, 'beef_mince')
    await userEvent.click(screen.getByRole('button', { name: /^Beside / }))
    const sheet = await screen.findByRole('dialog')
    expect(within(sheet).getByRole('row', { name: /^Protein/ }).textContent).toContain('27 g')
    expect(within(sheet).getByText('Gained or lost')).toBeVisible()
  })

  it('tell how a sauce pours, and how to confirm it', async () => {
    await show(SAUCE, 'sauce_white')
    expect(screen.getByRole('heading', { name: 'At the counter' })).toBeVisible()
    expect(screen.getAllByText(/in 30 s in a trough/).length).toBeGreaterThan(0)
  })

  it('offer the likely originals after a paste, one tap away', async () => {
    await show(MINCE, null)
    await userEvent.click(screen.getByRole('button', { name: /^Match Minced beef/ }))
    expect(useOpenDish.getState().value?.parts[0]?.originalId).toBe('beef_mince')
    expect(await screen.findByRole('button', { name: /^Beside / })).toBeVisible()
  })
})
