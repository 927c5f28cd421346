// Imports point one way, downwards: app, server and cli lean on core; core leans on nothing.
const only = (name, from, allowed, comment) => ({
  name,
  comment,
  severity: 'error',
  from: { path: `^${from}/`, pathNot: '\\.test\\.ts$|^core/testing\\.ts$' },
  to: { path: '^(app|server|cli|core|data|database|scripts|tests)/', pathNot: `^(${[from, ...allowed].join('|')})/` },
})

module.exports = {
  forbidden: [
    only('core-alone', 'core', [], 'The trade knows no screen, no server and no tables of its own.'),
    only('data-on-core', 'data', ['core'], 'Tables are typed by core.'),
    only('app-on-core', 'app', ['core', 'data'], 'Screens lean on core and its tables.'),
    only('server-on-core', 'server', ['core', 'data', 'database'], 'Routes and services lean on core.'),
    only('cli-on-core', 'cli', ['core', 'data', 'scripts'], 'The shell leans on core.'),
    only('database-alone', 'database', [], 'Migrations stand alone.'),
    {
      name: 'core-pure',
      comment: 'No Vue, Node, database or clock in core; Yup reads documents at its edge.',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['npm', 'npm-dev', 'core'], pathNot: '/yup/' },
    },
    {
      name: 'sql-in-repositories',
      comment: 'Only repositories and the database folder speak to the database; services hand them the connection.',
      severity: 'error',
      from: { path: '^(server/(?!repositories|services|utils/database)|app|core|data|cli)' },
      to: { path: 'node_modules/(knex|mysql2)/', dependencyTypesNot: ['type-only'] },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules|\\.nuxt' },
    exclude: { path: '\\.nuxt' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: '.nuxt/tsconfig.app.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.mjs', '.js', '.vue', '.json'] },
  },
}
