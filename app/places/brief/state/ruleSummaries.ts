import { supplyRuleText, type SupplyRule } from '#core/machine/power/supplySize'
import type { BriefInput } from '#shared/brief/schemas'

type Rules = BriefInput['houseRules']

const or = (list: readonly (string | false)[], none: string) =>
  list.filter((each): each is string => each !== false).join(' · ') || none

/** What the rules about buying say, in one line. */
export function buyingSummary(
  { mostFault, pickupKm, answerDays, perKm, perHour }: Rules,
  currency: string,
): string {
  return or(
    [
      mostFault != null && `fault risk up to ${Math.round(1000 * mostFault) / 10} %`,
      pickupKm != null && `pickup up to ${pickupKm} km`,
      `seller silent after ${answerDays} ${answerDays === 1 ? 'day' : 'days'}`,
      Number(perKm) > 0 && `${perKm} ${currency} per km`,
      Number(perHour) > 0 && `${perHour} ${currency} per hour`,
    ],
    '',
  )
}

/** What the rules for the machine say, in one line. */
export function machineSummary({ machine }: Rules): string {
  const makes = machine.avoidedMakes ?? []
  return or(
    [
      `PSU: ${supplyRuleText(machine.supplyRule as SupplyRule)}`,
      machine.roomC != null && `room ${machine.roomC} °C`,
      machine.oldestCpuYear != null && `CPU from ${machine.oldestCpuYear} or newer`,
      machine.smallestDriveGb != null && `drive at least ${machine.smallestDriveGb} GB`,
      machine.leastSupplyW != null && `PSU at least ${machine.leastSupplyW} W`,
      makes.length > 0 && `no ${makes.join(', ')}`,
      machine.colour != null && `all ${machine.colour}`,
      machine.cablesHidden && 'hidden cables',
      machine.needsSecurityModule && 'TPM required',
    ],
    '',
  )
}

/** How many figures of the table of faults are the builder's own, and which low counts. */
export function faultSummary({ faults, lowMethod }: Rules): string {
  const own = Object.values(faults ?? {}).reduce<number>(
    (sum, each) =>
      sum +
      (each && typeof each === 'object'
        ? Object.values(each).filter((value) => value !== undefined).length
        : each === undefined
          ? 0
          : 1),
    0,
  )
  return or(
    [
      own === 0 ? 'faults as in Settings' : `${own} fault ${own === 1 ? 'figure' : 'figures'} changed by you`,
      `1 % low: ${lowMethod === 'worst-share' ? 'mean of the worst 1 %' : '99th percentile'}`,
    ],
    '',
  )
}
