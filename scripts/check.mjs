// npm run check: format, lint (of what changed), import rules, types and unit tests; a minute and a half. The build and the
// browser tests run in npm test.
import { ensurePackages } from './ensure.mjs'
import { bin, run } from './run.mjs'

ensurePackages()
const steps = [
  ['format', [bin('prettier/bin/prettier.cjs'), '--check', '--log-level', 'warn', '.']],
  [
    'lint',
    [
      bin('eslint/bin/eslint.js'),
      '.',
      '--cache',
      '--cache-location',
      'node_modules/.cache/eslint',
      '--max-warnings',
      '0',
    ],
  ],
  [
    'import rules',
    [
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
    ],
  ],
  ['types', ['scripts/typecheck.mjs']],
  ['unit tests', [bin('vitest/vitest.mjs'), 'run', '--reporter=dot']],
]
for (const [name, args] of steps) {
  const start = performance.now()
  const code = run(process.execPath, args, { NO_COLOR: '1', FORCE_COLOR: '0' })
  console.log(
    `${name}: ${code === 0 ? 'ok' : 'FAILED'} (${((performance.now() - start) / 1000).toFixed(1)} s)`,
  )
  if (code !== 0) process.exit(1)
}
