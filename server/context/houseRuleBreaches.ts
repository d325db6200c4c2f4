import { partLabel, roleNames, type Part } from '#core/parts/part'
import type { ValuedLead } from '#server/context/valuedLeads'
import type { HouseRules } from '#shared/brief/houseRules'

const boughtUsed: ReadonlySet<string> = new Set(['used', 'refurbished', 'opened', 'damaged'])

/** House rules a lead breaks, in words. */
export function houseRuleBreaches(
  rules: HouseRules,
  { lead, value, trip }: Pick<ValuedLead, 'lead' | 'value' | 'trip'>,
  library: Pick<ReadonlyMap<string, Part>, 'get'>,
): string[] {
  const kept = lead.things.filter((thing) => thing.plan === 'keep').map((thing) => library.get(thing.partId)!)
  const barred = boughtUsed.has(lead.condition)
    ? kept.filter((part) => rules.neverUsed.includes(part.role))
    : []
  const { mostFault = null, pickupKm = null } = rules
  return [
    ...barred.map((part) => `your rule: no used ${roleNames[part.role]} (${partLabel(part)})`),
    ...(mostFault !== null && value.faultProbability > mostFault
      ? [
          `your rule: fault risk up to ${Math.round(mostFault * 100)} %, here ${Math.round(value.faultProbability * 100)} %`,
        ]
      : []),
    ...(pickupKm !== null && trip !== null && trip.km > pickupKm
      ? [`your rule: pickup within ${pickupKm} km, here ${trip.km} km`]
      : []),
  ]
}
