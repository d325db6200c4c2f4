import type { H3Event } from 'h3'
import type { Schema } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { findBuild } from '../context/findBuild'
import { newestAction } from '../db/action'
import { useDatabase, useOpenDatabase } from '../db/useDatabase'
import { bodyBytes, usualBytes } from './bodyBytes'
import { errorAnswer } from './errors'
import { plainJson } from './plainJson'

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

/**
 * A route that changes something: it runs as the only writer, so that what it checks still holds when it writes,
 * however many ask at once. Its body, `mostBytes` at most, is read before its turn comes, so that a slow sender holds
 * up nobody.
 */
export function writeRoute<T>(handle: (event: H3Event) => Promise<T> | T, mostBytes = usualBytes) {
  return jsonRoute(async (event) => {
    await bodyBytes(event, mostBytes)
    const { alone, db } = await useOpenDatabase()
    return alone(async () => {
      const before = await newestAction(db)
      const answer = await handle(event)
      const action = await newestAction(db)
      // alone in its turn, what is new is its own: this is what an undo has to name
      if (action > before) setHeader(event, 'x-action', String(action))
      return answer
    })
  })
}

/** A route that changes something of the build in its path: one that is not there is refused before anything else. */
export function buildRoute<T>(handle: (event: H3Event) => Promise<T> | T, mostBytes = usualBytes) {
  return writeRoute(async (event) => {
    await findBuild(await useDatabase(), getRouterParam(event, 'id')!)
    return handle(event)
  }, mostBytes)
}

/** The request's body, validated by a schema without casting; keys the schema does not know are left out. */
export async function bodyOf<T>(event: H3Event, schema: Schema<T>, mostBytes = usualBytes): Promise<T> {
  const parsed = plainJson((await bodyBytes(event, mostBytes)).toString('utf8'))
  if (typeof parsed !== 'object' || parsed === null || Array.isArray(parsed))
    throw new CoreError('not-an-object', 'the body must be a JSON object')
  return schema.validateSync(parsed, { strict: false, abortEarly: true, stripUnknown: true })
}
