import { render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { MemoryRouter } from 'react-router'
import { beforeEach, describe, expect, it } from 'vitest'
import { BesideOriginal, ColourLine } from '../../original'
import {
  closeDish,
  commands,
  goalCommands,
  importText,
  loadKitchen,
  openDish,
  run,
  typedLine,
  useKitchenStore,
  useOpenDish,
} from '../../store'
import { useAssessed } from '../../store/assessed'
import { AlsoServed } from './AlsoServed'
import { Flavour } from './Flavour'
import { OtherParts } from './OtherParts'

const SCRAMBLE = `# Scramble

Serves 2

## Ingredients

- 400 g firm tofu
- 10 g nutritional yeast, fortified
- 6 g dried shiitake
- 1 tsp cayenne pepper
- 10 g olive oil

## Method

1. Crumble the tofu and fry everything over medium heat for 5 minutes.
`

const state = () => {
  const { value: dish } = useOpenDish.getState()
  const { assessment } = useAssessed.getState()
  const [part] = dish?.parts ?? []
  const [reading] = assessment?.parts ?? []
  if (dish === null || part === undefined || reading === undefined) throw new Error('no dish')
  return { dish, part, reading }
}
const originalOf = (id: string) => {
  const original = useKitchenStore.getState().library?.originals.get(id)
  if (original === undefined) throw new Error(id)
  return original
}
const show = (element: React.ReactNode) => render(<MemoryRouter>{element}</MemoryRouter>)

beforeEach(async () => {
  await closeDish()
  await loadKitchen()
  const read = await importText(SCRAMBLE)
  if (!read.ok) throw new Error(read.issues[0]?.message)
  await openDish(read.value[0]?.id ?? '')
  run(commands.chooseOriginal(state().part.id, originalOf('egg_scrambled')))
})

describe('what a part looks and tastes like', () => {
  it('tells umami by contributor, its lift, heat and notes', () => {
    show(<Flavour partId={state().part.id} />)
    const card = within(screen.getByLabelText('Flavour'))
    expect(card.getByText(/g of MSG in 1 kg/)).toBeInTheDocument()
    expect(card.getByText(/lifted \d+\.\d× by nucleotides/)).toBeInTheDocument()
    expect(card.getByText(/^From cayenne/i)).toBeInTheDocument()
  })
  it('tells the aroma: what is missing and what would bring it, and what carries the rest', () => {
    show(<Flavour partId={state().part.id} />)
    const card = within(screen.getByLabelText('Aroma'))
    expect(card.getAllByText('Missing').length).toBeGreaterThan(1)
    expect(card.getByText(/egg-like sulphur/)).toBeInTheDocument()
    expect(card.getByText(/^0\.8 to 3\.\d g black salt, off the heat\.$/)).toBeInTheDocument()
    expect(card.getByText('Carried').nextSibling).toHaveTextContent(/nutritional yeast 2\.\d % \(1 to 2 %\)/i)
  })
  it('says of too much what it turns to', async () => {
    run(commands.addLines(state().part.id, [typedLine('30 g turmeric')]))
    show(<Flavour partId={state().part.id} />)
    await waitFor(() =>
      expect(screen.getByText(/Tastes earthy from 0\.3 % on/).parentElement).toHaveTextContent(/Turmeric/i),
    )
  })
  it('has no aroma to tell without an original', () => {
    run(commands.chooseOriginal(state().part.id, null))
    show(<Flavour partId={state().part.id} />)
    expect(screen.queryByLabelText('Aroma')).toBeNull()
  })
  it('shows swatches beside the original’s, with which way and how far', () => {
    show(<ColourLine partId={state().part.id} />)
    expect(screen.getByRole('img', { name: /^original: L 82/ })).toBeInTheDocument()
    expect(screen.getByRole('img', { name: /^raw: L \d+, a -?\d+, b \d+/ })).toBeInTheDocument()
    expect(screen.getByText(/ΔE \d+ ± 7; inside beside its curd/)).toBeInTheDocument()
  })
  it('puts minerals and B12 beside the original, in 100 g and in a portion', async () => {
    const { reading } = state()
    show(<BesideOriginal part={reading} original={originalOf('egg_scrambled')} />)
    expect(screen.getByRole('row', { name: /^Vitamin B12/ })).toHaveTextContent('fortified')
    const selenium = screen.getByRole('row', { name: /^Selenium/ }).textContent
    await userEvent.click(screen.getByRole('radio', { name: 'a portion' }))
    expect(screen.getByText(/In a portion’s \d+ g of this part/)).toBeInTheDocument()
    expect(screen.getByRole('row', { name: /^Selenium/ }).textContent).not.toBe(selenium)
  })
  it('reads the second way, and asks why of it', async () => {
    const { part } = state()
    run(goalCommands.serveAlso(part.id, { originalId: 'cheese_brined', coldH: 8 }))
    const { also } = state().reading
    if (also === null) throw new Error('no second way')
    show(<AlsoServed partId={part.id} also={also} />)
    const card = screen.getByLabelText('The second way')
    expect(within(card).getByRole('heading')).toHaveTextContent('And as brined crumbly white cheese')
    await userEvent.click(within(card).getByRole('button', { name: /^crumbliness:/i }))
    expect(within(card).getAllByRole('button', { name: /Why\?$/ }).length).toBeGreaterThan(3)
  })
  it('names the other parts that have an original, and no others', () => {
    const { reading } = state()
    const other = { ...reading, partId: 'other', name: 'Cream', distance: 1.2 }
    const { container, rerender } = show(<OtherParts partId={reading.partId} parts={[reading]} />)
    expect(container).toBeEmptyDOMElement()
    rerender(
      <MemoryRouter>
        <OtherParts partId={reading.partId} parts={[reading, other]} />
      </MemoryRouter>,
    )
    expect(screen.getByText('1.2 from the original')).toBeInTheDocument()
  })
})
