import type { PlanProblem } from './problem'
import type { Row, Term } from './rows'

/** What the rows of dearer baskets are written into. */
interface Into {
  readonly row: Row
  /** Terms of what is paid, expected and taken to own, by their order. */
  takes(order: string | null, pay: readonly Term[], cost: readonly Term[], own?: readonly Term[]): void
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
  for (const [index, { order, among, basket, pay, cost, own = 0 }] of dearer.entries()) {
    const inBasket = new Set(basket)
    const terms = among.flatMap((id): Term[] =>
      at.has(id) ? [[inBasket.has(id) ? -1 : 1, taken(at.get(id)!)]] : [],
    )
    const name = `e${index}`
    row([[1, name], ...terms], '>=', 1 - basket.length)
    takes(order, [[pay, name]], [[cost, name]], [[own, name]])
  }
}

/** A trip is driven, and paid once, where one of its ways is taken. */
export function rowsOfTrips(
  { trips = [], ways }: PlanProblem,
  taken: (way: number) => string,
  { row, takes }: Into,
): void {
  const at = new Map(ways.map(({ id }, index) => [id, index]))
  for (const [index, { ways: fetched, cash }] of trips.entries()) {
    const name = `t${index}`
    for (const id of fetched)
      if (at.has(id))
        row(
          [
            [1, name],
            [-1, taken(at.get(id)!)],
          ],
          '>=',
          0,
        )
    takes(null, [[cash, name]], [[cash, name]])
  }
}

/** Where three of the parts stand together, the machine takes so much more to own. The terms of that. */
export function rowsOfCostly(
  { costly = [] }: PlanProblem,
  usedOf: (partId: string) => readonly Term[],
  row: Row,
): Term[] {
  const names = [...new Set(costly.map(({ pair }) => pair))]
  for (const { pair, parts, more } of costly) {
    const used = parts.flatMap(usedOf).map(([factor, variable]): Term => [-more * factor, variable])
    row([[1, `w${names.indexOf(pair)}`], ...used], '>=', -2 * more)
  }
  return names.map((_, index): Term => [1, `w${index}`])
}

/** Where too many of the parts stand together, the frames of the pair are so much less. The terms of the objective. */
export function rowsOfSlower(
  { slower = [] }: PlanProblem,
  usedOf: (partId: string) => readonly Term[],
  row: Row,
): Term[] {
  const names = [...new Set(slower.map(({ pair }) => pair))]
  for (const { pair, parts, most, loss } of slower) {
    const used = parts.flatMap(usedOf).map(([factor, variable]): Term => [-loss * factor, variable])
    row([[1, `f${names.indexOf(pair)}`], ...used], '>=', -loss * most)
  }
  return names.map((_, index): Term => [-1, `f${index}`])
}
