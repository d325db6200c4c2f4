import { sentenceOf } from '#core/errors/problems'

/** Something was changed by another tab or another caller since it was read. `saved` is what stands there now. */
export class ConflictError extends Error {
  constructor(
    readonly what: string,
    readonly saved: unknown,
  ) {
    super(sentenceOf('changed-meanwhile', { what }))
  }
}
