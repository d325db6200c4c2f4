/** One of several patterns. */
export const either = (...patterns: readonly RegExp[]) =>
  new RegExp(patterns.map(({ source }) => source).join('|'))
