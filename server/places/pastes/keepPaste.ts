import { and, eq, inArray } from 'drizzle-orm'
import type { Database } from '#server/db/client'
import { imports } from '#server/db/schema/sources'
import { NotFoundError } from '#server/errors/notFoundError'
import type { PasteInput, PasteMade } from '#shared/pastes/schemas'
import type { PasteKept } from '#shared/pastes/views'
import { sourceNamed } from '../sources/sourceNamed'
import { pasteSectionNames, pasteSections } from './sections'

/** Keeps what a paste was understood to be, every section of it in one transaction, with one undo. */
export async function keepPaste(db: Database, input: PasteInput, today: string): Promise<PasteKept> {
  const kept = await db.transaction(async (tx) => {
    const source = input.source ? await sourceNamed(tx, input.source) : null
    const [row] = await tx
      .insert(imports)
      .values({ kind: 'paste', fileName: '', createdAt: today, added: 0, alreadyThere: 0, rejected: 0 })
      .returning({ id: imports.id })
    const paste = row!.id
    const sections: Partial<Record<keyof PasteMade, unknown>> = {}
    for (const name of pasteSectionNames)
      sections[name] = await pasteSections[name].keep(tx, { input, paste, source, today })
    const made = sections as PasteMade
    const added = made.sales ?? 0
    const alreadyThere = input.sales.length - added
    await tx.update(imports).set({ added, alreadyThere, made }).where(eq(imports.id, paste))
    return { paste, added, alreadyThere, parts: made.parts, leadIds: made.leads }
  })
  return kept
}

/** Takes a paste, or an import of past sales, back whole; refused, naming it, where something of it was used since. */
export async function undoPaste(db: Database, paste: number): Promise<void> {
  await db.transaction(async (tx) => {
    const [row] = await tx
      .select()
      .from(imports)
      .where(and(eq(imports.id, paste), inArray(imports.kind, ['paste', 'sold-records'])))
    if (!row) throw new NotFoundError('paste', paste)
    for (const name of pasteSectionNames.toReversed())
      await pasteSections[name].takeBack(tx, row.made[name] as never, paste)
    await tx
      .update(imports)
      .set({ added: 0, made: { sources: [], parts: [], choices: [], leads: [] } })
      .where(eq(imports.id, paste))
  })
}
