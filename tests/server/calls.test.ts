import { readdirSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import { isSchema } from 'yup'
import type { Taken } from '#shared/call'
import { calls } from '#shared/calls'

/** The registry of calls and the routes are two sides of one thing. */
const names = Object.keys(calls)

/** The call that a route's file answers: `leads/[id]/agree.post.ts` is `POST /api/leads/:id/agree`. */
const callOf = (file: string) => {
  const [, path, verb] = /^(.*)\.(get|post|put|patch|delete)\.ts$/.exec(file)!
  return `${verb!.toUpperCase()} /api/${path!.replace(/\/?index$/, '').replaceAll(/\[(\w+)\]/g, ':$1')}`
}
const routes = readdirSync('server/api', { recursive: true })
  .map((name) => String(name).replaceAll('\\', '/'))
  .filter((name) => /\.(get|post|put|patch|delete)\.ts$/.test(name))
  .map(callOf)

describe('calls', () => {
  test('every route has its record, and every record its route', () => {
    const steps = names.filter((name) => name.startsWith('POST /api/ledger/items/:id/'))
    const oneFile = 'POST /api/ledger/items/:id/:step'
    expect([...names.filter((name) => !steps.includes(name)), oneFile].sort()).toEqual([...routes].sort())
  })
  test('what a record takes is a schema', () => {
    for (const [name, taken] of Object.entries(calls as Readonly<Record<string, Taken>>)) {
      expect(Object.keys(taken), name).not.toContain('answers')
      for (const schema of [taken.body, taken.query])
        if (schema !== undefined) expect(isSchema(schema), name).toBe(true)
    }
  })
})
