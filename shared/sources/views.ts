import type { PollReport } from './polls'
import type { Meanings } from './schemas'

export interface SourceView {
  readonly id: string
  readonly name: string
  readonly kind: string
  readonly currency: string
  readonly taxPercent: number
  readonly taxOnShipping: boolean
  readonly shippingKind: string
  readonly shippingAmount: number
  readonly shippingFreeFrom: number | null
  readonly paymentFeePercent: number
  readonly sellerFeePercent: number
  readonly protection: string
  readonly note: string
  readonly meanings: Meanings | null
}

export interface PollView extends PollReport {
  readonly id: number
  readonly startedAt: string
  readonly finishedAt: string | null
  readonly outcome: 'running' | 'done' | 'failed' | 'cut-short'
  readonly message: string
}

export interface ConnectorView {
  readonly id: string
  readonly sourceId: string
  readonly sourceName: string
  readonly kind: 'sold-csv' | 'lead-feed' | 'shop-csv'
  readonly url: string
  readonly everyMinutes: number
  readonly allowPrivate: boolean
  readonly paused: boolean
  readonly failures: number
  readonly dueAt: string
  readonly polls: readonly PollView[]
}
