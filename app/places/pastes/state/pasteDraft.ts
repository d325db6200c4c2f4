import { useSessionStorage } from '@vueuse/core'
import { stateTag } from '#shared/text/stateTag'

/**
 * What is changed by hand in a preview: a reload loses nothing of it. Another reading (another text, another currency,
 * the day read first) begins again. A paste too large to be kept so is worked on all the same.
 *
 * @param name of the preview; each has one draft
 * @param read what the reading makes of the paste
 * @param of by what another reading is known; left out: by `read`
 */
export function usePasteDraft<T>(name: string, read: T, of: unknown = read) {
  const tag = stateTag(of)
  const kept = useSessionStorage<{ tag: string; value: T }>(
    `tarvin-paste-${name}`,
    { tag, value: read },
    {
      serializer: { read: (raw) => JSON.parse(raw), write: (value) => JSON.stringify(value) },
      onError: () => undefined,
    },
  )
  if (kept.value.tag !== tag) kept.value = { tag, value: read }
  return computed({ get: () => kept.value.value, set: (value) => (kept.value.value = value) })
}
