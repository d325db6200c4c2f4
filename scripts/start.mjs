import { address, ensureBuilt, ensureInstalled, startServer, step } from './lib.mjs'

ensureInstalled()
ensureBuilt()
const where = await address()
await startServer(where)
step(`Tarvin is at ${where.url} (stop with Ctrl+C)`)
