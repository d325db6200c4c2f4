import type { H3Event } from 'h3'
import { LRUCache } from 'lru-cache'
import { useOpenDatabase } from '../db/useDatabase'
import { jsonRoute } from './jsonRoute'
import { today } from './today'

/** Bytes of answers that are kept. */
const mostKept = 32_000_000

interface Kept {
  readonly version: number
  readonly answer: Promise<string>
}

const kept = new LRUCache<string, Kept>({ max: 200, maxSize: mostKept })

/**
 * A route that answers what a page shows. Its answer is kept by address and day until something is written, and who
 * asks the same meanwhile waits for the same answer. Nothing else than the database and the day may decide on it.
 */
export function pageRoute<T>(handle: (event: H3Event) => Promise<T>) {
  return jsonRoute(async (event) => {
    const { version } = await useOpenDatabase()
    const asOf = version()
    if (asOf === null) return handle(event)
    const key = `${today()} ${event.path}`
    const known = kept.get(key)
    setHeader(event, 'content-type', 'application/json')
    if (known?.version === asOf) return known.answer
    const answer = handle(event).then((value) => JSON.stringify(value))
    kept.set(key, { version: asOf, answer }, { size: 1 })
    try {
      const text = await answer
      // a write in between: what was read may be half old
      if (version() === asOf) kept.set(key, { version: asOf, answer }, { size: text.length + 1 })
      else kept.delete(key)
      return text
    } catch (error) {
      kept.delete(key)
      throw error
    }
  })
}
