/** Where a figure comes from; each has its word on screen. */
export const figureKinds = {
  measured: 'measured',
  record: 'sold record',
  lead: 'lead',
  stated: 'stated by seller',
  estimate: 'estimate',
  assumption: 'assumption',
  own: 'yours',
  sum: 'calculated',
} as const
export type FigureKind = keyof typeof figureKinds

export interface WorkingLine {
  readonly label: string
  readonly value: string
  readonly kind: FigureKind
  readonly note?: string
}

/** How a figure came about: what every underlined figure opens. */
export interface Working {
  readonly title: string
  readonly result: string
  /** The formula in words. */
  readonly formula: string
  readonly lines: readonly WorkingLine[]
  /** What the builder may change, and where. */
  readonly change?: string
}
