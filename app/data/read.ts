import type { AnswerOf, CallName, ParamsOf } from '#shared/calls'
import { addressOf } from './addressOf'
import { noAnswer, refusalOf } from './requestError'

export type ReadName = Extract<CallName, `GET ${string}`>

/** What was answered last, by address: asked again with its tag, the server says where nothing has changed. */
const known = new Map<string, { readonly tag: string; readonly value: unknown }>()
const mostKnown = 60

/** Reads from the server; the same answer as before is the same value. Throws `RequestError`. */
export async function read<Name extends ReadName>(
  name: Name,
  params?: ParamsOf<Name>,
  signal?: AbortSignal,
): Promise<AnswerOf<Name>> {
  const address = addressOf(name, params)
  const before = known.get(address)
  const response = await fetch(address, {
    method: 'GET',
    ...(before ? { headers: { 'if-none-match': before.tag } } : {}),
    ...(signal ? { signal } : {}),
  }).catch((cause: unknown) => {
    throw signal?.aborted ? cause : noAnswer()
  })
  if (response.status === 401) location.assign('/sign-in')
  if (response.status === 304 && before) return before.value as AnswerOf<Name>
  if (!response.ok) throw await refusalOf(response)
  const value = (await response.json()) as AnswerOf<Name>
  const tag = response.headers.get('etag')
  known.delete(address)
  if (tag) known.set(address, { tag, value })
  if (known.size > mostKnown) known.delete(known.keys().next().value!)
  return value
}
