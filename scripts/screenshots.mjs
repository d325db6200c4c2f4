import { mkdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromiumArguments, chromiumPath, ensureChromium } from './browser.mjs'
import {
  ensureBuilt,
  ensureInstalled,
  freePort,
  root,
  run,
  startServer,
  startStandIns,
  step,
} from './lib.mjs'

// One current picture of each main view, from the demo data: `npm run screenshots [NAME ...]`.
ensureInstalled()
ensureBuilt()
ensureChromium(run, step)
const { chromium } = await import('@playwright/test')
const folder = process.env.SHOTS || join(root, 'docs', 'screenshots')
mkdirSync(folder, { recursive: true })
const database = join(tmpdir(), `tarvin-shots-${process.pid}.db`)
const port = await freePort(3400, '127.0.0.1')
const url = `http://127.0.0.1:${port}`
const dateFile = `${database}.today`
const markets = await startStandIns(await freePort(3450, '127.0.0.1'), dateFile)
const server = await startServer(
  { host: '127.0.0.1', port, url },
  { TARVIN_DATABASE_URL: `file:${database}`, TARVIN_TODAY_FILE: dateFile, TARVIN_POLLING: 'off' },
)
const files = join(tmpdir(), 'tarvin-shots-files')
run('npx', ['tsx', 'demo/main.ts', url, files, markets], { quiet: true })
const { builds } = await (await fetch(`${url}/api/session`)).json()
const couch = builds.find((build) => build.name === 'Couch corner').id
const small = builds.find((build) => build.name === 'Small white one').id
const { leads } = await (await fetch(`${url}/api/builds/${couch}/leads`)).json()
const lot = leads.find((lead) => lead.externalId === 'B-1001').id
const card = 'murrowdun-tarn-640-8-gb'
// every picture shows the same day: each source is checked once, the markets stand still
for (const { id } of await (await fetch(`${url}/api/sources/connectors`)).json())
  await fetch(`${url}/api/sources/connectors/${id}/poll`, { method: 'POST' })
const salesToPaste = [
  ['Harrow Quill 70 8 GB graphics card', '142.50', '9 bids', 'Oct 28, 2026'],
  ['QUILL 70 8GB - mint', '131.00', '14 bids', 'Oct 27, 2026'],
  ['Quill 70 8 GB (no fan), for parts', '40.00', '3 bids', 'Oct 26, 2026'],
  ['quill 70 8gb oc', '138.00', 'Fixed price', '10/04/2026'],
  ['Quill 70 8GB boxed', '149.00', 'Fixed price', 'Oct 25, 2026'],
  ['Harrow Quill 70 8GB dual fan', '136.00', '11 bids', 'Oct 22, 2026'],
]
  .map(([title, price, manner, day]) =>
    [title, 'Second-hand', `CA $${price}`, manner, '+CA $9.00 delivery', `Sold ${day}`].join('\n'),
  )
  .join('\n\n')
const views = [
  ['brief', `/b/${couch}/brief`],
  ['prices-read', `/b/${couch}/prices?part=${card}`],
  ['prices-sift', `/b/${couch}/prices?part=${card}&mode=sift`],
  [
    'paste',
    '/new',
    async (page) => {
      await page.evaluate((text) => {
        const data = new DataTransfer()
        data.setData('text/plain', text)
        document.body.dispatchEvent(
          new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
        )
      }, salesToPaste)
      await page.getByText('records read').waitFor()
    },
  ],
  ['worth-buying', `/b/${couch}/prices?sheet=worth`],
  ['leads', `/b/${couch}/leads?lead=${lot}`],
  ['machine', `/b/${couch}/machine`, async (page) => page.keyboard.press('r')],
  ['machine-findings', `/b/${small}/machine`],
  [
    'plan',
    `/b/${couch}/plan`,
    async (page) => {
      await page.getByText('Cost of each wish').waitFor()
      await page.locator('canvas[aria-label="cost of each plan"]').waitFor()
      await page.waitForTimeout(2500)
    },
  ],
  ['bench', `/b/${couch}/bench`],
  [
    'frame-times',
    `/b/${couch}/bench?mode=frames`,
    async (page) => {
      for (const log of ['frames-1.csv', 'frames-3.csv']) {
        await page.setInputFiles('[data-test="log-file"]', join(files, log))
        await page.getByRole('button', { name: 'Read log' }).click()
        await page.getByRole('dialog').waitFor({ state: 'hidden' })
      }
      await page.locator('[data-stat="frames"]').waitFor()
    },
  ],
  ['settings', '/settings'],
  ['scales', `/b/${couch}/scales`],
  [
    'match',
    `/b/${couch}/scales?mode=match`,
    async (page) => {
      await page.getByRole('button', { name: 'Match it' }).click()
      await page.locator('[data-test="match-answer"]').waitFor()
    },
  ],
  ['ledger', `/b/${couch}/ledger`],
  ['working', `/b/${couch}/bench`, async (page) => page.locator('[data-target]').first().click()],
  ['leads-phone', `/b/${couch}/leads?lead=${lot}`, undefined, { width: 390, height: 844 }],
  ['sources', '/sources'],
  ['builds', '/'],
]
const browser = await chromium.launch({ executablePath: chromiumPath(), args: chromiumArguments })
const wanted = process.argv.slice(2)
try {
  for (const [name, path, before, viewport = { width: 1280, height: 800 }] of views) {
    if (wanted.length > 0 && !wanted.includes(name)) continue
    const page = await browser.newPage({ viewport, reducedMotion: 'reduce' })
    page.on('pageerror', (error) => step(`${name}: ${error.message}`))
    page.on('console', (message) => message.type() === 'error' && step(`${name}: ${message.text()}`))
    await page.goto(url + path, { waitUntil: 'networkidle' })
    if (before) await before(page)
    await page.waitForLoadState('networkidle')
    await page.screenshot({ path: join(folder, `${name}.png`) })
    await page.close()
    step(name)
  }
} finally {
  // a picture that cannot be taken leaves no server behind
  await browser.close()
  server.removeAllListeners('exit')
  server.kill()
}
for (const ending of ['', '-wal', '-shm', '.today']) rmSync(database + ending, { force: true })
process.exit(0)
