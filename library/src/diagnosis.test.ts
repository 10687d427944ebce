import { diagnose, type Diagnosis, symptomsIn } from '@frijol/core/diagnosis'
import { defaultKitchen } from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { type Failure, failures } from '../test/failures'
import { library } from '.'

const bench = { library, kitchen: defaultKitchen }

function diagnosisOf({ dish, asMade, parent, said, family }: Failure): Diagnosis {
  const found = diagnose(
    {
      dish,
      asMade,
      partId: 'part',
      parent: parent === null ? null : { dish: parent, asMade: [], number: 1 },
      met: symptomsIn(said, family),
    },
    bench,
  )
  if (found === null) throw new Error(`nothing known of: ${said}`)
  return found
}
const placeOf = (failure: Failure): number =>
  diagnosisOf(failure).suspects.findIndex(
    ({ about }) => failure.planted !== null && about.includes(failure.planted),
  )
const shareOf = <T>(all: readonly T[], is: (one: T) => boolean): number => all.filter(is).length / all.length

describe('a diagnosis', () => {
  it(
    'finds what was planted in a formula or a method, beside the trial before or its own plan',
    { timeout: 120_000 },
    () => {
      const places = failures(80, 11, true)
        .filter(({ against }) => against !== 'nothing')
        .map(placeOf)
      expect(places.length).toBeGreaterThan(40)
      expect(shareOf(places, (at) => at === 0)).toBeGreaterThanOrEqual(0.75)
      expect(shareOf(places, (at) => at >= 0 && at < 3)).toBeGreaterThanOrEqual(0.95)
    },
  )

  it(
    'still finds it mostly where something else was changed by a third on purpose',
    { timeout: 120_000 },
    () => {
      const places = failures(40, 12, true, 0.33)
        .filter(({ against }) => against !== 'nothing')
        .map(placeOf)
      expect(shareOf(places, (at) => at === 0)).toBeGreaterThanOrEqual(0.75)
    },
  )

  it('says so where nothing in the record is off', { timeout: 120_000 }, () => {
    const open = failures(60, 13, false).map(diagnosisOf)
    expect(shareOf(open, ({ isOpen }) => isOpen)).toBeGreaterThanOrEqual(0.8)
  })

  it('without anything to hold it against, points at what would come nearer', { timeout: 120_000 }, () => {
    const alone = failures(80, 14, true).filter(
      ({ against, planted }) => against === 'nothing' && planted?.startsWith('line') === true,
    )
    expect(shareOf(alone.map(placeOf), (at) => at >= 0 && at < 3)).toBeGreaterThanOrEqual(0.5)
  })

  it('puts back what was off, with what that does', () => {
    const thin = [15, 18, 19]
      .flatMap((seed) => failures(80, seed, true))
      .find(({ said, against }) => said.includes('too thin') && against === 'parent')
    if (thin === undefined) throw new Error('no such failure')
    const [first] = diagnosisOf(thin).suspects
    expect(first?.lever?.words).toMatch(/^wheat flour back to 40 g/)
    expect(first?.lever?.effects.find(({ attribute }) => attribute === 'thickness')?.change).toBeGreaterThan(
      0,
    )
    expect(first?.evidenceFor.join(' ')).toContain('by the model')
    expect(first?.probability).toBeGreaterThan(0.5)
  })

  it('tells a slip of the scale from a change of the formula: it is weighed as written next time', () => {
    const slip = failures(80, 16, true).find(({ against }) => against === 'plan')
    if (slip === undefined) throw new Error('no such failure')
    const [first] = diagnosisOf(slip).suspects
    expect(first?.evidenceFor[0]).toContain('than written')
    expect(first?.lever).toMatchObject({ words: 'weigh it as written' })
    expect(first?.lever?.dish).toEqual(slip.dish)
  })

  it('sums to one, and is the same each time', () => {
    const [one] = failures(1, 17, true)
    if (one === undefined) throw new Error('no failure')
    const found = diagnosisOf(one)
    expect(
      found.suspects.reduce((sum, { probability }) => sum + probability, found.notInRecord),
    ).toBeLessThanOrEqual(1 + 1e-9)
    expect(diagnosisOf(one)).toEqual(found)
  })
})
