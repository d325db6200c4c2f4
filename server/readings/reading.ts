import { isDeepStrictEqual } from 'node:util'
import { computed, type ComputedRef } from '@vue/reactivity'
import { LRUCache } from 'lru-cache'
import type { World } from './world'

/** What a reading is asked with: plain values that say all that is asked. */
export type Key = string | number | boolean | null

interface ReadingOptions<Value> {
  /**
   * When a value worked out again is the one that was: then it stays, and who has read it need not be worked out again.
   * Left out: only the very same.
   */
  readonly same?: (now: Value, was: Value) => boolean
  /** How many are kept in a world, the last asked for. */
  readonly most?: number
}

/** A value or a refusal: what is refused is refused again until something of it changes. */
type Outcome<Value> = { readonly value: Value } | { readonly error: unknown }

/** A reading that waits would lose sight of what it reads: there is none. */
type Asked<Keys extends readonly Key[], Value> =
  Value extends Promise<unknown> ? never : (world: World, ...keys: Keys) => Value

const running: string[] = []
/** How often a reading was worked out, by its name; for tests of economy. */
export const workedOut = new Map<string, number>()

/**
 * A reading: a synchronous, pure function of a world and of plain keys, kept until something that it has read changes.
 * It reads rows only through the world and other readings, changes nothing it is given, and knows no clock.
 *
 * @param name tells it from other readings
 * @throws what `work` throws, each time it is asked; an error where it asks itself in a ring
 * @example const label = reading('label', (world, id: string) => partLabel(world.rows.parts.one('id', id)!))
 */
export function reading<Keys extends readonly Key[], Value>(
  name: string,
  work: (world: World, ...keys: Keys) => Value,
  { same = Object.is, most = 2000 }: ReadingOptions<Value> = {},
): Asked<Keys, Value> {
  const kept = new WeakMap<World, LRUCache<string, ComputedRef<Outcome<Value>>>>()
  const ask = (world: World, ...keys: Keys): Value => {
    let own = kept.get(world)
    if (!own) kept.set(world, (own = newCache(most)))
    const key = JSON.stringify(keys)
    let outcome = own.get(key)
    if (!outcome) {
      outcome = computed<Outcome<Value>>((was) => {
        const now = outcomeOf(name, `${name} ${key}`, () => work(world, ...keys))
        return was && 'value' in was && 'value' in now && same(now.value, was.value) ? was : now
      })
      own.set(key, outcome)
    }
    const id = `${name} ${key}`
    if (running.includes(id)) throw new Error(`a reading asks itself: ${[...running, id].join(' → ')}`)
    const found = outcome.value
    if ('error' in found) throw found.error
    return found.value
  }
  return ask as Asked<Keys, Value>
}

/** By size, not by number: of a number the room is laid out beforehand, 0.6 ms for each reading of each passing world. */
const newCache = <Value extends object>(most: number) =>
  new LRUCache<string, Value>({ maxSize: most, sizeCalculation: () => 1 })

function outcomeOf<Value>(name: string, id: string, work: () => Value): Outcome<Value> {
  running.push(id)
  workedOut.set(name, (workedOut.get(name) ?? 0) + 1)
  try {
    return { value: work() }
  } catch (error) {
    return { error }
  } finally {
    running.pop()
  }
}

/** Two lists with the same members in the same order. */
export const sameMembers = <T>(now: readonly T[], was: readonly T[]): boolean =>
  now.length === was.length && now.every((each, index) => each === was[index])

/** Two values with the same content. */
export const sameContent = (now: unknown, was: unknown): boolean => isDeepStrictEqual(now, was)
