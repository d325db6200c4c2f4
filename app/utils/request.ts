/** A refusal of the server, as it words it. */
export class RequestError extends Error {
  constructor(
    message: string,
    readonly path: string,
    readonly status: number,
    /** With a conflict: what is saved now. */
    readonly saved?: unknown,
    /** The server's word for what was wrong. */
    readonly code = '',
  ) {
    super(message)
  }
}

interface RequestOptions {
  method?: string
  body?: unknown
  /** tag of the state that is changed: refused with 409 where another one is saved meanwhile; `new`: where there is one at all */
  was?: string | undefined
  /** is told the tag of what is saved after a change */
  onTag?: (tag: string) => void
  /** is told the number of the action that was done, by which it can be taken back */
  onAction?: (action: number) => void
}

/** Talks JSON to the server (a file goes as it is); throws `RequestError` with the server's own words. */
export async function request<T>(path: string, options: RequestOptions = {}): Promise<T> {
  const { method = 'GET', body, was, onTag, onAction } = options
  const condition: Record<string, string> =
    was === undefined ? {} : was === 'new' ? { 'if-none-match': '*' } : { 'if-match': `"${was}"` }
  let response: Response
  const sent =
    body === undefined
      ? {}
      : body instanceof Blob
        ? { body, headers: { 'content-type': body.type, ...condition } }
        : { body: JSON.stringify(body), headers: { 'content-type': 'application/json', ...condition } }
  try {
    response = await fetch(path, { method, ...sent })
  } catch {
    throw new RequestError('The server does not answer. What you typed is kept; try again.', '', 0)
  }
  const answer = await response.json().catch(() => null)
  if (response.status === 401) location.assign('/sign-in')
  if (!response.ok)
    throw new RequestError(
      answer?.error?.message ?? 'The server rejected this.',
      answer?.error?.path ?? '',
      response.status,
      answer?.error?.saved,
      answer?.error?.code,
    )
  const tag = response.headers.get('etag')
  if (tag) onTag?.(tag.replaceAll('"', ''))
  const action = response.headers.get('x-action')
  if (action) onAction?.(Number(action))
  return answer as T
}

/** Sends a file's bytes to an import route and reads its stream of JSON lines. */
export async function sendFile<T>(
  path: string,
  bytes: Blob | string,
  options: unknown,
  onProgress?: (done: number, total: number) => void,
  signal?: AbortSignal,
): Promise<T> {
  const response = await fetch(`${path}?options=${encodeURIComponent(JSON.stringify(options))}`, {
    method: 'POST',
    body: bytes,
    headers: { 'content-type': 'text/csv' },
    ...(signal ? { signal } : {}),
  })
  if (response.headers.get('content-type')?.includes('ndjson') !== true) {
    const answer = await response.json().catch(() => null)
    if (!response.ok)
      throw new RequestError(
        answer?.error?.message ?? 'The server rejected this.',
        answer?.error?.path ?? '',
        response.status,
      )
    return answer as T
  }
  return readLines<T>(response, onProgress)
}

/** Posts JSON and reads the answer's stream of JSON lines: progress now and then, at last the report. */
export async function streamOf<T>(
  path: string,
  body: unknown,
  onProgress: (done: number, total: number) => void,
  signal: AbortSignal,
): Promise<T> {
  const response = await fetch(path, {
    method: 'POST',
    body: JSON.stringify(body),
    headers: { 'content-type': 'application/json' },
    signal,
  })
  if (!response.ok) {
    const answer = await response.json().catch(() => null)
    throw new RequestError(
      answer?.error?.message ?? 'The server rejected this.',
      answer?.error?.path ?? '',
      response.status,
    )
  }
  return readLines<T>(response, onProgress)
}

async function readLines<T>(
  response: Response,
  onProgress?: (done: number, total: number) => void,
): Promise<T> {
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader()
  let rest = ''
  let report: T | undefined
  for (;;) {
    const { done, value } = await reader.read()
    const lines = (rest + (value ?? '')).split('\n')
    rest = done ? '' : lines.pop()!
    for (const line of lines.filter((each) => each !== '')) {
      const message = JSON.parse(line)
      if (message.error) throw new RequestError(message.error.message, message.error.path, 400)
      if (message.report !== undefined) report = message.report
      else onProgress?.(message.done, message.total)
    }
    if (done) break
  }
  if (report === undefined)
    throw new RequestError('The reply was cut off; nothing was saved. Try again.', '', 0)
  return report
}
