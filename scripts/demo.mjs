import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import {
  address,
  ensureBuilt,
  ensureInstalled,
  freePort,
  root,
  run,
  startServer,
  startStandIns,
  step,
} from './lib.mjs'

// Everything for a first look: install, build, start the stand-in markets and the application on a database of its
// own, load the demo's files, say where.
process.chdir(root)
ensureInstalled()
ensureBuilt()
const folder = join(root, '.data')
mkdirSync(folder, { recursive: true })
const database = process.env.TARVIN_DATABASE_URL || `file:${join(folder, 'demo.db')}`
const loaded = join(folder, 'demo.loaded')
const isOwn = !process.env.TARVIN_DATABASE_URL
if (isOwn && !existsSync(loaded))
  for (const ending of ['', '-wal', '-shm']) rmSync(join(folder, `demo.db${ending}`), { force: true })
const where = await address()
const dateFile = join(folder, 'demo-today')
if (isOwn && !existsSync(loaded)) rmSync(dateFile, { force: true })
const markets = await startStandIns(await freePort(where.port + 100, '127.0.0.1'), dateFile)
await startServer(where, { TARVIN_DATABASE_URL: database, TARVIN_TODAY_FILE: dateFile })
if (!isOwn || !existsSync(loaded)) {
  step('loading the demo through the import routes')
  run('npx', ['tsx', 'demo/main.ts', where.url, join(folder, 'demo-files'), markets])
  if (isOwn) writeFileSync(loaded, new Date().toISOString())
}
step(`the made-up markets it asks are at ${markets}: "Next day" there moves its date on`)
step(`Tarvin's demo is at ${where.url} (stop with Ctrl+C; delete .data/demo.loaded to load it again)`)
