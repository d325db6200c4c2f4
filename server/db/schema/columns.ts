import { text } from 'drizzle-orm/sqlite-core'

// Amounts are integer minor units of the currency beside them, dates are calendar dates as text.

export const id = () => text().primaryKey()

export const createdAt = () => text().notNull()

/** Set instead of deleting, so that deleting can be undone. */
export const deletedAt = () => text()
