import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fetchApart } from './fetchApart'
import { demoFiles } from './files'
import { loadDemo } from './load'

/**
 * `tsx demo/main.ts ADDRESS [FOLDER [MARKETS]]`: writes the demo's files to a folder, loads them into a running
 * server, and has it ask the stand-in markets.
 */
const [address, folder, markets] = process.argv.slice(2)
if (address === undefined) {
  process.stderr.write('usage: tsx demo/main.ts ADDRESS [FOLDER [MARKETS]]\n')
  process.exit(2)
}
if (folder !== undefined) {
  mkdirSync(folder, { recursive: true })
  for (const [name, text] of Object.entries(demoFiles())) writeFileSync(join(folder, name), text)
}
loadDemo(address, (line) => process.stdout.write(`  ${line}\n`), { markets, fetch: fetchApart }).catch(
  (error: unknown) => {
    process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`)
    process.exit(1)
  },
)
