import { boundariesOfFolders } from './eslint.boundaries.mjs'
import { unknownStaysUnknown } from './eslint.unknown.mjs'
import { vocabularyInItsPlace } from './eslint.vocabulary.mjs'
import withNuxt from './.nuxt/eslint.config.mjs'

// A tool of the linter calls this, and Node 20 does not have it yet.
Object.groupBy ??= (list, keyOf) => {
  const groups = Object.create(null)
  for (const each of list) (groups[keyOf(each)] ??= []).push(each)
  return groups
}

/** `core/` is the computation and nothing else: no framework, database, network, clock or unseeded chance. */
const coreStaysPure = {
  files: ['core/**/*.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: [
              'vue',
              'vue-*',
              '@vue/*',
              'nuxt',
              'nuxt/*',
              '#app',
              '#imports',
              'pinia',
              'h3',
              'nitropack*',
              '@vueuse/*',
              'chart.js',
            ],
            message: 'core knows no framework',
          },
          {
            group: ['drizzle-orm*', '@libsql/*', 'node:*', 'fs', 'http*', 'net'],
            message: 'core knows no database, disk or network',
          },
          {
            group: ['#shared/*', '~/*', '~~/*', '**/server/**', '**/app/**', '**/shared/**', '**/demo/**'],
            message: 'dependencies point towards core, never out of it',
          },
        ],
      },
    ],
    'no-restricted-globals': [
      'error',
      'fetch',
      'process',
      'window',
      'document',
      'localStorage',
      'setTimeout',
      'setInterval',
      'performance',
      'crypto',
    ],
    'no-restricted-properties': [
      'error',
      { object: 'Math', property: 'random', message: 'chance is seeded and an argument' },
      { object: 'Date', property: 'now', message: 'today is an argument' },
    ],
    'no-restricted-syntax': [
      'error',
      { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'today is an argument' },
    ],
    '@typescript-eslint/no-explicit-any': 'error',
    '@typescript-eslint/consistent-type-imports': 'error',
  },
}

/** A reading is synchronous and reads the world alone: what waits, or asks the database, loses sight of what it reads. */
const readings = {
  files: ['server/**/*.ts'],
  rules: {
    'no-restricted-syntax': [
      'error',
      {
        selector: "CallExpression[callee.name='reading'] > :function[async=true]",
        message: 'a reading does not wait',
      },
      {
        selector:
          "CallExpression[callee.name='reading'] > :function :matches(Identifier[name='db'], AwaitExpression)",
        message: 'a reading reads the world, and knows no database',
      },
    ],
  },
}

const neitherSide = {
  group: ['h3', 'nitropack*', '~/*', '**/app/**'],
  message: 'places and context know neither HTTP nor the interface',
}
/** Places that still work out by themselves what a build would cost, reach or fit: the list gets only shorter. */
const stillCalculating = [
  'server/places/bench/{readBench,readFrameValue}.ts',
  'server/places/leads/readLeads.ts',
  'server/places/ledger/ledgerView.ts',
  'server/places/machine/{advice,fix,readCarry,readMachine,readSteps}.ts',
  'server/places/prices/readWorth.ts',
  'server/places/scales/weighedMachines.ts',
  'server/places/work/games.ts',
]

/** Packages each side keeps out of; folders are kept apart by eslint.boundaries.mjs. */
const oneWay = [
  {
    files: ['server/{places,context,whatif,calc,db,outside}/**/*.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: [neitherSide] }] },
  },
  {
    // one question, one calculator: whoever proposes says its changes and asks what if
    files: ['server/{places,whatif}/**/*.ts'],
    ignores: stillCalculating,
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            neitherSide,
            {
              group: ['joinedOrder', 'estimateFrameRate', 'meanFrames', 'machineOf', 'checkFit'].map(
                (name) => `#core/**/${name}`,
              ),
              message: 'ask whatIf, or a reading of the build',
            },
            {
              group: ['#core/supply/landed/landedCost'],
              importNames: ['landedCost'],
              message: 'ask whatIf, or a reading of the build',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['app/**/*.{ts,vue}'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['~~/server/*', '**/server/**', 'drizzle-orm*', '@libsql/*'],
              message: 'the interface talks to the server over HTTP',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['shared/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['vue', '~/*', '**/server/**', '**/app/**', 'drizzle-orm*'],
              message: 'shared is for both sides',
            },
          ],
        },
      ],
    },
  },
]

export default withNuxt(
  coreStaysPure,
  boundariesOfFolders,
  unknownStaysUnknown,
  ...vocabularyInItsPlace,
  ...oneWay,
  readings,
  {
    rules: {
      'vue/html-self-closing': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/require-default-prop': 'off',
      'vue/multi-word-component-names': ['error', { ignores: ['app', 'error', 'index'] }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
    },
  },
  {
    // what a formatter does not wrap: sentences are parted, comments are wrapped; a pattern or a page in a template is not
    files: ['**/*.{ts,mjs}'],
    rules: {
      'max-len': [
        'error',
        { code: 130, ignoreUrls: true, ignoreRegExpLiterals: true, ignoreTemplateLiterals: true },
      ],
    },
  },
  {
    files: ['**/*.vue'],
    rules: {
      'vue/max-len': [
        'error',
        {
          code: 130,
          template: 130,
          ignoreUrls: true,
          ignoreRegExpLiterals: true,
          ignoreTemplateLiterals: true,
          ignoreHTMLAttributeValues: true,
        },
      ],
    },
  },
  { files: ['app/pages/**'], rules: { 'vue/multi-word-component-names': 'off' } },
)
