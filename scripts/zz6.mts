import { lineFrom } from '../core/src/measure/lineFrom'
import * as M from '@frijol/core/measure'
import { reader } from '../library/test/dishes'
for (const t of process.argv.slice(2)) { const p = (M as any).readLine ? (M as any).readLine(t, reader.kitchen ?? undefined) : null; console.log(t, JSON.stringify(p)) }
