import { mkdirSync, writeFileSync } from 'node:fs'
import { createClient, type Client } from '@libsql/client'
import { strToU8, zipSync } from 'fflate'
import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { afterAll, beforeAll, expect, test } from 'vitest'
import type { SchemaDescription, SchemaFieldDescription } from 'yup'
import type { Taken } from '#shared/call'
import { calls } from '#shared/calls'
import { loadSmallMarket, smallLead, startServer, type StartedServer } from './startedServer'

/**
 * Every route of the application is asked with bodies made from its own schema, sound and unsound by turns, under ids
 * that are there and that are not. Nobody gets a 500, and whoever is refused has written nothing: the database says
 * itself whether another connection has changed it. `TARVIN_FUZZ` says how many requests.
 */
const requests = Number(process.env.TARVIN_FUZZ ?? 2000)
const seed = Number(process.env.TARVIN_FUZZ_SEED ?? 20_261_031)

interface Route {
  readonly method: string
  readonly parts: readonly string[]
  readonly taken: Taken
}

let server: StartedServer
let watcher: Client
const ids: string[] = []

beforeAll(async () => {
  server = await startServer()
  const build = await loadSmallMarket(server)
  watcher = createClient({ url: `file:${server.file}`, concurrency: 1 })
  const { id: lead } = (await server.ask('POST', '/api/leads', smallLead('Card'))).json<{ id: string }>()
  const { choices } = (
    await server.ask('POST', `/api/builds/${build}/machine/choices`, { kind: 'lead', leadId: lead })
  ).json<{ choices: { id: string }[] }>()
  const { id: free } = (
    await server.ask('POST', '/api/leads', smallLead('Board', { things: [{ partId: 'board' }] }))
  ).json<{ id: string }>()
  const paid = await server.ask('POST', `/api/ledger/choices/${choices[0]!.id}/pay`, {
    day: '2026-10-31',
    amount: '100.00',
  })
  ids.push(paid.json<{ choices: { id: string }[] }>().choices[0]!.id)
  ids.push(build, lead, free, choices[0]!.id, 'card', 'board', 'better', 'yard', 'shop', 'graphics', 'cpu')
})
afterAll(async () => {
  watcher?.close()
  await server?.close()
})

/** Every call of the application, with what it takes; but what reaches out, what empties, and the long search. */
const routes: readonly Route[] = Object.entries(calls as Readonly<Record<string, Taken>>)
  .filter(([name]) => !/poll$|match$|empty$/.test(name))
  .map(([name, taken]) => {
    const [method, path] = name.split(' ') as [string, string]
    return { method, parts: path.slice('/api/'.length).split('/'), taken }
  })

let random = xoroshiro128plus(seed)
const below = (n: number) => uniformInt(random, 0, n - 1)
const one = <T>(list: readonly T[]): T => list[below(list.length)]!
const often = (percent: number) => below(100) < percent

const hostile: readonly (() => unknown)[] = [
  () => null,
  () => '',
  () => ' ',
  () => -1,
  () => 0,
  () => 1e308,
  () => 2 ** 53 + 2,
  () => 0.1,
  () => 'NaN',
  () => '1e9',
  () => '-5.00',
  () => '12.345678901',
  () => '99999999999999999999.00',
  () => true,
  () => [],
  () => {},
  () => [[[[]]]],
  () => 'x'.repeat(30_000),
  () => '\u0000\u202e\ud800',
  () => "'; DROP TABLE leads; --",
  () => '<img src=x onerror=alert(1)>',
  () => '2026-02-30',
  () => '0000-00-00',
  () => '9999-12-31',
  () => '../../etc',
  () => 'JPY',
  () => 'KWD',
  () => 'XAU',
  () => ({ a: { b: { c: 1 } } }),
  () => JSON.parse('{"toString":1,"valueOf":2}') as unknown,
  () => Array.from({ length: 600 }, () => 'a'),
]
const plainTexts = [
  'Tarn 640',
  'a',
  'used',
  'note',
  '2026-10-31',
  '2026-10-01',
  '12.50',
  '100.00',
  'CAD',
  '1920x1080',
]

function valueFor(field: SchemaFieldDescription, depth = 0): unknown {
  if (often(12)) return one(hostile)()
  const { oneOf = [], type, nullable } = field as SchemaDescription
  if (nullable && often(25)) return null
  if (oneOf.length > 0) return one(oneOf)
  if (type === 'object') return objectFor(field as SchemaDescription, depth + 1)
  if (type === 'array') {
    const { innerType } = field as SchemaDescription & { innerType?: SchemaFieldDescription }
    return Array.from({ length: below(3) }, () =>
      innerType ? valueFor(innerType, depth + 1) : one(plainTexts),
    )
  }
  if (type === 'number') return one([0, 1, 2, 5, 60, 0.5, 100, 1920])
  if (type === 'boolean') return often(50)
  return often(30) ? one(ids) : one(plainTexts)
}
function objectFor(
  { fields = {} }: SchemaDescription & { fields?: Record<string, SchemaFieldDescription> },
  depth = 0,
): unknown {
  const body: Record<string, unknown> = {}
  for (const [key, field] of Object.entries(fields))
    if (depth > 4 || often(85)) body[key] = named(key) ?? valueFor(field, depth)
  if (often(4)) body.deletedAt = '2026-01-01'
  if (often(2)) Object.assign(body, { constructor: { a: 1 } })
  return body
}
/** Names that mean an amount, a day, a currency or an id are mostly given one, so that requests get beyond the first check. */
function named(key: string): unknown {
  if (!often(75)) return undefined
  if (/currency$/i.test(key)) return 'CAD'
  if (/(On|day|By|date|Until|asOf|today)$/.test(key)) return one(['2026-10-31', '2026-10-20'])
  if (/(price|amount|fare|budget|stretch|limit|cost|worth|fee)$/i.test(key))
    return one(['10.00', '120.00', '450.00'])
  if (/Id$/.test(key)) return one(ids)
  return undefined
}
/** Files that are none, or were cut: an archive, a picture, a table. */
const files: readonly (() => Uint8Array)[] = [
  () => new Uint8Array(),
  () => Uint8Array.from({ length: 400 }, () => below(256)),
  () => zipSync({ 'backup.json': strToU8('{}'), 'tarvin.db': new Uint8Array(40) }),
  () =>
    zipSync({ 'backup.json': strToU8('no json'), 'tarvin.db': strToU8('SQLite format 3\0') }).slice(0, -9),
  () => zipSync({ 'backup.json': strToU8('[['), 'tarvin.db': new Uint8Array(0) }),
  () => Uint8Array.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3]),
  () => strToU8('id,source,title,price,date\n1,Gavelry,Tarn 640,12.50,2026-10-10\n2,,,,'),
  () => strToU8(`${'"'.repeat(501)},\u0000\n${',;'.repeat(300)}`),
  () => strToU8('frame,ms\n1,16.6\n2,nothing'),
]

function bodyFor({ taken, method }: Route): string | Uint8Array | undefined {
  if (taken.file) return one(files)()
  if (method === 'GET' || (method === 'DELETE' && often(90))) return undefined
  if (often(3))
    return one([
      '',
      '{',
      '[]',
      'null',
      '"x"',
      `${'['.repeat(20_000)}${']'.repeat(20_000)}`,
      '{"__proto__":{"a":1}}',
      '\u0000',
    ])
  return JSON.stringify(taken.body ? objectFor(taken.body.describe() as never) : {})
}
function pathFor({ parts, taken }: Route): string {
  const filled = parts.map((part) =>
    part.startsWith(':')
      ? often(70)
        ? one(ids)
        : one(['nope', '__proto__', '%00', '..%2f..', 'x'.repeat(400), '%F0%9F%92%BE', '-1'])
      : part,
  )
  const query = taken.query && often(85) ? objectFor(taken.query.describe() as never) : {}
  if (often(5)) Object.assign(query as object, { a: 'b'.repeat(300), options: '{' })
  const texts = Object.entries(query as object).map(([key, value]): [string, string] => [
    key,
    // longer than that it is no longer for us to answer
    (typeof value === 'string' ? value.toWellFormed() : (JSON.stringify(value) ?? '')).slice(0, 2000),
  ])
  return `/api/${filled.join('/')}?${new URLSearchParams(texts).toString()}`
}
/** What is put whole says mostly on which state it was begun. */
async function conditionFor({ method, taken }: Route, path: string): Promise<Record<string, string>> {
  if (taken.file) return { 'content-type': 'application/octet-stream' }
  if (method !== 'PUT' || often(10)) return {}
  const tag = often(60) && (await server.ask('GET', path)).headers.get('etag')
  return tag ? { 'if-match': tag } : { 'if-none-match': '*' }
}
const version = async () => Number((await watcher.execute('PRAGMA data_version')).rows[0]!.data_version)

function refusalIn(text: string): { error?: { code: string; message: string } } {
  try {
    return JSON.parse(text) as object
  } catch {
    return {}
  }
}

test(`${requests} requests made from the schemas: no 500, and a refusal writes nothing`, async () => {
  const wrong: string[] = []
  const seen: Record<string, number> = {}
  for (let index = 0; index < requests; index += 1) {
    random = xoroshiro128plus(seed + index)
    const route = one(routes)
    const [path, body] = [pathFor(route), bodyFor(route)]
    const condition = await conditionFor(route, path)
    const before = await version()
    const answer = await server.ask(route.method, path, body, condition)
    const told =
      `${index}: ${route.method} ${path.slice(0, 120)} ${String(body).slice(0, 300)} → ` +
      `${answer.status} ${answer.text.slice(0, 200)}`
    seen[answer.status] = (seen[answer.status] ?? 0) + 1
    if (answer.status >= 500) wrong.push(told)
    // an archived build would answer everything that follows with 404
    if (route.method === 'DELETE' && answer.status === 200 && route.parts[0] === 'builds')
      await server.ask('POST', `${path.split('?')[0]}/restore`)
    if (answer.status >= 400) {
      const { error } = refusalIn(answer.text)
      if (!error?.code || !error.message || /\bat .*\.m?js:\d/.test(answer.text)) wrong.push(told)
      if ((await version()) !== before) wrong.push(`${told} (and something was written)`)
    }
  }
  mkdirSync('test-results', { recursive: true })
  writeFileSync('test-results/fuzz.txt', `${wrong.join('\n')}\n\n${server.errors()}`)
  expect(wrong.slice(0, 3)).toEqual([])
  // a fuzz that only ever knocks on the first door tries nothing
  expect(seen[200] ?? 0).toBeGreaterThan(requests / 12)
  expect((await server.ask('GET', `/api/builds/${ids[0]}`)).status).toBeLessThan(500)
})
