import type { OpenDatabase } from '#server/db/client'
import { importSoldRecords } from '#server/places/prices/importRecords'
import { demoToday } from '../../demo/trade'

/** Imports a CSV of sold records as the route does. */
export async function importRecordsText(database: OpenDatabase, text: string): Promise<void> {
  await importSoldRecords(database, {
    name: 'records.csv',
    text,
    defaults: { source: 'file', currency: 'CAD', manner: 'fixed', condition: 'used', today: demoToday },
  })
}
