/** Something was changed by another tab or another caller since it was read. `saved` is what stands there now. */
export class ConflictError extends Error {
  constructor(
    what: string,
    readonly saved: unknown,
  ) {
    super(`${what} was changed in the meantime; nothing was overwritten`)
  }
}
