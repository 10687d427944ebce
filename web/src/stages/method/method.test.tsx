import type { Dish, Part } from '@frijol/core/model'
import { demoKitchen } from '@frijol/demo'
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { MemoryRouter } from 'react-router'
import { beforeEach, describe, expect, it } from 'vitest'
import { closeDish, importText, loadKitchen, openDish, undo, useKitchenStore, useOpenDish } from '../../store'
import { ActionSlot } from '../../ui'
import { standInForSight } from '../../../test/sight'
import { MethodStage } from './index'

const RECIPE = `# Test mince

## Ingredients

- 250 g oyster mushrooms, torn
- 110 g onion
- 14 g olive oil
- 10 g parsley

## Method

1. Brown the oyster mushrooms in a dry 32 cm pan for 9 minutes.
2. Add the olive oil and onion and sweat 6 minutes.
3. Spread on a tray and bake at 190 °C fan for 12 minutes.
`

function Framed() {
  const [slot, setSlot] = useState<HTMLElement | null>(null)
  return (
    <MemoryRouter>
      <div ref={setSlot} />
      <ActionSlot value={slot}>
        <MethodStage />
      </ActionSlot>
    </MemoryRouter>
  )
}

const dishNow = (): Dish => {
  const dish = useOpenDish.getState().value
  if (dish === null) throw new Error('no dish')
  return dish
}
const partNow = (): Part => {
  const [part] = dishNow().parts
  if (part === undefined) throw new Error('no part')
  return part
}
const step = (at: number) => {
  const found = within(screen.getByRole('list', { name: /^Steps of/ })).getAllByRole('listitem')[0]
    ?.parentElement?.children[at]
  if (!(found instanceof HTMLElement)) throw new Error(`no step ${at}`)
  return within(found)
}
const open = (number: number) =>
  userEvent.click(screen.getByRole('button', { name: `Details of step ${number}` }))

beforeEach(async () => {
  await closeDish()
  await loadKitchen()
  useKitchenStore.setState(({ kitchen }) => ({ kitchen: { ...kitchen, observations: [], words: [] } }))
  const read = await importText(RECIPE)
  if (!read.ok) throw new Error(read.issues[0]?.message)
  await openDish(read.value[0]?.id ?? '')
  render(<Framed />)
})

describe('the steps', () => {
  it('show what is read, what is taken, and what the batch weighs', () => {
    expect(step(0).getByText('Brown')).toBeInTheDocument()
    expect(step(0).getByText(/frying pan 32 cm/)).toBeInTheDocument()
    expect(step(0).getByText('oyster mushrooms')).toBeInTheDocument()
    expect(step(0).getByText(/g evaporated/)).toBeInTheDocument()
    expect(step(2).getByText(/· 190 °C fan ·/)).toBeInTheDocument()
    expect(screen.getByText(/hands, .* in all/)).toBeInTheDocument()
  })

  it('are read anew while their words change', async () => {
    const words = screen.getByRole('textbox', { name: 'Step 3' })
    await userEvent.clear(words)
    await userEvent.type(words, 'air-fry at 195 °C for 14 min')
    expect(step(2).getByText('Air-fry')).toBeInTheDocument()
    expect(partNow().steps[2]).toMatchObject({ operation: 'air-fry', tempC: 195, durationMin: 14 })
  })

  it('are taken out, and an undo brings them back', async () => {
    await userEvent.click(screen.getByRole('button', { name: 'Take out step 2' }))
    expect(partNow().steps).toHaveLength(2)
    undo()
    expect(partNow().steps).toHaveLength(3)
  })
})

describe('steps out of sight', () => {
  const goesOut = standInForSight()
  const lastId = (): string => partNow().steps[2]?.id ?? ''
  beforeEach(() => {
    // What the frame of these tests rendered was not watched.
    cleanup()
    render(<Framed />)
  })

  it('follow once the hand rests, and those in sight at once', async () => {
    const [before, last] = [step(1).getByText('olive oil'), step(2)]
    expect(before).toBeVisible()
    goesOut(lastId())
    const massBefore = last.getByRole('button', { name: /after step 3/ }).textContent
    const words = step(1).getByRole('textbox', { name: 'Step 2' })
    fireEvent.change(words, { target: { value: 'Add the onion.' } })
    expect(step(1).queryByText('olive oil')).toBeNull()
    expect(last.getByRole('button', { name: /after step 3/ })).toHaveTextContent(massBefore)
    await waitFor(() =>
      expect(last.getByRole('button', { name: /after step 3/ })).not.toHaveTextContent(massBefore),
    )
  })
  it('follow at once when they come back', () => {
    const last = step(2)
    goesOut(lastId())
    const massBefore = last.getByRole('button', { name: /after step 3/ }).textContent
    const words = step(1).getByRole('textbox', { name: 'Step 2' })
    fireEvent.change(words, { target: { value: 'Add the onion.' } })
    goesOut(lastId(), true)
    expect(last.getByRole('button', { name: /after step 3/ })).not.toHaveTextContent(massBefore)
  })
})

describe('adding a step', () => {
  it('shows how it would be read and what it would weigh, before it is added', async () => {
    await userEvent.type(screen.getByRole('textbox', { name: 'Add a step' }), 'stir in the parsley, 1 min')
    await waitFor(() =>
      expect(document.getElementById('add-step-reading')).toHaveTextContent(
        /^Mix · 1 min · takes step 3’s .* parsley 10 g · → /,
      ),
    )
    await userEvent.keyboard('{Enter}')
    expect(partNow().steps[3]).toMatchObject({ operation: 'mix', durationMin: 1 })
    expect(screen.queryByText('In no step yet:')).toBeNull()
  })

  it('by its operation sets it by hand', async () => {
    await userEvent.click(screen.getByRole('button', { name: 'or pick an operation' }))
    await userEvent.type(await screen.findByPlaceholderText('Soak, simmer, press …'), 'chill{Enter}')
    expect(partNow().steps[3]).toMatchObject({ text: 'Chill.', operation: 'chill', byHand: ['operation'] })
  })

  it('of many at once goes to the sheet, which proposes and takes over', async () => {
    await userEvent.click(screen.getByRole('button', { name: 'Paste steps' }))
    const sheet = within(screen.getByRole('dialog', { name: 'Paste steps' }))
    await userEvent.click(sheet.getByLabelText('Instructions as written'))
    await userEvent.paste(
      'Brown the mushrooms for 8 minutes, then add the onion and oil and sweat 6 minutes. Simmer 10 minutes. Scatter with the parsley.',
    )
    expect(sheet.getAllByRole('checkbox')).toHaveLength(4)
    await userEvent.click(sheet.getByRole('checkbox', { name: 'Take step 3 over' }))
    await userEvent.click(sheet.getByRole('button', { name: 'Replace by 3 steps' }))
    expect(partNow().steps.map(({ operation }) => operation)).toEqual(['brown', 'sweat', 'mix'])
    undo()
    expect(partNow().steps.map(({ operation }) => operation)).toEqual(['brown', 'sweat', 'roast'])
  })
  it('puts lines together that the width of a page has broken', async () => {
    await userEvent.click(screen.getByRole('button', { name: 'Paste steps' }))
    const sheet = within(screen.getByRole('dialog', { name: 'Paste steps' }))
    await userEvent.click(sheet.getByLabelText('Instructions as written'))
    await userEvent.paste(
      'Brown the mushrooms in a wide dry pan over a high\nheat for 8 minutes, then add the onion and the oil\nand sweat them gently for 6 minutes.',
    )
    await waitFor(() => expect(sheet.getAllByRole('checkbox')).toHaveLength(2))
  })
})

describe('the details of a step', () => {
  it('set facts by hand, which new words leave alone until they are followed again', async () => {
    await open(1)
    const details = within(screen.getByRole('group', { name: 'Details of step 1' }))
    const time = details.getByLabelText('Time, min')
    await userEvent.clear(time)
    await userEvent.type(time, '15')
    expect(partNow().steps[0]).toMatchObject({ durationMin: 15, byHand: ['durationMin'] })
    await userEvent.selectOptions(details.getByLabelText('Ends'), 'dry')
    expect(partNow().steps[0]?.until).toEqual({ kind: 'dry' })
    await userEvent.click(details.getByRole('button', { name: 'Follow the words again' }))
    expect(partNow().steps[0]).toMatchObject({ durationMin: 9, until: null, byHand: [] })
  })

  it('say what is wrong with a number and leave the step as it was', async () => {
    await open(3)
    const details = within(screen.getByRole('group', { name: 'Details of step 3' }))
    const heat = details.getByLabelText('Temperature, °C')
    await userEvent.clear(heat)
    await userEvent.type(heat, '900')
    expect(heat).toHaveAccessibleDescription('Enter −40 to 400 °C.')
    expect(partNow().steps[2]?.tempC).toBe(90)
  })

  it('split an ingredient, and name what is left of it', async () => {
    await open(2)
    const details = within(screen.getByRole('group', { name: 'Details of step 2' }))
    await userEvent.type(details.getByLabelText('Percent of onion that step takes'), '60')
    expect(partNow().steps[1]?.uses?.find(({ share }) => share !== null)?.share).toBeCloseTo(0.6)
    expect(screen.getByRole('button', { name: 'onion: drag onto a step' })).toHaveTextContent('44 g')
    await userEvent.click(details.getByRole('button', { name: 'Follow the words' }))
    expect(partNow().steps[1]?.uses).toBeNull()
  })

  it('tell what the food is like after it', async () => {
    await open(3)
    const details = within(screen.getByRole('group', { name: 'Details of step 3' }))
    expect(details.getByText(/core about \d+ °C, .*protein \d+ % set, .*pH about/)).toBeInTheDocument()
  })

  it('write a cue of one’s own', async () => {
    await open(1)
    const cue = screen.getByLabelText('Done when')
    await userEvent.clear(cue)
    await userEvent.type(cue, 'Rims like toast.')
    expect(partNow().steps[0]?.cue).toBe('Rims like toast.')
    expect(step(0).getAllByText('Rims like toast.').length).toBeGreaterThan(0)
  })
})

describe('what no step takes', () => {
  it('stands above the steps until one is given it', async () => {
    expect(screen.getByRole('button', { name: 'parsley: drag onto a step' })).toBeInTheDocument()
    expect(screen.getByText(/Parsley.* is in the list but no step uses it/)).toBeInTheDocument()
    await userEvent.selectOptions(screen.getByRole('combobox', { name: 'Give parsley to a step' }), 'step 3')
    expect(screen.queryByText('In no step yet:')).toBeNull()
    expect(screen.queryByText(/no step uses it/)).toBeNull()
    expect(partNow().steps[2]?.uses).toHaveLength(2)
  })
})

describe('weighing a step', () => {
  it('fixes it, teaches the kitchen, and is unlearned by an undo', async () => {
    await open(1)
    const field = screen.getByLabelText('Weighed after this step, g')
    await userEvent.click(field)
    await userEvent.paste('120')
    expect(field).toHaveAccessibleDescription(/The model said \d+ g .* the next prediction leans that way/)
    const learned = () => useKitchenStore.getState().kitchen.observations
    expect(learned()).toMatchObject([{ operation: 'brown', vessel: 'pan-32' }])
    expect(step(0).getByText(/120 g weighed/)).toBeInTheDocument()
    undo()
    expect(learned()).toEqual([])
  })
})

describe('other ways', () => {
  it('stand side by side, and the one left is kept', async () => {
    await userEvent.click(screen.getByRole('button', { name: 'Other ways' }))
    const sheet = within(screen.getByRole('dialog', { name: 'Other ways' }))
    await userEvent.selectOptions(sheet.getByLabelText('Try another way'), 'Step 3: air-fry instead of roast')
    expect(sheet.getByRole('columnheader', { name: 'Step 3: air-fry instead of roast' })).toBeInTheDocument()
    expect(sheet.getByRole('row', { name: /^In all/ })).toBeInTheDocument()
    await userEvent.click(sheet.getByRole('button', { name: 'Work this way' }))
    expect(partNow().steps[2]?.operation).toBe('air-fry')
    expect(partNow().ways[0]?.steps[2]?.operation).toBe('roast')
    await userEvent.click(sheet.getByRole('button', { name: /^Take out/ }))
    expect(partNow().ways).toEqual([])
  })
})

it('the demo’s parts all have a method that the screen can show', () => {
  for (const { parts } of demoKitchen().dishes)
    for (const { steps } of parts) expect(steps.length).toBeGreaterThan(0)
})

describe('a word that was read otherwise', () => {
  it('is offered to the kitchen once its step is set by hand, and read so from then on', async () => {
    await open(1)
    const details = () => within(screen.getByRole('group', { name: 'Details of step 1' }))
    expect(details().queryByRole('button', { name: /In this kitchen/ })).toBeNull()
    await userEvent.click(details().getByLabelText('What is done'))
    await userEvent.type(await screen.findByPlaceholderText('Soak, simmer, press …'), 'toast{Enter}')
    await userEvent.click(details().getByRole('button', { name: 'In this kitchen, “brown” is always Toast' }))
    expect(useKitchenStore.getState().kitchen.words).toEqual([{ word: 'brown', operation: 'toast' }])
    expect(details().queryByRole('button', { name: /In this kitchen/ })).toBeNull()
    const [, next] = partNow().steps
    if (next === undefined) throw new Error('no second step')
    await userEvent.clear(screen.getByRole('textbox', { name: 'Step 2' }))
    await userEvent.type(screen.getByRole('textbox', { name: 'Step 2' }), 'Brown the onion for 4 minutes.')
    expect(partNow().steps[1]).toMatchObject({ operation: 'toast', durationMin: 4 })
  })
})
