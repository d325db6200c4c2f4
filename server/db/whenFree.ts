const waits = [20, 50, 100, 200, 400, 800, 1600, 3200]

/**
 * Does a piece of work that writes, again where another transaction held the database. SQLite lets one writer in at a
 * time and refuses the second at once; nothing of refused work is written, so it may be repeated as a whole.
 */
export async function whenFree<T>(work: () => Promise<T>): Promise<T> {
  for (const wait of waits) {
    try {
      return await work()
    } catch (error) {
      if (!isBusy(error)) throw error
      await new Promise((resolve) => setTimeout(resolve, wait))
    }
  }
  return work()
}

function isBusy(error: unknown): boolean {
  for (let each = error; each instanceof Error; each = each.cause)
    if ('code' in each && String(each.code).startsWith('SQLITE_BUSY')) return true
  return false
}
