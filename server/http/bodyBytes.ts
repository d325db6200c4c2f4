import type { H3Event } from 'h3'
import { CoreError } from '#core/errors/coreError'

/** What a body may hold at most where its route says nothing else. */
export const usualBytes = 1024 * 1024

/** The largest body of any route: a backup with its pictures. */
export const fileBytes = 512 * 1024 * 1024

/**
 * The body as bytes, read once a request. `too-large` as soon as it is known to hold more than `most`, by its stated
 * length or while it comes; what follows is not read.
 */
export async function bodyBytes(event: H3Event, most = usualBytes): Promise<Buffer> {
  const read = event.context.bodyBytes as Promise<Buffer> | undefined
  const bytes = (event.context.bodyBytes = read ?? readUpTo(event, most))
  return bytes as Promise<Buffer>
}

async function readUpTo(event: H3Event, most: number): Promise<Buffer> {
  const { req } = event.node
  if (Number(req.headers['content-length'] ?? 0) > most) throw tooLarge(event, most)
  const chunks: Buffer[] = []
  let size = 0
  for await (const chunk of req as AsyncIterable<Buffer>) {
    size += chunk.length
    if (size > most) throw tooLarge(event, most)
    chunks.push(chunk)
  }
  return Buffer.concat(chunks)
}

function tooLarge(event: H3Event, most: number): CoreError {
  // the rest is not read: the connection ends with the answer
  event.node.res.setHeader('connection', 'close')
  const size = most >= 1024 * 1024 ? `${Math.round(most / 1024 / 1024)} MB` : `${Math.round(most / 1024)} kB`
  return new CoreError('too-large', { size })
}
