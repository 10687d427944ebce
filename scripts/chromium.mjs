// What the tools that look at the built application share: its server, a browser, and the time from a key to its paint.
import { spawn } from 'node:child_process'
import { chromium } from '@playwright/test'
import { root } from './run.mjs'

/** A headless browser without anything of its own on the network. */
export const openBrowser = () =>
  chromium.launch({
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  })

/** Starts the server of the built application with the demo kitchen. @returns its process and address */
export async function startServer(port) {
  const server = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
    cwd: root,
    env: { ...process.env, PORT: String(port), FRIJOL_DEMO: '1' },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  const address = await new Promise((resolve, reject) => {
    server.stdout.on('data', (data) => {
      const found = /http:\/\/\S+/.exec(String(data))
      if (found) resolve(found[0])
    })
    server.on('exit', () => reject(new Error('the server did not start')))
  })
  return { server, address }
}

/** From now on the page keeps, for each key, the time from its event to the task after the next frame. */
export const sampleKeys = (page) =>
  page.evaluate(() => {
    window.samples = []
    addEventListener(
      'keydown',
      () => {
        const begun = performance.now()
        requestAnimationFrame(() => {
          const channel = new MessageChannel()
          channel.port1.onmessage = () => window.samples.push(performance.now() - begun)
          channel.port2.postMessage(0)
        })
      },
      true,
    )
  })
