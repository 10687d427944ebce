#!/usr/bin/env node
// The command line runs the TypeScript sources directly; tsx is installed with the project.
const { register } = await import('tsx/esm/api').catch(() => {
  console.error(
    JSON.stringify({
      error: 'The project is not installed.',
      at: 'node_modules',
      hint: 'Run npm run demo or npm test once; both install what is missing.',
    }),
  )
  process.exit(2)
})
register()
const { main } = await import('../src/main.ts')
process.exitCode = await main(process.argv.slice(2))
