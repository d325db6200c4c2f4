import { watchDebounced } from '@vueuse/core'
import type { SaleRead } from '#core/reading/sales/saleRead'
import { call } from '~/data/call'

/** Which rows of a preview are kept already under the source that is named; asked again a moment after a change. */
export function useDoubles(source: Ref<string>, rows: Ref<readonly SaleRead[]>) {
  const doubles = shallowRef<ReadonlySet<SaleRead>>(new Set())
  let asked = 0
  watchDebounced(
    [source, rows],
    async () => {
      const turn = (asked += 1)
      const whole = rows.value.filter(({ price, soldOn }) => price !== null && soldOn !== null)
      if (source.value.trim() === '' || whole.length === 0) {
        doubles.value = new Set()
        return
      }
      const sales = whole.map(({ title, price, currency, soldOn }) => ({
        title,
        price: price!,
        currency,
        soldOn: soldOn!,
      }))
      // where nobody answers nothing is told: keeping them still counts them
      const { places } = await call('POST /api/pastes/doubles', {}, { source: source.value, sales }).catch(
        () => ({ places: [] }),
      )
      if (turn === asked) doubles.value = new Set(places.map((place) => whole[place]!))
    },
    { debounce: 250, deep: true, immediate: true },
  )
  return doubles
}
