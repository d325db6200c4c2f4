import { and, eq } from 'drizzle-orm'
import { ValidationError } from 'yup'
import { CoreError } from '#core/errors/coreError'
import type { LineProblem } from '#core/reading/tables/columns'
import { readLeads } from '#core/files/import/leadsFile'
import { leadSchema } from '#shared/leads/schemas'
import type { Database } from '#server/db/client'
import { leads } from '#server/db/schema/leads'
import { newId } from '#server/db/ids'
import type { ImportReport } from '#shared/files/importReport'
import { insertLead } from './leads'

/** Imports a CSV of leads in one transaction; lines that do not hold are reported, the others are added once. */
export async function importLeads(
  db: Database,
  text: string,
  defaults: { currency: string; today: string },
): Promise<ImportReport> {
  const { read, problems } = readLeads(text, defaults)
  const rejected: LineProblem[] = [...problems]
  let added = 0
  let alreadyThere = 0
  await db.transaction(async (tx) => {
    for (const { line, raw, value: lead } of read) {
      try {
        const input = leadSchema.validateSync(lead)
        const id = newId(input.title)
        const externalId = input.externalId || `${input.listedOn}/${input.title}`.slice(0, 200)
        const [existing] = await tx
          .select({ id: leads.id })
          .from(leads)
          .where(and(eq(leads.sourceId, input.sourceId), eq(leads.externalId, externalId)))
        if (existing) alreadyThere += 1
        else {
          await insertLead(tx, id, { ...input, externalId })
          added += 1
        }
      } catch (error) {
        if (!(error instanceof CoreError) && !(error instanceof ValidationError)) throw error
        rejected.push({
          line,
          code: error instanceof CoreError ? error.code : 'invalid',
          reason: error.message,
          raw,
        })
      }
    }
  })
  rejected.sort((a, b) => a.line - b.line)
  return { added, alreadyThere, rejected: rejected.length, problems: rejected.slice(0, 500) }
}
