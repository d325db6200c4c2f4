import { slug } from './slug'
import { stateTag } from './stateTag'

/** The grammar of an id: letters, digits and hyphens, at most 120. */
export const idGrammar = /^[A-Za-z0-9-]{1,120}$/

/**
 * An id as it may stand in an address and in a key. One that keeps to the grammar stays as it is; of any other a readable
 * start and a tag are made, the same each time, so that what refers to it is brought to the same id by itself.
 *
 * @example plainId('tarn-640-8') // 'tarn-640-8'
 * @example plainId('Tarn 640') // 'tarn-640-0aa826ce'
 */
export function plainId(id: string): string {
  return idGrammar.test(id) ? id : `${slug(id, 80)}-${stateTag(id).slice(0, 8)}`
}

const idKey = /^(id|.+Id)$/
const idListKey = /^(ids|.+Ids|rivals)$/
/** Ids of other houses, kept as they are written there. */
const foreignKeys = new Set(['externalId'])

/**
 * A file with every id in it plain: what stands under `id`, `…Id`, and in lists under `…Ids`. The rest is as it was.
 *
 * @example withPlainIds({ id: 'a b', name: 'a b' }) // { id: 'a-b-…', name: 'a b' }
 */
export function withPlainIds<T>(value: T): T {
  return walk(value, '') as T
}

function walk(value: unknown, key: string): unknown {
  if (typeof value === 'string')
    return idKey.test(key) && !foreignKeys.has(key) && value !== '' ? plainId(value) : value
  if (Array.isArray(value))
    return value.map((each) =>
      typeof each === 'string' ? (idListKey.test(key) ? plainId(each) : each) : walk(each, key),
    )
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).map(([name, each]) => [name, walk(each, name)]))
}
