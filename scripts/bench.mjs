// npm run bench: speed as ratios to baselines measured in the same run. Nothing here is a test.
import { ensureBrowser, ensurePackages } from './ensure.mjs'
import { bin, die, run } from './run.mjs'

ensurePackages()
// Bundled as the application is: what a loader does to modules is not measured.
const out = 'node_modules/.cache/frijol-bench'
const bundle = ['build', '--ssr', 'scripts/bench/core.ts', '--outDir', out, '--logLevel', 'warn']
if (run(process.execPath, [bin('vite/bin/vite.js'), ...bundle]) !== 0)
  die('The core bench could not be built.')
if (run(process.execPath, [`${out}/core.js`]) !== 0) die('The core bench failed.')
if (run(process.execPath, ['--import', 'tsx', 'scripts/bench/yields.ts', '--table']) !== 0)
  die('The yields report failed.')
if (run(process.execPath, ['--import', 'tsx', 'scripts/bench/tune.ts']) !== 0) die('The tuning bench failed.')
if (!process.argv.includes('--core')) {
  ensureBrowser()
  if (run(process.execPath, [bin('vite/bin/vite.js'), 'build', 'web', '--logLevel', 'warn']) !== 0)
    die('The build failed.')
  for (const script of ['browser', 'documents', 'tuning', 'learn'])
    if (run(process.execPath, [`scripts/bench/${script}.mjs`]) !== 0) die('The browser bench failed.')
}
