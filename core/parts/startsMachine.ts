import type { Part } from './part'

/**
 * Whether a machine that is worth its parts starts from a part: a drive with platters is for what is kept, never for the
 * system. Whatever is no drive does not matter.
 */
export const startsMachine = ({ role, facts }: Pick<Part, 'role' | 'facts'>): boolean =>
  role !== 'storage' || facts.drive !== 'hdd'
