import { defineStore } from 'pinia'

interface Failure {
  readonly message: string
  retry(): Promise<unknown>
}

/** Reads that failed and are still wanted; the frame shows them once, with one button that tries again. */
export const useFailures = defineStore('failures', () => {
  const all = shallowReactive(new Map<symbol, Failure>())
  return {
    messages: computed(() => [...new Set([...all.values()].map(({ message }) => message))]),
    note: (of: symbol, failure: Failure | null) => void (failure ? all.set(of, failure) : all.delete(of)),
    retry: () => Promise.all([...all.values()].map((failure) => failure.retry())),
  }
})
