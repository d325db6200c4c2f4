import type { H3Event } from 'h3'
import type { Schema } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { whenFree } from '../db/whenFree'
import { errorAnswer } from './errors'

/** A route that answers JSON and turns a caller's mistake into 4xx with code, message and path. */
export function jsonRoute<T>(handle: (event: H3Event) => Promise<T> | T) {
  return defineEventHandler(async (event) => {
    try {
      return await whenFree(async () => handle(event))
    } catch (error) {
      const { status, body } = errorAnswer(error)
      if (status === 500) console.error(error)
      setResponseStatus(event, status)
      return body
    }
  })
}

/** The request's body, validated by a schema without casting. */
export async function bodyOf<T>(event: H3Event, schema: Schema<T>): Promise<T> {
  const raw = await readRawBody(event, 'utf8')
  let parsed: unknown
  try {
    parsed = JSON.parse(raw ?? '')
  } catch (cause) {
    throw new CoreError('not-json', 'the body is not JSON', '', { cause })
  }
  if (typeof parsed !== 'object' || parsed === null || Array.isArray(parsed))
    throw new CoreError('not-an-object', 'the body must be a JSON object')
  return schema.validateSync(parsed, { strict: false, abortEarly: true })
}
