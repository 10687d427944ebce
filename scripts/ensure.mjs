// Installs what is missing: the locked packages, and with --browser Debian's Chromium. Needs Node and npm only.
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { die, root, run } from './run.mjs'

const [major = 0, minor = 0] = process.versions.node.split('.').map(Number)
if (major < 20 || (major === 20 && minor < 19))
  die(`Frijol needs Node 20.19 or newer; this is ${process.versions.node}.`)

export function ensurePackages() {
  const stamp = `${root}node_modules/.lock-sha256`
  const lock = createHash('sha256')
    .update(readFileSync(`${root}package-lock.json`))
    .digest('hex')
  const have = existsSync(stamp) ? readFileSync(stamp, 'utf8').trim() : ''
  if (have === lock) return
  console.log('Installing packages (once, about a minute) …')
  const code = run('npm', ['ci', '--include=dev', '--no-audit', '--no-fund', '--loglevel=error'], {
    NODE_ENV: 'development',
  })
  if (code !== 0)
    die('npm ci failed. Check that the npm registry can be reached, then run the command again.')
  writeFileSync(stamp, `${lock}\n`)
}

export function ensureBrowser() {
  const named = process.env.CHROMIUM_PATH
  if (named && !existsSync(named)) die(`CHROMIUM_PATH is set, but there is no ${named}.`)
  if (existsSync(named ?? '/usr/bin/chromium')) return
  if (!existsSync('/usr/bin/apt-get'))
    die('The browser tests need Chromium. Install it and set CHROMIUM_PATH to its program.')
  if (process.getuid?.() !== 0) {
    die(
      'The browser tests need Chromium. Run once: sudo apt-get update && sudo apt-get install -y --no-install-recommends chromium fonts-dejavu-core',
    )
  }
  console.log('Installing Chromium from Debian (once) …')
  const quiet = { DEBIAN_FRONTEND: 'noninteractive' }
  const code =
    run('apt-get', ['update', '-qq'], quiet) ||
    run(
      'apt-get',
      ['install', '-y', '-qq', '--no-install-recommends', 'chromium', 'fonts-dejavu-core'],
      quiet,
    )
  if (code !== 0) die('Chromium could not be installed. Install it by hand, or set CHROMIUM_PATH.')
}

if (process.argv[1]?.endsWith('ensure.mjs')) {
  ensurePackages()
  if (process.argv.includes('--browser')) ensureBrowser()
}
