import { readFileSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import { demoFiles } from '../../demo/files'
import { jsonSchemaOf } from '../../scripts/jsonSchema'
import { assumptionsTable } from '../../scripts/assumptionsTable'
import { fitRulesTable } from '../../scripts/fitRulesTable'
import { buildFileSchema } from '#shared/builds/buildFile'
import { librarySchema } from '#shared/parts/libraryFile'

/** Every stored format ever shipped stays here with an example, and still loads. */
describe('published formats', () => {
  test('the table of the fit check in docs is that of the code', () => {
    expect(readFileSync('docs/fit-rules.md', 'utf8')).toBe(fitRulesTable())
  })
  test('the table of assumptions in docs is that of the code', () => {
    expect(readFileSync('docs/assumptions.md', 'utf8')).toBe(assumptionsTable())
  })
  test('the JSON Schemas in docs are those of the code', () => {
    expect(JSON.parse(readFileSync('docs/schemas/tarvin-build.schema.json', 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(jsonSchemaOf(buildFileSchema, 'A Tarvin build, version 1'))),
    )
    expect(JSON.parse(readFileSync('docs/schemas/tarvin-library.schema.json', 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(jsonSchemaOf(librarySchema, 'A Tarvin library, version 1'))),
    )
  })
  test('a build of version 1 still loads', () => {
    const file = buildFileSchema.validateSync(
      JSON.parse(readFileSync('tests/server/examples/build-1.json', 'utf8')),
    )
    expect(file.brief.targets[0]).toMatchObject({ workloadId: 'drift', averageFps: 60 })
    expect(file.choices[0]).toMatchObject({ kind: 'hunt', scope: 'core', reason: '' })
  })
  test('a file of a version to come, or of something else, is refused by name', () => {
    expect(() => buildFileSchema.validateSync({ format: 'tarvin-build', version: '2' })).toThrow()
    expect(() => librarySchema.validateSync({ format: 'other', version: '1' })).toThrow('format')
  })
  test("the demo's library is a library file, the same each time it is made", () => {
    const [first, again] = [demoFiles(), demoFiles()]
    expect(again).toEqual(first)
    const library = librarySchema.validateSync(JSON.parse(first['library.json']!))
    expect([
      library.parts.filter((part) => part.role === 'cpu').length,
      library.parts.filter((part) => part.role === 'graphics').length,
      library.runs.length,
    ]).toEqual([24, 24, 120])
    expect(first['sold-records.csv']!.split('\n').length).toBeGreaterThan(6500)
    expect(first['leads.csv']!.trim().split('\n').length).toBe(151)
  })
})
