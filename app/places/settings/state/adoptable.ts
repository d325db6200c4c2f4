import { findAssumption } from '#core/assumptions/assumptions'
import { figureToAdopt } from '#core/statistics/learnt'
import type { LearningView } from '#shared/settings/views'

/** The figure that what came can put in the place of an assumption; null where there is none, or it is in force. */
export function adoptable({ key, learnt, foreseen }: LearningView): number | null {
  const assumption = key === null || learnt === null ? undefined : findAssumption(key)
  if (!assumption || !learnt) return null
  const value = figureToAdopt(learnt, assumption)
  return value === foreseen ? null : value
}
