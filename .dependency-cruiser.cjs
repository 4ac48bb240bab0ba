/** The import rule of the house: data flows down the road, never up. `npm test` holds it, and `lint/rules.test.ts` shows it imports that must fail. */
const order = [
  'contract',
  'kitchen',
  'safety',
  'heat',
  'recipe',
  'plan',
  'shop',
  'cook',
  'pack',
  'store',
  'eat',
  'baby',
  'broth',
  'dry',
  'fresh',
  'session',
  'commands',
  'queries',
  'sync',
];

const stationOrder = order.slice(0, -1).map((station, i) => ({
  name: `core-order-${station}`,
  comment: `core/${station} may import only what stands before it on the road`,
  severity: 'error',
  from: { path: `^core/${station}/` },
  to: { path: `^core/(${order.slice(i + 1).join('|')})/` },
}));

module.exports = {
  forbidden: [
    ...stationOrder,
    {
      name: 'core-alone',
      comment: 'core imports neither server nor web',
      severity: 'error',
      from: { path: '^core/' },
      to: { path: '^(server|web|e2e|scripts)/' },
    },
    {
      name: 'core-no-node',
      comment: 'core runs in a page, a worker and the server alike',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    { name: 'server-not-web', severity: 'error', from: { path: '^server/' }, to: { path: '^web/' } },
    { name: 'web-not-server', severity: 'error', from: { path: '^web/' }, to: { path: '^server/' } },
    {
      name: 'core-by-its-door',
      comment: "a station's index lists what leaves it",
      severity: 'error',
      from: { path: '^core/([^/]+)/', pathNot: '(\\.test|/fixtures)\\.ts$' },
      to: { path: '^core/', pathNot: '^core/($1/|[^/]+/index\\.ts$|[^/]+/data/)' },
    },
    {
      name: 'core-by-its-door-outside',
      severity: 'error',
      from: { path: '^(server|web)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^core/', pathNot: '^core/[^/]+/(index\\.ts$|data/)' },
    },
    {
      name: 'fixtures-for-tests',
      comment: 'what tests are made from never reaches the program',
      severity: 'error',
      from: { pathNot: '(\\.test|/fixtures|/testing)\\.ts$' },
      to: { path: '/(fixtures|testing)\\.ts$' },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    exclude: { path: '(node_modules|dist|lint/fixtures)' },
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.cjs', '.json'],
    },
  },
};
