import { partLabel, type Part } from '../../parts/part'
import { loadStates } from './wallDraw'

/** What draws how much where a part does not state it, W. Defaults of `calculations.md` 7. */
export const drawDefaults = {
  cpu: 65,
  card: 150,
  board: 30,
  module: 3,
  ssd: 5,
  hdd: 8,
  fan: 3,
  usb: 10,
  transient: 1.6,
} as const

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
    if (role === 'storage')
      add(partLabel(part), facts.drive === 'hdd' ? drawDefaults.hdd : drawDefaults.ssd, false)
    if (role === 'case') add(`fans of ${partLabel(part)}`, drawDefaults.fan * (facts.fans ?? 0), false)
  }
  if (parts.length > 0) add('USB', drawDefaults.usb, false)
  const sustained = lines.reduce((sum, line) => sum + line.watts, 0)
  return { lines, sustained, peak: sustained + peaks }
}

/** DC draw of a machine in a state of use, W: CPU and card at their shares, the rest at its own. */
export function drawAt(parts: readonly Part[], draw: PowerDraw, state: keyof typeof loadStates): number {
  const sum = (role: Part['role'], of: (part: Part) => number) =>
    parts.filter((part) => part.role === role).reduce((total, part) => total + of(part), 0)
  const cpu = sum('cpu', (part) => part.facts.limitW ?? drawDefaults.cpu)
  const card = sum('graphics', (part) => part.facts.boardPowerW ?? drawDefaults.card)
  const shares = loadStates[state]
  return cpu * shares.cpu + card * shares.card + (draw.sustained - cpu - card) * shares.rest
}

/** What USB draws in a state of use, W: there once in every machine, whatever its parts. */
export function usbDraw(state: keyof typeof loadStates): number {
  return drawDefaults.usb * loadStates[state].rest
}
