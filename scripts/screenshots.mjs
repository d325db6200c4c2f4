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
const views = [
  ['brief', `/b/${couch}/brief`],
  ['prices-read', `/b/${couch}/prices?part=${card}`],
  ['prices-sift', `/b/${couch}/prices?part=${card}&mode=sift`],
  ['prices-new-or-used', `/b/${couch}/prices?part=${card}&leaf=new`],
  ['worth-buying', `/b/${couch}/prices?sheet=worth`],
  ['leads', `/b/${couch}/leads?lead=${lot}`],
  ['machine', `/b/${couch}/machine`, async (page) => page.keyboard.press('r')],
  ['machine-findings', `/b/${small}/machine`],
  ['machine-steps', `/b/${couch}/machine?mode=steps`],
  ['bench', `/b/${couch}/bench`],
  [
    'frame-times',
    `/b/${couch}/bench?mode=frames`,
    async (page) => {
      for (const log of ['frames-1.csv', 'frames-3.csv']) {
        await page.setInputFiles('[data-test="log-file"]', join(files, log))
        await page.getByRole('button', { name: 'Read it' }).click()
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
