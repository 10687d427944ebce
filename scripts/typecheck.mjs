import { bin, run } from './run.mjs'

let failed = 0
for (const workspace of ['.', 'core', 'library', 'web', 'server', 'cli', 'demo', 'e2e', 'scripts']) {
  if (run(process.execPath, [bin('typescript7/bin/tsc'), '-p', workspace]) !== 0) failed += 1
}
process.exit(failed === 0 ? 0 : 1)
