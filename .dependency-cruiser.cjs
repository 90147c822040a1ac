/** Who may import whom; what each room is for says the README. Imports point one way. */

/** The folders of core, each of which may import those before it. */
const CORE = [
  'time',
  'model',
  'reader',
  'access',
  'followup',
  'recurrence',
  'reminders',
  'planning',
  'places',
  'templates',
  'commands',
  'capture',
  'formats',
  'views',
  'words',
];
const coreInOrder = CORE.slice(0, -1).map((folder, nth) => ({
  name: `core-${folder}-knows-none-after-it`,
  severity: 'error',
  from: { path: `^core/src/${folder}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^core/src/(${CORE.slice(nth + 1).join('|')})/` },
}));

module.exports = {
  forbidden: [
    ...coreInOrder,
    {
      name: 'core-folder-in-no-order',
      comment: 'a new folder of core gets its place in the list above',
      severity: 'error',
      from: {},
      to: { path: '^core/src/[^/]+/', pathNot: `^core/src/(testing|${CORE.join('|')})/` },
    },
    {
      name: 'core-is-pure',
      comment: 'core imports nothing of the other rooms, of Node or of React',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$|/testing/' },
      to: { path: '^(server|client|demo|e2e|bench)/|^(react|react-native|node:)', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'schemas-only-where-commands-are',
      comment: 'screens are drawn before schemas and commands are fetched: nothing they need may bring them along',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '-schema\\.ts$|/schemas\\.ts$|/commands/|/(formats|testing)/|\\.test\\.ts$' },
      to: { path: '-schema\\.ts$|/schemas\\.ts$|^core/src/commands/(decide|index)\\.ts$|zod', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'client-without-schemas',
      comment: 'commands come by import(), see store/deciding.ts',
      severity: 'error',
      from: { path: '^client/', pathNot: '\\.test\\.tsx?$|/testing/|/store/decide\\.ts$' },
      to: { path: '-schema\\.ts$|/schemas\\.ts$|^core/src/commands/(decide|index)\\.ts$|zod', dependencyTypesNot: ['type-only'] },
    },
    { name: 'core-without-node', severity: 'error', from: { path: '^core/src', pathNot: '\\.test\\.ts$' }, to: { dependencyTypes: ['core'] } },
    { name: 'server-knows-no-client', severity: 'error', from: { path: '^server/' }, to: { path: '^(client|demo|e2e|bench)/' } },
    {
      name: 'deciding-knows-no-sql',
      comment: 'what decides, commits and says what changed asks `HouseStorage`',
      severity: 'error',
      from: { path: '^server/src/(houses|sync)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^server/src/db/|libsql|drizzle-orm' },
    },
    { name: 'client-knows-no-server', severity: 'error', from: { path: '^client/' }, to: { path: '^(server|demo|e2e|bench)/' } },
    {
      name: 'ui-knows-no-feature',
      comment: 'the design system knows nouns by type only',
      severity: 'error',
      from: { path: '^client/src/ui' },
      to: { path: '^client/(app|src/(features|store|sync|words))' },
    },
    {
      name: 'store-and-sync-know-no-screen',
      severity: 'error',
      from: { path: '^client/src/(store|sync|words)' },
      to: { path: '^client/(app|src/(features|ui))' },
    },
    {
      name: 'features-through-their-door',
      comment: 'features do not import each other’s insides',
      severity: 'error',
      from: { path: '^client/src/features/([^/]+)/' },
      to: { path: '^client/src/features/([^/]+)/', pathNot: ['^client/src/features/$1/', '/index\\.ts$'] },
    },
    { name: 'routes-only-compose', severity: 'error', from: { path: '^client/app' }, to: { path: '^client/src/features/[^/]+/(?!index\\.ts)' } },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only', 'dynamic-import'] } } },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.cruise.json' },
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.js', '.mjs'],
    },
  },
};
