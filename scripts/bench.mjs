// npm run bench: speed as ratios to baselines measured in the same run. Nothing here is a test.
import { ensureBrowser, ensurePackages } from './ensure.mjs'
import { bin, die, run } from './run.mjs'

ensurePackages()
if (run(process.execPath, ['--import', 'tsx', 'scripts/bench/core.ts']) !== 0) die('The core bench failed.')
if (run(process.execPath, ['--import', 'tsx', 'scripts/bench/yields.ts', '--table']) !== 0)
  die('The yields report failed.')
if (!process.argv.includes('--core')) {
  ensureBrowser()
  if (run(process.execPath, [bin('vite/bin/vite.js'), 'build', 'web', '--logLevel', 'warn']) !== 0)
    die('The build failed.')
  if (run(process.execPath, ['scripts/bench/browser.mjs']) !== 0) die('The browser bench failed.')
}
