import { importSoldRecords } from '#server/places/prices/importRecords'
import { openTestDatabase } from './testDatabase'

// Imports many lines into the database given and stops for ever in the middle, so that a test can switch it off there.
const database = await openTestDatabase(process.argv[2]!)
const text = [
  'id,title,price,date',
  ...Array.from({ length: 5000 }, (_, i) => `r${i},Tarn 640 8GB,120.00,2026-10-10`),
].join('\n')
await importSoldRecords(
  database,
  {
    name: 'half.csv',
    text,
    defaults: { source: 'Gavelry', currency: 'CAD', manner: 'fixed', condition: 'used', today: '2026-10-31' },
  },
  async (done) => {
    if (done < 2000) return true
    process.stdout.write('half\n')
    await new Promise((resolve) => setTimeout(resolve, 600_000))
    return true
  },
)
