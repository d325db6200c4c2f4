import { addDays, daysBetween } from '../core/time/calendarDate'
import { catalogue, type CataloguePart } from '../demo/catalogue'
import { chance as makeChance, type Chance } from '../demo/random'
import { oneRecord, type SoldRow } from '../demo/soldRecords'
import { pricesOf, shopItems, type ShopItem, type ShopRow } from '../demo/shopPrices'
import { title } from '../demo/titles'

/** A thing on offer at one of the made-up sources. Asks in whole CAD. */
export interface Listing {
  readonly id: string
  readonly source: 'barnstall' | 'gavelry' | 'second-socket'
  readonly title: string
  readonly parts: readonly CataloguePart[]
  ask: number
  readonly listedOn: string
  /** Day an auction ends. */
  readonly endsOn: string | null
  readonly place: string | null
  readonly condition: 'used' | 'refurbished' | 'damaged'
  goneOn: string | null
}

/** What happened on the last day, for the simulation's own page. */
export interface DayNews {
  readonly listed: number
  readonly dropped: number
  readonly vanished: number
  readonly sold: number
  readonly onSale: number
}

const places = ['Marrow Quay', 'Lower Quay', 'Fennel Hill', 'Saltings', 'Orchard End']
const listingsADay = { barnstall: 9, gavelry: 8, 'second-socket': 3 } as const
const salesADay = 58
/** Parts the demo's builds hunt for come up a little more often, as they do when somebody looks. */
const lookedFor = new Set([
  'murrowdun-tarn-640-8-gb',
  'ostrane-threddle-53',
  'northpine-n4-full',
  'sundrel-stook-41-6-gb',
  'sundrel-stook-31-6-gb',
  'northpine-n2-micro',
])

/**
 * The made-up sources of the demo from its day on: each day brings new listings, price drops, vanished listings, sales
 * and sale weeks. The same seed and day always give the same market.
 */
export class StandInMarket {
  readonly listings: Listing[] = []
  readonly sold: SoldRow[] = []
  private readonly items: readonly ShopItem[]
  private readonly weights: readonly (readonly [CataloguePart, number])[]
  private day: string
  news: DayNews = { listed: 0, dropped: 0, vanished: 0, sold: 0, onSale: 0 }

  constructor(
    private readonly seed: number,
    private readonly firstDay: string,
    shopSeed: number,
  ) {
    this.day = firstDay
    this.items = shopItems(shopSeed)
    this.weights = catalogue
      .filter((part) => part.sales > 0)
      .map((part) => [part, part.sales * (lookedFor.has(part.id) ? 3 : 1)] as const)
  }

  get today(): string {
    return this.day
  }

  /** Plays day after day until the given one. */
  playTo(day: string): void {
    while (this.day < day) this.nextDay()
  }

  nextDay(): void {
    this.day = addDays(this.day, 1)
    const number = daysBetween(this.firstDay, this.day)
    const chance = makeChance(this.seed * 4001 + number)
    const dropped = this.lowerAsks(chance)
    const vanished = this.takeAway(chance)
    const endedAuctions = this.endAuctions(number, chance)
    let listed = 0
    for (const source of ['barnstall', 'gavelry', 'second-socket'] as const) {
      const count = listingsADay[source] + chance.whole(-2, 2)
      for (let index = 0; index < count; index += 1)
        this.listings.push(
          this.newListing(
            source,
            `${source.slice(0, 1).toUpperCase()}${20_000 + number * 100 + index}`,
            chance,
          ),
        )
      listed += count
    }
    const sales = salesADay + chance.whole(-12, 12)
    for (let index = 0; index < sales; index += 1)
      this.sold.push(
        oneRecord(chance.weighted(this.weights), 200_000 + number * 500 + index, -number, chance),
      )
    this.news = {
      listed,
      dropped,
      vanished,
      sold: sales + endedAuctions,
      onSale: this.items.filter((item) => item.priceAt(-number) < item.priceAt(-number - 12) - 1).length,
    }
  }

  private lowerAsks(chance: Chance): number {
    let count = 0
    for (const listing of this.open('barnstall')) {
      if (daysBetween(listing.listedOn, this.day) < 3 || !chance.happens(0.12)) continue
      listing.ask = Math.max(3, Math.round(listing.ask * (0.86 + chance.share() * 0.09)))
      count += 1
    }
    return count
  }

  private takeAway(chance: Chance): number {
    let count = 0
    for (const listing of [...this.open('barnstall'), ...this.open('second-socket')]) {
      const isCheap = listing.ask < worthOf(listing.parts)
      if (listing.listedOn === this.day || !chance.happens(isCheap ? 0.14 : 0.05)) continue
      listing.goneOn = this.day
      count += 1
    }
    return count
  }

  /** An auction that ends is sold near what the part is worth, whatever its first ask was. */
  private endAuctions(number: number, chance: Chance): number {
    let count = 0
    for (const listing of this.open('gavelry')) {
      if (listing.endsOn === null || listing.endsOn >= this.day) continue
      listing.goneOn = this.day
      const [part] = listing.parts
      if (!part || listing.parts.length > 1) continue
      const sale = oneRecord(part, 900_000 + number * 50 + count, -number, chance)
      this.sold.push({
        ...sale,
        id: `A${listing.id}`,
        source: 'Gavelry',
        title: listing.title,
        manner: 'auction',
        condition: 'used',
        currency: 'CAD',
        shipping: '9.50',
        price: Math.max(2, part.street * Math.exp(chance.normal() * 0.1)).toFixed(2),
        quantity: '',
      })
      count += 1
    }
    return count
  }

  private newListing(source: Listing['source'], id: string, chance: Chance): Listing {
    const part = chance.weighted(this.weights)
    const isLot = source === 'barnstall' && chance.happens(0.1)
    const others = isLot
      ? [chance.weighted(this.weights), chance.weighted(this.weights)].filter((each) => each.id !== part.id)
      : []
    const parts = [part, ...others]
    const broken = !isLot && chance.happens(0.06)
    const level =
      source === 'second-socket'
        ? 1.1 + chance.share() * 0.08
        : source === 'gavelry'
          ? 0.78 + chance.share() * 0.34
          : 0.82 + chance.share() * 0.45
    return {
      id,
      source,
      parts,
      title: isLot
        ? `Lot: ${parts.map((each) => each.name).join(' + ')}`
        : title(part, broken ? 'broken' : 'clean', chance),
      ask: Math.max(3, Math.round(worthOf(parts) * level * (isLot ? 0.8 : 1) * (broken ? 0.4 : 1))),
      listedOn: this.day,
      endsOn: source === 'gavelry' ? addDays(this.day, chance.whole(3, 7)) : null,
      place: source === 'barnstall' ? chance.pick(places) : null,
      condition: broken ? 'damaged' : source === 'second-socket' ? 'refurbished' : 'used',
      goneOn: null,
    }
  }

  /** Listings of a source that stand today, newest first. */
  open(source: Listing['source']): Listing[] {
    return this.listings.filter((listing) => listing.source === source && listing.goneOn === null).reverse()
  }

  find(id: string): Listing | undefined {
    return this.listings.find((listing) => listing.id === id)
  }

  /** A shop's prices since the first day. */
  shopPrices(shop: string): ShopRow[] {
    const days = daysBetween(this.firstDay, this.day)
    return this.items
      .filter((item) => item.shop === shop)
      .flatMap((item) => pricesOf(item, 0, -days))
      .filter((row) => row.date > this.firstDay)
  }
}

function worthOf(parts: readonly CataloguePart[]): number {
  return parts.reduce((sum, part) => sum + part.street, 0)
}
