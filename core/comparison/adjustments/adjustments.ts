import { energy } from './rules/energy'
import { extras } from './rules/extras'
import { faults } from './rules/faults'
import { games } from './rules/games'
import { hours } from './rules/hours'
import { lackingNeeds } from './rules/needs'
import { price } from './rules/price'
import { shipping } from './rules/shipping'
import { subscription } from './rules/subscription'
import { tax } from './rules/tax'
import { valueLeft } from './rules/valueLeft'
import type { StepRule } from './adjustment'

/** The steps of the waterfall, in its order: from what the seller asks to what it takes to own. */
export const likeForLikeSteps: readonly StepRule[] = [
  price,
  tax,
  shipping,
  ...lackingNeeds,
  extras,
  faults,
  hours,
  energy,
  subscription,
  games,
  valueLeft,
]

/** Steps that are paid before the machine is used: what the others come to over the years. */
export const outlaySteps: ReadonlySet<string> = new Set(
  [price, tax, shipping, ...lackingNeeds].map((rule) => rule.id),
)
