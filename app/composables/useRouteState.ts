/** A piece of a list's state that lives in the URL, so that a reload or a link finds it again. */
export function useRouteState(name: string, fallback = '') {
  const route = useRoute()
  const router = useRouter()
  return computed<string>({
    get: () => (typeof route.query[name] === 'string' ? route.query[name] : fallback),
    set: (value) =>
      void router.replace({
        query: { ...route.query, [name]: value === fallback || value === '' ? undefined : value },
      }),
  })
}
