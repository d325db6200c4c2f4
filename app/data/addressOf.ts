import type { CallName } from '#shared/calls'

/**
 * The address of a call: its ids in its path, what is left of the parameters behind the `?`; empty ones are left out.
 *
 * @example addressOf('GET /api/leads/:id', { id: 'a' }) // '/api/leads/a'
 */
export function addressOf(name: CallName, params: object = {}): string {
  const left = new Map(Object.entries(params))
  const path = name.slice(name.indexOf(' ') + 1).replace(/:(\w+)/g, (_, key: string) => {
    const id = String(left.get(key))
    left.delete(key)
    return encodeURIComponent(id)
  })
  const query = [...left].filter(([, value]) => value !== undefined && value !== '')
  return query.length === 0
    ? path
    : `${path}?${new URLSearchParams(query.map(([key, value]) => [key, String(value)]))}`
}
