import type { RivalParts } from '#core/comparison/components/rivalFacts'
import type { Need } from '#core/parts/part'

export interface RivalView {
  readonly id: string
  readonly kind: string
  readonly name: string
  readonly price: number
  readonly currency: string
  readonly taxPercent: number
  readonly shipping: number
  readonly brings: readonly Need[]
  readonly notStated: readonly string[]
  readonly cpuId: string | null
  readonly graphicsId: string | null
  readonly parts: Partial<Omit<RivalParts, 'cpuId' | 'graphicsId'>>
  readonly shippingStated: boolean
  readonly warrantyMonths: number | null
  readonly note: string
}
