// Property tests draw the same cases on every run of npm test, so that a red run can be run again. RANDOM_SEEDS=1, or the
// LAW_RUNS, LEVER_RUNS and MUTANT_RUNS of a longer look, draw new ones.
import fc from 'fast-check'

const wantsNew = ['RANDOM_SEEDS', 'LAW_RUNS', 'LEVER_RUNS', 'MUTANT_RUNS'].some(
  (name) => process.env[name] !== undefined,
)
if (!wantsNew) fc.configureGlobal({ ...fc.readConfigureGlobal(), seed: 20_261_126 })
