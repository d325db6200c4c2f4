import type { Client } from '@libsql/client'
import { is } from 'drizzle-orm'
import { CasingCache } from 'drizzle-orm/casing'
import { getTableConfig, SQLiteTable } from 'drizzle-orm/sqlite-core'
import { CoreError } from '#core/errors/coreError'
import * as aliases from './schema/aliases'
import * as bench from './schema/bench'
import * as brief from './schema/brief'
import * as builds from './schema/builds'
import * as leads from './schema/leads'
import * as ledger from './schema/ledger'
import * as machine from './schema/machine'
import * as parts from './schema/parts'
import * as prices from './schema/prices'
import * as rivals from './schema/rivals'
import * as scales from './schema/scales'
import * as settings from './schema/settings'
import * as sources from './schema/sources'
import * as work from './schema/work'

const schema = [
  aliases,
  bench,
  brief,
  builds,
  leads,
  ledger,
  machine,
  parts,
  prices,
  rivals,
  scales,
  settings,
  sources,
  work,
]
const tables = schema.flatMap((each) => Object.values(each)).filter((each) => is(each, SQLiteTable))

/** What SQLite says of a value, by the type of its column; a whole number in a column of fractions is one of these. */
const kindsOf: Readonly<Record<string, string>> = {
  text: "'text'",
  integer: "'integer'",
  real: "'real', 'integer'",
  blob: "'blob', 'text'",
}

/**
 * Reads every row of a database that is to take the place of another, as its tables say what stands in them: SQLite
 * itself would keep a word where a price belongs. Its tables are those of the other, and every reference leads somewhere.
 *
 * @throws CoreError `unreadable-backup` with table, row and column; `other-tables`
 */
export async function refuseUnreadable(coming: Client, present: Client): Promise<void> {
  const [theirs, ours] = await Promise.all([columnsOf(coming), columnsOf(present)])
  for (const table of new Set([...theirs.keys(), ...ours.keys()]))
    if (theirs.get(table) !== ours.get(table)) throw new CoreError('other-tables', { table })
  const casing = new CasingCache('snake_case')
  for (const table of tables) {
    const { name, columns } = getTableConfig(table)
    for (const column of columns) {
      const its = casing.getColumnCasing(column)
      const kinds = kindsOf[column.getSQLType()]
      const wrong = [
        ...(kinds ? [`typeof("${its}") NOT IN (${kinds}${column.notNull ? '' : ", 'null'"})`] : []),
        ...(column.dataType === 'json' ? [`("${its}" IS NOT NULL AND NOT json_valid("${its}"))`] : []),
        ...(column.enumValues?.length
          ? [
              `("${its}" IS NOT NULL AND "${its}" NOT IN (${column.enumValues.map((each: string) => `'${each}'`).join(', ')}))`,
            ]
          : []),
      ]
      if (wrong.length === 0) continue
      const { rows } = await coming.execute(
        `SELECT rowid AS number FROM "${name}" WHERE ${wrong.join(' OR ')} LIMIT 1`,
      )
      if (rows[0])
        throw new CoreError('unreadable-backup', { table: name, row: Number(rows[0].number), column: its })
    }
  }
  const { rows } = await coming.execute('PRAGMA foreign_key_check')
  const [lost] = rows
  if (lost)
    throw new CoreError('unreadable-backup', {
      table: String(lost.table),
      row: Number(lost.rowid),
      column: `names a row of ${String(lost.parent)} that is not there`,
    })
}

/** Names of the columns of each table, in their order. */
async function columnsOf(client: Client): Promise<Map<string, string>> {
  const { rows } = await client.execute(
    "SELECT m.name AS name, group_concat(c.name, ' ') AS columns FROM sqlite_master m, pragma_table_info(m.name) c " +
      "WHERE m.type = 'table' AND m.name NOT LIKE 'sqlite_%' AND m.name NOT LIKE 'libsql_%' GROUP BY m.name",
  )
  return new Map(
    rows.map(({ name, columns }) => [String(name), String(columns).split(' ').toSorted().join(' ')]),
  )
}
