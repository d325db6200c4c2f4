import type { LineProblem } from '#core/reading/tables/columns'

/** What came of a file: rejected lines are counted, and the first of them told by number and reason. */
export interface ImportReport {
  readonly added: number
  readonly alreadyThere: number
  readonly rejected: number
  /** The first problems; all of them are counted in `rejected`. */
  readonly problems: readonly LineProblem[]
}
