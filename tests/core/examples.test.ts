/// <reference types="vite/client" />
import { readdirSync, readFileSync } from 'node:fs'
import ts from 'typescript'
import { describe, expect, test } from 'vitest'
import { PasteSeen } from '#core/pastes/pasteSeen'
import { marksOf } from '#core/reading/amounts/findAmounts'
import { wordsOf } from '#core/text/plainText'

/**
 * The examples of the manual are run, so that none of them lies: where `@example` begins with a call, what stands behind
 * `//` is its answer, up to a remark after a colon. Numbers hold to the decimals that are written, objects by the members
 * that are; `throws` names the code of an error. An example that is a sentence is for the reader alone.
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
        const [, call, answer] = /^(\w+\(.*?\)(?:[.[]\S+)?) \/\/ (.+)$/.exec(text) ?? []
        return /^\w+\(/.test(text) ? [{ file, call: call ?? text, answer: answer ?? '' }] : []
      }),
  )
}

const files = readdirSync('core', { recursive: true })
  .map((name) => `core/${String(name)}`)
  .filter((name) => name.endsWith('.ts'))
  .sort()
const examples = files.flatMap(examplesOf)

/** What every example may use besides what its file exports. */
const shared = {
  context: new PasteSeen('', { today: '2026-10-31', currency: 'CAD', library: [] }).offer,
  marks: marksOf(''),
  PasteSeen,
  wordsOf,
}

function valueOf(expression: string, scope: Record<string, unknown>): unknown {
  return new Function(...Object.keys(scope), `return (${expression})`)(...Object.values(scope))
}

/** The answer without its remark: what stands before a colon and can be evaluated. */
function evaluated(answer: string): { readonly value: unknown; readonly decimals: number } {
  for (let end = answer.length; end > 0; end = answer.lastIndexOf(': ', end - 1)) {
    try {
      const said = answer.slice(0, end)
      return { value: valueOf(said, {}), decimals: said.split('.')[1]?.length ?? 0 }
    } catch {
      // a remark is in it
    }
  }
  throw new Error(`"${answer}" is no answer`)
}

describe('the examples of the manual', () => {
  test.each(examples)('$file: $call', async ({ file, call, answer }) => {
    const scope = { ...shared, ...(await modules[`../../${file}`]!()) }
    const [, code] = /^throws ([\w-]+)$/.exec(answer) ?? []
    if (code !== undefined)
      return expect(() => valueOf(call, scope)).toThrow(expect.objectContaining({ code }))
    const { value, decimals } = evaluated(answer)
    const found = valueOf(call, scope)
    if (typeof value === 'number' && Number.isFinite(value)) expect(found).toBeCloseTo(value, decimals)
    else if (typeof value === 'object' && value !== null && !(value instanceof Map))
      expect(found).toMatchObject(value)
    else expect(found).toEqual(value)
  })
})
