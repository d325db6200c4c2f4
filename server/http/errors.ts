import { ValidationError } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { NotFoundError } from '../errors/notFoundError'

/** What every refused request gets. */
export interface ErrorBody {
  readonly error: { readonly code: string; readonly message: string; readonly path: string }
}

/** Turns an error into a status and a body; only bad input and absences are told apart, the rest is ours. */
export function errorAnswer(error: unknown): { status: number; body: ErrorBody } {
  if (error instanceof CoreError) return answer(400, error.code, error.message, error.path)
  if (error instanceof ValidationError) {
    const first = error.inner[0] ?? error
    return answer(400, 'invalid', first.message, first.path ?? '')
  }
  if (error instanceof NotFoundError) return answer(404, 'not-found', error.message, '')
  return answer(
    500,
    'internal',
    'something went wrong here; nothing was changed. The server log says what',
    '',
  )
}

function answer(status: number, code: string, message: string, path: string) {
  return { status, body: { error: { code, message, path } } }
}
