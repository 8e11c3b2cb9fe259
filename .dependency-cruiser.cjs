/** The arrows between the rooms of docs/architecture.md. */
const room = (...names) => `^src/(${names.join('|')})/`;

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      comment: 'A circle of types is a circle: a type stands in the wrong file.',
      to: { circular: true },
    },
    {
      name: 'core-imports-only-core',
      comment: 'The computation is a library of its own: no package, no interface, no database.',
      severity: 'error',
      from: { path: room('core'), pathNot: '\\.test\\.ts$' },
      to: { pathNot: room('core') },
    },
    {
      name: 'the-engine-knows-no-heater',
      severity: 'error',
      from: { path: '^src/core/diagnosis/' },
      to: { path: '^src/core/', pathNot: '^src/core/diagnosis/' },
    },
    {
      name: 'a-family-knows-no-planning',
      severity: 'error',
      from: { path: '^src/core/appliances/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/diagnosis/', pathNot: '^src/core/diagnosis/model\\.ts$' },
    },
    {
      name: 'the-house-knows-a-family-by-its-face',
      comment:
        'What a family is made of stays in its folder: the rest sees ApplianceFamily and the list of families.',
      severity: 'error',
      from: {
        path: '^src/',
        pathNot: ['^src/core/(appliances|simulation|benchmark)/', '\\.test\\.ts$'],
      },
      to: { path: '^src/core/appliances/', pathNot: '^src/core/appliances/(index|all)\\.ts$' },
    },
    {
      name: 'a-page-loads-the-families-that-it-needs',
      comment: 'The code of every family at once is for the server, the command line and tests.',
      severity: 'error',
      from: { path: '^src/', pathNot: ['^src/(server|cli)/', '\\.test\\.tsx?$'] },
      to: { path: '^src/core/appliances/all\\.ts$' },
    },
    {
      name: 'the-kit-knows-no-family',
      severity: 'error',
      from: { path: '^src/core/appliances/kit/' },
      to: { path: '^src/core/appliances/(electric|gas)' },
    },
    {
      name: 'the-simulation-knows-no-diagnosis',
      comment:
        'A simulated unit may use the circuit and the names; never likelihoods or outcome tables.',
      severity: 'error',
      from: { path: '^src/core/simulation/', pathNot: '\\.test\\.ts$' },
      to: {
        path: [
          '^src/core/(diagnosis|job-diagnosis|practice)/',
          '^src/core/appliances/[^/]+/(index|model|family|observations|questions|hypotheses|situation|faults|unit-view|access)\\.ts$',
        ],
      },
    },
    {
      name: 'the-simulated-tank-is-not-the-model-that-is-judged-by-it',
      severity: 'error',
      from: { path: '^src/core/simulation/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/(thermal|water|balancing|radio|heat-pump|mixing-valve)/' },
    },
    {
      name: 'instruments-know-what-is-measured-and-nothing-else',
      severity: 'error',
      from: { path: room('instruments') },
      to: { path: '^src/', pathNot: ['^src/instruments/', '^src/core/quantities/'] },
    },
    {
      name: 'the-simulated-bench-is-a-house-of-its-own',
      severity: 'error',
      from: { path: room('simulated-bench') },
      to: {
        path: '^src/',
        pathNot: [
          '^src/simulated-bench/',
          '^src/core/simulation/index\\.ts$',
          '^src/core/appliances/index\\.ts$',
        ],
      },
    },
    {
      name: 'database-below-server',
      severity: 'error',
      from: { path: room('database') },
      to: { path: room('server', 'app', 'features', 'ui', 'workers', 'cli') },
    },
    {
      name: 'server-shows-nothing',
      severity: 'error',
      from: { path: room('server') },
      to: { path: room('app', 'features', 'ui', 'workers', 'cli') },
    },
    {
      name: 'features-reach-the-server-by-its-routes',
      comment: 'Types may be shared; code that runs on the server may not.',
      severity: 'error',
      from: { path: room('features', 'ui', 'workers') },
      to: {
        path: room('server', 'database', 'app', 'cli'),
        pathNot: '^src/database/standing\\.ts$',
        dependencyTypesNot: ['type-only'],
      },
    },
    {
      name: 'ui-knows-no-feature',
      severity: 'error',
      from: { path: room('ui') },
      to: { path: room('features', 'workers') },
    },
    {
      name: 'workers-know-only-core',
      severity: 'error',
      from: { path: room('workers') },
      to: { path: room('features', 'ui') },
    },
    {
      name: 'command-line-knows-only-core',
      severity: 'error',
      from: { path: room('cli') },
      to: { path: room('app', 'features', 'ui', 'server', 'database', 'workers') },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
