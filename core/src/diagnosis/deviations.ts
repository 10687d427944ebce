import { cutDeviations } from './cutDeviations'
import type { Deviation } from './deviation'
import { lineDeviations } from './lineDeviations'
import type { PartFacts } from './side'
import { stepDeviations, yieldDeviations } from './stepDeviations'

/** Everything in which a trial is off, against its own plan and against the trial that it came from. */
export function deviationsOf(
  own: PartFacts,
  plan: PartFacts | null,
  parent: PartFacts | null,
  parentName: string,
): Deviation[] {
  const against = (other: PartFacts | null, kind: Deviation['against'], words: string): Deviation[] =>
    other === null
      ? []
      : [
          ...lineDeviations(own, other, { kind, words }),
          ...stepDeviations(own, other, { kind, words }),
          ...cutDeviations(own, other, { kind, words }),
        ]
  const ofPlan = against(plan, 'plan', 'the formula')
  const ofParent = against(parent, 'parent', parentName)
  // A slip of the scale is off from both: it is told once, by the plan.
  const told = new Set(ofPlan.filter(({ z }) => z >= 1).map(({ key, side }) => `${key} ${side}`))
  return [
    ...ofPlan,
    ...ofParent.filter(({ key, side }) => !told.has(`${key} ${side}`)),
    ...yieldDeviations(own),
  ].filter(({ z }) => z > 0.05)
}
