import type { InValue, Transaction } from '@libsql/client'
import { getTableColumns } from 'drizzle-orm'
import { toSnakeCase } from 'drizzle-orm/casing'
import type { ColumnMap, LineProblem } from '#core/reading/tables/columns'
import {
  type ImportedRecord,
  type SoldRecordDefaults,
  type SoldRecordField,
  soldRecordPieces,
} from '#core/files/import/soldRecordsFile'
import type { ImportReport } from '#shared/files/importReport'
import type { OpenDatabase } from '#server/db/client'
import { soldRecords } from '#server/db/schema/prices'

export interface RecordsReport extends ImportReport {
  /** Its number, by which it is taken back and its records are asked for. */
  readonly import: number
}

const rowsPerStatement = 500
const mostProblemsShown = 500

/**
 * Imports a CSV of sold records in one transaction: either all its good lines are there afterwards or none. A line
 * that is there already (same source and id) is counted, not added. `onProgress` gets lines done and lines in all;
 * returning false from it cancels and leaves nothing.
 */
export async function importSoldRecords(
  database: OpenDatabase,
  file: {
    readonly name: string
    readonly text: string
    readonly columns?: ColumnMap<SoldRecordField>
    readonly defaults: SoldRecordDefaults
  },
  onProgress: (done: number, total: number) => boolean | Promise<boolean> = () => true,
): Promise<RecordsReport | 'cancelled'> {
  const { total, read } = soldRecordPieces(file.text, file.defaults, file.columns)
  const problems: LineProblem[] = []
  let rejected = 0
  let found = 0
  const tx = await database.client.transaction('write')
  try {
    const importId = await noteImport(tx, file.name, file.defaults.today)
    let added = 0
    for (let start = 0; start < total; start += rowsPerStatement) {
      const piece = read(start, start + rowsPerStatement)
      found += piece.records.length
      rejected += piece.problems.length
      problems.push(...piece.problems.slice(0, mostProblemsShown - problems.length))
      if (piece.records.length > 0) added += await insertRecords(tx, piece.records, importId)
      if (!(await onProgress(Math.min(start + rowsPerStatement, total), total))) return 'cancelled'
    }
    const alreadyThere = found - added
    await tx.execute({
      sql: 'UPDATE imports SET added = ?, already_there = ?, rejected = ? WHERE id = ?',
      args: [added, alreadyThere, rejected, importId],
    })
    await tx.commit()
    return {
      import: importId,
      added,
      alreadyThere,
      rejected,
      problems,
    }
  } finally {
    // rolls back whatever was not committed
    tx.close()
  }
}

async function noteImport(tx: Transaction, fileName: string, date: string): Promise<number> {
  const { lastInsertRowid } = await tx.execute({
    sql: 'INSERT INTO imports (kind, file_name, created_at, added, already_there, rejected) VALUES (?, ?, ?, 0, 0, 0)',
    args: ['sold-records', fileName, date],
  })
  return Number(lastInsertRowid)
}

/** Every column of the table but its number, by the member of a record that fills it. */
const columns = Object.entries(getTableColumns(soldRecords)).filter(([member]) => member !== 'id')
const names = columns.map(([member]) => toSnakeCase(member)).join(', ')
const placeholder = `(${columns.map(() => '?').join(', ')})`

async function insertRecords(
  tx: Transaction,
  records: readonly ImportedRecord[],
  importId: number,
): Promise<number> {
  const args = records.flatMap((record) => {
    const row: Readonly<Record<string, InValue>> = { ...record, importId }
    return columns.map(([member]) => row[member]!)
  })
  const { rowsAffected } = await tx.execute({
    sql:
      `INSERT INTO sold_records (${names}) VALUES ` +
      `${records.map(() => placeholder).join(', ')} ON CONFLICT (source, external_id) DO NOTHING`,
    args,
  })
  return rowsAffected
}
