import { AttributeId, attributeName, ATTRIBUTES, type TastingSettings } from '@frijol/core/model'
import { runTasting, tastingCommands } from '../../store/tasting'
import { Field, SelectInput } from '../../ui'

/** By what two are compared, or several put in order. */
export function By({ settings }: { settings: TastingSettings }) {
  return (
    <Field
      label={settings.protocol === 'paired' ? 'Which has more' : 'In order of'}
      className="mb-2 max-w-64"
    >
      {(props) => (
        <SelectInput
          {...props}
          value={settings.by ?? 'liking'}
          onChange={({ target }) => {
            const read = AttributeId.safeParse(target.value)
            runTasting(
              tastingCommands.changePlan('set what is compared', { by: read.success ? read.data : null }),
            )
          }}
        >
          <option value="liking">liking: which is better</option>
          {ATTRIBUTES.map((id) => (
            <option key={id} value={id}>
              {attributeName(id)}
            </option>
          ))}
        </SelectInput>
      )}
    </Field>
  )
}
