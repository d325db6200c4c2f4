import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { buildFileSchema } from '#shared/builds/buildFile'
import { librarySchema } from '#shared/parts/libraryFile'
import { assumptionsTable } from './assumptionsTable'
import { fitRulesTable } from './fitRulesTable'
import { jsonSchemaOf } from './jsonSchema'
import { vocabularyTable } from './vocabularyTable'

/**
 * `npm run docs`: writes the JSON Schemas of the files that Tarvin reads and writes, and the tables of the fit check
 * and the assumptions.
 */
mkdirSync('docs/schemas', { recursive: true })
writeFileSync(
  'docs/schemas/tarvin-build.schema.json',
  `${JSON.stringify(jsonSchemaOf(buildFileSchema, 'A Tarvin build, version 1'), null, 2)}\n`,
)
writeFileSync(
  'docs/schemas/tarvin-library.schema.json',
  `${JSON.stringify(jsonSchemaOf(librarySchema, 'A Tarvin library, version 1'), null, 2)}\n`,
)
writeFileSync('docs/fit-rules.md', fitRulesTable())
writeFileSync('docs/assumptions.md', assumptionsTable())
const tablesBelow = '<!-- the tables below are written by `npm run docs` -->\n'
const api = readFileSync('docs/api.md', 'utf8')
writeFileSync(
  'docs/api.md',
  `${api.slice(0, api.indexOf(tablesBelow) + tablesBelow.length)}\n${vocabularyTable()}`,
)
