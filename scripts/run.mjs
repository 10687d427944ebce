// Running other programs from the scripts: one place for spawn and its failures.
import { spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'

export const root = fileURLToPath(new URL('..', import.meta.url))

/** Runs a program with its output shown; returns its exit code. */
export function run(command, args, extra = {}) {
  const { status, error } = spawnSync(command, args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...extra },
  })
  if (error) {
    console.error(`${command} could not be started: ${error.message}`)
    return 1
  }
  return status ?? 1
}

/** Runs a program and returns what it printed, with its exit code; the output is shown as well. */
export function runAndRead(command, args, extra = {}) {
  const { status, stdout, stderr, error } = spawnSync(command, args, {
    cwd: root,
    stdio: ['ignore', 'pipe', 'pipe'],
    encoding: 'utf8',
    maxBuffer: 64_000_000,
    env: { ...process.env, ...extra },
  })
  if (error) {
    console.error(`${command} could not be started: ${error.message}`)
    return { code: 1, text: '' }
  }
  process.stdout.write(stdout)
  process.stderr.write(stderr)
  return { code: status ?? 1, text: `${stdout}\n${stderr}` }
}

/** The entry script of an installed package, run with this same Node. */
export const bin = (path) => `${root}node_modules/${path}`

export function die(message) {
  console.error(message)
  process.exit(1)
}
