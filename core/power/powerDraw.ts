import { partLabel, type Part } from '../parts/part'

/** What draws how much where a part does not state it, W. Defaults of `calculations.md` 7. */
export const drawDefaults = { cpu: 65, card: 150, board: 30, module: 3, ssd: 5, hdd: 8, fan: 3, usb: 10, transient: 1.6 } as const

export interface PowerLine {
  readonly label: string
  readonly watts: number
  readonly stated: boolean
}

export interface PowerDraw {
  readonly lines: readonly PowerLine[]
  /** All at their limits, for long. */
  readonly sustained: number
  /** With the card at its short peaks. */
  readonly peak: number
}

/** Sustained and peak draw of a machine, DC watts; every line says whether the part states it. */
export function powerDraw(parts: readonly Part[]): PowerDraw {
  const lines: PowerLine[] = []
  const add = (label: string, watts: number, stated: boolean) => {
    if (watts > 0) lines.push({ label, watts, stated })
  }
  let peaks = 0
  for (const part of parts) {
    const { role, facts } = part
    if (role === 'cpu') add(partLabel(part), facts.limitW ?? drawDefaults.cpu, facts.limitW !== undefined)
    if (role === 'graphics') {
      const watts = facts.boardPowerW ?? drawDefaults.card
      add(partLabel(part), watts, facts.boardPowerW !== undefined)
      peaks += watts * ((facts.transientFactor ?? drawDefaults.transient) - 1)
    }
    if (role === 'motherboard') add(partLabel(part), drawDefaults.board, false)
    if (role === 'memory') add(partLabel(part), drawDefaults.module * (facts.kitCount ?? 1), false)
    if (role === 'storage') add(partLabel(part), facts.drive === 'hdd' ? drawDefaults.hdd : drawDefaults.ssd, false)
    if (role === 'case') add(`fans of ${partLabel(part)}`, drawDefaults.fan * (facts.fans ?? 0), false)
  }
  if (parts.length > 0) add('USB', drawDefaults.usb, false)
  const sustained = lines.reduce((sum, line) => sum + line.watts, 0)
  return { lines, sustained, peak: sustained + peaks }
}
