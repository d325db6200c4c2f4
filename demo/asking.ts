import { stateTag } from '../shared/text/stateTag'

/**
 * Asks a route of a running server: bytes go as a file, anything else as JSON; without a body it is read. `was`: the
 * state it changes.
 */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- answers of many routes, read field by field
export type Ask = (path: string, body?: object | Uint8Array, method?: string, was?: unknown) => Promise<any>

/** What asks: that of the page, or of a program, see `fetchApart`. */
export type Fetch = (
  url: string,
  init: RequestInit,
) => Promise<Pick<Response, 'ok' | 'status' | 'text' | 'json'>>

/** The routes of a running server; a refusal throws with the server's words. */
export function asking(address: string, fetch: Fetch = globalThis.fetch): Ask {
  return async (path, body, method = body === undefined ? 'GET' : 'POST', was) => {
    const isFile = body instanceof Uint8Array
    const response = await fetch(address + path, {
      method,
      ...(body === undefined
        ? {}
        : { body: isFile ? new Blob([body as Uint8Array<ArrayBuffer>]) : JSON.stringify(body) }),
      headers: {
        'content-type': isFile ? 'application/octet-stream' : 'application/json',
        ...(was === undefined ? {} : { 'if-match': `"${stateTag(was)}"` }),
      },
    })
    if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`)
    return response.json()
  }
}
