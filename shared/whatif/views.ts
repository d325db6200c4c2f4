import type { ReceiptFigure } from '#core/whatif/difference'
import type { BuildView } from '../builds/views'
import type { FindingView } from '../machine/views'

/** What a build comes to: members of its own view. */
export interface Outcome extends Pick<BuildView, 'receipt' | 'targets' | 'emptyRoles' | 'carts'> {
  readonly account: BuildView['receipt']['account']
  readonly findings: BuildView['fit']['findings']
  readonly cannotCheck: BuildView['fit']['cannotCheck']
  readonly waits: BuildView['hunts']
  /** What comes along of chosen lots and may be sold on, in minor units of the build's currency. */
  readonly leftovers: number
}

/** What changes of a build would come to; nothing is written. */
export interface WhatIf {
  readonly before: Outcome
  /** Null where it was refused. */
  readonly after: Outcome | null
  /** Null where not known. */
  readonly difference:
    (Readonly<Record<ReceiptFigure, number | null>> & { readonly leftovers: number }) | null
  readonly comes: readonly FindingView[]
  readonly goes: readonly FindingView[]
  /** Of each target, average frames; null where not known. */
  readonly frames: readonly {
    readonly name: string
    readonly before: number | null
    readonly after: number | null
  }[]
  /** Where what it is weighed by changes: how it is weighed before and after. */
  readonly weighing?: {
    readonly before: BuildView['weighing']
    readonly after: BuildView['weighing']
  }
  readonly refused: { readonly code: string; readonly message: string; readonly path: string } | null
}
