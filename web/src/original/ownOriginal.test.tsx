import { render, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { changeKitchen, loadKitchen, useKitchenStore } from '../store'
import { OwnOriginalSheet } from './OwnOriginalSheet'

const originals = () => useKitchenStore.getState().kitchen.originals

beforeEach(async () => {
  await loadKitchen()
  changeKitchen('forget', (kitchen) => ({ ...kitchen, originals: [] }))
})

function open(original: Parameters<typeof OwnOriginalSheet>[0]['original'] = null) {
  const onKept = vi.fn()
  const begin = useKitchenStore.getState().library?.originals.get('cheese_stretch') ?? null
  render(
    <OwnOriginalSheet original={original} begin={begin} isOpen onClose={() => undefined} onKept={onKept} />,
  )
  return { sheet: within(screen.getByRole('dialog')), onKept }
}

describe('an original of one’s own', () => {
  it('is begun from the nearest, and a measurement becomes points', async () => {
    const user = userEvent.setup()
    const { sheet, onKept } = open()
    await user.type(sheet.getByLabelText('Name'), 'Counter cheese')
    const stretch = sheet.getByLabelText('String, cm')
    await user.type(stretch, '10')
    expect(sheet.getByLabelText('stretch, 0 to 10')).toHaveValue('5')
    await user.click(sheet.getByRole('button', { name: 'Keep it' }))
    expect(originals()).toMatchObject([
      { name: 'Counter cheese', family: 'stretch-melt', attributes: { stretch: 5 } },
    ])
    expect(onKept).toHaveBeenCalledOnce()
  })
  it('takes points in place of a measurement', async () => {
    const user = userEvent.setup()
    const { sheet } = open()
    await user.type(sheet.getByLabelText('Name'), 'Mine')
    await user.type(sheet.getByLabelText('String, cm'), '10')
    await user.clear(sheet.getByLabelText('stretch, 0 to 10'))
    await user.type(sheet.getByLabelText('stretch, 0 to 10'), '8')
    expect(sheet.getByLabelText('String, cm')).toHaveValue('')
    await user.click(sheet.getByRole('button', { name: 'Keep it' }))
    expect(originals()[0]?.attributes.stretch).toBe(8)
  })
  it('says what is missing, and keeps nothing', async () => {
    const user = userEvent.setup()
    const { sheet } = open()
    await user.click(sheet.getByRole('button', { name: 'Keep it' }))
    expect(sheet.getByRole('alert')).toHaveTextContent('Name the original. Nothing was changed.')
    expect(originals()).toEqual([])
  })
})
