import { resaleDefaults, type ResaleAssumptions } from '../assumptions/groups/resale'
import type { Role } from '../parts/part'

const every = [
  'photographed on arrival',
  'nothing bent, burnt or missing',
  'everything listed is in the box',
] as const

/** What to look at, measure and start up when a part arrives, by role; the bench test is done outside the case. */
const byRole: Partial<Readonly<Record<Role, readonly string[]>>> = {
  cpu: [
    'pins or pads clean and straight',
    'name confirmed in the BIOS',
    '15 minutes under load, temperature noted',
  ],
  motherboard: [
    'I/O shield and screws included',
    'socket pins straight',
    'boots outside the case',
    'BIOS not locked',
    'every slot and port tested',
  ],
  memory: ['size and speed confirmed in the BIOS', 'one full memory test pass'],
  graphics: [
    'name and video memory confirmed by the driver',
    'all fans spin',
    '15 minutes under load without artefacts',
    'every display output tested',
  ],
  storage: ['capacity confirmed', 'power-on hours and wear read', 'full write and read test'],
  supply: ['label and cables as listed', 'fan spins', 'starts a PC and runs it under load'],
  case: ['panels, feet and screws included', 'front buttons and ports tested'],
  cooler: ['mounting kit for the socket included', 'fan spins and is quiet'],
  donor: ['BIOS not locked', 'contents noted', 'starts'],
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
