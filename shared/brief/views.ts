/** The Brief's live line. */
export interface CapView {
  readonly cap: number
  readonly currency: string
  /** Set aside for what the brief needs beyond the machine. */
  readonly needs: number
  readonly splits: readonly CapSplitView[]
  readonly problem: string
}

export interface CapSplitView {
  readonly base: {
    readonly name: string
    readonly price: number
    readonly parts: readonly { readonly name: string; readonly price: number }[]
  }
  readonly card: { readonly name: string; readonly price: number }
  readonly supply: { readonly name: string; readonly price: number } | null
  readonly total: number
  readonly left: number
  readonly weakest: number
  readonly weakestTarget: string
}
