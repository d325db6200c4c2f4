import type { AnswerOf, CallName, ParamsOf, SentBody } from '#shared/calls'
import { addressOf } from './addressOf'
import { tellOtherTabs } from './otherTabs'
import { refreshAll } from './refreshAll'
import { noAnswer, refusalIn, refusalOf, RequestError } from './requestError'

interface CallOptions {
  /** tag of the state that is changed: refused with 409 where another one is saved meanwhile; `new`: where there is one at all */
  was?: string | undefined
  /** is told the tag of what is saved after the change, for the next one from the same form */
  onTag?: (tag: string) => void
  /** is told the number of the action that was done, by which it can be taken back */
  onAction?: (action: number) => void
}

/** What stands behind the name: the ids in its path, what is sent, and how. */
type Rest<Name extends CallName> =
  SentBody<Name> extends undefined
    ? [params?: ParamsOf<Name>, body?: undefined, options?: CallOptions]
    : [params: ParamsOf<Name>, body: SentBody<Name>, options?: CallOptions]

/**
 * Asks the server, as the record of the call says (`shared/calls.ts`). Where it changed something, everything that is
 * shown is asked again (`refreshed` waits for it). Throws `RequestError`.
 */
export async function call<const Name extends CallName>(
  name: Name,
  ...[params, body, options = {}]: Rest<Name>
): Promise<AnswerOf<Name>> {
  const { was, onAction, onTag } = options
  const condition: Record<string, string> =
    was === undefined ? {} : was === 'new' ? { 'if-none-match': '*' } : { 'if-match': `"${was}"` }
  const response = await send(name, params, body, condition)
  const answer = (await response.json().catch(() => null)) as AnswerOf<Name>
  const tag = response.headers.get('etag')
  if (tag) onTag?.(tag.replaceAll('"', ''))
  const action = response.headers.get('x-action')
  if (action) onAction?.(Number(action))
  if (response.headers.has('x-changed')) changed(answer)
  return answer
}

/** Sends a file to an import and reads its answer, a stream of JSON lines where it is long. */
export async function sendFile<const Name extends CallName>(
  name: Name,
  params: ParamsOf<Name>,
  file: Blob | string,
  onProgress?: (done: number, total: number) => void,
  signal?: AbortSignal,
): Promise<AnswerOf<Name>> {
  return told(await send(name, params, new Blob([file], { type: 'text/csv' }), {}, signal), onProgress)
}

async function send(
  name: CallName,
  params: object | undefined,
  body: unknown,
  headers: Record<string, string>,
  signal?: AbortSignal,
): Promise<Response> {
  const method = name.slice(0, name.indexOf(' '))
  const sent: RequestInit =
    body === undefined
      ? { headers }
      : body instanceof Blob
        ? { body, headers: { 'content-type': body.type, ...headers } }
        : { body: JSON.stringify(body), headers: { 'content-type': 'application/json', ...headers } }
  const response = await fetch(addressOf(name, params), {
    method,
    ...sent,
    ...(signal ? { signal } : {}),
  }).catch((cause: unknown) => {
    throw signal?.aborted ? cause : noAnswer()
  })
  if (response.status === 401) location.assign('/sign-in')
  if (!response.ok) throw await refusalOf(response)
  return response
}

async function told<Answer>(
  response: Response,
  onProgress?: (done: number, total: number) => void,
): Promise<Answer> {
  const isStream = response.headers.get('content-type')?.includes('ndjson') === true
  const answer = isStream ? await lastLine<Answer>(response, onProgress) : ((await response.json()) as Answer)
  if (isStream || response.headers.has('x-changed')) changed()
  return answer
}

function changed(answer?: unknown): void {
  void refreshAll(answer)
  tellOtherTabs()
}

async function lastLine<T>(
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
      if (message.error) throw refusalIn(message, 400)
      if (message.report !== undefined) report = message.report
      else onProgress?.(message.done, message.total)
    }
    if (done) break
  }
  if (report === undefined)
    throw new RequestError('The reply was cut off; nothing was saved. Try again.', '', 0, 'cut-off')
  return report
}
