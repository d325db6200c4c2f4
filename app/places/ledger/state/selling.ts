import type { SellingChange } from '#shared/ledger/selling'

/** Changes what the worth of the machine is read from; what is not said stays. */
export function useSelling() {
  const build = useBuild()
  const { step, busy } = useLedgerStep()
  const save = (change: SellingChange) =>
    step('PATCH /api/builds/:id/ledger/selling', { id: build.view!.id }, change, 'basis changed')
  return { save, busy }
}
