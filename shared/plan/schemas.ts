import { array, object, type InferType } from 'yup'
import { oneOf, text } from '../fields'

/** A plan by the ids of its ways. */
export const planSchema = object({
  ways: array().of(text().required().max(300)).min(1).max(60).required(),
  /** Things of mine that it does without: they go to the shelf, to be sold on. */
  sold: array().of(text().required().max(300)).max(60).default([]),
  /** What it does without of a way that brings several things. */
  without: array()
    .of(object({ way: text().required().max(300), part: text().required().max(120) }))
    .max(60)
    .default([]),
})
export type PlanInput = InferType<typeof planSchema>

/** A plan to be priced; beside a rival with what both take to own. */
export const planPriceSchema = planSchema.shape({ rivalId: text().max(120) })
export type PlanPriceInput = InferType<typeof planPriceSchema>

/** A plan to be taken: into the build, or as a variant of a name. */
export const takePlanSchema = planSchema.shape({
  /** Ways of the build that the plan was made beside: refused where it has changed since. */
  present: array().of(text().required().max(300)).max(60).required(),
  into: oneOf(['build', 'variant']).required(),
  name: text().max(80).default(''),
})
export type TakePlanInput = InferType<typeof takePlanSchema>
