import type { ExchangeRate } from '../../money/rates'
import type { Grade } from '../street/grade'
import type { PriceQuery } from '../../reading/titles/priceQuery'
import {
  conditions as allConditions,
  manners as allManners,
  type SoldRecord,
} from '../../reading/sales/soldRecord'
import { streetPrice, type Override } from '../street/streetPrice'

/** A change to a query that lets more records count, and what comes of it. */
export interface Loosening {
  readonly change: string
  readonly query: Partial<Pick<PriceQuery, 'windowDays' | 'conditions' | 'manners' | 'makes'>>
  /** Records kept with the change, and how many more that is. */
  readonly kept: number
  readonly more: number
  readonly grade: Grade
  readonly typical: number | null
}

/** Ways to loosen a query, each tried alone; those that bring nothing are left out, what brings most comes first. */
export function waysToLoosen(
  query: PriceQuery,
  records: readonly SoldRecord[],
  keptNow: number,
  options: { rates: readonly ExchangeRate[]; overrides?: Readonly<Record<string, Override>> },
): Loosening[] {
  const tries: { change: string; query: Loosening['query'] }[] = [
    { change: `look back ${query.windowDays * 2} days`, query: { windowDays: query.windowDays * 2 } },
    ...allConditions
      .filter((each) => each !== 'damaged' && !query.conditions.includes(each))
      .map((each) => ({ change: `accept ${each}`, query: { conditions: [...query.conditions, each] } })),
    ...allManners
      .filter((each) => !query.manners.includes(each))
      .map((each) => ({ change: `accept sale type ${each}`, query: { manners: [...query.manners, each] } })),
    ...((query.makes?.length ?? 0) > 0 ? [{ change: 'accept any brand', query: { makes: [] } }] : []),
  ]
  return tries
    .map((each) => {
      const { kept, grade, marks } = streetPrice({ ...query, ...each.query }, records, {
        ...options,
        missingRate: 'drop',
      })
      return {
        ...each,
        kept: kept.length,
        more: kept.length - keptNow,
        grade,
        typical: marks?.typical ?? null,
      }
    })
    .filter((each) => each.more > 0)
    .sort((a, b) => b.more - a.more)
}
