/** One direction: web -> core, server -> core. A capability uses another through its index. */
module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: { pathNot: 'test' }, to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } } },
    { name: 'core-stands-alone', severity: 'error', from: { path: '^core/' }, to: { path: '^(web|server|cli|e2e)/' } },
    { name: 'web-not-server', severity: 'error', from: { path: '^web/' }, to: { path: '^(server|cli)/' } },
    { name: 'server-not-web', severity: 'error', from: { path: '^server/' }, to: { path: '^web/' } },
    { name: 'through-the-index', severity: 'error', from: { path: '^core/([^/]+)/' }, to: { path: '^core/([^/]+)/', pathNot: ['^core/$1/', 'index\\.ts$'] } },
    { name: 'core-through-index', severity: 'error', from: { path: '^(web|server|cli|e2e)/' }, to: { path: '^core/', pathNot: 'index\\.ts$' } },
  ],
  options: { doNotFollow: { path: 'node_modules' }, tsPreCompilationDeps: true, tsConfig: { fileName: 'tsconfig.base.json' }, enhancedResolveOptions: { extensions: ['.ts', '.vue', '.js', '.mjs'], exportsFields: ['exports'], conditionNames: ['import', 'default'] }, exclude: { path: '\\.test\\.ts$' } },
}
