// Who may know whom. `npm run rooms` checks it (in the lint), `npm run rooms:picture` draws it.
// Each list runs from the ground floor up: a room may know those below it, never those above or a neighbour's inside.

const CORE = [
  'base', 'solving', 'shapes', 'cutting', 'shelf', 'scale', 'labelling', 'tables', 'learning', 'pattern', 'translation', 'placing', 'engine', 'build', 'figure', 'resize',
  'writing', 'needles', 'review', 'reading', 'run', 'timetable', 'classDay', 'logbook', 'buying', 'starts', 'search', 'commissions', 'year', 'problems', 'api', 'words', 'files', 'papers',
]; // prettier-ignore

const WEB = [
  'words', 'api', 'draft', 'ui', 'review', 'figure', 'scan', 'shell', 'scale', 'ways', 'guide', 'booklet', 'patterns', 'reading', 'techniques', 'writing',
  'shelf', 'runs', 'logbook', 'buying', 'begin', 'bench', 'backups', 'history', 'network', 'pack',
]; // prettier-ignore

/** The work table stands on its store; the lists beside one another know only that. */
const TABLE = ['table', 'needles', 'parts', 'joins', 'materials', 'steps', 'options', 'about', 'ledger'];

const SERVER = ['access', 'db', 'papers', 'services', 'workers', 'devices', 'http', 'routes'];

const upward = (base, rooms) =>
  rooms.slice(0, -1).map((room, at) => ({
    name: `${base.replaceAll('/', '-')}-${room}-looks-up`,
    comment: 'A room knows only the rooms below it. Move the rule down, or the caller up.',
    severity: 'error',
    from: { path: `^${base}/${room}/` },
    to: { path: `^${base}/(${rooms.slice(at + 1).join('|')})/` },
  }));

const neighbours = (base, rooms) =>
  rooms.slice(1).map((room) => ({
    name: `${base.replaceAll('/', '-')}-${room}-looks-sideways`,
    comment: 'Lists of the work table meet in its store, not in one another; needles serve the steps.',
    severity: 'error',
    from: { path: `^${base}/${room}/` },
    to: {
      path: `^${base}/(${rooms.filter((other) => other !== room && other !== 'table' && other !== 'needles').join('|')})/`,
    },
  }));

export default {
  forbidden: [
    {
      name: 'no-circle',
      comment: 'Files that need one another are one file, or lack a third.',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'paper-set-in-threads-only',
      comment:
        'Setting papers loads a PDF engine: a third of a second and 30 MB that the one who answers does without.',
      severity: 'error',
      from: { path: '^server/src/', pathNot: '^server/src/papers/' },
      to: {
        path: '^server/src/papers/(set\\w+|cards/cardsPdf)\\.ts$',
        dynamic: false,
        dependencyTypesNot: ['type-only'],
      },
    },
    {
      name: 'no-orphan',
      comment: 'Nobody needs it: delete it, or say here why it stands alone.',
      severity: 'error',
      from: {
        orphan: true,
        pathNot: [
          '\\.d\\.ts$',
          '\\.config\\.(js|ts|mjs)$',
          '^web/src/main\\.tsx$',
          '\\.module\\.css$',
          '\\.css$',
        ],
      },
      to: {},
    },
    {
      name: 'not-resolved',
      comment:
        'An import that leads nowhere; what pdfmake brings is types alone, and `?url` is the bundler’s.',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: ['^pdfmake/interfaces', '\\?url$'] },
    },
    {
      name: 'by-the-door',
      comment: 'Into another room of the core by its index, so that what it shows is a choice.',
      severity: 'error',
      from: { path: '^core/src/([^/]+)/' },
      to: {
        path: '^core/src/([^/]+)/',
        pathNot: ['^core/src/$1/', '^core/src/[^/]+/index\\.ts$', '^core/src/shapes/outline/index\\.ts$'],
      },
    },
    {
      name: 'core-is-pure',
      comment: 'No input or output, no interface, no database in the core.',
      severity: 'error',
      from: { path: '^core/src/' },
      to: {
        path: [
          '^(server|web|e2e|bench|demo)/',
          '(^|/)node_modules/(@types/)?(react|antd|express|better-sqlite3|swr)',
        ],
        dependencyTypesNot: ['undetermined'],
      },
    },
    {
      name: 'core-knows-no-node',
      severity: 'error',
      from: { path: '^core/src/' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'server-knows-no-interface',
      severity: 'error',
      from: { path: '^server/' },
      to: { path: '^(web|e2e)/' },
    },
    {
      name: 'only-the-beginning-knows-the-demo',
      comment: 'The demo is loaded through the services; nothing of the studio leans on it.',
      severity: 'error',
      from: { path: '^(core|server)/src/', pathNot: '^server/src/beginStudio\\.ts$' },
      to: { path: '^demo/' },
    },
    {
      name: 'demo-goes-through-the-services',
      severity: 'error',
      from: { path: '^demo/src/' },
      to: { path: '^server/', pathNot: '^server/src/services/index\\.ts$' },
    },
    {
      name: 'services-know-no-http',
      comment: 'A service returns a value or a refusal; what that is over HTTP is said in http/.',
      severity: 'error',
      from: { path: '^(server/src/(db|services|papers)|demo/src)/' },
      to: { path: '(^|/)node_modules/(@types/)?(express|helmet|compression)/' },
    },
    {
      name: 'web-knows-the-server-by-http',
      severity: 'error',
      from: { path: '^web/' },
      to: { path: '^(server|e2e|demo)/' },
    },
    {
      name: 'journeys-know-what-a-user-sees',
      severity: 'error',
      from: { path: '^e2e/' },
      to: { path: '^(core|server|web|demo)/' },
    },
    ...upward('core/src', CORE),
    ...upward('web/src', WEB),
    ...upward('server/src', SERVER),
    ...neighbours('web/src/writing', TABLE),
    {
      name: 'rooms-in-no-circle',
      comment: 'Folders that need one another are one room, or lack a floor.',
      severity: 'error',
      scope: 'folder',
      from: { path: '^(core|web|server)/src/' },
      to: { circular: true },
    },
  ],
  options: {
    doNotFollow: { path: ['node_modules'] },
    exclude: { path: ['(^|/)(dist|out)/'] },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.mjs', '.js', '.css'],
    },
    reporterOptions: {
      archi: {
        collapsePattern: '^(core|web|server)/src/[^/]+|^demo',
        filters: { includeOnly: { path: '^(core|web|server|demo)/' } },
      },
    },
  },
};
