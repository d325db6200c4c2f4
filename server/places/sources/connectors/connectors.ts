import { desc, eq, isNull } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import type { ConnectorInput, ConnectorPatch } from '#shared/sources/schemas'
import type { ConnectorView } from '#shared/sources/views'
import type { Database } from '#server/db/client'
import { connectors, polls, sources } from '../../../db/schema/sources'
import { NotFoundError } from '#server/errors/notFoundError'
import { newId } from '#server/db/ids'

/** The connectors with what their last polls brought, newest first. */
export async function connectorViews(db: Database): Promise<ConnectorView[]> {
  const rows = await db
    .select({ connector: connectors, sourceName: sources.name })
    .from(connectors)
    .innerJoin(sources, eq(sources.id, connectors.sourceId))
    .where(isNull(connectors.deletedAt))
    .orderBy(sources.name, connectors.kind)
  return Promise.all(
    rows.map(async ({ connector: { deletedAt: _deletedAt, ...connector }, sourceName }) => {
      const recent = await db
        .select()
        .from(polls)
        .where(eq(polls.connectorId, connector.id))
        .orderBy(desc(polls.id))
        .limit(5)
      return { ...connector, sourceName, polls: recent }
    }),
  )
}

export async function createConnector(db: Database, input: ConnectorInput, now: Date): Promise<string> {
  const [source] = await db.select({ id: sources.id }).from(sources).where(eq(sources.id, input.sourceId))
  if (!source) throw new CoreError('unknown-source', { id: input.sourceId }, 'sourceId')
  const id = newId(`${input.sourceId} ${input.kind}`)
  await db.insert(connectors).values({
    ...input,
    id,
    paused: false,
    failures: 0,
    dueAt: now.toISOString(),
    createdAt: now.toISOString(),
  })
  return id
}

/** Changes, pauses, puts away or brings back a connector. */
export async function changeConnector(
  db: Database,
  id: string,
  change: ConnectorPatch & { deletedAt?: string | null },
): Promise<void> {
  const set = Object.fromEntries(Object.entries(change).filter(([, value]) => value !== undefined))
  if (Object.keys(set).length === 0) return
  const { rowsAffected } = await db.update(connectors).set(set).where(eq(connectors.id, id))
  if (rowsAffected === 0) throw new NotFoundError('scheduled check', id)
}
