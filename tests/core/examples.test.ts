import { readdirSync, readFileSync } from 'node:fs'
import ts from 'typescript'
import { describe, expect, test } from 'vitest'

/**
 * The examples of the manual are run, so that none of them lies: where `@example` begins with a call, what stands behind
 * `//` is its answer. Numbers hold to the decimals that are written, objects by the members that are. An example that is a
 * sentence is for the reader alone; its figures stand in a test of the function.
 */
const modules = import.meta.glob<Record<string, unknown>>('../../core/**/*.ts')

interface Example {
  readonly file: string
  readonly call: string
  readonly answer: string
}

function examplesOf(file: string): Example[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true)
  return source.statements.flatMap((statement) =>
    ts
      .getJSDocTags(statement)
      .filter((tag) => tag.tagName.text === 'example')
      .flatMap((tag) => {
        const text = ts.getTextOfJSDocComment(tag.comment)?.replace(/\s+/g, ' ') ?? ''
        const [, call, answer] = /^(\w+\(.*\)(?:\.\w+)*) \/\/ (.+)$/.exec(text) ?? []
        return /^\w+\(/.test(text) ? [{ file, call: call ?? text, answer: answer ?? '' }] : []
      }),
  )
}

const files = readdirSync('core', { recursive: true })
  .map((name) => `core/${String(name)}`)
  .filter((name) => name.endsWith('.ts'))
  .sort()
const examples = files.flatMap(examplesOf)

/** What an expression comes to, with what the file exports at hand. */
function valueOf(expression: string, scope: Record<string, unknown>): unknown {
  return new Function(...Object.keys(scope), `return (${expression})`)(...Object.values(scope))
}

describe('the examples of the manual', () => {
  test.each(examples)('$file: $call', async ({ file, call, answer }) => {
    const scope = await modules[`../../${file}`]!()
    const said = valueOf(answer, {})
    const found = valueOf(call, scope)
    if (typeof said === 'number' && Number.isFinite(said))
      expect(found).toBeCloseTo(said, answer.split('.')[1]?.length ?? 0)
    else if (typeof said === 'object' && said !== null && !Array.isArray(said))
      expect(found).toMatchObject(said)
    else expect(found).toEqual(said)
  })
})
