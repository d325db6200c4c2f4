/**
 * The one error of `core/`: a caller's mistake, with a code a program can act on, a message a builder can act on,
 * and the path of the offending value inside the input. An absence that is normal (no comps, no trend) is in the
 * return type instead.
 */
export class CoreError extends Error {
  readonly code: string
  readonly path: string

  constructor(code: string, message: string, path = '', options?: { cause?: unknown }) {
    super(message, options)
    this.name = 'CoreError'
    this.code = code
    this.path = path
  }
}
