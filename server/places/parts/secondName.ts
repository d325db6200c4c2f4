import { CoreError } from '#core/errors/coreError'
import { partLabel, roleNames, type Part } from '#core/parts/part'
import { partNamed } from '#core/reading/titles/partNamed'
import type { Queryable } from '#server/db/client'
import { useWorld } from '#server/readings/useWorld'

/**
 * Refuses a new part that one of the library is called by another spelling: its sales would be read twice.
 *
 * @throws `part-already-there`
 */
export async function refuseSecondName(
  db: Pick<Queryable, 'select'>,
  part: Pick<Part, 'id' | 'role' | 'make' | 'name'>,
  path: string,
): Promise<void> {
  const library = (await useWorld(db)).rows.parts.all()
  const twin = partNamed(
    library.filter(({ id, role }) => id !== part.id && role === part.role),
    partLabel(part),
  )
  if (twin && !library.some(({ id }) => id === part.id))
    throw new CoreError('part-already-there', { name: partLabel(twin), role: roleNames[twin.role] }, path)
}
