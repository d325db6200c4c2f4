import { catalogue } from './catalogue'
import { demoShelf } from './builds'
import { leadsCsv } from './leads'
import { demoRuns, demoTaskResults, demoTasks, frameLogCsv } from './runs'
import { shopPricesCsv } from './shopPrices'
import { soldRecordsCsv } from './soldRecords'
import { demoRates, demoRivals, demoSources, demoWorkloads } from './trade'

/** Seed of the demo; another seed gives another market of the same trade. */
export const demoSeed = 20_261_031

/** The demo's files in the open formats, by name, as a user would have them. */
export function demoFiles(seed = demoSeed): Record<string, string> {
  const library = {
    format: 'tarvin-library',
    version: '1',
    sources: demoSources,
    rates: demoRates,
    workloads: demoWorkloads,
    rivals: demoRivals,
    shelf: demoShelf,
    runs: demoRuns(seed + 4),
    tasks: demoTasks,
    taskResults: demoTaskResults,
    parts: catalogue.map(({ id, role, make, name, facts }) => ({ id, role, make, name, facts })),
  }
  return {
    'library.json': JSON.stringify(library, null, 1),
    'sold-records.csv': soldRecordsCsv(seed + 1),
    'leads.csv': leadsCsv(seed + 2),
    'shop-prices.csv': shopPricesCsv(seed + 3),
    ...Object.fromEntries(
      [15.2, 8.1, 16.4, 11.9, 22.5, 7.3].map((mean, index) => [
        `frames-${index + 1}.csv`,
        frameLogCsv(seed + 10 + index, mean),
      ]),
    ),
  }
}
