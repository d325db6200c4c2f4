import type { Database } from './client'

/**
 * An answer that is read when what was written stands, still in the writer's turn: of what is kept in memory by then,
 * not of a transaction, which begins with nothing worked out. What may refuse is asked before.
 *
 * @example new AfterCommit((db) => buildView(db, 'couch', '2026-10-31'))
 */
export class AfterCommit<Answer> {
  constructor(readonly read: (db: Database) => Promise<Answer>) {}
}
