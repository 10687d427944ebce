import type { OperationId, Part, Step, StepReading } from '@frijol/core/model'
import { lawOf, specOf } from '@frijol/core/program'
import { methodCommands, run } from '../../store'
import { NumberField } from '../../ui'

/** The mass that the scale showed after a step, and what it says of the model. */
export function Weighing({ part, step, reading }: { part: Part; step: Step; reading: StepReading | null }) {
  return (
    <NumberField
      label="Weighed after this step"
      unit="g"
      value={step.weighedG}
      onChange={(massG) => {
        if (massG !== null && (massG <= 0 || massG > 1e6)) return 'Enter a mass above 0 g, or clear it.'
        run(methodCommands.weighStep(part.id, step, massG))
        return null
      }}
      hint={
        reading === null
          ? undefined
          : reading.fit === null
            ? `The model says ${Math.round(reading.massG)} g. ${learnsFrom(step.operation) ? 'Weigh it once: the step is fixed, and this kitchen’s own constant is learned.' : 'Weigh it, and the step is fixed to the scale.'}`
            : weighedWords(step.operation, reading.fit)
      }
    />
  )
}

/** Whether an operation has a constant that a weighing can fit. */
const learnsFrom = (operation: OperationId | null): boolean =>
  operation !== null && (lawOf(operation) !== null || specOf(operation).medium === 'liquid')

/** How far the model was off, and what was learned. */
export function weighedWords(operation: OperationId | null, fit: NonNullable<StepReading['fit']>): string {
  const off = fit.predictedG > 0 ? (100 * (fit.weighedG - fit.predictedG)) / fit.predictedG : 0
  const said = `The model said ${Math.round(fit.predictedG)} g (${off >= 0 ? '+' : '−'}${Math.abs(off).toFixed(1)} %).`
  if (fit.impossibleG > 0.5)
    return `${said} ${Math.round(fit.impossibleG)} g more would have to leave than there is water: check the scale and the list.`
  if (fit.lnRatio === null || operation === null)
    return `${said} Nothing to learn from it: this operation has no constant.`
  return `${said} This kitchen’s ${specOf(operation).name.toLowerCase()} ran ${Math.exp(fit.lnRatio).toFixed(2)} times the default; the next prediction leans that way.`
}
