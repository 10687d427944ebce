// npm run demo: installs, builds, serves on 127.0.0.1 with the demo kitchen. One process, so signals arrive.
import { ensurePackages } from './ensure.mjs'
import { bin, die, run } from './run.mjs'

ensurePackages()
if (run(process.execPath, [bin('vite/bin/vite.js'), 'build', 'web', '--logLevel', 'warn']) !== 0)
  die('The build failed; see above.')
process.env.FRIJOL_DEMO = '1'
const { register } = await import('tsx/esm/api')
register()
await import('../server/src/main.ts')
