import { sentenceOf } from '#core/errors/problems'

/** Something asked for by its id is not there. What it means to a caller over HTTP is said in `http/errors.ts`. */
export class NotFoundError extends Error {
  readonly params: { readonly what: string; readonly id: string | number }

  constructor(what: string, id: string | number) {
    super(sentenceOf('not-found', { what, id }))
    this.params = { what, id }
  }
}
