import { getActivePinia } from 'pinia'
import { toValue } from 'vue'
import { useQueryCache, type UseQueryEntry } from '@pinia/colada'
import type { BuildView } from '#shared/builds/views'
import { read, type ReadName } from './read'

/** Counts the refreshes: what an earlier one brings after a later one is old. */
let newest = 0

/**
 * After something was changed: everything that is shown is asked again, and takes its place in one moment, so that no
 * figure stands beside another of the state before. What is not shown is asked again where it is next needed.
 *
 * @param answer of the change: the new view of a build is that build from now on, without another question
 */
export function refreshAll(answer?: unknown): Promise<void> {
  return (latest = refresh(answer))
}

let latest: Promise<void> = Promise.resolve()

/** Until what the last change moved is shown. */
export function refreshed(): Promise<void> {
  return latest
}

async function refresh(answer?: unknown): Promise<void> {
  const cache = useQueryCache(getActivePinia())
  const mine = (newest += 1)
  if (isBuildView(answer)) cache.setQueryData(['GET /api/builds/:id', { id: answer.id }], answer)
  const shown = cache.getEntries({ active: true }).filter((entry) => isAsked(entry) && !holds(entry, answer))
  void cache.invalidateQueries({}, false)
  const values = await Promise.all(
    shown.map(async (entry) => {
      const [name, params] = entry.key as [ReadName, never]
      return read(name, params).catch((error: Error) => error)
    }),
  )
  if (mine !== newest) return
  shown.forEach((entry, index) => {
    const value = values[index]
    if (!(value instanceof Error)) cache.setEntryState(entry, { status: 'success', data: value, error: null })
    else if (entry.state.value.status !== 'pending')
      cache.setEntryState(entry, { status: 'error', data: entry.state.value.data, error: value } as never)
  })
}

/** Whether it is asked for at all: a read whose parameters are not known yet is not. */
function isAsked({ options }: UseQueryEntry): boolean {
  return toValue(options?.enabled) !== false
}

function isBuildView(answer: unknown): answer is BuildView {
  return typeof answer === 'object' && answer !== null && 'receipt' in answer && 'houseRules' in answer
}

function holds({ key }: UseQueryEntry, answer: unknown): boolean {
  const [name, params] = key as [string, { id?: string }]
  return isBuildView(answer) && name === 'GET /api/builds/:id' && params.id === answer.id
}
