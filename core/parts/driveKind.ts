import type { PartFacts } from './part'

/**
 * How fast a drive is by its kind: 0 turning, 1 SATA, 2 NVMe; left out where that is not known.
 *
 * @example driveKind({ drive: 'ssd', interface: 'nvme' }) // 2
 */
export function driveKind({ drive, interface: plug }: PartFacts): number | undefined {
  if (drive === 'hdd') return 0
  return plug === 'sata' ? 1 : plug === 'nvme' ? 2 : undefined
}
