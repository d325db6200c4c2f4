import type { Part } from '../../parts/part'
import type { PowerDraw } from './powerDraw'

/** How large a supply the house wants. */
export type SupplyRule =
  | { readonly kind: 'factor'; readonly factor: number }
  | { readonly kind: 'twice' }
  | { readonly kind: 'minimum'; readonly watts: number }
  | { readonly kind: 'maker' }
export const defaultSupplyRule: SupplyRule = { kind: 'factor', factor: 1.5 }

export function supplyRuleText(rule: SupplyRule): string {
  if (rule.kind === 'factor') return `${rule.factor} × the sustained draw`
  if (rule.kind === 'twice') return 'twice the sustained draw'
  if (rule.kind === 'minimum') return `${rule.watts} W at least`
  return 'what the card’s maker asks for, else 1.5 × the sustained draw'
}

/** What a used supply still gives: 2 % a year off its rating after its fifth year, W. */
export function ratedNow(supply: Part, year: number): number {
  const { ratedW = 0, year: made } = supply.facts
  const past = made === undefined ? 0 : Math.max(0, year - made - 5)
  return ratedW * Math.max(0, 1 - 0.02 * past)
}

/** Watts the house rule wants of a supply. */
export function wattsWanted(rule: SupplyRule, draw: PowerDraw, parts: readonly Part[]): number {
  if (rule.kind === 'factor') return rule.factor * draw.sustained
  if (rule.kind === 'twice') return 2 * draw.sustained
  if (rule.kind === 'minimum') return rule.watts
  const asked = parts.flatMap((part) =>
    part.role === 'graphics' && part.facts.recommendedW !== undefined ? [part.facts.recommendedW] : [],
  )
  return asked.length > 0 ? Math.max(...asked) : 1.5 * draw.sustained
}
