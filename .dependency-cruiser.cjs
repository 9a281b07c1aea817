/** Imports point one way: web and server to core; inside core, a folder only to those before it; inside web too. */
const CORE = [
  'said',
  'forms',
  'locale',
  'model',
  'expression',
  'value',
  'style',
  'guides',
  'colour',
  'resolve',
  'reach',
  'edit',
  'ready',
  'carry',
  'compile',
  'check',
  'specimen',
  'format',
  'api',
];
/** The rooms of the interface, each seeing only those behind it. */
const WEB = [
  'app',
  'screens',
  'bench',
  'ledger',
  'canvas',
  'values',
  'site',
  'words',
  'parts',
  'store',
];

module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'core-stands-alone',
      comment:
        'The core knows no interface, no server and nothing of Node; what its tests stand on knows the demo.',
      severity: 'error',
      from: { path: '^core/', pathNot: '(\\.test\\.ts$|^core/test/)' },
      to: { path: '^(web|server|demo|e2e|benchmarks)/' },
    },
    {
      name: 'core-without-node',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'server-without-web',
      severity: 'error',
      from: { path: '^server/' },
      to: { path: '^web/' },
    },
    {
      name: 'web-without-server',
      severity: 'error',
      from: { path: '^web/', pathNot: '(\\.test\\.tsx?$|^web/test/)' },
      to: { path: '^(server|demo)/' },
    },
    ...WEB.map((room, i) => ({
      name: `web-${room}-only-to-later`,
      severity: 'error',
      from: { path: `^web/${room}/`, pathNot: '\\.test\\.tsx?$' },
      to: { path: `^web/(${WEB.slice(0, i).join('|') || 'none'})/` },
    })),
    ...CORE.map((folder, i) => ({
      name: `core-${folder}-only-to-earlier`,
      severity: 'error',
      from: { path: `^core/${folder}/`, pathNot: '\\.test\\.ts$' },
      to: { path: `^core/(${CORE.slice(i + 1).join('|') || 'none'})/` },
    })),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(web|server)/dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
    },
  },
};
