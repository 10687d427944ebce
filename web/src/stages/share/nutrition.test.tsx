import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import { closeDish, importText, loadKitchen, openDish } from '../../store'
import { NutritionCard } from './NutritionCard'

const PATTIES = `# Patties

Serves 2

## Ingredients

- 300 g canned chickpeas, drained
- 60 g vital wheat gluten
- 30 g walnuts

## Method

1. Mash the chickpeas and mix in the rest.
2. Shape into patties and bake at 190 °C for 25 minutes.
`

beforeEach(async () => {
  await closeDish()
  await loadKitchen()
  const read = await importText(PATTIES)
  if (!read.ok) throw new Error(read.issues[0]?.message)
  await openDish(read.value[0]?.id ?? '')
})

describe('the draft of the label', () => {
  it('rounds by the EU or the US, and lists claims that hold', async () => {
    render(<NutritionCard />)
    const card = within(screen.getByLabelText('Nutrition'))
    expect(card.getByRole('row', { name: /^Salt/ })).toBeInTheDocument()
    expect(card.getByText('High protein')).toBeInTheDocument()
    await userEvent.click(card.getByRole('radio', { name: 'US' }))
    expect(card.getByRole('row', { name: /^Total carbohydrate/ })).toBeInTheDocument()
    expect(card.getByRole('row', { name: /^Cholesterol/ })).toHaveTextContent('0 mg')
    expect(card.getByRole('row', { name: /^Includes added sugars/ })).toHaveTextContent('0 g')
    expect(card.getByRole('row', { name: /^Vitamin D/ })).toHaveTextContent('0 µg')
    expect(card.getByText(/check yours before you print/)).toBeInTheDocument()
  })
})
