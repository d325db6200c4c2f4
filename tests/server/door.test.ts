import { describe, expect, test } from 'vitest'
import { contentPolicy, isLoopback, listensOn, namedHosts, refusalOf, type Caller } from '#server/http/door'
import { Attempts, isLongEnough, isPassphrase, keepPassphrase } from '#server/http/passphrase'
import { plainJson } from '#server/http/plainJson'
import { signInPage } from '#server/http/signInPage'

const caller = (change: Partial<Caller> = {}): Caller => ({
  method: 'POST',
  path: '/api/leads',
  host: '127.0.0.1:3400',
  origin: undefined,
  site: undefined,
  contentType: 'application/json',
  ...change,
})
const code = (change: Partial<Caller>, hosts: string[] = []) => refusalOf(caller(change), hosts)?.code ?? 'in'

describe('who may come in', () => {
  test.each([
    ['a program on this machine', {}, 'in'],
    ['our own page', { origin: 'http://127.0.0.1:3400', site: 'same-origin' }, 'in'],
    [
      'our own page under another name of this machine',
      { host: 'localhost:3400', origin: 'http://localhost:3400' },
      'in',
    ],
    ['another port of this machine', { origin: 'http://127.0.0.1:8080' }, 'foreign-origin'],
    ['a page from outside', { origin: 'https://elsewhere.test' }, 'foreign-origin'],
    ['a page without an origin (a sandbox, a file)', { origin: 'null' }, 'foreign-origin'],
    ['an origin that is no address', { origin: 'elsewhere' }, 'foreign-origin'],
    ['a foreign name that leads here', { host: 'elsewhere.test:3400' }, 'foreign-host'],
    [
      'a foreign name with our own origin',
      { host: 'elsewhere.test', origin: 'http://elsewhere.test' },
      'foreign-host',
    ],
    ['a name that looks like this machine', { host: '127.0.0.1.elsewhere.test' }, 'foreign-host'],
    ['no name at all', { host: undefined }, 'foreign-host'],
    ['a page that reads', { method: 'GET', origin: 'https://elsewhere.test' }, 'foreign-origin'],
    ['an image of another site that points here', { method: 'GET', site: 'cross-site' }, 'foreign-origin'],
    ['another site of the same name', { site: 'same-site' }, 'foreign-origin'],
    ['a form of another site', { contentType: 'text/plain;charset=utf-8' }, 'content-type'],
    ['a form with a file', { contentType: 'multipart/form-data; boundary=x' }, 'content-type'],
    ['a plain form', { contentType: 'application/x-www-form-urlencoded' }, 'content-type'],
    ['a link from another site to a page', { method: 'GET', path: '/parts', site: 'cross-site' }, 'in'],
    ['the address typed in', { method: 'GET', path: '/', site: 'none' }, 'in'],
    ['a page under a foreign name', { method: 'GET', path: '/', host: 'elsewhere.test' }, 'foreign-host'],
  ] as const)('%s: %#', (_, change, expected) => expect(code(change)).toBe(expected))
  test('a name that was given by the builder is ours', () => {
    expect(code({ host: 'counter.home:3400', origin: 'http://counter.home:3400' }, ['counter.home'])).toBe(
      'in',
    )
    expect(namedHosts({ TARVIN_HOSTS: 'Counter.home, 10.0.0.7 ' } as never)).toEqual([
      'counter.home',
      '10.0.0.7',
      '127.0.0.1',
    ])
    expect(namedHosts({ HOST: '0.0.0.0' } as never)).toEqual([])
  })
  test('without HOST it listens on this machine alone', () => {
    expect(listensOn({} as never)).toBe('127.0.0.1')
    expect([isLoopback('127.8.0.1'), isLoopback('0.0.0.0'), isLoopback('10.0.0.7')]).toEqual([
      true,
      false,
      false,
    ])
  })
  test('a policy without a script in the page but by its hash', () => {
    expect(contentPolicy(['abc='])).toContain("script-src 'self' 'wasm-unsafe-eval' 'sha256-abc='")
    expect(contentPolicy()).not.toContain("script-src 'self' 'unsafe-inline'")
    expect(contentPolicy()).toContain("frame-ancestors 'none'")
  })
})

describe('the passphrase', () => {
  test('is kept as a slow hash with a salt of its own', async () => {
    const [one, two] = [
      await keepPassphrase('eight feet of cable'),
      await keepPassphrase('eight feet of cable'),
    ]
    expect(one.hash).not.toBe(two.hash)
    expect(await isPassphrase('eight feet of cable', one)).toBe(true)
    expect(await isPassphrase('eight feet of cables', one)).toBe(false)
    expect([isLongEnough('       a'), isLongEnough('abcdefgh')]).toEqual([false, true])
  })
  test('who guesses waits twice as long each time, half a minute at most; a success begins anew', () => {
    const attempts = new Attempts()
    const waits = Array.from({ length: 9 }, () => {
      attempts.failed(1000)
      return attempts.waitAt(1000)
    })
    expect(waits).toEqual([250, 500, 1000, 2000, 4000, 8000, 16_000, 30_000, 30_000])
    attempts.succeeded()
    expect(attempts.waitAt(1000)).toBe(0)
  })
  test('the page that asks for it says what was wrong, and loads nothing', () => {
    expect(signInPage('That is not the passphrase.')).toContain('role="alert">That is not the passphrase.')
    expect(signInPage('')).not.toContain('<script')
  })
})

describe('JSON from outside', () => {
  test.each([
    ['{"a":1', 'not-json'],
    ['', 'not-json'],
    [`${'['.repeat(20_000)}${']'.repeat(20_000)}`, 'too-deep'],
    [`${'{"a":'.repeat(65)}1${'}'.repeat(65)}`, 'too-deep'],
    ['{"__proto__":{"x":1}}', 'forbidden-key'],
    ['{"a":{"constructor":{"prototype":1}}}', 'forbidden-key'],
  ])('%#', (text, expected) => {
    try {
      plainJson(text)
      expect.unreachable()
    } catch (error) {
      expect(error).toMatchObject({ code: expected })
    }
  })
  test('brackets inside a text are no depth', () => {
    expect(plainJson(`{"note":"${'[{'.repeat(200)}\\""}`)).toEqual({ note: `${'[{'.repeat(200)}"` })
  })
})
