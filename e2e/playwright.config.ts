import { defineConfig } from '@playwright/test'

const port = 4673
const baseURL = `http://127.0.0.1:${port}`

export default defineConfig({
  testDir: '.',
  testMatch: '**/*.spec.ts',
  outputDir: './test-results',
  // Most of a test is waiting. One that fails beside another is tried once more by itself, and named as unsteady.
  workers: 2,
  retries: 1,
  timeout: 45_000,
  expect: { timeout: 8_000 },
  use: {
    baseURL,
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    launchOptions: {
      executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: 'node --import tsx server/src/main.ts',
    cwd: '..',
    url: `${baseURL}/api/health`,
    env: { PORT: String(port), FRIJOL_DEMO: '' },
    reuseExistingServer: false,
    timeout: 30_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 2000 },
  },
})
