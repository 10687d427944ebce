import { PROTOCOLS, type Tasting } from '@frijol/core/model'
import { protocolTable } from '@frijol/core/sensory'
import { demoKitchen } from '@frijol/demo'
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
import { newTasting, runTasting, useOpenTasting } from '../../store/tasting'
import { TasteStage } from './TasteStage'
import { againstWords, shortName } from './words'

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

const demo = demoKitchen().tastings ?? []
const tastingNow = (): Tasting => {
  const { value } = useOpenTasting.getState()
  if (value === null) throw new Error('no tasting is open')
  return value
}

beforeAll(loadKitchen)
beforeEach(async () => {
  await closeDish()
  const read = await importText(MINCE)
  if (!read.ok) throw new Error(read.issues[0]?.message)
  await openDish(read.value[0]?.id ?? '')
  const lamb = useKitchenStore.getState().library?.originals.get('lamb_mince') ?? null
  run(commands.chooseOriginal(useOpenDish.getState().value?.parts[0]?.id ?? '', lamb))
  render(
    <MemoryRouter>
      <TasteStage />
    </MemoryRouter>,
  )
})

const plan = async () => {
  const user = userEvent.setup()
  // Actions stand in the header of the frame, which is not here: a tasting is begun as its button does.
  const dish = useOpenDish.getState().value
  if (dish === null) throw new Error('no dish')
  await newTasting(dish, dish.parts[0]?.id ?? '')
  await screen.findByRole('radiogroup', { name: 'What do you want to know?' })
  return user
}

describe('planning a tasting', () => {
  it('teaches where there is none', async () => {
    expect(await screen.findByText(/Nobody has tasted yet/)).toBeInTheDocument()
  })

  it('begins with this mix against its original, and asks for what counts', async () => {
    await plan()
    const { samples, controlId, attributes } = tastingNow().settings
    expect(samples.map(({ kind }) => kind)).toEqual(['original', 'mix'])
    expect(controlId).toBe(samples[0]?.id)
    expect(attributes).toContain('chewiness')
    expect(samples[1]?.allergens).toContain('gluten-wheat')
    expect(samples[1]?.predicted.chewiness?.value).toBeGreaterThan(0)
  })

  it('says for every way of tasting what it answers, and what so few can show', async () => {
    const user = await plan()
    for (const protocol of PROTOCOLS) {
      const { name, leaves } = protocolTable(protocol)
      await user.click(screen.getByRole('radio', { name: new RegExp(name) }))
      expect(screen.getByText(leaves)).toBeInTheDocument()
      const need = within(screen.getByLabelText('What so few can show'))
      expect(need.getAllByText(/find/, { selector: 'p' }).length).toBeGreaterThan(0)
      expect(tastingNow().settings.protocol).toBe(protocol)
    }
    expect(tastingNow().settings.tasters).toHaveLength(1)
  })

  it('names who must not taste before anything else, and takes them off', async () => {
    const user = await plan()
    await user.click(screen.getByRole('button', { name: /^P3/ }))
    await user.click(within(screen.getByRole('dialog')).getByRole('button', { name: 'Walnut' }))
    await user.keyboard('{Escape}')
    expect(await screen.findByText(/P3 must not taste: .* walnut/)).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'Take P3 off' }))
    expect(tastingNow().settings.tasters.map(({ id }) => id)).not.toContain('P3')
    expect(screen.queryByText(/must not taste/)).not.toBeInTheDocument()
  })

  it('keeps what an original holds as it was ticked', async () => {
    const user = await plan()
    await user.click(screen.getByRole('button', { name: 'no allergen known' }))
    await user.click(within(screen.getByRole('dialog')).getByRole('button', { name: 'Celery and celeriac' }))
    expect(tastingNow().settings.samples[0]?.allergens).toEqual(['celery'])
  })
})

describe('what a tasting is called', () => {
  it('by its way and how it stands', () => {
    const [profile] = demo
    if (profile === undefined) throw new Error('no demo')
    expect(shortName(profile)).toEqual({ name: 'Attribute profile', state: '10 June' })
    expect(shortName({ ...profile, closedAt: null })).toEqual({
      name: 'Attribute profile',
      state: '16 of 16',
    })
    expect(shortName({ ...profile, design: null })).toEqual({ name: 'Attribute profile', state: 'planned' })
    expect(againstWords(profile.settings)).toBe('Trial 2, mince layer against the minced lamb')
    expect(againstWords({ ...profile.settings, samples: [], controlId: null })).toBe('Nothing yet')
  })
})

describe('the demo’s tastings', () => {
  it.each(demo.map(({ id }) => [id] as const))('%s opens and says its verdict', async (id) => {
    const tasting = demo.find((one) => one.id === id)
    const dish = useOpenDish.getState().value
    if (tasting === undefined || dish === null) throw new Error('no demo')
    const here = await newTasting(dish, dish.parts[0]?.id ?? '')
    runTasting({
      label: 'take the demo’s',
      apply: (now) => void Object.assign(now, { ...tasting, id: here, dishId: dish.id }),
    })
    expect(await screen.findByLabelText('Verdict')).toBeInTheDocument()
    expect(screen.getByLabelText('What was done')).toHaveTextContent('none missing')
    expect(document.body.textContent).not.toMatch(/NaN|undefined|Infinity/)
  })
})
