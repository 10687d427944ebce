import { assess } from '@frijol/core/assess'
import type { Finding } from '@frijol/core/model'
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
  undo,
  useKitchenStore,
  useOpenDish,
} from '../store'
import { FindingsCard } from './FindingsCard'

function Shown() {
  const dish = useOpenDish((state) => state.value)
  const { library, kitchen } = useKitchenStore.getState()
  if (dish === null || library === null) return null
  return <FindingsCard assessment={assess(dish, library, kitchen)} partId={dish.parts[0]?.id ?? ''} />
}

beforeEach(async () => {
  await closeDish()
  await loadKitchen()
  await openDish(await addBlankDish('Findings'))
  const partId = useOpenDish.getState().value?.parts[0]?.id ?? ''
  run(commands.addLines(partId, ['3 zorbels', '200 g walnuts', '20 g salt'].map(typedLine)))
})

describe('before you cook', () => {
  it('names the unknown food and the allergens of the known ones', () => {
    render(<Shown />)
    expect(screen.getByText(/zorbels/)).toBeVisible()
    expect(screen.getByText(/Walnut/)).toBeVisible()
  })

  it('settles a finding with a reason, opens it again, and can be undone', async () => {
    render(<Shown />)
    const count = screen.getAllByRole('button', { name: 'on purpose' }).length
    const [first] = screen.getAllByRole('button', { name: 'on purpose' })
    if (first === undefined) throw new Error('nothing to settle')
    await userEvent.click(first)
    await userEvent.type(screen.getByRole('textbox'), 'made up on purpose{Enter}')
    expect(screen.getByText('1 settled on purpose')).toBeVisible()
    expect(useOpenDish.getState().value?.settled).toMatchObject([{ reason: 'made up on purpose' }])
    await userEvent.click(screen.getByText('1 settled on purpose'))
    await userEvent.click(screen.getByRole('button', { name: 'Open again' }))
    expect(screen.getAllByRole('button', { name: 'on purpose' })).toHaveLength(count)
    expect(undo()).not.toBeNull()
    expect(useOpenDish.getState().value?.settled).toHaveLength(1)
  })

  it('folds away what presses less where there are many, and never what stops the dish', async () => {
    const dish = useOpenDish.getState().value
    const { library, kitchen } = useKitchenStore.getState()
    if (dish === null || library === null) throw new Error('no dish')
    const assessment = assess(dish, library, kitchen)
    const [one] = assessment.findings
    if (one === undefined) throw new Error('no finding')
    const of = (severity: Finding['severity'], count: number): Finding[] =>
      Array.from({ length: count }, (_unused, at) => ({
        ...one,
        severity,
        rule: `${severity}-${at}`,
        message: `${severity} ${at}.`,
      }))
    const show = (findings: Finding[]) => (
      <FindingsCard assessment={{ ...assessment, findings }} partId={dish.parts[0]?.id ?? ''} />
    )
    const { rerender } = render(show([...of('stop', 9), ...of('info', 5)]))
    expect(screen.getAllByText(/^stop \d+\./)).toHaveLength(9)
    expect(screen.queryByText(/^info \d+\./)).toBeNull()
    await userEvent.click(screen.getByText('5 more, less pressing'))
    expect(await screen.findAllByText(/^info \d+\./)).toHaveLength(5)
    // Hardly longer than what is shown anyway: nothing is folded.
    rerender(show(of('caution', 10)))
    expect(screen.getAllByText(/^caution \d+\./)).toHaveLength(10)
  })

  it('does not settle without a reason', async () => {
    render(<Shown />)
    const [first] = screen.getAllByRole('button', { name: 'on purpose' })
    if (first === undefined) throw new Error('nothing to settle')
    await userEvent.click(first)
    await userEvent.type(screen.getByRole('textbox'), '   {Enter}')
    expect(useOpenDish.getState().value?.settled).toEqual([])
  })
})
