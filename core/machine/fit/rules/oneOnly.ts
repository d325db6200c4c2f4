import { partLabel, roleNames, type Part, type Role } from '../../../parts/part'
import { citeAll, remove, type FitRule, type MachineRead } from '../rule'

const single: readonly Role[] = ['cpu', 'motherboard', 'supply', 'case']

/** One CPU, one board, one supply, one case; a board may state that it has more sockets. */
export const oneOnly: FitRule = {
  id: 'one-only',
  area: 'platform',
  severity: 'stops',
  question: 'Is there only one CPU, board, PSU and case?',
  reads: [],
  tellsUnknown: true,
  concerns: (machine) => machine.parts.some(({ role }) => single.includes(role)),
  check: (machine) =>
    single
      .filter((role) => machine.all(role).length > allowed(machine, role))
      .map((role) => {
        const parts = machine.all(role) as readonly [Part, Part]
        return {
          what: `${parts.length} × ${roleNames[role]} in one PC: ${parts.map(partLabel).join(', ')}`,
          why: [
            citeAll([parts[0]], roleNames[role], partLabel(parts[0])),
            citeAll([parts[1]], roleNames[role], partLabel(parts[1])),
          ] as const,
          fixes: parts.map((part) => remove(part, `leave out ${partLabel(part)}`)),
        }
      }),
}

const allowed = (machine: MachineRead, role: Role) =>
  role === 'cpu' ? Math.max(1, ...machine.all('motherboard').map(({ facts }) => facts.cpuSockets ?? 1)) : 1
