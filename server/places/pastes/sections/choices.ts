import { and, inArray, isNotNull } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal } from '#core/money/decimal'
import { assertCalculable } from '#server/context/assertCalculable'
import { findBuild } from '#server/context/findBuild'
import { choices as table } from '#server/db/schema/machine'
import { carryOutWithin } from '#server/whatif/carryOut'
import type { PasteSection } from '../pasteSection'

/** Parts taken into a build at once, as hunts; what is bought by now is not taken back. */
export const choices: PasteSection<'choices'> = {
  async keep(tx, { input, today }) {
    const ids: string[] = []
    for (const [index, { buildId, partId, limit, condition }] of input.hunts.entries()) {
      if (limit === null) throw new CoreError('no-limit', {}, `hunts[${index}].limit`)
      const { currency } = await findBuild(tx, buildId)
      const path = `hunts[${index}].limit`
      const hunt = { part: partId, condition: condition ?? null, limit: parseDecimal(limit, currency, path) }
      const [id] = await carryOutWithin(tx, buildId, [{ kind: 'choose', keepBoth: true, hunt }], today)
      ids.push(id!)
      await assertCalculable(tx, buildId, today, `hunts[${index}]`)
    }
    return ids
  },
  async takeBack(tx, made) {
    if (made.length === 0) return
    const own = inArray(table.id, [...made])
    const bought = await tx
      .select({ id: table.id })
      .from(table)
      .where(and(own, isNotNull(table.lineId)))
    if (bought.length > 0) throw new CoreError('paste-bought', {}, 'paste')
    await tx.delete(table).where(own)
  },
}
