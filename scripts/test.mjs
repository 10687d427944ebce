// npm test: installs what is missing, then lint, import rules, types, unit tests, build and browser tests.
// Ends with one plain line: N passed, N failed.
import { stripVTControlCharacters } from 'node:util'
import { ensureBrowser, ensurePackages } from './ensure.mjs'
import { bin, run, runAndRead } from './run.mjs'

ensurePackages()
ensureBrowser()

let passed = 0
let failed = 0
const start = performance.now()
const plain = (text) => stripVTControlCharacters(text)
const count = (text, pattern) => Number(pattern.exec(plain(text))?.[1] ?? 0)

function step(name, args) {
  const code = run(process.execPath, args)
  console.log(`${name}: ${code === 0 ? 'ok' : 'FAILED'}`)
  if (code === 0) passed += 1
  else failed += 1
  return code === 0
}

function suite(name, args, patterns) {
  const { code, text } = runAndRead(process.execPath, args, { NO_COLOR: '1', FORCE_COLOR: '0' })
  const ok = count(text, patterns.passed)
  const bad = count(text, patterns.failed)
  const unsteady = patterns.flaky === undefined ? 0 : count(text, patterns.flaky)
  passed += ok + unsteady
  failed += bad
  if (code !== 0 && bad === 0) failed += 1
  console.log(
    `${name}: ${ok} passed, ${bad} failed${unsteady === 0 ? '' : `, ${unsteady} passed when tried again`}${code === 0 ? '' : ' (exit ' + code + ')'}`,
  )
}

step('lint', [
  bin('eslint/bin/eslint.js'),
  '.',
  '--cache',
  '--cache-location',
  'node_modules/.cache/eslint',
  '--concurrency',
  '2',
  '--max-warnings',
  '0',
])
step('format', [bin('prettier/bin/prettier.cjs'), '--check', '--log-level', 'warn', '.'])
step('import rules', [
  bin('dependency-cruiser/bin/dependency-cruise.mjs'),
  'core',
  'library',
  'web',
  'server',
  'cli',
  'demo',
  'e2e',
  '--config',
  '.dependency-cruiser.cjs',
  '--output-type',
  'err',
])
step('types', ['scripts/typecheck.mjs'])
suite('unit tests', [bin('vitest/vitest.mjs'), 'run', '--reporter=default'], {
  passed: /Tests\s+(?:\d+ failed \| )?(\d+) passed/,
  failed: /Tests\s+(\d+) failed/,
})
if (step('build', [bin('vite/bin/vite.js'), 'build', 'web', '--logLevel', 'warn'])) {
  suite(
    'browser tests',
    [bin('@playwright/test/cli.js'), 'test', '-c', 'e2e/playwright.config.ts', '--reporter=list'],
    {
      passed: /(\d+) passed/,
      failed: /(\d+) failed/,
      flaky: /(\d+) flaky/,
    },
  )
}
console.log(`finished in ${((performance.now() - start) / 1000).toFixed(0)} s`)
console.log(`${passed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)
