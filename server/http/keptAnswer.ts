import type { H3Event } from 'h3'
import { LRUCache } from 'lru-cache'
import { useOpenDatabase } from '../db/useDatabase'
import { answerTag } from './answerTag'
import { today } from './today'

/** Bytes of answers that are kept. */
const mostKept = 32_000_000

interface Answer {
  readonly text: string
  /** By which a caller knows it again; also what a form was opened on, see `refuseStale`. */
  readonly tag: string
}

interface Kept {
  readonly version: number
  readonly answer: Promise<Answer>
}

const kept = new LRUCache<string, Kept>({ max: 200, maxSize: mostKept })

/**
 * The JSON of a read, with its tag; nothing, with status 304, where the caller has that state already. It is kept by
 * address and day until something is written, and who asks the same meanwhile waits for the same answer. Nothing else
 * than the database and the day may decide on it.
 */
export async function keptAnswer(event: H3Event, read: () => Promise<unknown>): Promise<string | null> {
  const { text, tag } = await answerOf(event.path, read)
  setHeader(event, 'etag', tag)
  setHeader(event, 'cache-control', 'no-cache')
  if (getRequestHeader(event, 'if-none-match') === tag) {
    setResponseStatus(event, 304)
    return null
  }
  setHeader(event, 'content-type', 'application/json')
  return text
}

async function answerOf(path: string, read: () => Promise<unknown>): Promise<Answer> {
  const { version } = await useOpenDatabase()
  const asOf = version()
  if (asOf === null) return toAnswer(await read())
  const key = `${today()} ${path}`
  const known = kept.get(key)
  if (known?.version === asOf) return known.answer
  const answer = read().then(toAnswer)
  kept.set(key, { version: asOf, answer }, { size: 1 })
  try {
    const { text } = await answer
    // a write in between: what was read may be half old
    if (version() === asOf) kept.set(key, { version: asOf, answer }, { size: text.length + 1 })
    else kept.delete(key)
    return await answer
  } catch (error) {
    kept.delete(key)
    throw error
  }
}

/** Of what readings gave: as long as they give the same, its text stands. */
const texts = new WeakMap<object, Answer>()

function toAnswer(value: unknown): Answer {
  const known = typeof value === 'object' && value !== null ? texts.get(value) : undefined
  if (known) return known
  const text = JSON.stringify(value)
  const answer = { text, tag: answerTag(value, text) }
  if (typeof value === 'object' && value !== null) texts.set(value, answer)
  return answer
}
