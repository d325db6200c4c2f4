import { afterEach, describe, expect, test, vi } from 'vitest'
import { request, RequestError, sendFile, streamOf } from '~/utils/request'

/** A server that answers as told; what it was asked is kept. */
const answers = vi.fn<(path: string, init: RequestInit) => Promise<Response>>()
vi.stubGlobal('fetch', answers)
afterEach(() => answers.mockReset())

const json = (body: unknown, status = 200) => new Response(JSON.stringify(body), { status })
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

describe('talking JSON', () => {
  test('a body goes as JSON, no body as none', async () => {
    answers.mockResolvedValueOnce(json({ id: 1 })).mockResolvedValueOnce(json([]))
    expect(await request('/api/leads', { method: 'POST', body: { title: 'Card' } })).toEqual({ id: 1 })
    expect(answers.mock.calls[0]![1]).toMatchObject({
      method: 'POST',
      body: '{"title":"Card"}',
      headers: { 'content-type': 'application/json' },
    })
    await request('/api/leads')
    expect(answers.mock.calls[1]![1]).toEqual({ method: 'GET' })
  })
  test('a refusal comes in the server’s own words, with the place it is about', async () => {
    answers.mockResolvedValueOnce(json({ error: { message: 'price is needed', path: 'price' } }, 400))
    const refusal = await request('/api/leads', { method: 'POST', body: {} }).catch((error: unknown) => error)
    expect(refusal).toBeInstanceOf(RequestError)
    expect(refusal).toMatchObject({ message: 'price is needed', path: 'price', status: 400 })
  })
  test('an answer that is no JSON, and no answer at all', async () => {
    answers.mockResolvedValueOnce(new Response('<html>', { status: 502 }))
    await expect(request('/api/leads')).rejects.toMatchObject({
      message: 'The server rejected this.',
      status: 502,
    })
    answers.mockRejectedValueOnce(new TypeError('failed'))
    await expect(request('/api/leads')).rejects.toMatchObject({
      message: 'The server does not answer. What you typed is kept; try again.',
      status: 0,
    })
  })
})

describe('files and long answers', () => {
  test('progress now and then, the report at last, wherever the lines are cut', async () => {
    answers.mockResolvedValueOnce(
      lines('{"done":1,"tot', 'al":3}\n{"done":3,"total":3}\n{"rep', 'ort":{"added":2}}'),
    )
    const seen: number[][] = []
    const report = await sendFile('/api/prices/import', 'id,title', { currency: 'CAD' }, (done, total) =>
      seen.push([done, total]),
    )
    expect(report).toEqual({ added: 2 })
    expect(seen).toEqual([
      [1, 3],
      [3, 3],
    ])
    expect(answers.mock.calls[0]![0]).toBe('/api/prices/import?options=%7B%22currency%22%3A%22CAD%22%7D')
  })
  test('an error among the lines is a refusal; an answer that ends early says that nothing was kept', async () => {
    answers.mockResolvedValueOnce(
      lines('{"done":1,"total":9}\n{"error":{"message":"line 4: no date","path":"4"}}\n'),
    )
    await expect(sendFile('/x', '', {})).rejects.toMatchObject({ message: 'line 4: no date', path: '4' })
    answers.mockResolvedValueOnce(lines('{"done":1,"total":9}\n'))
    await expect(streamOf('/x', {}, () => undefined, new AbortController().signal)).rejects.toThrow(
      'The reply was cut off; nothing was saved. Try again.',
    )
  })
  test('a short answer to a file is plain JSON; a refusal of a stream comes before its lines', async () => {
    answers.mockResolvedValueOnce(json({ added: 0 }))
    expect(await sendFile('/x', '', {})).toEqual({ added: 0 })
    answers.mockResolvedValueOnce(json({ error: { message: 'too large', path: '' } }, 413))
    await expect(sendFile('/x', '', {})).rejects.toMatchObject({ message: 'too large', status: 413 })
    answers.mockResolvedValueOnce(json({ error: { message: 'no such build', path: 'id' } }, 404))
    await expect(streamOf('/x', {}, () => undefined, new AbortController().signal)).rejects.toMatchObject({
      status: 404,
    })
  })
})
