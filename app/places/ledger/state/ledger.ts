import { toDecimal } from '#core/money/decimal'
import type { BuildView } from '#shared/builds/views'
import type { LedgerView } from '#shared/ledger/views'
import { request } from '~/utils/request'

/** The ledger of the build on the counter, and what is done in it; each action can be taken back from where it is told. */
export const useLedger = defineStore('ledger', {
  state: () => ({ view: null as LedgerView | null, failed: '' }),
  actions: {
    async load() {
      this.failed = ''
      this.take(await this.read())
    },
    async read(): Promise<{ view: LedgerView | null; failed: string }> {
      try {
        const path = `/api/builds/${useBuild().view!.id}/ledger`
        return { view: await request<LedgerView>(path), failed: '' }
      } catch (error) {
        return { view: null, failed: (error as Error).message }
      }
    },
    take({ view, failed }: { view: LedgerView | null; failed: string }) {
      this.view = view
      this.failed = failed
    },
    /** Everything anew, receipt and items in one moment: no button stands that is of the state before. */
    async reload(label = '') {
      const build = useBuild()
      const [view, read] = await Promise.all([
        request<BuildView>(`/api/builds/${build.view!.id}`),
        this.read(),
      ])
      build.take(view, label)
      this.take(read)
    },
    /** Does one thing and reads everything anew; answers the number of the action, by which it is taken back. */
    async post(path: string, body: object, label = '', method = 'POST'): Promise<number | null> {
      let done: number | null = null
      await request(path, { method, body, onAction: (action) => (done = action) })
      await this.reload(label)
      return done
    },
  },
})

/** One step in the ledger: it is told, and can be taken back by its own number, whatever else was done meanwhile. */
export function useLedgerStep() {
  const ledger = useLedger()
  const { run, busy } = useAction()
  const step = (path: string, body: object, message: string, { label = '', method = 'POST' } = {}) => {
    let done: number | null = null
    return run(async () => (done = await ledger.post(path, body, label, method)), {
      message,
      undo: async () => {
        if (done !== null) await ledger.post(`/api/ledger/actions/${done}/undo`, {})
      },
    })
  }
  return { step, busy }
}

/** An amount as a form takes it. */
export function amountTyped(amount: number, currency: string): string {
  return toDecimal(amount, currency)
}
