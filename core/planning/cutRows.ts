import type { PlanProblem } from './problem'
import type { Row, Term } from './rows'

/** What the rows of dearer baskets are written into. */
interface Into {
  readonly row: Row
  /** Terms of what is paid and expected, by their order. */
  takes(order: string | null, pay: readonly Term[], cost: readonly Term[]): void
}

/**
 * Where exactly a basket is taken of the ways it is among, so much more is paid and expected: a variable above zero
 * that reaches one for that basket and zero for any other.
 */
export function rowsOfDearer(
  { dearer = [], ways }: PlanProblem,
  taken: (way: number) => string,
  { row, takes }: Into,
): void {
  const at = new Map(ways.map(({ id }, index) => [id, index]))
  for (const [index, { among, basket, pay, cost }] of dearer.entries()) {
    const inBasket = new Set(basket)
    const terms = among.flatMap((id): Term[] =>
      at.has(id) ? [[inBasket.has(id) ? -1 : 1, taken(at.get(id)!)]] : [],
    )
    const name = `e${index}`
    row([[1, name], ...terms], '>=', 1 - basket.length)
    const { source, order } = ways[at.get(basket[0]!)!]!
    takes(source ?? order ?? null, [[pay, name]], [[cost, name]])
  }
}

/** Where too many of the parts stand together, the frames of the pair are so much less. The terms of the objective. */
export function rowsOfSlower(
  { slower = [] }: PlanProblem,
  usedOf: (partId: string) => readonly Term[],
  row: Row,
): Term[] {
  return slower.map(({ parts, most, loss }, index): Term => {
    const name = `f${index}`
    const used = parts.flatMap(usedOf).map(([factor, variable]): Term => [-loss * factor, variable])
    row([[1, name], ...used], '>=', -loss * most)
    return [-1, name]
  })
}
