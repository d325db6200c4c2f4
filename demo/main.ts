import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { demoFiles } from './files'
import { loadDemo } from './load'

/** `tsx demo/main.ts ADDRESS [FOLDER]`: writes the demo's files to a folder and loads them into a running server. */
const [address, folder] = process.argv.slice(2)
if (address === undefined) {
  process.stderr.write('usage: tsx demo/main.ts ADDRESS [FOLDER]\n')
  process.exit(2)
}
if (folder !== undefined) {
  mkdirSync(folder, { recursive: true })
  for (const [name, text] of Object.entries(demoFiles())) writeFileSync(join(folder, name), text)
}
loadDemo(address, (line) => process.stdout.write(`  ${line}\n`)).catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`)
  process.exit(1)
})
