import { chanceWithin, type PriceFlow } from './patience'

/**
 * The patience curve: chance of buying within `days` at evenly spaced pay-up-to prices from the lowest to the highest
 * comp, whole minor units. Empty without comps; one point where all comps cost the same.
 */
export function patienceCurve(
  flow: PriceFlow,
  days: number,
  steps = 24,
): { readonly price: number; readonly chance: number }[] {
  const { prices } = flow
  if (prices.length === 0) return []
  const [low, high] = [prices[0]!, prices[prices.length - 1]!]
  if (low === high) return [{ price: low, chance: chanceWithin(flow, low, days) }]
  return Array.from({ length: steps + 1 }, (_, step) => {
    const price = Math.round(low + ((high - low) * step) / steps)
    return { price, chance: chanceWithin(flow, price, days) }
  })
}
