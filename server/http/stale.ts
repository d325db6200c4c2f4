import type { H3Event } from 'h3'
import { stateTag } from '#shared/text/stateTag'
import { CoreError } from '#core/errors/coreError'
import { answerTag } from './answerTag'
import { ConflictError } from '../errors/conflictError'

/**
 * Refuses a change that was begun on another state than the one that is saved now: `If-Match` carries the tag of what
 * the form was opened on. Asked in the writer's turn, so that it still holds when it is written. A caller that says
 * neither that nor that it is new (`refuseTaken`) is asked to: what it would overwrite it has perhaps never seen.
 */
export function refuseStale(event: H3Event, what: string, saved: unknown): void {
  const was = getRequestHeader(event, 'if-match')
  const isNew = getRequestHeader(event, 'if-none-match') === '*' && (saved === null || saved === undefined)
  if (was === undefined && !isNew) throw new CoreError('unconditional', {})
  if (was !== undefined && !isTagOf(was, saved)) throw new ConflictError(what, saved)
}

/** The tag that a form worked out itself, or that a read of it was answered with. */
const isTagOf = (tag: string, state: unknown): boolean =>
  tag === `"${stateTag(state)}"` || tag === answerTag(state, JSON.stringify(state) ?? '')

/** Refuses to put a new thing in the place of one that is there: `If-None-Match: *`. */
export function refuseTaken(event: H3Event, what: string, saved: unknown): void {
  if (getRequestHeader(event, 'if-none-match') === '*' && saved !== null && saved !== undefined)
    throw new ConflictError(what, saved)
}

/** Tells the tag of what is saved now, for the next change from the same form. */
export function tellTag(event: H3Event, saved: unknown): void {
  setHeader(event, 'etag', `"${stateTag(saved)}"`)
}
