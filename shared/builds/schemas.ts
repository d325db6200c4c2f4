import { object } from 'yup'
import { calendarDate, name } from '../fields'

export const editionSchema = object({
  name: name().max(80),
  /** By the prices of an earlier day; today's where it is left out. */
  asOf: calendarDate().nullable().default(null),
})

export const variantSchema = object({ name: name().max(80) })
