import { partLabel } from '../../../parts/part'
import { cite, citeAll, replace, type FitRule } from '../rule'
import { m2Drives, cabledDrives } from '../sums'

/** Some boards take ports away where every M.2 slot is used. */
export const sataPorts: FitRule = {
  id: 'sata-ports',
  area: 'connections',
  severity: 'stops',
  question: 'Is there a SATA port for every SATA drive?',
  reads: [
    { role: 'storage', facts: ['interface'] },
    { role: 'motherboard', facts: ['sataPorts', 'socket'] },
  ],
  check: (machine) =>
    machine.all('motherboard').flatMap((board) => {
      const lost =
        m2Drives(machine).length > 0 && m2Drives(machine).length >= (board.facts.m2Slots ?? 1)
          ? (board.facts.m2SharesSata ?? 0)
          : 0
      const free = board.facts.sataPorts! - lost
      if (cabledDrives(machine).length <= free) return []
      return [
        {
          what:
            `${cabledDrives(machine).length} SATA drives, ${free} ports on ` +
            `${partLabel(board)}${lost > 0 ? `: the M.2 slot disables ${lost}` : ''}`,
          why: [
            citeAll(cabledDrives(machine), 'SATA drives', String(cabledDrives(machine).length)),
            cite(board, lost > 0 ? 'm2SharesSata' : 'sataPorts'),
          ] as const,
          fixes: [
            replace(
              'motherboard',
              'a board with more ports',
              (part) =>
                part.facts.socket === board.facts.socket &&
                part.facts.memoryGeneration === board.facts.memoryGeneration &&
                (part.facts.sataPorts ?? 0) - (part.facts.m2SharesSata ?? 0) >= cabledDrives(machine).length,
            ),
            replace(
              'storage',
              'one larger drive instead of several',
              (part) =>
                part.facts.interface === 'sata' &&
                (part.facts.capacityGb ?? 0) >=
                  cabledDrives(machine).reduce((sum, drive) => sum + (drive.facts.capacityGb ?? 0), 0),
            ),
          ],
        },
      ]
    }),
}
