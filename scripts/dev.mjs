// npm run dev: Vite's development server, on 127.0.0.1.
import { spawn } from 'node:child_process'
import { ensurePackages } from './ensure.mjs'
import { bin, root } from './run.mjs'

ensurePackages()
const vite = spawn(process.execPath, [bin('vite/bin/vite.js'), 'web', '--host', '127.0.0.1'], {
  cwd: root,
  stdio: 'inherit',
})
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => vite.kill(signal))
vite.on('exit', (code) => process.exit(code ?? 0))
