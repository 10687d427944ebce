import { once } from 'node:events'
import { get, type IncomingMessage } from 'node:http'
import type { AddressInfo } from 'node:net'
import express from 'express'
import request from 'supertest'
import { describe, expect, it } from 'vitest'
import { SimulatedProbe } from './probe'
import { deviceRoutes } from './routes'
import { SimulatedScale } from './scale'

const half = () => 0.5

describe('the simulated scale', () => {
  it('shows what is on it in steps of 0.1 g, and settles', () => {
    const scale = new SimulatedScale(0, () => 1)
    scale.do(0, { act: 'add', g: 48.04 })
    const moving = scale.read(100)
    expect(moving).toMatchObject({ isStable: false, state: 'ok' })
    expect(Math.abs((moving.g ?? 0) - 48)).toBeLessThanOrEqual(0.31)
    expect(scale.read(700)).toMatchObject({ g: 48, isStable: true })
  })

  it('pours by the second until it is stopped, and never below nothing', () => {
    const scale = new SimulatedScale(0, half)
    scale.do(0, { act: 'pour', gPerS: 10 })
    expect(scale.read(1500).g).toBeCloseTo(15, 6)
    expect(scale.read(1500).isStable).toBe(false)
    scale.do(2000, { act: 'stop' })
    expect(scale.read(9000)).toMatchObject({ g: 20, isStable: true })
    scale.do(9000, { act: 'add', g: -50 })
    expect(scale.read(10_000).g).toBe(0)
  })

  it('tares, zeroes and takes away', () => {
    const scale = new SimulatedScale(0, half)
    scale.do(0, { act: 'add', g: 300 })
    scale.do(1000, { act: 'tare' })
    expect(scale.read(2000)).toMatchObject({ g: 0, tareG: 300 })
    scale.do(2000, { act: 'add', g: 12.3 })
    expect(scale.read(3000).g).toBe(12.3)
    scale.do(3000, { act: 'take-away' })
    expect(scale.read(4000).g).toBe(-300)
    scale.do(4000, { act: 'zero' })
    expect(scale.read(5000)).toMatchObject({ g: 0, tareG: 0 })
  })

  it('shows nothing over 5 kg or unplugged, and wakes with what stands on it as its zero', () => {
    const scale = new SimulatedScale(0, half)
    scale.do(0, { act: 'add', g: 5001 })
    expect(scale.read(1000)).toMatchObject({ g: null, state: 'overload' })
    scale.do(1000, { act: 'add', g: -4501 })
    const { onSince } = scale.read(2000)
    scale.do(2000, { act: 'unplug' })
    expect(scale.read(2100)).toMatchObject({ g: null, state: 'unplugged' })
    scale.do(3000, { act: 'plug-in' })
    expect(scale.read(4000)).toMatchObject({ g: 0, state: 'ok', onSince: 3000 })
    expect(onSince).toBe(0)
    scale.do(4000, { act: 'add', g: 20 })
    expect(scale.read(5000).g).toBe(20)
  })

  it('creeps where it is told to, and takes a clock that was set back', () => {
    const scale = new SimulatedScale(60_000, half)
    scale.do(60_000, { act: 'drift', gPerMin: 2 })
    expect(scale.read(120_000).g).toBe(2)
    expect(scale.read(0).g).toBe(2)
  })
})

describe('the simulated probe', () => {
  it('follows what it is in, on its channel alone', () => {
    const probe = new SimulatedProbe(0, half)
    probe.do(0, {
      act: 'follow',
      channel: 1,
      curve: [
        [0, 20],
        [10, 80],
      ],
    })
    for (let at = 0; at <= 600_000; at += 1000) probe.read(at)
    const [one, two] = probe.read(600_000)
    expect(one?.c).toBeGreaterThan(79)
    expect(one?.c).toBeLessThanOrEqual(80)
    expect(two?.c).toBe(20)
    probe.do(600_000, { act: 'unplug', channel: 1 })
    expect(probe.read(601_000)[0]).toEqual({ channel: 1, c: null, state: 'unplugged' })
    probe.do(601_000, { act: 'plug-in', channel: 1 })
    probe.do(601_000, { act: 'room', channel: 1 })
    for (let at = 601_000; at <= 700_000; at += 1000) probe.read(at)
    expect(probe.read(700_000)[0]?.c).toBe(20)
  })

  it('can be run faster, for trying things out', () => {
    const probe = new SimulatedProbe(0, half)
    probe.do(0, { act: 'speed', times: 60 })
    probe.do(0, {
      act: 'follow',
      channel: 2,
      curve: [
        [0, 20],
        [10, 80],
      ],
    })
    for (let at = 0; at <= 20_000; at += 200) probe.read(at)
    expect(probe.read(20_000)[1]?.c).toBe(80)
  })
})

describe('the way to the devices', () => {
  const app = express().use('/api/devices', deviceRoutes())
  const tell = (device: string, body: object) => request(app).post(`/api/devices/${device}`).send(body)

  it('does what it is told and answers with what it reads', async () => {
    const answer = await tell('scale', { act: 'add', g: 10 }).expect(200)
    expect(answer.body).toMatchObject({ state: 'ok', stepG: 0.1 })
    const probe = await tell('probe', { act: 'follow', channel: 2, curve: [[0, 20]] }).expect(200)
    expect((probe.body as { channels: unknown[] }).channels).toHaveLength(2)
  })

  it.each([
    ['scale', { act: 'explode' }],
    ['scale', { act: 'add' }],
    ['scale', { act: 'add', g: 'much' }],
    ['scale', { act: 'pour', gPerS: 1e9 }],
    ['probe', { act: 'follow', channel: 3, curve: [[0, 20]] }],
    ['probe', { act: 'follow', channel: 1, curve: [] }],
    ['probe', { act: 'speed', times: 0 }],
  ])('refuses what %s does not understand, in words: %o', async (device, body) => {
    const answer = await tell(device, body).expect(400)
    expect((answer.body as { error: string }).error).toContain('Nothing was done')
  })

  it('takes JSON only: a form of another page cannot move it', async () => {
    await request(app).post('/api/devices/scale').type('form').send('act=tare').expect(400)
    await request(app).post('/api/devices/scale').type('text/plain').send('{"act":"tare"}').expect(400)
  })

  it('streams readings of both, five a second, and stops with the listener', async () => {
    const server = app.listen(0, '127.0.0.1')
    await once(server, 'listening')
    try {
      const { port } = server.address() as AddressInfo
      const response = await new Promise<IncomingMessage>((resolve, reject) => {
        get(`http://127.0.0.1:${port}/api/devices/events`, resolve).on('error', reject)
      })
      expect(response.headers['content-type']).toContain('text/event-stream')
      let text = ''
      for await (const piece of response) {
        text += String(piece)
        if ((text.match(/event: scale/g) ?? []).length >= 3) break
      }
      expect(text).toMatch(/event: probe\ndata: \{"at":\d+,"channels":\[/)
      expect(text.match(/event: scale\ndata: \{.*"onSince":\d+.*\}/g)?.length).toBeGreaterThanOrEqual(3)
    } finally {
      server.closeAllConnections()
      await new Promise((resolve) => server.close(resolve))
    }
  })
})
