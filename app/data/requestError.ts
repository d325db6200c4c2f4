/** A refusal of the server: its code and parameters decide what the page does, its message is shown as it is. */
export class RequestError extends Error {
  constructor(
    message: string,
    readonly path: string,
    readonly status: number,
    readonly code = '',
    readonly params: Readonly<Record<string, unknown>> = {},
    /** With a conflict: what is saved now. */
    readonly saved?: unknown,
  ) {
    super(message)
  }
}

/** The refusal that an answer is. */
export async function refusalOf(response: Response): Promise<RequestError> {
  const answer = await response.json().catch(() => null)
  return refusalIn(answer, response.status)
}

/** The refusal in a body, or in a line of a stream. */
export function refusalIn(answer: unknown, status: number): RequestError {
  const { message, path, code, params, saved } =
    (answer as { error?: Partial<RequestError> } | null)?.error ?? {}
  return new RequestError(message ?? 'The server rejected this.', path ?? '', status, code, params, saved)
}

export function noAnswer(): RequestError {
  return new RequestError(
    'The server does not answer. What you typed is kept; try again.',
    '',
    0,
    'no-answer',
  )
}
