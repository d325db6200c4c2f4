import { array, object, type InferType } from 'yup'
import { idText, oneOf, text, wholeFrom } from '../fields'

/** A plan by the ids of its ways. */
export const planSchema = object({
  ways: array().of(text().required().max(300)).min(1).max(60).required(),
  /** Things of mine that it does without: they go to the shelf, to be sold on. */
  sold: array().of(text().required().max(300)).max(60).default([]),
})

/** A plan to be taken: into the build, or as a variant of a name. */
export const takePlanSchema = planSchema.shape({
  /** Ways of the build that the plan was made beside: refused where it has changed since. */
  present: array().of(text().required().max(300)).max(60).required(),
  into: oneOf(['build', 'variant']).required(),
  name: text().max(80).default(''),
})
export type TakePlanInput = InferType<typeof takePlanSchema>

export const planUndoSchema = object({
  added: array().of(idText()).max(60).default([]),
  removed: array().of(idText()).max(60).default([]),
  dropped: array().of(idText()).max(60).default([]),
  moved: array().of(idText()).max(60).default([]),
  /** Actions by which things went to the shelf. */
  sold: array().of(wholeFrom(1).required()).max(60).default([]),
})
