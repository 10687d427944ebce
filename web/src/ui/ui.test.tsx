import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import {
  BandAndSeed,
  DragNumber,
  Finder,
  NumberField,
  Sheet,
  Strip,
  useShortcut,
  WindowAndTick,
} from './index'

describe('reading marks', () => {
  it('say the value, its spread and its distance, never by colour alone', async () => {
    const why = vi.fn()
    render(
      <>
        <BandAndSeed
          label="chew"
          words="0.6 low"
          min={0}
          max={10}
          value={3.4}
          spread={1.2}
          band={{ low: 4, high: 6 }}
          standing="drift"
          onWhy={why}
        />
        <WindowAndTick
          label="Fat"
          shown="12 %"
          words="works well"
          value={12}
          low={3}
          bestLow={8}
          bestHigh={16}
          high={25}
          standing="in"
          onWhy={why}
        />
      </>,
    )
    await userEvent.click(screen.getByRole('button', { name: 'chew: 3.4 plus or minus 1.2, 0.6 low. Why?' }))
    await userEvent.click(screen.getByRole('button', { name: 'Fat: 12 %, works well. Why?' }))
    expect(why).toHaveBeenCalledTimes(2)
  })

  it('name every part of a strip, also the ones too short for words', () => {
    render(
      <Strip
        title="Water"
        parts={[
          { label: 'held', share: 0.7, className: '' },
          { label: 'free', share: 0.05, className: '' },
          { label: 'none', share: 0, className: '' },
        ]}
      />,
    )
    expect(screen.getByRole('figure', { name: 'Water: held 70 %, free 5 %' })).toBeInTheDocument()
    expect(screen.getByText('free 5 %')).toBeInTheDocument()
  })
})

describe('DragNumber', () => {
  it('steps with the arrow keys, ten times with Shift, never below 0, and asks why on Enter', async () => {
    const change = vi.fn()
    const why = vi.fn()
    render(
      <DragNumber
        label="Grams of beans"
        value={45}
        shown="45"
        spread="±6"
        unit="g"
        onChange={change}
        onWhy={why}
      />,
    )
    screen.getByRole('spinbutton', { name: 'Grams of beans' }).focus()
    await userEvent.keyboard('{ArrowUp}{ArrowDown}{Shift>}{ArrowUp}{/Shift}{Enter}')
    expect(change.mock.calls).toEqual([[46], [44], [55]])
    expect(why).toHaveBeenCalledOnce()
    await userEvent.keyboard('{Shift>}{ArrowDown}{/Shift}')
    expect(change).toHaveBeenLastCalledWith(35)
  })
})

describe('NumberField', () => {
  it('keeps what is typed, says what is wrong, understands a decimal comma and an empty field', async () => {
    const change = vi.fn((value: number | null) =>
      value !== null && value <= 0 ? 'Enter a mass above 0 g.' : null,
    )
    render(<NumberField label="Portion" unit="g" value={200} onChange={change} />)
    const field = screen.getByLabelText('Portion, g')
    await userEvent.clear(field)
    expect(change).toHaveBeenLastCalledWith(null)
    await userEvent.type(field, '1,5')
    expect(change).toHaveBeenLastCalledWith(1.5)
    await userEvent.clear(field)
    await userEvent.type(field, '0')
    expect(field).toHaveAccessibleDescription('Enter a mass above 0 g.')
    expect(field).toBeInvalid()
    await userEvent.clear(field)
    await userEvent.type(field, 'abc')
    expect(field).toHaveAccessibleDescription('Enter a number.')
    await userEvent.tab()
    expect(field).toHaveValue('200')
  })
})

describe('Sheet', () => {
  it('closes on Escape and by its button', async () => {
    const close = vi.fn()
    render(
      <Sheet title="Why" isOpen onClose={close}>
        because
      </Sheet>,
    )
    await userEvent.keyboard('{Escape}')
    await userEvent.click(screen.getByRole('button', { name: 'Close' }))
    expect(close).toHaveBeenCalledTimes(2)
  })
})

describe('Finder', () => {
  it('reaches the last of many', async () => {
    const pick = vi.fn()
    const items = Array.from({ length: 900 }, (_unused, at) => ({ id: `f${at}`, label: `Bean ${at}` }))
    render(
      <Finder
        label="Foods"
        placeholder="Search"
        onPick={pick}
        groups={[
          { heading: 'Few', items: [{ id: 'none', label: 'Kale' }] },
          { heading: 'Library', items: [...items, { id: 'walnuts', label: 'Walnuts' }] },
        ]}
      />,
    )
    await screen.findByPlaceholderText('Search')
    expect(screen.getAllByRole('option').length).toBeLessThan(300)
    await userEvent.type(screen.getByPlaceholderText('Search'), 'walnuts')
    expect(screen.getAllByRole('option').map(({ textContent }) => textContent)).toEqual(['Walnuts'])
    await userEvent.keyboard('{Enter}')
    expect(pick).toHaveBeenCalledWith('walnuts')
  })

  it('ranks a label that starts with the word first, and finds by other words', async () => {
    const pick = vi.fn()
    render(
      <Finder
        label="Foods"
        placeholder="Search"
        onPick={pick}
        groups={[
          {
            heading: 'All',
            items: [
              { id: 'oil', label: 'Sesame oil' },
              { id: 'courgette', label: 'Courgette', words: ['zucchini'] },
              { id: 'oils', label: 'Oils, mixed' },
            ],
          },
        ]}
      />,
    )
    await userEvent.type(await screen.findByPlaceholderText('Search'), 'oil{Enter}')
    expect(pick).toHaveBeenLastCalledWith('oils')
    await userEvent.clear(screen.getByPlaceholderText('Search'))
    await userEvent.type(screen.getByPlaceholderText('Search'), 'zucc{Enter}')
    expect(pick).toHaveBeenLastCalledWith('courgette')
    await userEvent.clear(screen.getByPlaceholderText('Search'))
    await userEvent.type(screen.getByPlaceholderText('Search'), 'xyz')
    expect(screen.getByText('Nothing fits. Try another word.')).toBeInTheDocument()
  })
})

describe('useShortcut', () => {
  it('acts outside text fields only, and not with Alt or Control', async () => {
    const act = vi.fn()
    const Page = () => {
      useShortcut('a', act)
      return <input aria-label="field" />
    }
    render(<Page />)
    await userEvent.keyboard('a')
    await userEvent.keyboard('{Alt>}a{/Alt}')
    await userEvent.type(screen.getByLabelText('field'), 'a')
    expect(act).toHaveBeenCalledOnce()
  })
})

describe('a sheet', () => {
  it('makes nothing before it is first opened', () => {
    const { rerender, container } = render(
      <Sheet title="Scale" isOpen={false} onClose={() => undefined}>
        inside
      </Sheet>,
    )
    expect(container).toBeEmptyDOMElement()
    rerender(
      <Sheet title="Scale" isOpen onClose={() => undefined}>
        inside
      </Sheet>,
    )
    expect(screen.getByRole('dialog', { name: 'Scale' })).toHaveTextContent('inside')
  })
})
