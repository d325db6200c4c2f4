import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { request } from 'node:http'
import { loadSmallMarket, smallLead, startServer, type StartedServer } from './startedServer'

/** What a page of another site tries, and what a neighbour in the network finds. */
let server: StartedServer
let build: string
beforeAll(async () => {
  server = await startServer()
  build = await loadSmallMarket(server)
})
afterAll(() => server.close())

const code = (text: string) => (JSON.parse(text) as { error: { code: string } }).error.code
/** With a Host header of its own, which fetch does not let through. */
const under = (host: string, path = '/api/session') =>
  new Promise<{ status: number; text: string }>((resolve, reject) => {
    const asked = request(server.url + path, { headers: { host } }, (response) => {
      let text = ''
      response.on('data', (chunk) => (text += chunk))
      response.on('end', () => resolve({ status: response.statusCode!, text }))
    })
    asked.on('error', reject)
    asked.end()
  })

describe('a page of another site', () => {
  test.each([
    ['its script', { origin: 'https://elsewhere.test' }],
    ['a sandboxed frame', { origin: 'null' }],
    ['an image or a form of it', { 'sec-fetch-site': 'cross-site' }],
    ['a form that calls JSON plain text', { 'content-type': 'text/plain' }],
  ])('%s writes nothing', async (_, headers) => {
    const before = (await server.ask('GET', `/api/builds/${build}/leads`)).text
    const answer = await server.ask(
      'POST',
      '/api/leads',
      smallLead('From outside'),
      headers as Record<string, string>,
    )
    expect(answer.status).toBeGreaterThanOrEqual(400)
    expect((await server.ask('GET', `/api/builds/${build}/leads`)).text).toBe(before)
  })
  test('is told nothing, and cannot frame ours', async () => {
    const answer = await server.ask('GET', '/api/session', undefined, { origin: 'https://elsewhere.test' })
    expect([answer.status, code(answer.text)]).toEqual([403, 'foreign-origin'])
    expect(answer.headers.get('access-control-allow-origin')).toBeNull()
    const page = await server.ask('GET', '/')
    expect(page.headers.get('content-security-policy')).toContain("frame-ancestors 'none'")
    expect(page.headers.get('content-security-policy')).not.toMatch(/script-src[^;]*'unsafe/)
    expect(page.headers.get('x-powered-by')).toBeNull()
    for (const path of ['/', '/api/session', '/mark.svg']) {
      const { headers } = await server.ask('GET', path)
      expect([path, headers.get('x-content-type-options'), headers.get('referrer-policy')]).toEqual([
        path,
        'nosniff',
        'no-referrer',
      ])
    }
  })
  test('a foreign name that leads here is not answered under that name', async () => {
    const { status, text } = await under('elsewhere.test')
    expect([status, code(text)]).toEqual([421, 'foreign-host'])
    expect((await under('localhost:1')).status).toBe(200)
  })
})

describe('what no route answers', () => {
  test('under /api: 404 as JSON', async () => {
    for (const [method, path] of [
      ['GET', '/api/nothing'],
      ['POST', '/api/leads/x/y/z'],
      ['PUT', '/api/session'],
    ] as const) {
      const answer = await server.ask(method, path)
      expect([path, answer.status, code(answer.text)]).toEqual([path, 404, 'no-such-route'])
    }
  })
  test('a body larger than its route takes: 413, by its stated length or while it comes', async () => {
    const large = JSON.stringify(smallLead('x'.repeat(1_100_000)))
    const answer = await server.ask('POST', '/api/leads', large)
    expect([answer.status, code(answer.text)]).toEqual([413, 'too-large'])
  })
})

describe('in the network', () => {
  test('it starts only with a passphrase, and asks everybody for it', async () => {
    await expect(startServer({ env: { HOST: '0.0.0.0' } })).rejects.toThrow(/set TARVIN_PASSPHRASE/)
    const open = await startServer({
      env: { HOST: '0.0.0.0', TARVIN_PASSPHRASE: 'eight feet of cable' },
      ready: '/sign-in',
    })
    try {
      const shut = await open.ask('GET', '/api/session')
      expect([shut.status, code(shut.text)]).toEqual([401, 'sign-in'])
      const page = await open.ask('GET', '/')
      expect([page.status, page.headers.get('location')]).toEqual([302, '/sign-in'])
      const tell = (passphrase: string) =>
        open.ask('POST', '/sign-in', new URLSearchParams({ passphrase }).toString(), {
          'content-type': 'application/x-www-form-urlencoded',
          origin: open.url,
        })
      expect((await tell('eight feet of rope')).status).toBe(401)
      const slowed = await Promise.all(Array.from({ length: 6 }, () => tell('guess')))
      expect(slowed.filter(({ status }) => status === 429).length).toBeGreaterThanOrEqual(5)
      let cookie = ''
      for (let tries = 0; cookie === '' && tries < 40; tries += 1) {
        const answer = await tell('eight feet of cable')
        if (answer.status === 303) cookie = answer.headers.get('set-cookie')!
        else await new Promise((resolve) => setTimeout(resolve, 100))
      }
      expect(cookie).toMatch(/HttpOnly; SameSite=Strict/i)
      const pair = cookie.split(';')[0]!
      expect((await open.ask('GET', '/api/session', undefined, { cookie: pair })).status).toBe(200)
      expect(
        (await open.ask('GET', '/api/session', undefined, { cookie: `${pair.slice(0, -6)}AAAAAA` })).status,
      ).toBe(401)
      // signed out everywhere, the cookie of another browser opens nothing either
      const out = await open.ask('DELETE', '/api/session?everywhere=1', undefined, { cookie: pair })
      expect([out.status, out.headers.get('set-cookie')]).toEqual([200, expect.stringMatching(/^tarvin=;/)])
      expect((await open.ask('GET', '/api/session', undefined, { cookie: pair })).status).toBe(401)
    } finally {
      await open.close()
    }
  })
})
