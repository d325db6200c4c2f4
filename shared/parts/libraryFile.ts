import { array, object, type InferType } from 'yup'
import { runSchema } from '../bench/schemas'
import { idText, oneOf } from '../fields'
import { leadSchema } from '../leads/schemas'
import { exchangeRateSchema } from '../prices/schemas'
import { rivalSchema } from '../rivals/schemas'
import { shelfSchema } from '../shelf/schemas'
import { sourceSchema } from '../sources/schemas'
import { withPlainIds } from '../text/plainId'
import { workResultSchema, workTaskSchema, workloadSchema } from '../work/schemas'
import { partSchema } from './schemas'

export const librarySchema = object({
  format: oneOf(['tarvin-library']).required(),
  version: oneOf(['1']).required('${path} must be "1"'),
  sources: array().of(sourceSchema).default([]),
  parts: array().of(partSchema).default([]),
  workloads: array().of(workloadSchema).default([]),
  rivals: array()
    .of(rivalSchema.shape({ id: idText() }))
    .default([]),
  rates: array().of(exchangeRateSchema).default([]),
  shelf: array()
    .of(shelfSchema.shape({ id: idText() }))
    .default([]),
  runs: array()
    .of(runSchema.shape({ id: idText() }))
    .default([]),
  tasks: array().of(workTaskSchema).default([]),
  taskResults: array()
    .of(workResultSchema.shape({ id: idText() }))
    .default([]),
  leads: array()
    .of(leadSchema.shape({ id: idText() }))
    .default([]),
}).transform(withPlainIds)

export type LibraryFile = InferType<typeof librarySchema>
