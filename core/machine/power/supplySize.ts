import type { Part } from '../../parts/part'
import { powerDefaults, type PowerAssumptions } from '../../assumptions/groups/power'
import type { PowerDraw } from './powerDraw'

/** How large a supply must be. */
export type SupplyRule =
  | { readonly kind: 'factor'; readonly factor: number }
  | { readonly kind: 'twice' }
  | { readonly kind: 'minimum'; readonly watts: number }
  | { readonly kind: 'maker' }

/** The rule where the builder has set none: the assumed factor on the sustained draw. */
export function supplyRuleOf({ supplyFactor }: PowerAssumptions): SupplyRule {
  return { kind: 'factor', factor: supplyFactor }
}

export const defaultSupplyRule: SupplyRule = supplyRuleOf(powerDefaults)

/** Below so many times the sustained draw a supply needs another, whatever the rule. */
export const leastOverDraw = 1.15

/** Whether a rule is the usual one, which nobody has set. */
export const isUsualRule = (rule: SupplyRule, { supplyFactor }: PowerAssumptions): boolean =>
  rule.kind === 'factor' && rule.factor === supplyFactor

export function supplyRuleText(rule: SupplyRule, power: PowerAssumptions = powerDefaults): string {
  if (rule.kind === 'factor') return `${rule.factor} × the sustained draw`
  if (rule.kind === 'twice') return 'twice the sustained draw'
  if (rule.kind === 'minimum') return `at least ${rule.watts} W`
  return `the GPU maker’s recommendation, or ${power.supplyFactor} × the sustained draw`
}

/** What a supply is still rated for at its age, W: by default 2 % a year off after its fifth year. */
export function ratedNow(supply: Part, year: number, power: PowerAssumptions = powerDefaults): number {
  const { ratedW = 0, year: made } = supply.facts
  const past = made === undefined ? 0 : Math.max(0, year - made - power.ageingFromYear)
  return ratedW * Math.max(0, 1 - power.ageingPerYear * past)
}

/** Watts that the rule for the size of a supply asks for. */
export function wattsWanted(
  rule: SupplyRule,
  draw: PowerDraw,
  parts: readonly Part[],
  power: PowerAssumptions = powerDefaults,
): number {
  if (rule.kind === 'factor') return rule.factor * draw.sustained
  if (rule.kind === 'twice') return 2 * draw.sustained
  if (rule.kind === 'minimum') return rule.watts
  const asked = parts.flatMap((part) =>
    part.role === 'graphics' && part.facts.recommendedW !== undefined ? [part.facts.recommendedW] : [],
  )
  return asked.length > 0 ? Math.max(...asked) : power.supplyFactor * draw.sustained
}
