import { mixed, object } from 'yup'
import type { ColumnMap } from '#core/reading/tables/columns'
import type { SoldRecordField } from '#core/files/import/soldRecordsFile'
import { conditions, manners } from '#core/reading/sales/soldRecord'
import { currencyCode, oneOf, text, yesOrNo } from '../fields'

/** `?options=…`: how a file is to be read, as JSON. */
export const importQuery = object({ options: text().default('{}') })

/** What those options say; what a line does not say of itself is taken from `defaults`. */
export const importOptionsSchema = object({
  fileName: text().max(300).default('pasted rows'),
  preview: yesOrNo().default(false),
  columns: mixed<ColumnMap<SoldRecordField>>().optional(),
  defaults: object({
    source: text().max(120).default('file'),
    currency: currencyCode().optional(),
    manner: oneOf(manners).default('fixed'),
    condition: oneOf(conditions).default('used'),
  }).default({ source: 'file', manner: 'fixed', condition: 'used' }),
})
