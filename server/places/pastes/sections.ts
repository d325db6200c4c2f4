import type { PasteMade } from '#shared/pastes/schemas'
import type { PasteSection } from './pasteSection'
import { choices } from './sections/choices'
import { indexes } from './sections/indexes'
import { leads } from './sections/leads'
import { meanings } from './sections/meanings'
import { parts } from './sections/parts'
import { sales } from './sections/sales'
import { shopPrices } from './sections/shopPrices'
import { sources } from './sections/sources'

/** What a paste can leave behind, in the order in which it is kept; it is taken back from the last to the first. */
export const pasteSections: { readonly [Name in keyof PasteMade]-?: PasteSection<Name> } = {
  sources,
  sales,
  parts,
  choices,
  indexes,
  leads,
  shopPrices,
  meanings,
}
export const pasteSectionNames = Object.keys(pasteSections) as (keyof PasteMade)[]
