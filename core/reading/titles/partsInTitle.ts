import type { CalendarDate } from '../../time/calendarDate'
import type { PartQuery } from './queryForPart'
import { Sieve } from './sieve'
import type { SoldRecord } from '../sales/soldRecord'

/** What a title is read to offer. */
export interface TitleMatch {
  readonly partIds: readonly string[]
  /** One part and no doubt; several things; the title fits several parts, of which the builder must choose; nothing known. */
  readonly kind: 'single' | 'lot' | 'unclear' | 'unknown'
  /** Whether the title says that it is damaged or untested. */
  readonly damaged: boolean
}

/**
 * Reads which parts of the library a listing's title offers, by the price queries of the parts: the sieve that decides
 * what counts as a sale of a part decides here what is offered. A title that names several parts and reads as a lot
 * gives them all.
 */
export class TitleReader {
  private readonly sieves: readonly { readonly partId: string; readonly plain: Sieve; readonly any: Sieve }[]

  constructor(
    queries: ReadonlyMap<string, PartQuery>,
    private readonly today: CalendarDate,
  ) {
    const every = {
      asOf: today,
      currency: 'USD',
      windowDays: 1,
      conditions: ['new', 'opened', 'refurbished', 'used'],
      manners: ['auction', 'fixed', 'local'],
    } as const
    this.sieves = [...queries].map(([partId, query]) => ({
      partId,
      plain: new Sieve({ ...query, ...every }),
      // with damage accepted, sisters forgiven and makes open: is the part named at all?
      any: new Sieve({ ...query, ...every, conditions: [...every.conditions, 'damaged'] }),
    }))
  }

  read(title: string): TitleMatch {
    const record: SoldRecord = {
      id: '',
      source: '',
      title,
      price: 1,
      shipping: 0,
      currency: 'USD',
      soldOn: this.today,
      manner: 'fixed',
      condition: 'used',
    }
    const fair: string[] = []
    const broken: string[] = []
    const inLot: string[] = []
    for (const { partId, plain, any } of this.sieves) {
      const verdict = plain.judge(record)
      if (verdict === null) fair.push(partId)
      else if (verdict.reason === 'lot') inLot.push(partId)
      else if (verdict.reason === 'condition') {
        const despite = any.judge(record)
        if (despite === null) broken.push(partId)
        else if (despite.reason === 'lot') inLot.push(partId)
      }
    }
    if (fair.length === 1 && inLot.length === 0) return { partIds: fair, kind: 'single', damaged: false }
    if (fair.length === 0 && inLot.length === 0 && broken.length === 1)
      return { partIds: broken, kind: 'single', damaged: true }
    if (inLot.length > 0) return { partIds: [...inLot, ...fair], kind: 'lot', damaged: broken.length > 0 }
    const some = [...fair, ...broken]
    return { partIds: some, kind: some.length === 0 ? 'unknown' : 'unclear', damaged: broken.length > 0 }
  }
}
