import type { PartFacts, Role } from '../../parts/part'
import type { SpecLine } from './specLine'

export type FactKey = keyof PartFacts
export type FactValue = string | number | boolean | readonly string[]

/** How one fact is read from a line of a specification. */
export interface FactReader {
  readonly fact: FactKey
  readonly roles: readonly Role[]
  /** What the key of the line must say; left out: the value alone tells. */
  readonly key?: RegExp
  /** Keys that look alike and mean something else. */
  readonly not?: RegExp
  /** A line of more weight gives way to none of less: the sustained limit before the nominal power. */
  readonly weight?: number
  /** Of several lines: the least or the most, else the first. */
  readonly keep?: 'least' | 'most'
  read(line: SpecLine): FactValue | null
}
