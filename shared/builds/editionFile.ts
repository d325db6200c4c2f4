import { array, object, type InferType } from 'yup'
import { houseRulesSchema } from '../brief/schemas'
import { currencyCode, finite, oneOf, text, trimmed } from '../fields'

/** An edition as a file: what another builder's Tarvin wrote. Only what re-pricing needs is asked for. */
export const editionFileSchema = object({
  format: oneOf(['tarvin-edition']).required('this is not an edition: "format" must be "tarvin-edition"'),
  version: oneOf(['1']).required('${path} must be "1"'),
  name: trimmed().required('${path}: enter a value').max(120),
  purpose: text().max(400).default(''),
  currency: currencyCode().required(),
  lines: array()
    .of(
      object({
        label: text().required().max(300),
        parts: array()
          .of(
            object({
              id: text().required().max(120),
              make: text().max(80).default(''),
              name: text().required().max(120),
              role: text().max(20).default(''),
            }),
          )
          .max(40)
          .default([]),
        scope: text().max(40).default(''),
        payNow: finite().integer('${path} must be whole minor units').nullable().default(null),
        anyoneCanPay: finite().integer().nullable().default(null),
        reason: text().max(300).default(''),
      }),
    )
    .required()
    .max(200),
})
export type EditionFile = InferType<typeof editionFileSchema>

/** House rules of a build that is opened from an edition: the defaults. */
export const defaultHouseRules = () => houseRulesSchema.getDefault()
