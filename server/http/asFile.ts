import type { H3Event } from 'h3'

/** Answers a text or bytes as a file to be saved under a name. */
export function asFile<T extends string | Uint8Array>(
  event: H3Event,
  content: T,
  type: string,
  name: string,
): T {
  setHeader(event, 'content-type', typeof content === 'string' ? `${type}; charset=utf-8` : type)
  setHeader(event, 'content-disposition', `attachment; filename="${name}"`)
  return content
}
