import type { Queryable } from '#server/db/client'
import { newId } from '#server/db/ids'
import { sources } from '#server/db/schema/sources'
import { sourceSchema, type SourceInput } from '#shared/sources/schemas'
import { slug } from '#shared/text/slug'
import { sourceRow } from './sourceRow'

/** The source of a name, whatever its case; made without tax and shipping where there is none, to be filled in later. */
export async function sourceNamed(
  tx: Queryable,
  { name, kind, currency }: Pick<SourceInput, 'name' | 'kind' | 'currency'>,
): Promise<{ id: string; isNew: boolean }> {
  const known = (await tx.select({ id: sources.id, name: sources.name }).from(sources)).find(
    (each) => each.name.toLowerCase() === name.trim().toLowerCase(),
  )
  if (known) return { id: known.id, isNew: false }
  const id = newId(slug(name))
  const fresh = sourceSchema.validateSync({
    id,
    name: name.trim(),
    kind,
    currency,
    taxPercent: 0,
    taxOnShipping: false,
    shipping: { kind: 'none' },
    protection: 'none',
  })
  await tx.insert(sources).values(sourceRow(fresh))
  return { id, isNew: true }
}
