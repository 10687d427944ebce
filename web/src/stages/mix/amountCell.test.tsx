import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it } from 'vitest'
import {
  addBlankDish,
  closeDish,
  commands,
  loadKitchen,
  openDish,
  run,
  typedLine,
  useOpenDish,
} from '../../store'
import { ToastHost } from '../../ui'
import { AmountCell } from './AmountCell'

function Shown() {
  const part = useOpenDish((state) => state.value?.parts[0])
  const line = part?.lines[0]
  return part === undefined || line === undefined ? null : <AmountCell partId={part.id} line={line} />
}

beforeEach(async () => {
  await closeDish()
  await loadKitchen()
  await openDish(await addBlankDish('Amounts'))
  const partId = useOpenDish.getState().value?.parts[0]?.id ?? ''
  run(commands.addLines(partId, [typedLine('200 g white beans')]))
})

describe('an amount', () => {
  const typed = async (text: string) => {
    render(
      <>
        <Shown />
        <ToastHost />
      </>,
    )
    const field = screen.getByRole('textbox', { name: 'Amount of white beans' })
    await userEvent.clear(field)
    await userEvent.type(field, text)
    await userEvent.tab()
    return field
  }
  const amount = () => useOpenDish.getState().value?.parts[0]?.lines[0]?.text

  it('that reads is taken, without a word', async () => {
    expect(await typed('250 g')).toHaveValue('250 g')
    expect(amount()).toBe('250 g white beans')
    expect(screen.queryByText(/does not read/)).toBeNull()
  })

  it('that does not read is told with what is kept', async () => {
    const field = await typed('two handfulz of x')
    expect(
      await screen.findByText(/“two handfulz of x” does not read as an amount\. It stays 2/),
    ).toBeVisible()
    expect(field).toHaveValue('2 handfuls')
  })

  it('is not sent anywhere by Enter', async () => {
    const field = await typed('3 cups{Enter}')
    expect(field).toHaveValue('3 cups')
    expect(amount()).toBe('3 cups white beans')
  })
})
