import type { PollReport } from '#shared/sources/polls'
import type { OpenDatabase } from '#server/db/client'
import type { connectors, sources } from '../../../db/schema/sources'
import type { Outside } from '#server/outside/guardedFetch'

export type ConnectorRow = typeof connectors.$inferSelect

/** What a poll has to work with. */
export interface PollContext {
  readonly database: OpenDatabase
  readonly connector: ConnectorRow
  readonly source: typeof sources.$inferSelect
  readonly outside: Outside
  readonly today: string
}

/** Asks the outside first and writes afterwards, in one transaction. */
export type Poll = (context: PollContext) => Promise<PollReport>
