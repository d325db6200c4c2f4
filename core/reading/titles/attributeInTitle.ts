import { phrases } from '../../text/phrases'
import { hashText, type TitleScanner } from './titleScanner'

const attributeNouns = new Set(
  phrases(`
    core, cores, thread, threads, fan, fans, pin, pins, slot, slots, dp, hdmi, dvi, usb, sata, m2, bay,
    bays, port, ports, phase, year, years, month, months, day, days, displayport, outputs, gen, bit, layers,
    dimm, dimms, sodimm, m, pcie, eps, channel
  `).map(hashText),
)

const slotWords = new Set(['pcie', 'pci', 'express', 'slot', 'lanes', 'gen', 'interface'].map(hashText))
const driveWords = new Set(['nvme', 'm2', 'ssd'].map(hashText))
/** `PCIe x16`, `PCIe 3.0 x4`: the width of a slot. */
export function isSlot(scanner: TitleScanner, i: number): boolean {
  for (let back = 1; back <= 3; back += 1)
    if (i >= back && slotWords.has(scanner.hash[i - back]!)) return true
  // `NVMe x4` is the width, `NVMe x2` two of them
  return scanner.first[i] === 4 && driveWords.has(scanner.hash[i - 1] ?? -1)
}

export function isAttributeNoun(scanner: TitleScanner, i: number): boolean {
  return i < scanner.count && attributeNouns.has(scanner.hash[i]!)
}

/** Lines of a picture and pictures a second: no model. */
export const ofPictures = /^\d+(p|hz|fps)$/
