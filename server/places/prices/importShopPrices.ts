import type { LineProblem } from '#core/reading/tables/columns'
import { readShopPrices } from '#core/files/import/shopPricesFile'
import type { Database } from '#server/db/client'
import { parts } from '#server/db/schema/parts'
import { shopPrices } from '#server/db/schema/prices'
import { sources } from '#server/db/schema/sources'
import type { ImportReport } from '#shared/files/importReport'

/** Imports a CSV of shop prices in one transaction. */
export async function importShopPrices(
  db: Database,
  text: string,
  defaults: { currency: string; today: string; sourceId?: string },
): Promise<ImportReport> {
  const { read, problems } = readShopPrices(text, defaults)
  const rejected: LineProblem[] = [...problems]
  let added = 0
  await db.transaction(async (tx) => {
    const knownSources = new Set((await tx.select({ id: sources.id }).from(sources)).map((row) => row.id))
    const knownParts = new Set((await tx.select({ id: parts.id }).from(parts)).map((row) => row.id))
    const good = read.filter(({ line, raw, value: { sourceId, partId } }) => {
      if (knownSources.has(sourceId) && knownParts.has(partId)) return true
      rejected.push({
        line,
        code: 'unknown',
        reason: knownSources.has(sourceId) ? `no part "${partId}"` : `no source "${sourceId}"`,
        raw,
      })
      return false
    })
    for (let start = 0; start < good.length; start += 500) {
      const rows = good.slice(start, start + 500).map((row) => row.value)
      added += (await tx.insert(shopPrices).values(rows).onConflictDoNothing()).rowsAffected
    }
  })
  rejected.sort((a, b) => a.line - b.line)
  return {
    added,
    alreadyThere: read.length - (rejected.length - problems.length) - added,
    rejected: rejected.length,
    problems: rejected.slice(0, 500),
  }
}
