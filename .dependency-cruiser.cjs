/** One direction of imports: core <- contract <- server, web; the command may use them all. */
module.exports = {
  forbidden: [
    {
      name: 'core-imports-nothing-of-ours',
      severity: 'error',
      from: { path: '^core/' },
      to: { path: '^(contract|server|web|standins|e2e|command)/' },
    },
    {
      name: 'core-imports-no-packages',
      severity: 'error',
      from: { path: '^core/src' },
      // But small packages that only compute.
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'core'],
        pathNot: '^node_modules/@turf/(distance|bearing|destination)/',
      },
    },
    {
      // Each folder's index.ts says what the others may use.
      name: 'core-folders-through-their-index',
      severity: 'error',
      from: { path: '^core/src/([^/]+)/' },
      to: { path: '^core/src/[^/]+/', pathNot: '^core/src/($1/|[^/]+/index[.]ts$)' },
    },
    {
      // Sentences are made last, from codes and numbers: nothing that computes reads them.
      name: 'core-computes-without-words',
      severity: 'error',
      from: { path: '^core/src/(?!words/|index[.]ts$)' },
      to: { path: '^core/src/words/' },
    },
    {
      name: 'core-folders-without-circles',
      severity: 'error',
      scope: 'folder',
      from: { path: '^core/src/' },
      to: { circular: true },
    },
    {
      name: 'contract-imports-core-only',
      severity: 'error',
      from: { path: '^contract/' },
      to: { path: '^(server|web|standins|e2e|command)/' },
    },
    {
      name: 'contract-runs-in-browsers-too',
      severity: 'error',
      from: { path: '^contract/src' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'yup-with-our-messages',
      severity: 'error',
      from: { path: '^contract/src', pathNot: '^contract/src/yup[.]ts$' },
      to: { path: '^node_modules/yup/' },
    },
    {
      name: 'server-and-web-apart',
      severity: 'error',
      from: { path: '^server/src' },
      to: { path: '^(web|standins|e2e|command)/' },
    },
    {
      name: 'web-and-server-apart',
      severity: 'error',
      from: { path: '^web/src' },
      to: { path: '^(server|standins|e2e|command)/' },
    },
    {
      name: 'stand-ins-know-only-the-line',
      severity: 'error',
      from: { path: '^standins/' },
      to: { path: '^(server|web|e2e|command)/' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'nothing-unresolved',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '^pdfmake/interfaces' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      extensions: ['.ts', '.js', '.vue', '.json'],
    },
  },
};
