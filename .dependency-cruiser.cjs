// Imports point one way, downwards: app, server and cli lean on core; core leans on nothing.
const TEST = '\\.test\\.ts$'
const ROOMS = '^(app|server|shared|cli|core|data|database|paper|evaluation|scripts|tests)/'

const only = (name, from, allowed, comment) => ({
  name,
  comment,
  severity: 'error',
  from: { path: `^${from}/`, pathNot: TEST },
  to: { path: ROOMS, pathNot: `^(${[from, ...allowed].join('|')})/` },
})
const wings = require('./scripts/lib/rooms.cjs')
const levels = Object.entries(wings).flatMap(([wing, rooms]) =>
  rooms.slice(0, -1).map((level, i) => ({
    name: `${wing}-${level.join('-')}-below`,
    comment: `Within ${wing} no import points up.`,
    severity: 'error',
    from: { path: `^${wing}/(${level.join('|')})/`, pathNot: TEST },
    to: {
      path: `^${wing}/(${rooms
        .slice(i + 1)
        .flat()
        .join('|')})/`,
      // Fields of schemas know the type of the tables that they may be read with, and no more.
      ...(wing === 'core' ? { dependencyTypesNot: ['type-only'] } : {}),
    },
  })),
)

module.exports = {
  forbidden: [
    only('core-alone', 'core', [], 'The trade knows no screen, no server and no tables of its own.'),
    only('data-on-core', 'data', ['core'], 'Tables are typed by core.'),
    only('shared-on-core', 'shared', ['core'], 'What crosses the wire is made of the document.'),
    only('app-on-core', 'app', ['core', 'data', 'shared'], 'Screens lean on core and its tables.'),
    only('paper-alone', 'paper', [], 'Pages are made of drawings, whatever they show.'),
    only(
      'server-on-core',
      'server',
      ['core', 'data', 'shared', 'database', 'paper'],
      'Routes and services lean on core.',
    ),
    only('cli-on-core', 'cli', ['core', 'data', 'shared', 'paper', 'scripts'], 'The shell leans on core.'),
    only('evaluation-on-core', 'evaluation', ['core', 'data'], 'Trial cases try the core with its tables.'),
    only('database-alone', 'database', [], 'Migrations stand alone.'),
    ...levels,
    {
      name: 'core-pure',
      comment:
        'No Vue, Node, database or clock in core; Yup reads documents at its edge, draws have their seed given, money is in fractions.',
      severity: 'error',
      from: { path: '^core/', pathNot: TEST },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'core'],
        pathNot: '/(yup|pure-rand|fraction\\.js|dinero\\.js|uqr|jstat)/',
      },
    },
    {
      name: 'links-through-the-context',
      comment: 'A method makes its links through the context, so that none forgets the steady loads.',
      severity: 'error',
      from: { path: '^core/repair/methods/', pathNot: TEST },
      to: { path: '^core/repair/(links|loadCases)\\.ts$', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'controls-are-plain',
      comment: 'A control takes props and gives events: it knows no job, place or queue.',
      severity: 'error',
      from: { path: '^app/controls/', pathNot: TEST },
      to: { path: '^app/(job|jobs|places|picture|gust|shell|sync|pages)/' },
    },
    {
      name: 'places-apart',
      comment: 'A place knows no other place, nor what shows it.',
      severity: 'error',
      from: { path: '^app/places/([^/]+)/', pathNot: TEST },
      to: { path: '^app/(places/[^/]+/|shell/|pages/)', pathNot: '^app/places/$1/' },
    },
    {
      name: 'sql-in-repositories',
      comment: 'Only repositories and the database folder speak to the database; services hand them the connection.',
      severity: 'error',
      from: { path: '^(server|app|core|data|cli|shared)/', pathNot: '^server/(.*/repository|database)\\.ts$' },
      to: { path: 'node_modules/(knex|mysql2)/', dependencyTypesNot: ['type-only'] },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules|\\.nuxt' },
    exclude: { path: '\\.nuxt' },
    tsPreCompilationDeps: true,
    webpackConfig: { fileName: 'scripts/lib/aliases.cjs' },
  },
}
