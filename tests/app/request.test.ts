import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { addressOf } from '~/data/addressOf'
import { call, sendFile } from '~/data/call'
import { read } from '~/data/read'
import { RequestError } from '~/data/requestError'

/** A server that answers as told; what it was asked is kept. */
const answers = vi.fn<(path: string, init: RequestInit) => Promise<Response>>()
vi.stubGlobal('fetch', answers)
beforeEach(() => setActivePinia(createPinia()))
afterEach(() => answers.mockReset())

const json = (body: unknown, init: ResponseInit = {}) => new Response(JSON.stringify(body), init)
/** Lines that arrive in pieces, cut where the network likes. */
const lines = (...pieces: string[]) =>
  new Response(
    new ReadableStream({
      start(controller) {
        for (const piece of pieces) controller.enqueue(new TextEncoder().encode(piece))
        controller.close()
      },
    }),
    { headers: { 'content-type': 'application/x-ndjson' } },
  )

describe('addresses', () => {
  test('ids in the path, the rest behind the ?, nothing for what is empty', () => {
    expect(addressOf('GET /api/leads/:id', { id: 'a' })).toBe('/api/leads/a')
    expect(addressOf('GET /api/leads/:id', { id: 'a b/c' })).toBe('/api/leads/a%20b%2Fc')
    expect(addressOf('PATCH /api/machine/choices/:id', { id: 'c', in: 'b' })).toBe(
      '/api/machine/choices/c?in=b',
    )
    expect(addressOf('PATCH /api/machine/choices/:id', { id: 'c', in: '' })).toBe('/api/machine/choices/c')
    expect(addressOf('GET /api/session')).toBe('/api/session')
  })
})

describe('talking JSON', () => {
  test('a body goes as JSON, with the state it was begun on', async () => {
    answers.mockResolvedValueOnce(json({ id: 'a' }))
    expect(await call('PUT /api/parts', {}, { id: 'a' } as never, { was: 'tag' })).toEqual({ id: 'a' })
    expect(answers.mock.calls[0]).toMatchObject([
      '/api/parts',
      {
        method: 'PUT',
        body: '{"id":"a"}',
        headers: { 'content-type': 'application/json', 'if-match': '"tag"' },
      },
    ])
  })
  test('what is read is asked again with its tag; where nothing has changed it is the same value', async () => {
    answers
      .mockResolvedValueOnce(json({ today: '2026-10-31' }, { headers: { etag: '"1"' } }))
      .mockResolvedValueOnce(new Response(null, { status: 304 }))
    const first = await read('GET /api/session')
    expect(await read('GET /api/session')).toBe(first)
    expect(answers.mock.calls[1]![1]).toMatchObject({ headers: { 'if-none-match': '"1"' } })
  })
  test('a refusal comes with its code, its parameters and the place it is about', async () => {
    const error = { code: 'no-rate', message: 'no rate', path: 'rates', params: { from: 'SEK', to: 'CAD' } }
    answers.mockResolvedValueOnce(json({ error }, { status: 400 }))
    const refusal = await read('GET /api/library').catch((each: unknown) => each)
    expect(refusal).toBeInstanceOf(RequestError)
    expect(refusal).toMatchObject({ ...error, status: 400 })
  })
  test('an answer that is no JSON, and no answer at all', async () => {
    answers.mockResolvedValueOnce(new Response('<html>', { status: 502 }))
    await expect(call('DELETE /api/leads/photos/:id', { id: 'a' })).rejects.toMatchObject({
      message: 'The server rejected this.',
      status: 502,
    })
    answers.mockRejectedValueOnce(new TypeError('failed'))
    await expect(read('GET /api/library')).rejects.toMatchObject({
      message: 'The server does not answer. What you typed is kept; try again.',
      status: 0,
    })
  })
})

describe('files and long answers', () => {
  const search = (signal = new AbortController().signal) =>
    sendFile('POST /api/prices/sold-records/import', { options: '{}' }, 'id', () => undefined, signal)
  test('progress now and then, the report at last, wherever the lines are cut', async () => {
    answers.mockResolvedValueOnce(
      lines('{"done":1,"tot', 'al":3}\n{"done":3,"total":3}\n{"rep', 'ort":{"added":2}}'),
    )
    const seen: number[][] = []
    const params = { options: '{"currency":"CAD"}' }
    const told = await sendFile('POST /api/prices/sold-records/import', params, 'id,title', (done, total) =>
      seen.push([done, total]),
    )
    expect(told).toEqual({ added: 2 })
    expect(seen).toEqual([
      [1, 3],
      [3, 3],
    ])
    expect(answers.mock.calls[0]![0]).toBe(
      '/api/prices/sold-records/import?options=%7B%22currency%22%3A%22CAD%22%7D',
    )
  })
  test('an error among the lines is a refusal; an answer that ends early says that nothing was kept', async () => {
    answers.mockResolvedValueOnce(
      lines('{"done":1,"total":9}\n{"error":{"message":"line 4: no date","path":"4"}}\n'),
    )
    await expect(search()).rejects.toMatchObject({ message: 'line 4: no date', path: '4' })
    answers.mockResolvedValueOnce(lines('{"done":1,"total":9}\n'))
    await expect(search()).rejects.toThrow('The reply was cut off; nothing was saved. Try again.')
  })
  test('a short answer to a file is plain JSON; a refusal of a stream comes before its lines', async () => {
    answers.mockResolvedValueOnce(json({ added: 0 }))
    expect(await sendFile('POST /api/rivals/import', {}, '')).toEqual({ added: 0 })
    answers.mockResolvedValueOnce(json({ error: { message: 'too large', path: '' } }, { status: 413 }))
    await expect(search()).rejects.toMatchObject({ message: 'too large', status: 413 })
  })
})
