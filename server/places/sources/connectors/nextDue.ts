const longestMinutes = 24 * 60

/** When to ask again: by the schedule, doubled for every failure in a row, at most a day. ISO time. */
export function nextDue(now: Date, everyMinutes: number, failures: number): string {
  const minutes =
    failures === 0 ? everyMinutes : Math.min(longestMinutes, everyMinutes * 2 ** Math.min(failures, 10))
  return new Date(now.getTime() + Math.max(minutes, everyMinutes) * 60_000).toISOString()
}
