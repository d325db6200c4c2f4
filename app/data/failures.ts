import { defineStore } from 'pinia'
import { RequestError } from './requestError'

interface Failure {
  readonly error: Error
  retry(): Promise<unknown>
}

/**
 * Reads that failed and are still wanted; the frame shows them once, with one button that tries again. Where the server
 * was away they are asked again by themselves until it is back.
 */
export const useFailures = defineStore('failures', () => {
  const all = shallowReactive(new Map<symbol, Failure>())
  return {
    messages: computed(() => [...new Set([...all.values()].map(({ error }) => error.message))]),
    isAway: computed(() =>
      [...all.values()].some(({ error }) => error instanceof RequestError && error.code === 'no-answer'),
    ),
    note: (of: symbol, failure: Failure | null) => void (failure ? all.set(of, failure) : all.delete(of)),
    retry: () => Promise.all([...all.values()].map((failure) => failure.retry())),
  }
})
