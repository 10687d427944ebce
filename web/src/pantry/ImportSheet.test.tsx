import { defaultKitchen } from '@frijol/core/model'
import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { changeKitchen, loadKitchen, useKitchenStore } from '../store'
import { ImportSheet } from './ImportSheet'

const open = (text: string) => {
  const onClose = vi.fn()
  render(<ImportSheet file={new File([text], 'prices.csv', { type: 'text/csv' })} onClose={onClose} />)
  return onClose
}
const prices = () => useKitchenStore.getState().kitchen.prices

beforeEach(async () => {
  await loadKitchen()
  changeKitchen('reset', () => ({ ...defaultKitchen }))
})

describe('a pantry table', () => {
  it('shows what each row would do before anything is taken over', async () => {
    open('food,price\nwalnuts,12.5\nzorbel,3\n')
    const preview = await screen.findByRole('region', { name: 'Preview' })
    expect(within(preview).getByText(/Walnuts · 12.5 for 1000 g/)).toBeVisible()
    expect(within(preview).getByText('not in the library, and no composition')).toBeVisible()
    expect(screen.getByRole('status')).toHaveTextContent('1 of 2 rows can be taken over')
    expect(prices()).toEqual([])
  })

  it('takes over only what fits, and closes', async () => {
    const onClose = open('food,price\nwalnuts,12.5\nzorbel,3\n')
    await userEvent.click(await screen.findByRole('button', { name: 'Take over 1 row' }))
    await vi.waitFor(() => expect(onClose).toHaveBeenCalled())
    expect(prices()).toEqual([{ ingredientId: 'walnuts', price: 12.5, perG: 1000 }])
  })

  it('follows another meaning of a column, which takes it from the one that had it', async () => {
    open('food,a,b\nwalnuts,12.5,500\n')
    await userEvent.selectOptions(await screen.findByLabelText('a'), 'price')
    expect(screen.getByText(/Walnuts · 12.5 for 1000 g/)).toBeVisible()
    await userEvent.selectOptions(screen.getByLabelText('b'), 'price')
    expect(screen.getByLabelText('a')).toHaveValue('')
    expect(screen.getByText(/Walnuts · 500 for 1000 g/)).toBeVisible()
  })

  it('reads a decimal comma and says so', async () => {
    open('food;price;g\nwalnuts;12,5;500\n')
    expect(await screen.findByRole('status')).toHaveTextContent('decimal comma')
    expect(screen.getByText(/Walnuts · 12.5 for 500 g/)).toBeVisible()
  })

  it('leaves all as it is on request', async () => {
    const onClose = open('food,price\nwalnuts,12.5\n')
    await userEvent.click(await screen.findByRole('button', { name: 'Leave all as it is' }))
    expect(onClose).toHaveBeenCalled()
    expect(prices()).toEqual([])
  })

  it('that is none is refused in words, with nothing to press', async () => {
    open('')
    expect(await screen.findByRole('alert')).toHaveTextContent(/\w/)
    expect(screen.queryByRole('button', { name: /Take over/ })).toBeNull()
  })
})
