import { toDecimal } from '#core/money/decimal'
import type { LedgerView } from '#shared/ledger/views'
import type { CallName, ParamsOf, SentBody } from '#shared/calls'
import { call } from '~/data/call'
import { useCall } from '~/data/useCall'

/** The ledger of the build on the counter. */
export function useLedger() {
  const build = useBuild()
  const asked = useCall('GET /api/builds/:id/ledger', () => (build.view ? { id: build.view.id } : null))
  return reactive({ view: computed<LedgerView | null>(() => asked.data.value ?? null) })
}

/** One step in the ledger: it is told, and can be taken back by its own number, whatever else was done meanwhile. */
export function useLedgerStep() {
  const build = useBuild()
  const { run, busy } = useAction()
  function step<const Name extends CallName>(
    name: Name,
    params: ParamsOf<Name>,
    body: SentBody<Name>,
    message: string,
    label = '',
  ) {
    // a second press while the first is on its way would do it twice
    if (busy.value) return Promise.resolve(false)
    let done: number | null = null
    return run(
      () => {
        build.named(label)
        return call(name, ...([params, body, { onAction: (action: number) => (done = action) }] as never))
      },
      {
        message,
        undo: async () => {
          if (done !== null) await call('POST /api/ledger/actions/:id/undo', { id: String(done) })
        },
      },
    )
  }
  return { step, busy }
}

/** An amount as a form takes it. */
export function amountTyped(amount: number, currency: string): string {
  return toDecimal(amount, currency)
}
