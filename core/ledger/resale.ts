import { resaleDefaults } from '../assumptions/groups/resale'
import { roundHalfAway } from '../money/decimal'
import { netResale } from '../supply/lots/splitLot'

/** A way to sell: its fee and what each sale costs besides. Amounts in minor units. */
export interface SellingTerms {
  readonly feePercent: number
  /** Shipping and packing of one parcel. */
  readonly shipping: number
}

export interface ResaleInput {
  /** Typical marks of the parts; a part without comps is left out and counted. */
  readonly parts: readonly { readonly id: string; readonly typical: number | null }[]
  /** What the machine has cost, all in. */
  readonly cost: number
  readonly hours: number
  readonly whole: SellingTerms
  readonly single: SellingTerms
  /** What a whole machine fetches over the sum of its parts. Default: `resale.wholeFactor`. */
  readonly wholeFactor?: number
  /** What machines like it typically went for; null or left out: none was sold. */
  readonly soldMachines?: number | null
  /** What the usual haggle takes off the ask, as a share. Default: `resale.haggleShare`. */
  readonly haggleShare?: number
  /** Chance that a part sells. Default: `resale.sells`. */
  readonly sells?: number
}

export interface ResaleSide {
  /** What buyers pay. */
  readonly gross: number
  /** After fees, shipping and the chance that it sells. */
  readonly net: number
  readonly profit: number
  /** Profit over cost, percent; null without cost. */
  readonly marginPercent: number | null
  /** Null without hours. */
  readonly perHour: number | null
}

export interface Resale {
  /** The factor and the haggle it was calculated with. */
  readonly wholeFactor: number
  readonly haggleShare: number
  /** By its parts, and by machines like it that were sold; null where none was. */
  readonly whole: ResaleSide & { readonly ask: number }
  readonly machines: (ResaleSide & { readonly ask: number }) | null
  readonly parting: ResaleSide
  readonly better: 'whole' | 'machines' | 'parting'
  /** Parts without a street price. */
  readonly unknown: readonly string[]
}

/**
 * Selling the machine as a whole against parting it out, docs/formulas.md (Lives and figures). Whole: Σ typical ·
 * factor, less the fee and one parcel. Parting out: each part's net resale, with the chance that it sells. The price
 * to ask is what the usual haggle brings down to the gross wanted. Sold machines like it are the better evidence of
 * what it fetches whole.
 *
 * @example parts at 200.00 and 150.00, cost 250.00, factor 0.9: whole 315.00, profit 65.00; machines sold at 340.00: 90.00
 */
export function resale({
  parts,
  cost,
  hours,
  whole,
  single,
  wholeFactor = resaleDefaults.wholeFactor,
  soldMachines = null,
  haggleShare = resaleDefaults.haggleShare,
  sells = resaleDefaults.sells,
}: ResaleInput): Resale {
  const known = parts.filter((part): part is { id: string; typical: number } => part.typical !== null)
  const sum = known.reduce((total, part) => total + part.typical, 0)
  const gross = roundHalfAway(sum * wholeFactor)
  const partsNet = known.reduce(
    (total, part) =>
      total +
      netResale({
        id: part.id,
        plan: 'resell',
        streetPrice: part.typical,
        feePercent: single.feePercent,
        shipping: single.shipping,
        sellsProbability: sells,
      }),
    0,
  )
  const side = (grossSide: number, net: number): ResaleSide => ({
    gross: grossSide,
    net,
    profit: net - cost,
    marginPercent: cost > 0 ? (100 * (net - cost)) / cost : null,
    perHour: hours > 0 ? roundHalfAway((net - cost) / hours) : null,
  })
  const asWhole = (price: number) => ({
    ...side(price, netOfSale(price, whole)),
    ask: askFor(price, haggleShare),
  })
  const sides = {
    whole: asWhole(gross),
    machines: soldMachines === null ? null : asWhole(soldMachines),
    parting: side(sum, partsNet),
  }
  const likely = sides.machines === null ? 'whole' : 'machines'
  return {
    wholeFactor,
    haggleShare,
    ...sides,
    better: sides[likely]!.net >= partsNet ? likely : 'parting',
    unknown: parts.filter((part) => part.typical === null).map((part) => part.id),
  }
}

/** What is left of the price of a machine after the fee and one parcel; never below zero. */
export function netOfSale(price: number, { feePercent, shipping }: SellingTerms): number {
  return Math.max(0, roundHalfAway(price * (1 - feePercent / 100)) - shipping)
}

/** The price to ask so that the usual haggle lands on a price. */
export function askFor(price: number, haggleShare: number): number {
  return roundHalfAway(price / (1 - haggleShare))
}

/** The formula in words, for its working. */
export const resaleFormula =
  'whole: price of similar PCs sold, or the sum of typical prices × the factor for ' +
  'selling whole, handed over in person; parted out: each part’s typical price minus ' +
  'auction fee and shipping, × the chance to sell'
