import { useEffect, useState } from 'react'
import { connectDevices, type StandInCommand, tellStandIn, useDevices } from '../store/day'
import { Button, Card, CardTitle, NumberField } from '../ui'

/** The controls of the simulated scale and probe: pour, add, take away, unplug. For trying things out without devices. */
export function StandIn() {
  const { link, scale, probe } = useDevices()
  const [fault, setFault] = useState<string | null>(null)
  const [massG, setMass] = useState<number | null>(48)
  useEffect(connectDevices, [])
  const tell = (device: 'scale' | 'probe', command: StandInCommand) => () =>
    void tellStandIn(device, command).then(setFault)
  return (
    <main id="page" className="mx-auto grid max-w-[720px] gap-4 p-5">
      <h1 className="m-0 text-[26px]">Simulated devices</h1>
      <p className="m-0 text-ink-2">
        A scale of 5 kg in steps of 0.1 g, and a thermometer with two probes. The counter listens to them as
        it would to real ones.
      </p>
      {fault !== null && (
        <p role="alert" className="m-0 rounded-lg bg-adzuki-soft p-2 text-adzuki-deep">
          {fault}
        </p>
      )}
      <Card className="p-4" aria-label="Scale">
        <CardTitle
          title="Scale"
          aside={link === 'on' ? (scale?.isStable === true ? 'steady' : 'moves') : 'not heard'}
        />
        <p aria-label="Display" className="m-0 mb-3 font-display text-[52px] leading-none font-bold">
          {scale === null
            ? '–'
            : scale.state === 'unplugged'
              ? 'off'
              : scale.state === 'overload'
                ? 'too much'
                : `${(scale.g ?? 0).toFixed(1)} g`}
        </p>
        <div className="flex flex-wrap gap-2">
          <Button tone="primary" onClick={tell('scale', { act: 'pour', gPerS: 10 })}>
            Pour 10 g a second
          </Button>
          <Button onClick={tell('scale', { act: 'pour', gPerS: 2 })}>Pour 2 g a second</Button>
          <Button onClick={tell('scale', { act: 'stop' })}>Stop pouring</Button>
          <Button onClick={tell('scale', { act: 'add', g: 1 })}>Add 1 g</Button>
          <Button onClick={tell('scale', { act: 'add', g: 10 })}>Add 10 g</Button>
          <Button onClick={tell('scale', { act: 'add', g: -5 })}>Take 5 g out</Button>
          <Button onClick={tell('scale', { act: 'take-away' })}>Take all away</Button>
          <Button onClick={tell('scale', { act: 'tare' })}>Tare</Button>
          <Button onClick={tell('scale', { act: 'zero' })}>Zero</Button>
          <Button onClick={tell('scale', { act: 'unplug' })}>Unplug</Button>
          <Button onClick={tell('scale', { act: 'plug-in' })}>Plug in</Button>
          <Button onClick={tell('scale', { act: 'drift', gPerMin: 2 })}>Drift by 2 g a minute</Button>
          <Button onClick={tell('scale', { act: 'drift', gPerMin: 0 })}>Stop drifting</Button>
        </div>
        <div className="mt-3 flex items-end gap-2">
          <NumberField
            label="Grams"
            value={massG}
            onChange={(next) => {
              setMass(next)
              return null
            }}
          />
          <Button disabled={massG === null} onClick={tell('scale', { act: 'add', g: massG ?? 0 })}>
            Put them on
          </Button>
        </div>
      </Card>
      <Card className="p-4" aria-label="Probe">
        <CardTitle title="Probe" />
        {(probe?.channels ?? []).map(({ channel, c, state }) => (
          <div key={channel} className="mb-2 flex flex-wrap items-center gap-2">
            <b className="w-40 font-display text-[26px]">
              {channel}: {state === 'unplugged' || c === null ? 'off' : `${c.toFixed(1)} °C`}
            </b>
            <Button
              onClick={tell('probe', {
                act: 'follow',
                channel,
                curve: [
                  [0, 20],
                  [10, 74],
                  [20, 92],
                ],
              })}
            >
              Into something hot
            </Button>
            <Button onClick={tell('probe', { act: 'room', channel })}>Out of it</Button>
            <Button onClick={tell('probe', { act: state === 'unplugged' ? 'plug-in' : 'unplug', channel })}>
              {state === 'unplugged' ? 'Plug in' : 'Unplug'}
            </Button>
          </div>
        ))}
        <div className="flex flex-wrap gap-2">
          <Button onClick={tell('probe', { act: 'speed', times: 60 })}>A minute in a second</Button>
          <Button onClick={tell('probe', { act: 'speed', times: 1 })}>As it is</Button>
        </div>
      </Card>
    </main>
  )
}
