import { parseDecimal } from '#core/money/decimal'
import type { Change, Hunt } from '#core/whatif/change'
import type { World } from '#server/readings/world'
import { houseRulesRow } from '../brief/briefRow'
import type { ChangeInput } from '#shared/whatif/schemas'

/**
 * Changes as they came in at the door: amounts there are decimal text in the build's currency, of a lead or a rival in
 * its own.
 */
export function changesOf(asked: readonly ChangeInput[], world: World, currency: string): Change[] {
  const { leads, rivals } = world.rows
  return asked.map((change, index): Change => {
    const amount = (said: string | null | undefined, member: string, of = currency) =>
      said == null ? null : parseDecimal(said, of, `changes[${index}].${member}`)
    const ofLead = (said: string | null | undefined, member: string) =>
      amount(said, member, leads.one('id', change.lead ?? '')?.currency)
    switch (change.kind) {
      case 'choose':
        return chosen(change, (limit) => amount(limit, 'hunt.limit'))
      case 'remove':
        return { kind: 'remove', choice: change.choice! }
      case 'leave-out':
        return { kind: 'leave-out', line: change.line!, part: change.part! }
      case 'bring-in':
        return { kind: 'bring-in', line: change.line!, part: change.part! }
      case 'sell':
        return { kind: 'sell', item: change.item! }
      case 'limit':
        return { kind: 'limit', choice: change.choice!, limit: amount(change.limit, 'limit') }
      case 'group':
        return { kind: 'group', choice: change.choice!, order: change.order ?? null }
      case 'settle':
        return { kind: 'settle', finding: change.finding! }
      case 'price':
        return { kind: 'price', lead: change.lead!, amount: ofLead(change.amount, 'amount')! }
      case 'answer':
        return { kind: 'answer', lead: change.lead!, fact: change.fact!, value: yesOrNo(change.value) }
      case 'trip':
        return { kind: 'trip', lead: change.lead!, trip: change.trip ?? null }
      case 'trade-in': {
        const { lead, item = null, credit } = change
        return { kind: 'trade-in', lead: lead!, item, credit: ofLead(credit, 'credit') }
      }
      case 'fact':
        return { kind: 'fact', of: change.of!, name: change.name!, value: change.value ?? undefined }
      case 'brief': {
        const { budget, stretch, houseRules, wantedBy, targets } = change
        return {
          kind: 'brief',
          ...said({ wantedBy, targets }),
          ...said({ budget: amount(budget, 'budget'), stretch: amount(stretch, 'stretch') }, null),
          ...(houseRules ? { houseRules: houseRulesRow(houseRules, currency) } : {}),
        }
      }
      case 'weigh': {
        const { perHour, rival, years, fullHours, idleHours, tariff } = change
        const price = rival && amount(rival.price, 'rival.price', rivals.one('id', rival.id)?.currency)!
        return {
          kind: 'weigh',
          ...said({ years, fullHours, idleHours, tariff }),
          ...said({ perHour: amount(perHour, 'perHour') }, null),
          ...(rival ? { rival: { id: rival.id, price: price! } } : {}),
        }
      }
    }
  })
}

function chosen(
  { lead, hunt, item, scope = 'core', reason, keepBoth = false }: ChangeInput,
  amount: (limit: string | null | undefined) => number | null,
): Change {
  const terms = { kind: 'choose' as const, scope, reason, keepBoth }
  if (lead !== undefined) return { ...terms, lead }
  if (!hunt) return { ...terms, item: item! }
  const { part, condition, limit } = hunt
  return { ...terms, hunt: { part, condition: condition ?? null, limit: amount(limit) } satisfies Hunt }
}

const yesOrNo = (value: unknown) => (value === 'yes' || value === 'no' ? value : null)

/** The members that were said. */
const said = <T extends object>(of: T, unsaid: undefined | null = undefined) =>
  Object.fromEntries(Object.entries(of).filter(([, value]) => value !== unsaid)) as {
    [Key in keyof T]?: Exclude<T[Key], typeof unsaid>
  }
