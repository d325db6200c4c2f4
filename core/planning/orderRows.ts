import type { PlanProblem } from './problem'
import type { Row, Term } from './rows'

/** Rounding half away from zero, with room for the solver's own tolerance. */
const half = 0.5 - 0.0001
/** What the rows of an order are written into. */
export interface OrderParts {
  readonly row: Row
  readonly binaries: Set<string>
  readonly integers: Set<string>
  readonly bounds: string[]
  readonly cost: Term[]
  readonly pay: Term[]
  taken(way: number): string
}

/** A mode of an order: what its code takes off, and whether shipping is free, over a range of what is spent. */
interface Mode {
  readonly name: string
  /** Discount as percent of the spend, or fixed; `all`: as much as is spent. */
  readonly discount: { readonly percent: number } | { readonly fixed: number } | 'all'
  readonly low: number
  readonly high: number
  readonly isFree: boolean
}

/** One order a source: its spend lies in exactly one mode, or there is none. */
export function orderRows(problem: PlanProblem, id: string, name: string, parts: OrderParts): void {
  const { row, binaries, integers, cost, pay, taken } = parts
  const source = problem.sources.get(id)!
  const own = problem.ways.map((way, at) => ({ way, at })).filter(({ way }) => way.source === id)
  if (own.length === 0) return
  const most = own.reduce((sum, { way }) => sum + way.price, 0)
  const spend = own.map(({ way, at }): Term => [way.price, taken(at)])
  const modes = modesOf(problem, id, most)
  const on = `${name}o`
  binaries.add(on)
  for (const { at } of own) row({ [taken(at)]: 1, [on]: -1 }, '<=', 0)
  row([...own.map(({ at }): Term => [1, taken(at)]), [-1, on]], '>=', 0)
  row([...modes.map((mode): Term => [1, `${name}m${mode.name}`]), [-1, on]], '=', 0)
  const split: Term[] = []
  const left: Term[] = []
  const taxed: Term[] = []
  for (const mode of modes) {
    const [m, s, d] = [`${name}m${mode.name}`, `${name}s${mode.name}`, `${name}d${mode.name}`]
    binaries.add(m)
    split.push([1, s])
    row({ [s]: 1, [m]: -mode.low }, '>=', 0)
    row({ [s]: 1, [m]: -mode.high }, '<=', 0)
    left.push([1, s])
    if (mode.discount === 'all') left.push([-1, s])
    else if ('fixed' in mode.discount) left.push([-mode.discount.fixed, m])
    else {
      // rounded once, half away from zero
      integers.add(d)
      const share = mode.discount.percent / 100
      row({ [d]: 1, [s]: -share, [m]: -0.5 }, '<=', 0)
      row({ [d]: 1, [s]: -share, [m]: half }, '>=', 0)
      row({ [d]: 1, [m]: -mode.high }, '<=', 0)
      left.push([-1, d])
    }
    if (source.freeFrom !== null) {
      // free from the threshold on, on what the code leaves
      const after: Term[] =
        mode.discount === 'all'
          ? []
          : 'fixed' in mode.discount
            ? [
                [1, s],
                [-mode.discount.fixed, m],
              ]
            : [
                [1, s],
                [-1, d],
              ]
      if (mode.isFree) row([...after, [-source.freeFrom, m]], '>=', 0)
      else row([...after, [-(source.freeFrom - 1), m]], '<=', 0)
    }
    if (!mode.isFree) {
      cost.push([source.shipping, m])
      pay.push([source.shipping, m])
      if (source.taxOnShipping) taxed.push([source.shipping, m])
    }
  }
  row([...split, ...spend.map(([factor, variable]): Term => [-factor, variable])], '=', 0)
  cost.push(...left)
  pay.push(...left)
  if (source.taxPercent === 0) return
  const tax = `${name}t`
  integers.add(tax)
  const rate = source.taxPercent / 100
  row(
    [
      [1, tax],
      ...[...left, ...taxed].map(([factor, variable]): Term => [-rate * factor, variable]),
      [half, on],
    ],
    '>=',
    0,
  )
  cost.push([1, tax])
  pay.push([1, tax])
}

function modesOf({ sources, codes }: PlanProblem, id: string, most: number): Mode[] {
  const { freeFrom } = sources.get(id)!
  const code = codes.get(id)
  const shippings = freeFrom === null ? [false] : [false, true]
  const discounts: (Omit<Mode, 'isFree' | 'name'> & { readonly name: string })[] = [
    { name: 'n', discount: { percent: 0 }, low: 0, high: most },
  ]
  if (code) {
    const from = code.minSpend ?? 0
    const cap = code.cap ?? Infinity
    if (code.kind === 'fixed') {
      const value = Math.min(code.value, cap)
      if (value > from) discounts.push({ name: 'a', discount: 'all', low: from, high: Math.min(most, value) })
      discounts.push({ name: 'f', discount: { fixed: value }, low: Math.max(from, value), high: most })
    } else {
      // below its cap, and at it
      const atCap =
        cap === Infinity || code.value === 0 ? Infinity : Math.ceil(((cap - 0.5) * 100) / code.value)
      if (from < atCap)
        discounts.push({
          name: 'p',
          discount: { percent: code.value },
          low: from,
          high: Math.min(most, atCap === Infinity ? most : atCap - 1),
        })
      if (atCap <= most)
        discounts.push({ name: 'c', discount: { fixed: cap }, low: Math.max(from, atCap), high: most })
    }
  }
  return shippings.flatMap((isFree) =>
    discounts
      .filter(({ low, high }) => low <= high)
      .map((discount) => ({ ...discount, name: `${discount.name}${isFree ? 'f' : 'p'}`, isFree })),
  )
}
