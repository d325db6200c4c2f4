import { resaleDefaults, type ResaleAssumptions } from '../assumptions/groups/resale'
import type { Role } from '../parts/part'

export const arrivalVerdicts = ['as-described', 'better', 'worse', 'faulty'] as const
export type ArrivalVerdict = (typeof arrivalVerdicts)[number]

const every = [
  'photographed as it came',
  'nothing bent, burnt or missing',
  'what was listed is in the box',
] as const

/** What to look at, measure and start up when a part arrives, by role; the bench test is done outside the case. */
const byRole: Partial<Readonly<Record<Role, readonly string[]>>> = {
  cpu: [
    'pins or pads clean and straight',
    'name as found in the firmware',
    'a quarter of an hour under load, temperature noted',
  ],
  motherboard: [
    'shield and screws there',
    'socket pins straight',
    'starts outside the case',
    'firmware not locked',
    'every slot and port tried',
  ],
  memory: ['size and speed as found in the firmware', 'one full pass of a memory test'],
  graphics: [
    'name and memory as found by the driver',
    'all fans turn',
    'a quarter of an hour under load without faults in the picture',
    'every display output tried',
  ],
  storage: ['size as found', 'hours and wear read out', 'written and read over once'],
  supply: ['label and leads as listed', 'fan turns', 'starts a machine and runs it under load'],
  case: ['panel, feet and screws there', 'front buttons and ports tried'],
  cooler: ['mount for the socket there', 'fan turns and is quiet'],
  donor: ['firmware not locked', 'what is inside noted', 'starts'],
}

/** The arrival checklist of things with these roles, each line once. */
export function arrivalChecklist(roles: readonly Role[]): string[] {
  return [...new Set([...every, ...roles.flatMap((role) => byRole[role] ?? [])])]
}

/** Days within which a thing may go back by what stands behind the purchase, where the source says nothing else. */
/** Days in which a thing may be sent back, by what stands behind the purchase. */
export function returnDays(
  protection: 'none' | 'market' | 'returns' | 'warranty',
  resale: ResaleAssumptions = resaleDefaults,
): number {
  return protection === 'none' ? 0 : resale[`returns.${protection}`]
}
