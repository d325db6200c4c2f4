import type { SellingChange } from '#shared/ledger/selling'

/** Changes what the worth of the machine is read from; what is not said stays. */
export function useSelling() {
  const build = useBuild()
  const { step, busy } = useLedgerStep()
  const save = (change: SellingChange) =>
    step(`/api/builds/${build.view!.id}/ledger/selling`, change, 'basis changed', { method: 'PATCH' })
  return { save, busy }
}
