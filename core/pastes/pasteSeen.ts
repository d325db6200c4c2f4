import type { Part } from '../parts/part'
import { readAsks, type AsksRead } from '../reading/asks/readAsks'
import type { OfferContext } from '../reading/listings/offer'
import { readSales } from '../reading/sales/readSales'
import type { SalesContext, SalesRead } from '../reading/sales/saleRead'
import { readScores, type ScoresRead } from '../reading/scores/readScores'
import type { SpecRead } from '../reading/specs/readSpec'
import { specsIn } from '../reading/specs/specsIn'
import { TitleReader } from '../reading/titles/partsInTitle'
import { queryForPart } from '../reading/titles/queryForPart'

/** What is said with a paste, and the parts that its names may mean. */
export interface PasteContext extends SalesContext {
  readonly library: readonly Part[]
}

/** A paste as every kind of it looks at it: each reader is run once, and only where somebody asks for it. */
export class PasteSeen {
  /** Without the space around it. */
  readonly plain: string
  readonly #kept = new Map<string, unknown>()

  constructor(
    readonly text: string,
    readonly context: PasteContext,
  ) {
    this.plain = text.trim()
  }

  get sales(): SalesRead {
    return this.#once('sales', () => readSales(this.text, this.context))
  }
  get asks(): AsksRead {
    return this.#once('asks', () => readAsks(this.text, this.context))
  }
  get scores(): ScoresRead {
    return this.#once('scores', () => readScores(this.text))
  }
  get specs(): readonly SpecRead[] {
    return this.#once('specs', () => specsIn(this.text))
  }
  /** Most facts that one specification of it states. */
  get stated(): number {
    return this.specs.reduce((most, { facts }) => Math.max(most, Object.keys(facts).length), 0)
  }
  /** Reads titles by the queries of the library; open parts have none. */
  get reader(): TitleReader {
    return this.#once('reader', () => {
      const named = this.context.library.filter(({ open }) => open !== true)
      return new TitleReader(
        new Map(named.map((part) => [part.id, queryForPart(part, named)])),
        this.context.today,
      )
    })
  }
  get offer(): OfferContext {
    return { ...this.context, reader: this.reader }
  }

  #once<T>(name: string, read: () => T): T {
    if (!this.#kept.has(name)) this.#kept.set(name, read())
    return this.#kept.get(name) as T
  }
}
