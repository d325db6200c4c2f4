import { partLabel, type Part } from '../../parts/part'
import { powerDefaults, type PowerAssumptions } from '../../assumptions/groups/power'
import { shareInUse, type LoadState } from './loadStates'

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

/** How far the short peaks of a card go where it does not state it, by its board power in W. */
export function peakFactor(boardW: number, power: PowerAssumptions = powerDefaults): number {
  if (boardW <= 75) return power['peak.to75']
  if (boardW <= 150) return power['peak.to150']
  return boardW <= 250 ? power['peak.to250'] : power['peak.above']
}

/** Sustained and peak draw of a machine, DC watts; every line says whether the part states it. */
export function powerDraw(parts: readonly Part[], power: PowerAssumptions = powerDefaults): PowerDraw {
  const lines: PowerLine[] = []
  const add = (label: string, watts: number, stated: boolean) => {
    if (watts > 0) lines.push({ label, watts, stated })
  }
  let peaks = 0
  for (const part of parts) {
    const { role, facts } = part
    if (role === 'cpu') add(partLabel(part), facts.limitW ?? power.cpuW, facts.limitW !== undefined)
    if (role === 'graphics') {
      const watts = facts.boardPowerW ?? power.cardW
      add(partLabel(part), watts, facts.boardPowerW !== undefined)
      peaks += watts * ((facts.transientFactor ?? peakFactor(watts, power)) - 1)
    }
    if (role === 'motherboard') add(partLabel(part), power.boardW, false)
    if (role === 'memory') add(partLabel(part), power.moduleW * (facts.kitCount ?? 1), false)
    if (role === 'storage') add(partLabel(part), facts.drive === 'hdd' ? power.hddW : power.ssdW, false)
    if (role === 'case' || role === 'extra')
      add(`fans of ${partLabel(part)}`, power.fanW * (facts.fans ?? 0), false)
  }
  if (parts.length > 0) add('USB', power.usbW, false)
  const sustained = lines.reduce((sum, line) => sum + line.watts, 0)
  return { lines, sustained, peak: sustained + peaks }
}

/** DC draw of a machine in a state of use, W: CPU and card at their shares, the rest at its own. */
export function drawAt(
  parts: readonly Part[],
  draw: PowerDraw,
  state: LoadState,
  power: PowerAssumptions = powerDefaults,
): number {
  const sum = (role: Part['role'], of: (part: Part) => number) =>
    parts.filter((part) => part.role === role).reduce((total, part) => total + of(part), 0)
  const cpu = sum('cpu', (part) => part.facts.limitW ?? power.cpuW)
  const card = sum('graphics', (part) => part.facts.boardPowerW ?? power.cardW)
  const shares = shareInUse(state, power)
  return cpu * shares.cpu + card * shares.card + (draw.sustained - cpu - card) * shares.rest
}

/** What USB draws in a state of use, W: there once in every machine, whatever its parts. */
export function usbDraw(state: LoadState, power: PowerAssumptions = powerDefaults): number {
  return power.usbW * shareInUse(state, power).rest
}

/** The formula in words, for its working. */
export const powerDrawFormula = 'all parts at their limits; peak: with GPU power spikes'
