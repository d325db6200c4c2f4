import type { SalesOf } from '#core/pricing/proposals/salesOf'
import type { Role } from '#core/parts/part'
import type { PasteInput } from '#shared/pastes/schemas'
import { slug } from '#shared/text/slug'

export const labelOfSales = ({ group }: SalesOf) =>
  group.make === '' ? group.name : `${group.make} ${group.name}`

/** The part that is made of sales which look alike. */
export function partOfSales(sales: SalesOf, role: Role): PasteInput['parts'][number] {
  const { make, name, facts } = sales.group
  return { id: slug(labelOfSales(sales)), role, make, name, facts: facts as never }
}
