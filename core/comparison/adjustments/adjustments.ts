import { energy } from './steps/energy'
import { extras } from './steps/extras'
import { faults } from './steps/faults'
import { games } from './steps/games'
import { hours } from './steps/hours'
import { lackingNeeds } from './steps/needs'
import { price } from './steps/price'
import { shipping } from './steps/shipping'
import { subscription } from './steps/subscription'
import { tax } from './steps/tax'
import { valueLeft } from './steps/valueLeft'
import type { StepRule } from './steps/step'

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
