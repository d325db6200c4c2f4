/** The three marks of a street price, each a weighted quantile of the comps. */
export const markQuantiles = { patient: 0.2, typical: 0.5, hurried: 0.8 } as const
export type Mark = keyof typeof markQuantiles
export const marks = Object.keys(markQuantiles) as Mark[]

/** How a mark is called on screen: what one pays with patience, usually, or to have it quickly. */
export const markNames: Readonly<Record<Mark, string>> = {
  patient: 'patient',
  typical: 'typical',
  hurried: 'quick',
}
