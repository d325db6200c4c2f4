import type { Part } from '../../parts/part'
import type { CitedFact } from './finding'
import { cite, type MachineRead } from './rule'

/** What several rules add up. */

export function modulesOf(machine: MachineRead): number {
  return machine.all('memory').reduce((sum, part) => sum + (part.facts.kitCount ?? 1), 0)
}

export function memoryGbOf(machine: MachineRead): number {
  return machine.all('memory').reduce((sum, part) => sum + (part.facts.capacityGb ?? 0), 0)
}

/** A drive on a card of M.2: NVMe ones unless they say that they are another shape, SATA ones where they say so. */
export const isM2 = ({ facts }: Part): boolean =>
  facts.driveShape === undefined
    ? facts.interface === 'nvme' || facts.m2LengthMm !== undefined
    : facts.driveShape === 'M.2'

export const sataDrives = (machine: MachineRead): readonly Part[] =>
  machine.all('storage').filter((part) => part.facts.interface === 'sata')
/** SATA drives in a bay, with a cable of their own. */
export const cabledDrives = (machine: MachineRead): readonly Part[] =>
  sataDrives(machine).filter((part) => !isM2(part))
export const m2Drives = (machine: MachineRead): readonly Part[] => machine.all('storage').filter(isM2)
export const largeDrives = (machine: MachineRead): readonly Part[] =>
  machine
    .all('storage')
    .filter(({ facts }) =>
      facts.driveShape === undefined ? facts.drive === 'hdd' : facts.driveShape === '3.5',
    )

/** Sizes of all fans that move air through the case, those bought with them; null where their count is not known. */
export function fansOf(machine: MachineRead): readonly (number | undefined)[] | null {
  const cases = machine.all('case')
  if (cases.some(({ facts }) => facts.fans === undefined)) return null
  return [...cases, ...machine.all('extra')].flatMap(({ facts }) =>
    Array.from({ length: facts.fans ?? 0 }, () => facts.fanMm),
  )
}

/** The parts whose draw is known, and the facts by which others draw that are not. */
export function drawKnown(machine: MachineRead): {
  readonly parts: readonly Part[]
  readonly unknown: readonly CitedFact[]
} {
  const facts = { cpu: 'limitW', graphics: 'boardPowerW' } as const
  const isOpen = (part: Part): part is Part & { role: keyof typeof facts } =>
    (part.role === 'cpu' || part.role === 'graphics') && part.facts[facts[part.role]] === undefined
  return {
    parts: machine.parts.filter((part) => !isOpen(part)),
    unknown: machine.parts.filter(isOpen).map((part) => cite(part, facts[part.role])),
  }
}

/** Slots behind which cards stick out: whole ones, a card of two and a half takes three. */
export const slotsTaken = (card: Part): number => Math.ceil(card.facts.slotsThick ?? 2)

/** Coolers are rated at 25 °C; each degree more takes 1.5 % (the difference to about 90 °C at the chip shrinks). */
export function heatFactor(roomC: number): number {
  return Math.max(0.2, 1 - 0.015 * (roomC - 25))
}
