import pLimit from 'p-limit'
import { and, asc, eq, isNull, lte } from 'drizzle-orm'
import type { OpenDatabase } from '#server/db/client'
import { connectors, polls, sources } from '../../../db/schema/sources'
import { NotFoundError } from '#server/errors/notFoundError'
import { guardedOutside, OutsideError, type Outside } from '#server/outside/guardedFetch'
import { CoreError } from '#core/errors/coreError'
import type { PollReport } from '#shared/sources/polls'
import { connectorKinds } from './kinds'
import type { ConnectorRow } from './pollContext'
import { nextDue } from './nextDue'

/** The way out for a connector: its own host may be private where the builder said so, every other may not. */
export function outsideFor(connector: Pick<ConnectorRow, 'url' | 'allowPrivate'>): Outside {
  return guardedOutside({
    privateHosts: new Set(connector.allowPrivate ? [new URL(connector.url).host] : []),
  })
}

const running = new Map<string, Promise<void>>()

/** Polls one connector now; a second call while it runs waits for the first. What comes of it stands in `polls`. */
export function poll(
  database: OpenDatabase,
  id: string,
  clock: { readonly now: Date; readonly today: string },
  outside?: Outside,
): Promise<void> {
  const known = running.get(id)
  if (known) return known
  const work = pollOnce(database, id, clock, outside).finally(() => running.delete(id))
  running.set(id, work)
  return work
}

async function pollOnce(
  database: OpenDatabase,
  id: string,
  { now, today }: { now: Date; today: string },
  outside?: Outside,
): Promise<void> {
  const { db } = database
  const [row] = await db
    .select({ connector: connectors, source: sources })
    .from(connectors)
    .innerJoin(sources, eq(sources.id, connectors.sourceId))
    .where(and(eq(connectors.id, id), isNull(connectors.deletedAt)))
  if (!row) throw new NotFoundError('scheduled check', id)
  const { connector, source } = row
  const startedAt = now.toISOString()
  const empty = { added: 0, changed: 0, alreadyThere: 0, vanished: 0, rejected: 0, problems: [] }
  const [note] = await db
    .insert(polls)
    .values({ connectorId: id, startedAt, finishedAt: null, outcome: 'running', message: '', ...empty })
    .returning({ id: polls.id })
  let outcome: { outcome: 'done' | 'failed'; message: string } & PollReport
  try {
    const report = await connectorKinds[connector.kind]({
      database,
      connector,
      source,
      outside: outside ?? outsideFor(connector),
      today,
    })
    outcome = { ...report, outcome: 'done', message: '' }
  } catch (error) {
    if (!(error instanceof OutsideError) && !(error instanceof CoreError)) console.error(error)
    outcome = {
      ...empty,
      outcome: 'failed',
      message:
        error instanceof OutsideError || error instanceof CoreError
          ? error.message
          : 'Something went wrong; nothing was imported. See the server log.',
    }
  }
  const failures = outcome.outcome === 'done' ? 0 : connector.failures + 1
  await db.transaction(async (tx) => {
    await tx
      .update(polls)
      .set({
        ...outcome,
        problems: [...outcome.problems],
        finishedAt: new Date(Math.max(Date.now(), now.getTime())).toISOString(),
      })
      .where(eq(polls.id, note!.id))
    await tx
      .update(connectors)
      .set({ failures, dueAt: nextDue(now, connector.everyMinutes, failures) })
      .where(eq(connectors.id, id))
  })
}

const pollsAtATime = 3

/** Polls all connectors that are due, a few side by side. */
export async function pollDue(
  database: OpenDatabase,
  clock: { readonly now: Date; readonly today: string },
): Promise<number> {
  const due = await database.db
    .select({ id: connectors.id })
    .from(connectors)
    .where(
      and(
        isNull(connectors.deletedAt),
        eq(connectors.paused, false),
        lte(connectors.dueAt, clock.now.toISOString()),
      ),
    )
    .orderBy(asc(connectors.dueAt))
  const aFew = pLimit(pollsAtATime)
  await Promise.all(due.map(({ id }) => aFew(() => poll(database, id, clock))))
  return due.length
}

/** After a start: a poll that was running when the machine went off is called cut short and is due again. */
export async function resumePolls({ db }: OpenDatabase, now: Date): Promise<void> {
  const cut = await db
    .select({ id: polls.id, connectorId: polls.connectorId })
    .from(polls)
    .where(eq(polls.outcome, 'running'))
  await db.transaction(async (tx) => {
    for (const { id, connectorId } of cut) {
      await tx
        .update(polls)
        .set({
          outcome: 'cut-short',
          message: 'Tarvin was stopped during this check; it runs again',
          finishedAt: now.toISOString(),
        })
        .where(eq(polls.id, id))
      await tx.update(connectors).set({ dueAt: now.toISOString() }).where(eq(connectors.id, connectorId))
    }
  })
}
