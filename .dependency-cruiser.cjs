/** One direction: web -> core, server -> core. A capability uses another through its index. */
module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: { pathNot: 'test' }, to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } } },
    { name: 'core-stands-alone', severity: 'error', from: { path: '^core/' }, to: { path: '^(web|server|cli|e2e)/' } },
    { name: 'web-not-server', severity: 'error', from: { path: '^web/' }, to: { path: '^(server|cli)/' } },
    { name: 'server-not-web', severity: 'error', from: { path: '^server/' }, to: { path: '^web/' } },
    { name: 'through-the-index', severity: 'error', from: { path: '^core/([^/]+)/' }, to: { path: '^core/([^/]+)/', pathNot: ['^core/$1/', 'index\\.ts$'] } },
    // Folders of the server stand on one another. The crew's threads do what others know; who asks it knows its tasks by type only.
    { name: 'database-is-the-ground', severity: 'error', from: { path: '^server/db/' }, to: { path: '^server/', pathNot: '^server/(db/|environment)' } },
    { name: 'desk-stands-alone', severity: 'error', from: { path: '^server/desk/' }, to: { path: '^server/(forgetting|pictures|prints|exports|imports|crew|demo)/' } },
    { name: 'forgetting-on-the-desk', severity: 'error', from: { path: '^server/forgetting/' }, to: { path: '^server/(pictures|prints|exports|imports|crew|demo)/' } },
    { name: 'pictures-without-prints', severity: 'error', from: { path: '^server/pictures/' }, to: { path: '^server/(prints|exports|imports|demo)/' } },
    { name: 'papers-without-bytes', severity: 'error', from: { path: '^server/(exports|imports)/' }, to: { path: '^server/(pictures|prints|forgetting|demo)/' } },
    { name: 'ui-is-shared', comment: 'what several places share knows none of them', severity: 'error', from: { path: '^web/ui/' }, to: { path: '^web/', pathNot: '^web/(ui|app)/' } },
    { name: 'app-is-below', comment: 'the shell fetches places when they are opened, and knows none', severity: 'error', from: { path: '^web/app/', pathNot: 'router' }, to: { path: '^web/', pathNot: '^web/(ui|app)/', dependencyTypesNot: ['dynamic-import'] } },
    { name: 'core-through-index', severity: 'error', from: { path: '^(web|server|cli|e2e)/' }, to: { path: '^core/', pathNot: 'index\\.ts$' } },
  ],
  options: { doNotFollow: { path: 'node_modules' }, tsPreCompilationDeps: true, tsConfig: { fileName: 'tsconfig.base.json' }, enhancedResolveOptions: { extensions: ['.ts', '.vue', '.js', '.mjs'], exportsFields: ['exports'], conditionNames: ['import', 'default'] }, exclude: { path: '\\.test\\.ts$' } },
}
