import { eq, isNull, and } from 'drizzle-orm'
import { parseDecimal } from '#core/money/decimal'
import { partLabel } from '#core/parts/part'
import type { Change } from '#core/whatif/change'
import { assertCalculable } from '#server/context/assertCalculable'
import { findBuild } from '#server/context/findBuild'
import type { Database } from '#server/db/client'
import { builds } from '#server/db/schema/builds'
import { choices } from '#server/db/schema/machine'
import { NotFoundError } from '#server/errors/notFoundError'
import { useWorld } from '#server/readings/useWorld'
import type { World } from '#server/readings/world'
import { carryOut } from '#server/whatif/carryOut'
import type { ChoiceInput } from '#shared/machine/schemas'

/** What is chosen on a page, as a change: it takes the place of what fills a role with room for one. */
export function changeOf(input: ChoiceInput, currency: string): Change {
  const { kind, leadId, partId, shelfId, scope, reason, keepBoth, condition = null } = input
  const terms = { kind: 'choose', scope, reason, keepBoth } as const
  if (kind === 'lead') return { ...terms, lead: leadId! }
  if (kind === 'owned') return { ...terms, item: shelfId! }
  const limit = input.limit === null ? null : parseDecimal(input.limit, currency, 'limit')
  return { ...terms, hunt: { part: partId!, condition, limit } }
}

export async function addChoice(
  db: Database,
  buildId: string,
  input: ChoiceInput,
  today: string,
): Promise<string> {
  const change = changeOf(input, (await findBuild(db, buildId)).currency)
  const text = `${labelOf(await useWorld(db), input)} chosen`
  const { ids } = await carryOut(db, buildId, [change], { today, text, path: 'leadId' })
  return input.kind === 'owned' ? input.shelfId! : ids[0]!
}

function labelOf({ rows }: World, { leadId, partId, shelfId }: ChoiceInput): string {
  if (leadId !== null) return rows.leads.one('id', leadId)?.title ?? leadId
  const id = partId ?? rows.items.one('id', shelfId!)?.partId
  const part = id === undefined ? undefined : rows.parts.one('id', id)
  return part ? partLabel(part) : (id ?? shelfId!)
}

/** Changes a choice; returns the build it belongs to. */
export async function changeChoice(
  db: Database,
  choiceId: string,
  change: {
    scope?: ChoiceInput['scope']
    reason?: string
    limit?: string | null
    condition?: 'used' | 'new' | null
    leftOut?: string[]
    deletedAt?: string | null
  },
  today: string,
): Promise<string> {
  const [row] = await db
    .select({ buildId: choices.buildId, currency: builds.currency })
    .from(choices)
    .innerJoin(builds, eq(builds.id, choices.buildId))
    .where(and(eq(choices.id, choiceId), isNull(builds.deletedAt)))
  if (!row) throw new NotFoundError('choice', choiceId)
  const { limit, ...rest } = change
  const set = {
    ...rest,
    ...(limit === undefined
      ? {}
      : { limit: limit === null ? null : parseDecimal(limit, row.currency, 'limit') }),
  }
  if (Object.keys(set).length > 0) {
    await db.transaction(async (tx) => {
      await tx.update(choices).set(set).where(eq(choices.id, choiceId))
      await assertCalculable(tx, row.buildId, today, 'leadId')
    })
  }
  return row.buildId
}
