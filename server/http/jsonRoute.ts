import type { H3Event } from 'h3'
import { errorAnswer } from './errors'

/** A route that answers JSON and turns a caller's mistake into 4xx with code, message and path. */
export function jsonRoute<T>(handle: (event: H3Event) => Promise<T> | T) {
  return defineEventHandler(async (event) => {
    try {
      return await handle(event)
    } catch (error) {
      const { status, body } = errorAnswer(error)
      if (status === 500) console.error(error)
      setResponseStatus(event, status)
      return body
    }
  })
}
