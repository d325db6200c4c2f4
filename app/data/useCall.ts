import { useQuery } from '@pinia/colada'
import type { MaybeRefOrGetter } from 'vue'
import type { AnswerOf, ParamsOf } from '#shared/calls'
import { useFailures } from './failures'
import { read, type ReadName } from './read'

/** What is read from the server: undefined until it is there. */
export interface Asked<T> {
  readonly data: Readonly<Ref<T | undefined>>
  readonly error: Readonly<Ref<Error | null>>
  /** Asks again. */
  retry(): Promise<unknown>
}

interface Options<Answer> {
  /** Who asks shows a failure himself; else the frame shows it, with *Try again*. */
  readonly showsFailure?: boolean
  /** What is shown of the answer before until that to other parameters is there; nothing, where it is left out. */
  readonly meanwhile?: (before: Answer) => Answer | undefined
}

/**
 * What the server answers to a read, kept by call and parameters: asked once however many show it, and again after
 * every change. An answer to other parameters is never shown, but where `meanwhile`
 * says so. Where `params` is null nothing is asked.
 *
 * @example const { data: machine } = useCall('GET /api/builds/:id/machine', () => ({ id }))
 */
export function useCall<const Name extends ReadName>(
  name: Name,
  params: MaybeRefOrGetter<ParamsOf<Name> | null> = {} as ParamsOf<Name>,
  { showsFailure = false, meanwhile }: Options<AnswerOf<Name>> = {},
): Asked<AnswerOf<Name>> {
  const { data, error, refetch } = useQuery({
    key: () => [name, (toValue(params) ?? {}) as never],
    enabled: () => toValue(params) !== null,
    query: ({ signal }) => read(name, toValue(params) ?? undefined, signal),
    ...(meanwhile ? { placeholderData: (before) => before && meanwhile(before as AnswerOf<Name>) } : {}),
  })
  if (!showsFailure) {
    const mine = Symbol(name)
    const { note } = useFailures()
    watch(error, (failed) => note(mine, failed && { error: failed, retry: refetch }), {
      immediate: true,
    })
    onScopeDispose(() => note(mine, null))
  }
  return { data: data as Asked<AnswerOf<Name>>['data'], error, retry: () => refetch() }
}
