import { eq } from 'drizzle-orm'
import { newId } from '#server/db/ids'
import { codes, leads as table, leadThings, rebates } from '#server/db/schema/leads'
import { insertLead } from '../../leads/leads'
import type { PasteSection } from '../pasteSection'
import { unlessUsed } from '../unlessUsed'

/** Leads with all that hangs on them. */
export const leads: PasteSection<'leads'> = {
  async keep(tx, { input, source }) {
    const ids: string[] = []
    for (const lead of input.leads) {
      const id = newId(lead.title)
      await insertLead(tx, id, source === null ? lead : { ...lead, sourceId: source.id })
      ids.push(id)
    }
    return ids
  },
  async takeBack(tx, made) {
    for (const id of made)
      await unlessUsed('the lead', async () => {
        for (const hanging of [leadThings, codes, rebates])
          await tx.delete(hanging).where(eq(hanging.leadId, id))
        await tx.delete(table).where(eq(table.id, id))
      })
  },
}
