/** The three marks of a street price, minor units. */
export interface Marks {
  readonly patient: number
  readonly typical: number
  readonly hurried: number
}

/**
 * The marks of several things together: sum of each mark times its quantity; null where one of them has none, since a
 * sum that leaves something out would look like a bargain.
 */
export function sumMarks(
  things: readonly { readonly marks: Marks | null; readonly quantity: number }[],
): Marks | null {
  const sum = { patient: 0, typical: 0, hurried: 0 }
  for (const { marks, quantity } of things) {
    if (!marks) return null
    for (const mark of ['patient', 'typical', 'hurried'] as const) sum[mark] += marks[mark] * quantity
  }
  return sum
}
