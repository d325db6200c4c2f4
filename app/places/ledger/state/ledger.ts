import { toDecimal } from '#core/money/decimal'
import type { BuildView } from '#shared/builds/views'
import type { ItemView, LedgerView } from '#shared/ledger/views'
import { request } from '~/utils/request'

/** The ledger of the build on the counter, and what is done in it; each action can be taken back from where it is told. */
export const useLedger = defineStore('ledger', {
  state: () => ({ view: null as LedgerView | null, failed: '' }),
  actions: {
    async load() {
      const build = useBuild()
      this.failed = ''
      this.view = await request<LedgerView>(`/api/builds/${build.view!.id}/ledger`).catch((error: Error) => {
        this.failed = error.message
        return null
      })
    },
    /** Everything anew: what was done here shows on every screen. */
    async reload(label = '') {
      const build = useBuild()
      const id = build.view!.id
      build.take(await request<BuildView>(`/api/builds/${id}`), label)
      await this.load()
    },
    async post(path: string, body: object, label = '') {
      await request(path, { method: 'POST', body })
      await this.reload(label)
    },
    stepItem(item: Pick<ItemView, 'id' | 'name'>, step: string, body: object) {
      return this.post(`/api/ledger/items/${item.id}/${step}`, body, item.name)
    },
    async undoLast() {
      const last = this.view?.actions.find((each) => !each.isUndone)
      if (last) await this.post(`/api/ledger/actions/${last.id}/undo`, {})
    },
  },
})

/** An amount as a form takes it. */
export function amountTyped(amount: number, currency: string): string {
  return toDecimal(amount, currency)
}
