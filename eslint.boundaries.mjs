import boundaries from 'eslint-plugin-boundaries'

/**
 * Who may import whom. The layers of each side stand from the bottom up: a folder imports its own layer and those below
 * it, never one above. `docs/architecture.md` draws the same picture.
 */
const core = [
  ['core-base', ['money', 'time', 'statistics', 'text', 'collections', 'errors', 'assumptions']],
  ['core-parts', ['parts']],
  ['core-reading', ['reading']],
  ['core-pricing', ['pricing']],
  ['core-pastes', ['pastes']],
  ['core-performance', ['performance']],
  ['core-machine', ['machine']],
  ['core-supply', ['supply']],
  ['core-ledger', ['ledger']],
  ['core-comparison', ['comparison']],
  ['core-planning', ['planning']],
  ['core-whatif', ['whatif']],
  ['core-files', ['files']],
]
const app = [
  'utils',
  'data',
  'workers',
  'workings',
  'stores',
  'composables',
  'ui',
  'places',
  'shell',
  'pages',
]

const server = [
  'errors',
  'db',
  'readings',
  'outside',
  'calc',
  'context',
  'whatif',
  'places',
  'http',
  'middleware',
  'plugins',
  'routes',
  'api',
]

const elements = [
  ...core.flatMap(([type, folders]) => folders.map((folder) => ({ type, pattern: `core/${folder}` }))),
  ...server.map((folder) => ({ type: `server-${folder}`, pattern: `server/${folder}` })),
  ...app.map((folder) => ({ type: `app-${folder}`, pattern: `app/${folder}` })),
  { type: 'shared', pattern: 'shared' },
  { type: 'app-root', pattern: 'app' },
].map((element) => ({ ...element, partialMatch: false }))

const coreTypes = core.map(([type]) => type)
const serverTypes = server.map((folder) => `server-${folder}`)
const appTypes = [...app.map((folder) => `app-${folder}`), 'app-root']

/** Each type with what it may import: what lies below its side, and its own side up to itself. */
const allowed = [
  ...sideOf(coreTypes, []),
  ['shared', [...coreTypes, 'shared']],
  ...sideOf(serverTypes, [...coreTypes, 'shared']),
  ...sideOf(appTypes, [...coreTypes, 'shared']),
]

function sideOf(types, below) {
  return types.map((type, index) => [type, [...below, ...types.slice(0, index + 1)]])
}

export const boundariesOfFolders = {
  files: ['core/**/*.ts', 'shared/**/*.ts', 'server/**/*.ts', 'app/**/*.{ts,vue}'],
  plugins: { boundaries },
  settings: {
    'boundaries/elements': elements,
    'import/resolver': { typescript: { project: './tsconfig.lint.json' } },
  },
  rules: {
    'boundaries/no-unknown-files': 'error',
    'boundaries/dependencies': [
      'error',
      {
        default: 'disallow',
        policies: [
          { allow: { to: { module: { origin: ['external', 'core'] } } } },
          ...allowed.map(([type, to]) => ({
            from: { element: { type } },
            allow: { to: { element: { types: { anyOf: to } } } },
          })),
        ],
      },
    ],
  },
}
