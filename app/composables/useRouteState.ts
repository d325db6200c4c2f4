import type { LocationQueryValue, Router } from 'vue-router'

/** What is to change in the query of the URL, by router; changes of one moment are one navigation. */
const changes = new WeakMap<Router, Record<string, LocationQueryValue | undefined>>()

/** A piece of a list's state that lives in the URL, so that a reload or a link finds it again. */
export function useRouteState(name: string, fallback = '') {
  const route = useRoute()
  const router = useRouter()
  return computed<string>({
    get: () => (typeof route.query[name] === 'string' ? route.query[name] : fallback),
    set: (value) => {
      const waiting = changes.get(router)
      const change = { [name]: value === fallback || value === '' ? undefined : value }
      if (waiting) {
        // a second navigation would leave out what the first has changed
        Object.assign(waiting, change)
        return
      }
      changes.set(router, change)
      void nextTick(() => {
        const all = changes.get(router)!
        changes.delete(router)
        return router.replace({ query: { ...route.query, ...all } })
      })
    },
  })
}
