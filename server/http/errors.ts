import { ValidationError } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { sentenceOf, type ProblemParams } from '#core/errors/problems'
import { DatabaseHeldError, isFull } from '../db/oneWriter'
import { ConflictError } from '../errors/conflictError'
import { NotFoundError } from '../errors/notFoundError'

/** What every refused request gets. */
export interface ErrorBody {
  readonly error: {
    readonly code: string
    readonly message: string
    readonly path: string
    readonly params: ProblemParams
    /** With a conflict: what is saved now. */
    readonly saved?: unknown
  }
}

/** What is no plain 400. */
const statuses: Readonly<Record<string, number>> = {
  'too-large': 413,
  'file-too-large': 413,
  'picture-too-large': 413,
  unconditional: 428,
}

/** Turns an error into a status and a body; only bad input and absences are distinguished, the rest is ours. */
export function errorAnswer(error: unknown): { status: number; body: ErrorBody } {
  if (error instanceof CoreError)
    return answer(statuses[error.code] ?? 400, error.code, error.message, error.params, error.path)
  if (error instanceof ValidationError) {
    const first = error.inner[0] ?? error
    return answer(400, 'invalid', first.message, {}, first.path ?? '')
  }
  if (error instanceof NotFoundError) return answer(404, 'not-found', error.message, error.params)
  if (error instanceof ConflictError) {
    const { status, body } = answer(409, 'changed-meanwhile', error.message, { what: error.what })
    return { status, body: { error: { ...body.error, saved: error.saved } } }
  }
  if (isFull(error)) return answer(507, 'disk-full', sentenceOf('disk-full', {}))
  if (error instanceof DatabaseHeldError) return answer(503, 'held', error.message)
  return answer(500, 'internal', sentenceOf('internal', {}))
}

function answer(status: number, code: string, message: string, params: ProblemParams = {}, path = '') {
  return { status, body: { error: { code, message, path, params } } }
}
