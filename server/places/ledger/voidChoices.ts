import { and, eq, isNull, ne } from 'drizzle-orm'
import type { Queryable } from '#server/db/client'
import type { OpenAction } from '#server/db/action'
import { choices, type VoidReason } from '#server/db/schema/machine'

/** Choices of a lead that cannot be had any more are void; they stay and say why. */
export async function voidChoices(
  action: OpenAction,
  leadId: string,
  because: VoidReason,
  except = '',
  isOf: (buildId: string) => boolean = () => true,
): Promise<void> {
  const others = await action.tx
    .select({ id: choices.id, buildId: choices.buildId })
    .from(choices)
    .where(
      and(
        eq(choices.leadId, leadId),
        isNull(choices.deletedAt),
        isNull(choices.voidBecause),
        ne(choices.id, except),
      ),
    )
  for (const { id, buildId } of others)
    if (isOf(buildId)) await action.update('choices', id, { voidBecause: because, voidOn: action.day })
}

/** The same where no one of us did it: a poll saw that it is gone. */
export async function voidAtSource(tx: Queryable, leadId: string, day: string): Promise<void> {
  await tx
    .update(choices)
    .set({ voidBecause: 'gone', voidOn: day })
    .where(and(eq(choices.leadId, leadId), isNull(choices.deletedAt), isNull(choices.voidBecause)))
}
