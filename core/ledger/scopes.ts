/** Scopes of a line, narrowest first; totals are cumulative. */
export const scopes = ['core', 'ready', 'test'] as const
export type Scope = (typeof scopes)[number]

export const scopeNames: Readonly<Record<Scope, string>> = {
  core: 'core machine',
  ready: 'ready to use',
  test: 'test-only',
}
