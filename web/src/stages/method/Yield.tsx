import type { Part, PartAssessment } from '@frijol/core/model'
import { commands, keepPartAsFood, run } from '../../store'
import { Button, Card, CardTitle, NumberField, toast } from '../../ui'

const BASIS: Record<PartAssessment['cookedBasis'], string> = {
  weighed: 'weighed',
  steps: 'from the steps',
  family: 'usual for the family, not weighed',
  raw: 'nothing cooks off yet',
}

/** What a part yields, what other parts take of it, and the mass that was weighed. */
export function Yield({ part, reading }: { part: Part; reading: PartAssessment }) {
  const change = (massG: number | null): string | null => {
    if (massG !== null && (massG <= 0 || massG > 1e6)) return 'Enter a mass above 0 g, or clear it.'
    run(commands.setCookedMass(part.id, massG))
    return null
  }
  const { rawMassG, cookedMassG, cookedSdG, cookedBasis, water, takenG, besideG, leftoverG } = reading
  const keep = async () => {
    const kept = await keepPartAsFood(part.id)
    toast(
      kept.ok ? `${kept.value.name} is in the pantry.` : (kept.issues[0]?.message ?? 'It could not be kept.'),
    )
  }
  return (
    <Card className="grid gap-3 p-4">
      <CardTitle title="Yield" aside={BASIS[cookedBasis]} />
      <p className="m-0 text-sm">
        <b className="font-display text-xl">{Math.round(cookedMassG)} g</b>
        {cookedSdG >= 0.5 && `, give or take ${Math.round(cookedSdG)} g,`} cooked of {Math.round(rawMassG)} g
        raw
        {water.cookedOffG > 0.5 && `; ${Math.round(water.cookedOffG)} g of water leaves`}.
        {takenG > 0 &&
          ` Other parts take ${Math.round(takenG)} g of it; ${besideG > 0 ? `${Math.round(besideG)} g is served beside` : `${Math.round(leftoverG)} g is left over`}.`}
      </p>
      <NumberField
        label="Weighed after cooking"
        unit="g"
        value={part.cookedMassG}
        onChange={change}
        hint="The whole part at the end; it wins over the steps. To teach this kitchen’s pans, weigh a single step instead."
      />
      <Button onClick={() => void keep()}>Keep this part as an ingredient</Button>
      <p className="m-0 text-xs text-ink-2">
        Follow your local food code for core temperatures, holding and cooling.
      </p>
    </Card>
  )
}
