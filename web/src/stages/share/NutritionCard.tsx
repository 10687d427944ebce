import { addedSugarsG, labelExtras, proteinOf } from '@frijol/core/assess'
import type { Totals } from '@frijol/core/model'
import { euClaims, labelRows, type LabelRegion, usClaims } from '@frijol/core/nutrition'
import { useMemo, useState } from 'react'
import { useAssessment, useDish, useKitchenStore, useLibrary } from '../../store'
import { Card, CardTitle, Choice } from '../../ui'

const REGIONS = { eu: 'EU', us: 'US' } as const
/** Reference amount of bean cakes, tofu, tempeh and entrées without sauce, g. @source 21 CFR 101.12(b) */
const REFERENCE_G = 85

/** Totals of another mass of the same food. */
function ofMass(per100g: Totals, massG: number): Totals {
  const factor = massG / 100
  const scaled = Object.entries(per100g).map(([key, value]) => [
    key,
    typeof value === 'number' ? value * factor : value,
  ])
  return { ...(Object.fromEntries(scaled) as Totals), massG }
}

/** The dish's nutrition as a label rounds it, and the claims whose thresholds hold. */
export function NutritionCard() {
  const dish = useDish()
  const { perPortion, per100g, diets } = useAssessment()
  const isPlantBased = diets.includes('plant-based')
  const library = useLibrary()
  const kitchen = useKitchenStore((state) => state.kitchen)
  const [region, setRegion] = useState<LabelRegion>('eu')
  const [first] = dish.parts
  // One part speaks for its protein; of several, none does.
  const pdcaas = useMemo(
    () =>
      first === undefined || dish.parts.length > 1
        ? null
        : (proteinOf(dish, first.id, library, kitchen)?.pdcaas ?? null),
    [dish, first, library, kitchen],
  )
  const extras = useMemo(() => labelExtras(dish, library, kitchen), [dish, library, kitchen])
  if (perPortion.massG <= 0) return null
  const columns =
    region === 'eu'
      ? [
          { head: '100 g', rows: labelRows({ totals: per100g, pdcaas, isPlantBased }, 'eu') },
          {
            head: `portion, ${Math.round(perPortion.massG)} g`,
            rows: labelRows({ totals: perPortion, pdcaas, isPlantBased }, 'eu'),
          },
        ]
      : [
          {
            head: `portion, ${Math.round(perPortion.massG)} g`,
            rows: labelRows(
              {
                totals: perPortion,
                pdcaas,
                isPlantBased,
                addedSugarsG: addedSugarsG(perPortion.sugarsG, extras),
                vitaminDUg: extras.vitaminDUg,
              },
              'us',
            ),
          },
        ]
  const [main] = columns
  const reference = usClaims(ofMass(per100g, REFERENCE_G), pdcaas)
  const claims = region === 'eu' ? euClaims(per100g) : reference.claims
  const isPartial = perPortion.atLeast.some((name) => name !== 'cost')
  return (
    <Card className="p-4" aria-label="Nutrition">
      <CardTitle title="Nutrition" aside="a draft of the label" />
      <Choice
        label="Rounded as in"
        value={region}
        options={['eu', 'us']}
        names={REGIONS}
        onChange={setRegion}
      />
      <table className="w-full border-collapse text-[13px]">
        <thead>
          <tr className="text-xs text-ink-2">
            <th className="text-left font-normal">
              <span className="sr-only">What</span>
            </th>
            {columns.map(({ head }) => (
              <th key={head} className="pl-2 text-right font-normal">
                {head}
              </th>
            ))}
            <th className="text-right font-normal">{region === 'eu' ? '% RI' : '% DV'}</th>
          </tr>
        </thead>
        <tbody>
          {(main?.rows ?? []).map(({ id, label, isOf }) => {
            const cells = columns.map(({ rows }) => rows.find((row) => row.id === id))
            return (
              <tr key={id} className="border-t border-line *:py-0.5">
                <th scope="row" className={`text-left font-normal ${isOf ? 'pl-3' : ''}`}>
                  {label}
                </th>
                {cells.map((cell, at) => (
                  <td key={columns[at]?.head} className="pl-2 text-right tabular-nums">
                    {cell?.amount ?? 'not known'}
                  </td>
                ))}
                <td className="pl-2 text-right whitespace-nowrap text-ink-2 tabular-nums">
                  {cells.at(-1)?.percent?.replace(' %', '') ?? ''}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      {region === 'us' && (
        <p className="m-0 mt-1 text-xs text-ink-2">
          Added sugars are those of sweeteners, and of foods that usually hold some; vitamin D is that of
          fortified foods by their usual label: ask your suppliers.
          {pdcaas === null && ' Protein has no % without the quality of its amino acids.'}
        </p>
      )}
      <h3 className="mt-3 mb-1 text-sm">Claims whose thresholds hold</h3>
      {claims.length === 0 ? (
        <p className="m-0 text-[13px] text-ink-2">None.</p>
      ) : (
        <ul className="m-0 list-none ps-0 text-[13px]">
          {claims.map(({ id, words, why, note }) => (
            <li key={id} className="border-t border-line py-1">
              <b>{words}</b> <span className="text-ink-2">{why}</span>
              {note !== null && <span className="block text-xs text-turmeric-deep">With it, {note}.</span>}
            </li>
          ))}
        </ul>
      )}
      {region === 'us' && reference.disclose.length > 0 && claims.length > 0 && (
        <p className="m-0 mt-1 text-xs text-turmeric-deep">
          Any claim must be disclosed beside: {reference.disclose.join(', ')}.
        </p>
      )}
      <p className="m-0 mt-2 text-xs text-ink-2">
        {region === 'eu'
          ? 'Regulations (EU) 1169/2011 and (EC) 1924/2006; claims by 100 g.'
          : `21 CFR 101.9 and 101.54 to 62; claims by a reference amount of ${REFERENCE_G} g.`}{' '}
        Computed, not analysed{isPartial ? '; ≥ where a food has no figure' : ''}. Laws change: check yours
        before you print.
      </p>
    </Card>
  )
}
