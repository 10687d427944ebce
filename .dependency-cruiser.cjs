// The import rules of docs/decisions/0002-rooms.md. Run by `npm run rooms`, inside `npm test` and `npm run check`.
const inside = (room) => `^core/src/${room}/`
/** A core room, and the core rooms it may use besides itself. */
const allowed = {
  model: [],
  measure: ['model'],
  composition: ['model', 'measure'],
  reading: ['model', 'measure', 'composition'],
  program: ['model', 'measure', 'composition', 'reading'],
  process: ['model', 'measure', 'composition', 'reading', 'program'],
  flavour: ['model', 'measure', 'composition', 'program', 'process'],
  colour: ['model'],
  texture: ['model', 'measure', 'composition', 'program', 'process', 'flavour'],
  nutrition: ['model', 'measure', 'composition', 'program', 'process'],
  rules: [
    'model',
    'measure',
    'composition',
    'reading',
    'program',
    'process',
    'texture',
    'flavour',
    'nutrition',
  ],
  assess: [
    'model',
    'measure',
    'composition',
    'reading',
    'program',
    'process',
    'texture',
    'colour',
    'flavour',
    'nutrition',
    'rules',
  ],
  scale: [
    'model',
    'measure',
    'composition',
    'reading',
    'program',
    'process',
    'texture',
    'colour',
    'flavour',
    'nutrition',
    'rules',
    'assess',
  ],
  interchange: ['model', 'measure', 'composition'],
}
const coreRules = Object.entries(allowed).map(([room, others]) => ({
  name: `core-${room}`,
  comment: `core/${room} may use ${others.join(', ') || 'nothing of ours'}`,
  severity: 'error',
  from: { path: inside(room), pathNot: '[.]test[.]ts$' },
  to: {
    path: '^core/src/',
    pathNot: [inside(room), ...others.map((other) => `^core/src/${other}/index[.]ts$`)],
  },
}))

module.exports = {
  forbidden: [
    ...coreRules,
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-unresolved',
      severity: 'error',
      from: {},
      // A file taken by its address, not as code.
      to: { couldNotResolve: true, pathNot: '[?]url$' },
    },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^core/src/' },
      to: { path: '^(library|web|server|cli|demo|e2e)/' },
    },
    {
      name: 'core-no-interface',
      severity: 'error',
      from: { path: '^core/src/' },
      to: { path: 'node_modules/(react|react-dom|dexie|zustand|echarts|express)/' },
    },
    {
      name: 'library-uses-core',
      severity: 'error',
      from: { path: '^library/src/' },
      to: { path: '^(web|server|cli|demo|e2e)/' },
    },
    {
      name: 'server-knows-no-food',
      severity: 'error',
      from: { path: '^server/src/' },
      to: { path: '^(core|library|web|cli|demo|e2e)/' },
    },
    {
      name: 'stages-apart',
      severity: 'error',
      from: { path: '^web/src/stages/([^/]+)/' },
      to: { path: '^web/src/stages/', pathNot: '^web/src/stages/$1/' },
    },
    {
      name: 'stages-no-storage',
      severity: 'error',
      from: { path: '^web/src/(stages|pantry|kitchen|dishes|parts|findings|view|original|ui|charts|app)/' },
      to: { path: ['^web/src/(data|workers)/', 'node_modules/(dexie|comlink)/'] },
    },
    {
      name: 'shared-views-below-screens',
      comment: 'what several screens show (parts, findings, view) knows none of them',
      severity: 'error',
      from: { path: '^web/src/(parts|findings|view|original)/' },
      to: { path: '^web/src/(stages|pantry|kitchen|dishes|app)/' },
    },
    {
      name: 'views-take-what-they-show',
      comment: 'a view shows any dish or trial that it is given: it reads no open dish',
      severity: 'error',
      from: { path: '^web/src/view/' },
      to: { path: '^web/src/(store|data|parts|findings)/' },
    },
    {
      name: 'screens-apart',
      severity: 'error',
      from: { path: '^web/src/(pantry|kitchen|dishes)/' },
      to: { path: '^web/src/(stages|pantry|kitchen|dishes|app)/', pathNot: '^web/src/$1/' },
    },
    {
      name: 'workers-stand-apart',
      comment: 'a job takes and gives plain data; it sees no store',
      severity: 'error',
      from: { path: '^web/src/workers/' },
      to: {
        path: '^web/src/(store|stages|pantry|kitchen|dishes|parts|findings|view|original|app|ui|charts)/',
      },
    },
    {
      name: 'echarts-behind-charts',
      severity: 'error',
      from: { path: '^web/src/', pathNot: '^web/src/charts/' },
      to: { path: 'node_modules/echarts/' },
    },
    {
      name: 'ui-knows-no-food',
      severity: 'error',
      from: { path: '^web/src/(ui|charts)/' },
      to: {
        path: [
          '^web/src/(stages|store|data|workers|pantry|kitchen|dishes|parts|findings|view|original|app)/',
          '^(core|library)/',
        ],
      },
    },
    {
      name: 'store-below-screens',
      severity: 'error',
      from: { path: '^web/src/(store|data|workers)/' },
      to: { path: '^web/src/(stages|pantry|kitchen|dishes|parts|findings|view|original|app|ui|charts)/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(dist|generated|test-results)/' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'module', 'browser', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.json', '.css'],
    },
  },
}
