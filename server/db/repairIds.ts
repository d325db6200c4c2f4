import type { Client, Transaction } from '@libsql/client'
import { idGrammar, plainId } from '#shared/text/plainId'

/** Columns of free text, in which an id of before may stand as a word that is none. */
const prose = new Set(['name', 'title', 'text', 'note', 'url', 'words', 'label', 'external_id', 'externalId'])

/**
 * Brings ids of before that break the grammar of ids (`idGrammar`) to it, in one transaction: in every table, in what
 * refers to them, in JSON and in the rows that an undo would put back. What each was called stands in `id_aliases`.
 *
 * @returns how many were renamed; 0, after one look at each table, where all keep to it
 */
export async function repairIds(client: Client): Promise<number> {
  const tables = await tablesOf(client)
  const renamed = new Map<string, string>()
  for (const { name, columns } of tables)
    if (columns.includes('id')) for (const old of await strayIds(client, name)) renamed.set(old, plainId(old))
  if (renamed.size === 0) return 0
  const tx = await client.transaction('write')
  try {
    await tx.execute('PRAGMA defer_foreign_keys = ON')
    for (const table of tables)
      for (const column of table.columns.filter((each) => !prose.has(each)))
        await renameIn(tx, table.name, column, renamed)
    for (const [old, now] of renamed)
      await tx.execute({
        sql: 'INSERT OR REPLACE INTO id_aliases (old, now) VALUES (?, ?)',
        args: [old, now],
      })
    await tx.commit()
  } finally {
    tx.close()
  }
  return renamed.size
}

async function tablesOf(client: Client): Promise<{ name: string; columns: string[] }[]> {
  const { rows } = await client.execute(
    `SELECT t.name AS name, c.name AS column FROM sqlite_master t, pragma_table_info(t.name) c
     WHERE t.type = 'table' AND t.name NOT LIKE 'sqlite_%' AND t.name NOT IN ('migrations', 'id_aliases', 'settings')
     AND upper(c.type) = 'TEXT'`,
  )
  const tables = new Map<string, string[]>()
  for (const row of rows) {
    const name = String(row.name)
    tables.set(name, [...(tables.get(name) ?? []), String(row.column)])
  }
  return [...tables].map(([name, columns]) => ({ name, columns }))
}

async function strayIds(client: Client, table: string): Promise<string[]> {
  const { rows } = await client.execute(
    `SELECT id FROM "${table}" WHERE id GLOB '*[^A-Za-z0-9-]*' OR length(id) > 120`,
  )
  return rows.map((row) => String(row.id)).filter((id) => !idGrammar.test(id))
}

async function renameIn(
  tx: Transaction,
  table: string,
  column: string,
  renamed: ReadonlyMap<string, string>,
): Promise<void> {
  const { rows } = await tx.execute(
    `SELECT rowid AS at, "${column}" AS value FROM "${table}" WHERE "${column}" IS NOT NULL`,
  )
  for (const { at, value } of rows) {
    const was = String(value)
    const is = renamed.get(was) ?? renamedJson(was, renamed)
    if (is !== was)
      await tx.execute({ sql: `UPDATE "${table}" SET "${column}" = ? WHERE rowid = ?`, args: [is, at!] })
  }
}

/** A JSON text in which some ids may stand, as values or as keys; any other text stays as it is. */
function renamedJson(text: string, renamed: ReadonlyMap<string, string>): string {
  if (!/^[[{]/.test(text) || ![...renamed.keys()].some((old) => text.includes(JSON.stringify(old))))
    return text
  const walk = (value: unknown): unknown => {
    if (typeof value === 'string') return renamed.get(value) ?? value
    if (Array.isArray(value)) return value.map(walk)
    if (typeof value !== 'object' || value === null) return value
    return Object.fromEntries(
      Object.entries(value).map(([key, each]) => [
        renamed.get(key) ?? key,
        prose.has(key) ? each : walk(each),
      ]),
    )
  }
  try {
    return JSON.stringify(walk(JSON.parse(text)))
  } catch {
    return text
  }
}
