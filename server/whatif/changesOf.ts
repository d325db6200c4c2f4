import { parseDecimal } from '#core/money/decimal'
import type { Change, Hunt } from '#core/whatif/change'
import type { ChangeInput } from '#shared/whatif/schemas'

/** Changes as they came in at the door; amounts there are decimal text in the build's currency. */
export function changesOf(asked: readonly ChangeInput[], currency: string): Change[] {
  return asked.map((change, index) => {
    const amount = (limit: string | null | undefined, member: string) =>
      limit == null ? null : parseDecimal(limit, currency, `changes[${index}].${member}`)
    const huntOf = ({ part, condition, limit }: NonNullable<ChangeInput['hunt']>): Hunt => ({
      part,
      condition: condition ?? null,
      limit: amount(limit, 'hunt.limit'),
    })
    switch (change.kind) {
      case 'choose': {
        const { lead, hunt, item, scope = 'core', reason, keepBoth = false } = change
        const terms = { kind: 'choose' as const, scope, reason, keepBoth }
        if (lead !== undefined) return { ...terms, lead }
        return hunt ? { ...terms, hunt: huntOf(hunt) } : { ...terms, item: item! }
      }
      case 'remove':
        return { kind: 'remove', choice: change.choice! }
      case 'leave-out':
        return { kind: 'leave-out', line: change.line!, part: change.part! }
      case 'sell':
        return { kind: 'sell', item: change.item! }
      case 'limit':
        return { kind: 'limit', choice: change.choice!, limit: amount(change.limit, 'limit') }
      case 'settle':
        return { kind: 'settle', finding: change.finding! }
    }
  })
}
