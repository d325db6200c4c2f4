import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { checkFit } from '../core/machine/fit/checkFit'
import { frameLog } from '../core/performance/frametimes/frameLog'
import { frameTimes } from '../core/performance/frametimes/frameTimes'
import { frameLogHead, readFrameLog } from '../core/reading/frames/frameLogFile'
import { expandDonors } from '../core/parts/expandDonors'
import { catalogue, cataloguePart } from '../demo/catalogue'
import { streetPrice } from '../core/pricing/street/streetPrice'
import type { SoldRecord } from '../core/reading/sales/soldRecord'
import { addDays } from '../core/time/calendarDate'
import { labelledTitles } from '../demo/labelledTitles'
import { heldBackSeed, measureSieve } from '../demo/measureSieve'
import { labelledListings } from '../demo/listingTexts'
import { heldBackListingsSeed, measureListings } from '../demo/measureListings'
import { measureFit } from '../demo/measureFit'
import { chance } from '../demo/random'
import { fetchApart } from '../demo/fetchApart'
import { loadDemo } from '../demo/load'
import { openDatabase } from '../server/db/client'
import { migrate } from '../server/db/migrate'
import { importSoldRecords } from '../server/places/prices/importRecords'
import {
  measureListings as measureByHand,
  measurePages,
  measureSales,
  measureTitles,
} from '../tests/handmade/measure'
import { benchLoad } from './benchLoad'
import { asking } from '../demo/asking'
import { benchPages, startServer } from './benchPages'

/** `npm run bench`: measures, prints, judges nothing. */
const say = (name: string, value: string) => process.stdout.write(`${name.padEnd(58)} ${value}\n`)
const seconds = (from: number) => `${((performance.now() - from) / 1000).toFixed(2)} s`

function records(count: number): SoldRecord[] {
  const draw = chance(1)
  const tails = [
    'works great',
    'tested',
    'no box',
    '8GB graphics card',
    'dual fan',
    'from smoke free home',
    'barely used',
    'fast shipping',
  ]
  return Array.from({ length: count }, (_, i) => ({
    id: `G${i}`,
    source: 'Gavelry',
    title: `Murrowdun Tarn 640 8 GB ${tails[i % tails.length]} ${i}`,
    price: Math.round(13_000 * Math.exp(0.1 * draw.normal())),
    shipping: 500,
    currency: 'CAD',
    soldOn: addDays('2026-10-31', -draw.whole(0, 89)),
    manner: (['auction', 'fixed', 'local'] as const)[i % 3]!,
    condition: 'used' as const,
  }))
}
const query = {
  must: ['Tarn', '640'],
  mustNot: ['broken'],
  variant: { capacityGb: 8, siblings: ['640 S'] },
  conditions: ['used'] as const,
  manners: ['auction', 'fixed', 'local'] as const,
  windowDays: 90,
  halfLifeDays: 30,
  asOf: '2026-10-31',
  currency: 'CAD',
}

for (const count of [1000, 100_000, 1_000_000]) {
  const list = records(count)
  const from = performance.now()
  const reading = streetPrice(query, list)
  say(
    `street price of ${count.toLocaleString('en')} records, ${reading.kept.length.toLocaleString('en')} kept`,
    `${seconds(from)}, ${Math.round(process.memoryUsage().rss / 1e6)} MB resident`,
  )
}

const heldBack = measureSieve(labelledTitles(heldBackSeed, 5000))
const share = (part: number, whole: number) => `${((100 * part) / whole).toFixed(2)} % (${part} of ${whole})`
say('5 000 titles held back: wanted kept', share(heldBack.wantedKept, heldBack.wanted))
say('5 000 titles held back: unwanted dropped', share(heldBack.unwantedDropped, heldBack.unwanted))
if (process.argv.includes('--mistakes'))
  for (const each of heldBack.mistakes) process.stdout.write(`  ${each}\n`)

const byHand = {
  titles: measureTitles('heldback'),
  sales: measureSales('heldback'),
  listings: measureByHand('heldback'),
  pages: measurePages('heldback'),
}
say('titles by hand, held back: wanted kept', share(byHand.titles.kept.right, byHand.titles.kept.of))
say(
  'titles by hand, held back: unwanted dropped',
  share(byHand.titles.dropped.right, byHand.titles.dropped.of),
)
say('past sales by hand, held back: fields right', share(byHand.sales.right, byHand.sales.of))
say('past sales by hand, held back: silently wrong', share(byHand.sales.silent, byHand.sales.of))
say('listings by hand, held back: fields right', share(byHand.listings.right, byHand.listings.of))
say(
  'pages of several by hand, held back: kinds, titles, prices right',
  share(byHand.pages.right, byHand.pages.of),
)
for (const each of [byHand.titles.kept, byHand.titles.dropped, byHand.sales, byHand.listings, byHand.pages])
  for (const wrong of each.wrong) process.stdout.write(`  ${wrong}\n`)

const listings = measureListings(labelledListings(heldBackListingsSeed, 300))
say('300 listings held back: top proposal right, of those answered', share(listings.right, listings.answered))
say('300 listings held back: abstained', share(listings.abstained, listings.listings))
say('300 listings held back: contents of lots found', share(listings.contentsFound, listings.contents))
say(
  '300 listings held back: ask, condition, shipping right',
  `${share(listings.priceRight, listings.listings)}, ` +
    `${share(listings.conditionRight, listings.listings)}, ` +
    `${share(listings.shippingRight, listings.listings)}`,
)
if (process.argv.includes('--mistakes'))
  for (const each of listings.mistakes) process.stdout.write(`  ${each}\n`)

for (const [name, spread, isOfOtherForm] of [
  ['exact indexes', 0, false],
  ['indexes off by 6 %', 0.06, false],
  ['frames of another form', 0.03, true],
] as const) {
  const { medianError, coverage, workloads, checks } = measureFit(heldBackSeed, 200, spread, isOfOtherForm)
  say(
    `fit, ${workloads} workloads, ${name}: median error on unseen pairs`,
    `${(100 * medianError).toFixed(1)} %; ${(100 * coverage).toFixed(1)} % of ${checks} new runs within the 90 % range`,
  )
}
const logText = `elapsed s,frame ms\n${Array.from({ length: 1_000_000 }, (_, i) => `${(i / 60).toFixed(4)},${(14 + (i % 37) / 10).toFixed(3)}`).join('\n')}`
const logFrom = performance.now()
const { timesMs } = readFrameLog(logText, frameLogHead(logText).proposal!)
const parsed = performance.now()
frameTimes(frameLog(timesMs).times, 60)
say(
  'frame log of 1 000 000 frames: read, and analysed (what the worker does)',
  `${((parsed - logFrom) / 1000).toFixed(2)} s, ${((performance.now() - parsed) / 1000).toFixed(2)} s`,
)

const wholeMachine = expandDonors(
  ['meridon-desk-20-tower', 'murrowdun-tarn-640-8-gb', 'fathomline-race-1-tb-nvme'].map(cataloguePart),
  new Map(catalogue.map((part) => [part.id, part])),
)
const checkFrom = performance.now()
for (let round = 0; round < 200; round += 1) checkFit({ parts: wholeMachine })
say('fit check of a whole machine, all rules', `${((performance.now() - checkFrom) / 200).toFixed(2)} ms`)

const folder = mkdtempSync(join(tmpdir(), 'tarvin-bench-'))
const database = await openDatabase(`file:${join(folder, 'bench.db')}`)
await migrate(
  database,
  readdirSync('server/db/migrations')
    .filter((name) => name.endsWith('.sql'))
    .map((name) => ({ name, sql: readFileSync(`server/db/migrations/${name}`, 'utf8') })),
)
const lines = 60_000
const csv = [
  'id,source,title,price,shipping,currency,date,manner,condition',
  ...records(lines).map(
    (r) =>
      `${r.id},${r.source},${r.title},${(r.price / 100).toFixed(2)},5.00,CAD,${r.soldOn},${r.manner},used`,
  ),
].join('\n')
const from = performance.now()
await importSoldRecords(database, {
  name: 'bench.csv',
  text: csv,
  defaults: { source: 'x', currency: 'CAD', manner: 'fixed', condition: 'used', today: '2026-10-31' },
})
say(
  'CSV import: parsed, checked and stored',
  `${Math.round(lines / ((performance.now() - from) / 1000)).toLocaleString('en')} lines a second`,
)
rmSync(folder, { recursive: true, force: true })

// a server of its own with the demo in it, unless one is named
const given = process.argv.slice(2).find((each) => each.startsWith('http'))
const ownFolder = mkdtempSync(join(tmpdir(), 'tarvin-bench-'))
const ownServer = given === undefined ? await startServer(ownFolder) : null
const address = given ?? ownServer!.url
if (ownServer) await loadDemo(address, () => undefined, { fetch: fetchApart })
await serverFigures()

/** What a server with the demo answers, and how fast. */
async function serverFigures(): Promise<void> {
  const { builds } = (await (await fetch(`${address}/api/session`)).json()) as {
    builds: { id: string; name: string }[]
  }
  const build = builds.find((each) => each.name === 'Couch corner') ?? builds[0]
  const timed = async (name: string, path: string, body?: string) => {
    for (const round of ['first', 'again']) {
      const start = performance.now()
      await (
        await fetch(
          address + path,
          body ? { method: 'POST', body, headers: { 'content-type': 'application/json' } } : {},
        )
      ).text()
      say(`${name}, ${round}`, `${(performance.now() - start).toFixed(0)} ms`)
    }
  }
  if (build) {
    await timed('busiest page (150 leads valued)', `/api/builds/${build.id}/leads`)
    await rulesChanged(build.id)
    await timed('all prices of the library', `/api/builds/${build.id}/prices`)
    await timed('steps up for every role', `/api/builds/${build.id}/machine/steps`)
    await timed('machine: ways to fix, power, room, plan', `/api/builds/${build.id}/machine`)
    await timed('one choice more: the build calculated again', `/api/builds/${build.id}`)
    await timed('bench: needs, runs, frames for money', `/api/builds/${build.id}/bench`)
    for (const goal of ['match', 'spend'] as const) await searched(build.id, goal)
  }
  const plain = (amount: number) => (amount / 100).toFixed(2)
  await timed(
    '/api/calc/street-price with 5 000 records',
    '/api/calc/street-price',
    JSON.stringify({
      query,
      records: records(5000).map((r) => ({ ...r, price: plain(r.price), shipping: plain(r.shipping) })),
      rates: [],
    }),
  )
}

const html = await (await fetch(address)).text()
const scripts = [...new Set([...html.matchAll(/\/_nuxt\/[\w-]+\.js/g)].map((match) => match[0]))]
say(
  'JavaScript of the first page, gzip',
  `${Math.round(scripts.reduce((sum, path) => sum + gzipSync(readFileSync(join('.built/public', path))).length, 0) / 1024)} ` +
    `kB in ${scripts.length} files`,
)

await ownServer?.stop()
rmSync(ownFolder, { recursive: true, force: true })
await benchPages(say)
// `npm run bench -- --minutes 10` for the long one
const minutes = Number(process.argv[process.argv.indexOf('--minutes') + 1]) || 1
await benchLoad(say, minutes)

/** A machine that matches the first rival on the scales, or the best for its money: how long the whole search took. */
async function searched(buildId: string, goal: 'match' | 'spend'): Promise<void> {
  const { weighing } = (await (await fetch(`${address}/api/builds/${buildId}`)).json()) as {
    weighing: { others: { machine: { id: string; name: string } }[] }
  }
  const [rival] = weighing.others
  if (!rival) return
  const start = performance.now()
  const lines = (
    await (
      await fetch(`${address}/api/builds/${buildId}/scales/match`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ goal, rivalId: rival.machine.id }),
      })
    ).text()
  )
    .trim()
    .split('\n')
  const { report } = JSON.parse(lines.at(-1)!) as { report: { checked: number; isComplete: boolean } }
  say(
    `${goal === 'match' ? 'match it' : 'spend the same'}: ${report.checked} machines ` +
      `checked, ${report.isComplete ? 'proven the best' : 'time ran out'}`,
    `${(performance.now() - start).toFixed(0)} ms`,
  )
}

/** A house rule is changed and put back; each time all leads are valued again. */
async function rulesChanged(buildId: string): Promise<void> {
  const brief = (await (await fetch(`${address}/api/builds/${buildId}/brief`)).json()) as {
    houseRules: { faults?: object }
  }
  for (const houseRules of [{ ...brief.houseRules, faults: { used: { graphics: 0.2 } } }, brief.houseRules]) {
    const ask = asking(address, fetchApart)
    const was = await ask(`/api/builds/${buildId}/brief`)
    await ask(`/api/builds/${buildId}/brief`, { ...brief, houseRules }, 'PUT', was)
    const start = performance.now()
    await (await fetch(`${address}/api/builds/${buildId}/leads`)).text()
    say('150 leads valued again after a changed house rule', `${(performance.now() - start).toFixed(0)} ms`)
  }
}
