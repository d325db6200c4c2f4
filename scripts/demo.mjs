import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { address, ensureBuilt, ensureInstalled, root, run, startServer, step } from './lib.mjs'

// Everything for a first look: install, build, start on a database of its own, load the demo's files, say where.
process.chdir(root)
ensureInstalled()
ensureBuilt()
const folder = join(root, '.data')
mkdirSync(folder, { recursive: true })
const database = process.env.TARVIN_DATABASE_URL || `file:${join(folder, 'demo.db')}`
const loaded = join(folder, 'demo.loaded')
const isOwn = !process.env.TARVIN_DATABASE_URL
if (isOwn && !existsSync(loaded)) for (const ending of ['', '-wal', '-shm']) rmSync(join(folder, `demo.db${ending}`), { force: true })
const where = await address()
await startServer(where, { TARVIN_DATABASE_URL: database, TARVIN_TODAY: process.env.TARVIN_TODAY || '2026-10-31' })
if (!isOwn || !existsSync(loaded)) {
  step('loading the demo through the import routes')
  run('npx', ['tsx', 'demo/main.ts', where.url, join(folder, 'demo-files')])
  if (isOwn) writeFileSync(loaded, new Date().toISOString())
}
step(`Tarvin's demo is at ${where.url} (stop with Ctrl+C; delete .data/demo.loaded to load it anew)`)
