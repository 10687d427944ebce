import { readFileSync } from 'node:fs'
let src = readFileSync(new URL('./bench/documents.mjs', import.meta.url), 'utf8')
src = src.replace("  await firstLoad()\n  await start()\n  await keys()\n  await shelf()", "  await keys()\n  await keys()").replaceAll("'../chromium.mjs'", "'./chromium.mjs'").replaceAll("'../run.mjs'", "'./run.mjs'").replace('PORT = 4677','PORT = 4687').replace('BARE_PORT = 4678','BARE_PORT = 4688')
import { writeFileSync } from 'node:fs'
writeFileSync(new URL('./zz-keys2.mjs', import.meta.url), src)
await import('./zz-keys2.mjs')
