import { mixed, object } from 'yup'
import { editionReaders } from '#core/files/editions/readers'
import { calendarDate, currencyCode, name, oneOf, text } from '../fields'

export const editionSchema = object({
  name: name().max(80),
  /** By the prices of an earlier day; today's where it is left out. */
  asOf: calendarDate().nullable().default(null),
})

export const variantSchema = object({ name: name().max(80) })

/** `?as=…`: a build as a file. */
export const exportQuery = object({
  as: oneOf(['json', 'csv', 'md']).required('say ?as=json, ?as=csv or ?as=md'),
})

/** `?to=ID`: the other of two editions. */
export const driftQuery = object({ to: text().default('') })

/** `?as=html|md|csv|json|txt&for=buyer|repeater|adviser`: an edition as a file, for a reader. */
export const editionQuery = object({
  as: oneOf(['json', 'html', 'md', 'csv', 'txt']).default('json'),
  for: oneOf(editionReaders).default('adviser'),
})

export const editionImportSchema = object({
  edition: mixed().required('no edition received'),
  currency: currencyCode().required('choose a currency'),
  region: text().max(80).default(''),
})
