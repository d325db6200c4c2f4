import type { Part } from '../../parts/part'
import type { MachineRead } from './rule'

/** What several rules add up. */

export function modulesOf(machine: MachineRead): number {
  return machine.all('memory').reduce((sum, part) => sum + (part.facts.kitCount ?? 1), 0)
}

export function memoryGbOf(machine: MachineRead): number {
  return machine.all('memory').reduce((sum, part) => sum + (part.facts.capacityGb ?? 0), 0)
}

export const sataDrives = (machine: MachineRead): readonly Part[] =>
  machine.all('storage').filter((part) => part.facts.interface === 'sata')
export const nvmeDrives = (machine: MachineRead): readonly Part[] =>
  machine.all('storage').filter((part) => part.facts.interface === 'nvme')
export const largeDrives = (machine: MachineRead): readonly Part[] =>
  machine.all('storage').filter((part) => part.facts.drive === 'hdd')

/** Card leads of a supply, adapters counted as what they feed where the supply has what they hang on. */
export function leadsThere(machine: MachineRead, supply: Part): { six: number; eight: number } {
  const free: Record<string, number> = {
    '6-pin': supply.facts.sixPinLeads ?? 0,
    '8-pin': supply.facts.eightPinLeads ?? 0,
    sata: (supply.facts.sataLeads ?? 1) - sataDrives(machine).length,
  }
  for (const { facts } of machine.all('extra')) {
    if ((facts.feedsTo !== '6-pin' && facts.feedsTo !== '8-pin') || facts.feedsFrom === undefined) continue
    const from = free[facts.feedsFrom]
    if (from !== undefined && from <= 0) continue
    if (from !== undefined) free[facts.feedsFrom] = from - 1
    free[facts.feedsTo]! += 1
  }
  return { six: free['6-pin']!, eight: free['8-pin']! }
}

/** Coolers are rated at 25 °C; each degree more takes 1.5 % (the difference to about 90 °C at the chip shrinks). */
export function heatFactor(roomC: number): number {
  return Math.max(0.2, 1 - 0.015 * (roomC - 25))
}

/** Watts a case's fans carry out: an assumption of 160 W a fan at 25 °C with 12 °C of warming inside. */
export function airflowW(fans: number, roomC: number): number {
  return fans * 160 * heatFactor(roomC)
}
