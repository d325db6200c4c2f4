import type { APIRequestContext } from '@playwright/test'
import { demoFiles } from '../../demo/files'

/** Puts the demo's library, sold records and shop prices into the application by its own import routes. */
export async function loadMarket(request: APIRequestContext): Promise<void> {
  const files = demoFiles()
  await request.post('/api/library/import', { data: JSON.parse(files['library.json']!) })
  await request.post('/api/prices/sold-records/import', {
    data: files['sold-records.csv']!,
    headers: { 'content-type': 'text/csv' },
  })
  await request.post('/api/prices/shop-prices/import', {
    data: files['shop-prices.csv']!,
    headers: { 'content-type': 'text/csv' },
  })
}
