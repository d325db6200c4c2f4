import { eq } from 'drizzle-orm'
import { readLedger } from '#core/files/import/ledgerFile'
import type { LineProblem } from '#core/reading/tables/columns'
import { CoreError } from '#core/errors/coreError'
import type { Database } from '#server/db/client'
import { ledgerEntries } from '#server/db/schema/ledger'
import type { ImportReport } from '#shared/files/importReport'
import { findBuild } from '#server/context/findBuild'
import { writeEntry } from './ledgerEntries'

/**
 * Takes a CSV of entries into the ledger in one transaction. What stands there already, by day, kind, words and
 * amounts, is not entered twice.
 */
export async function importLedger(
  db: Database,
  buildId: string,
  text: string,
  today: string,
): Promise<ImportReport> {
  const build = await findBuild(db, buildId)
  const { read, problems } = readLedger(text, { currency: build.currency, today })
  const rejected: LineProblem[] = [...problems]
  let added = 0
  let alreadyThere = 0
  await db.transaction(async (tx) => {
    const keyOf = (entry: { day: string; kind: string; text: string; cash: number; hours: number }) =>
      JSON.stringify([entry.day, entry.kind, entry.text, entry.cash, entry.hours])
    const standing = new Map<string, number>()
    for (const row of await tx.select().from(ledgerEntries).where(eq(ledgerEntries.buildId, buildId)))
      standing.set(keyOf(row), (standing.get(keyOf(row)) ?? 0) + 1)
    for (const { value, line, raw } of read) {
      const left = standing.get(keyOf(value)) ?? 0
      if (left > 0) {
        // two equal lines of a file are two entries, unless both stand there
        standing.set(keyOf(value), left - 1)
        alreadyThere += 1
        continue
      }
      try {
        await writeEntry(tx, { buildId, ...value }, today)
        added += 1
      } catch (error) {
        if (!(error instanceof CoreError)) throw error
        rejected.push({ line, code: error.code, reason: error.message, raw })
      }
    }
  })
  return {
    added,
    alreadyThere,
    rejected: rejected.length,
    problems: rejected.sort((a, b) => a.line - b.line).slice(0, 500),
  }
}
