import { defineStore } from 'pinia'
import type { BuildView } from '#shared/builds/views'
import { toDecimal } from '#core/money/decimal'
import { request } from '~/utils/request'

export interface LastChange {
  readonly difference: number
  readonly label: string
}

/** The build on the counter: what the server calculated of it, and the actions that change it. */
export const useBuild = defineStore('build', {
  state: () => ({ view: null as BuildView | null, lastChange: null as LastChange | null }),
  actions: {
    async load(id: string) {
      if (this.view?.id !== id) this.view = null
      this.take(await request<BuildView>(`/api/builds/${id}`), '')
    },
    async choose(
      input: {
        kind: 'lead' | 'hunt' | 'owned'
        leadId?: string
        partId?: string
        shelfId?: string
        limit?: string | null
        scope?: string
      },
      label: string,
    ) {
      this.take(
        await request<BuildView>(`/api/builds/${this.view!.id}/machine/choices`, {
          method: 'POST',
          body: input,
        }),
        label,
      )
    },
    /** Pays one choice by itself, at what it costs now. */
    async pay(id: string, cost: number, label: string) {
      const { today, currency } = this.view!
      this.take(
        await request<BuildView>(`/api/ledger/choices/${id}/pay`, {
          method: 'POST',
          body: { day: today, amount: toDecimal(cost, currency) },
        }),
        label,
      )
    },
    async changeChoice(id: string, change: object, label: string) {
      this.take(
        await request<BuildView>(`/api/machine/choices/${id}?in=${this.view!.id}`, {
          method: 'PATCH',
          body: change,
        }),
        label,
      )
    },
    async takeOut(id: string, label: string) {
      this.take(
        await request<BuildView>(`/api/machine/choices/${id}?in=${this.view!.id}`, { method: 'DELETE' }),
        label,
      )
    },
    async putBack(id: string, label: string) {
      this.take(
        await request<BuildView>(`/api/machine/choices/${id}/restore?in=${this.view!.id}`, {
          method: 'POST',
        }),
        label,
      )
    },
    async setRivals(rivals: readonly string[]) {
      this.take(
        await request<BuildView>(`/api/builds/${this.view!.id}/scales/rivals`, {
          method: 'PUT',
          body: { rivals },
        }),
        '',
      )
    },
    /** Takes a newly calculated build and remembers by how much it moved. */
    take(next: BuildView, label: string) {
      const { payNow } = next.receipt.totals
      const before = this.view?.id === next.id ? this.view.receipt.totals.payNow : payNow
      const difference = payNow === null || before === null ? 0 : payNow - before
      if (difference !== 0) this.lastChange = { difference, label }
      else if (this.view?.id !== next.id) this.lastChange = null
      this.view = next
    },
  },
})
