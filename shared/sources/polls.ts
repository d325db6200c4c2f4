/** A line of a file or an entry of a feed that a poll could not take, and why. */
export interface PollProblem {
  readonly where: string
  readonly reason: string
}

/** What a poll brought. */
export interface PollReport {
  readonly added: number
  /** Leads whose ask changed. */
  readonly changed: number
  readonly alreadyThere: number
  readonly vanished: number
  readonly rejected: number
  readonly problems: readonly PollProblem[]
}
