import type { SellingInput } from '#shared/ledger/selling'
import type { LedgerView } from '#shared/ledger/views'

/** Changes what the worth of the machine is read from; what is not said stays. */
export function useSelling(ledger: () => LedgerView) {
  const build = useBuild()
  const { step, busy } = useLedgerStep()
  const save = (change: Partial<SellingInput>) => {
    const { selling, currency } = ledger()
    const { basis, own, must, mustNot, leftOut } = selling
    const stated: SellingInput = {
      basis,
      own: own === null ? null : amountTyped(own, currency),
      must: must === null ? null : [...must],
      mustNot: [...mustNot],
      leftOut: [...leftOut],
      ...change,
    }
    return step(`/api/builds/${build.view!.id}/ledger/selling`, stated, 'valued so', { method: 'PUT' })
  }
  return { save, busy }
}
