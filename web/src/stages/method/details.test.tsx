import { blankPart, type Part, type Step, type StepReading } from '@frijol/core/model'
import { type HandChange, setByHand, stepFrom } from '@frijol/core/reading'
import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { factsOf, stateOfLot, takenWords } from './format'
import { Ribbon } from './Ribbon'
import { Additions, SettingField, SETTINGS } from './SettingField'
import { weighedWords } from './Weighing'

const reading = (known: Partial<StepReading> = {}): StepReading => ({
  written: null,
  stepId: 's',
  operation: 'roast',
  takes: [{ kind: 'step', id: 'a', name: 'step 1', share: null, massG: 300 }],
  massInG: 300,
  massG: 240,
  waterG: 100,
  partMassG: 540,
  partWaterG: 300,
  gained: [],
  lost: [{ what: 'evaporated', massG: 60, waterG: 60 }],
  minutes: 20,
  handsMin: 2,
  loads: 1,
  vessel: 'Oven tray',
  vesselId: 'tray',
  energyKWh: 0.6,
  state: {
    coreC: 92.4,
    glutenDevelopment: null,
    starchGelatinised: null,
    proteinSet: null,
    gels: [],
    particleMm: null,
    pH: null,
    overrunPct: null,
  },
  fit: null,
  observations: 0,
  ...known,
})
const step = (text: string, change: HandChange = {}): Step => setByHand(stepFrom(text, 's'), change)

describe('the ribbon', () => {
  it('names what left and what came in, in grams, and keeps quiet about crumbs', () => {
    render(
      <Ribbon
        before={{ massG: 600, waterG: 360 }}
        mostG={600}
        reading={reading({
          gained: [{ what: 'water poured in', massG: 120.4, waterG: 120.4 }],
          lost: [
            { what: 'evaporated', massG: 60, waterG: 60 },
            { what: 'left on the tools', massG: 0.2, waterG: 0.1 },
          ],
        })}
      />,
    )
    expect(screen.getByText('−60 g evaporated')).toBeInTheDocument()
    expect(screen.getByText('+120 g water poured in')).toBeInTheDocument()
    expect(screen.queryByText(/left on the tools/)).toBeNull()
  })

  it('draws water and solids from before to after, and a plume only where something leaves', () => {
    const shapes = (of: StepReading) => {
      const { container, unmount } = render(
        <Ribbon before={{ massG: 600, waterG: 360 }} mostG={600} reading={of} />,
      )
      const paths = [...container.querySelectorAll('path')].map((path) => path.getAttribute('d') ?? '')
      unmount()
      return paths
    }
    const drying = shapes(reading())
    expect(drying).toHaveLength(3)
    // 360 of 600 g fill 60 % of the band before it, 300 g fill half of it after it.
    expect(drying[1]).toContain('L 37.8 0')
    expect(drying[1]).toContain('31.5 100')
    expect(shapes(reading({ lost: [], partMassG: 600, partWaterG: 360 }))).toHaveLength(2)
  })

  it('holds for a part without mass', () => {
    const { container } = render(
      <Ribbon
        before={{ massG: 0, waterG: 0 }}
        mostG={0}
        reading={reading({ lost: [], partMassG: 0, partWaterG: 0 })}
      />,
    )
    for (const path of container.querySelectorAll('path')) expect(path.getAttribute('d')).not.toContain('NaN')
  })
})

describe('words of a step', () => {
  it('tell how it is done, only what is said', () => {
    expect(factsOf(step('Stir'), null)).toEqual([])
    expect(
      factsOf(step('roast 200C fan 25 min, single layer, as 15 mm patties'), reading({ loads: 2 })),
    ).toEqual(['oven tray', '200 °C fan', 'single layer', 'as patty', '15 mm', '2 loads'])
    expect(
      factsOf(
        step('Simmer', { lid: 'on', waterG: 250, isDrained: true, until: { kind: 'mass', massG: 320 } }),
        null,
      ),
    ).toEqual(['lid on', '250 g water in', 'drained after', 'to 320 g'])
    expect(
      factsOf(step('Sweat', { additions: { count: 4, massG: 20 }, until: { kind: 'dry' } }), null),
    ).toEqual(['water 4 × 20 g', 'until dry'])
    expect(
      factsOf(step('Brown', { until: { kind: 'keeps', fraction: 0.6 }, isWrapped: true }), null),
    ).toEqual(['wrapped', 'until 60 % is left'])
  })

  it('tell what it takes and what the lot is like after it', () => {
    expect(
      takenWords([...reading().takes, { kind: 'line', id: 'l', name: 'red miso', share: null, massG: 5 }]),
    ).toBe('step 1’s 300 g, red miso 5 g')
    expect(stateOfLot(reading())).toEqual(['core about 92 °C'])
    expect(stateOfLot(reading({ takes: [] }))).toEqual([])
    expect(
      stateOfLot(
        reading({
          state: {
            coreC: 20,
            glutenDevelopment: 0.62,
            starchGelatinised: 1,
            proteinSet: 0,
            gels: [{ foodId: 'agar-powder', name: 'Agar', state: 'set' }],
            particleMm: 0.031,
            pH: 4.52,
            overrunPct: 300,
          },
        }),
      ),
    ).toEqual([
      'core about 20 °C',
      'gluten 62 % developed',
      'starch 100 % swollen',
      'protein 0 % set',
      'agar set',
      'pieces to 0.03 mm',
      'pH about 4.5',
      '300 % air',
    ])
  })

  it('tell how far the model was off, and what a weighing teaches', () => {
    const fit = { predictedG: 200, weighedG: 190, lnRatio: Math.log(1.2), sd: 0.13, impossibleG: 0 }
    expect(weighedWords('roast', fit)).toMatch(/said 200 g \(−5\.0 %\).*roast ran 1\.20 times the default/)
    expect(weighedWords('mix', { ...fit, lnRatio: null })).toMatch(/Nothing to learn from it/)
    expect(weighedWords('roast', { ...fit, impossibleG: 40 })).toMatch(/40 g more would have to leave/)
  })
})

describe('settings of a step', () => {
  const all = [...new Set(Object.values(SETTINGS).flat())]
  it.each(all)('%s is shown as it is and changed alone', async (setting) => {
    const change = vi.fn()
    render(<SettingField setting={setting} step={step('Stir')} onChange={change} />)
    const field = screen.queryByRole('combobox')
    if (field === null) {
      await userEvent.type(screen.getByRole('textbox'), '7')
      expect(change).toHaveBeenLastCalledWith({ [setting]: 7 })
      return
    }
    const [, first] = screen.getAllByRole<HTMLOptionElement>('option')
    await userEvent.selectOptions(field, first?.value ?? '')
    expect(Object.keys(change.mock.lastCall?.[0] as object)).toEqual([setting])
  })

  it('refuse what no kitchen has', async () => {
    const change = vi.fn()
    render(<SettingField setting="vesselCm" step={step('Stir')} onChange={change} />)
    const field = screen.getByLabelText('Across, cm')
    await userEvent.type(field, '0')
    expect(field).toHaveAccessibleDescription('Enter up to 200 cm.')
    expect(change).not.toHaveBeenCalled()
  })

  it('of additions of water need a whole number, and are cleared together', async () => {
    const change = vi.fn()
    render(<Additions step={step('Sweat', { additions: { count: 4, massG: 20 } })} onChange={change} />)
    const count = screen.getByLabelText('Additions of water')
    await userEvent.clear(count)
    expect(change).toHaveBeenLastCalledWith({ additions: null })
    await userEvent.type(count, '6')
    expect(change).toHaveBeenLastCalledWith({ additions: { count: 6, massG: 20 } })
    await userEvent.type(count, '.5')
    expect(count).toHaveAccessibleDescription('Enter 1 to 60.')
  })
})

it('a blank part has no method and no other way', () => {
  const part: Part = blankPart('p', 'Main')
  expect([part.steps, part.ways]).toEqual([[], []])
})
