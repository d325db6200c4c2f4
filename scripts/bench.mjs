import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { ensureBuilt, ensureInstalled, root, run } from './lib.mjs'

// Bundles the benchmark first, as the application itself is bundled, and runs it: `npm run bench -- [ADDRESS of a
// running server]`.
// `npm run bench -- readings`: the table of docs/bench.md alone.
// `npm run bench -- attack`: 200 kills and 10 000 malformed requests instead of the few of `npm test`.
// `npm run bench -- lives`: 200 random lives instead of the few of `npm test`.
// `npm run bench -- proposals`: 300 random builds whose proposals are carried out, instead of the few of `npm test`.
process.chdir(root)
ensureInstalled()
if (process.argv[2] === 'proposals') {
  run('npx', ['vitest', 'run', 'tests/server/proposals.test.ts', 'tests/server/planProven.test.ts'], {
    env: { TARVIN_PROPOSALS: '300' },
  })
  process.exit(0)
}
if (process.argv[2] === 'lives') {
  run('npx', ['vitest', 'run', 'tests/server/livesModel.test.ts'], { env: { TARVIN_LIVES: '200' } })
  process.exit(0)
}
ensureBuilt()
if (process.argv[2] === 'attack') {
  const env = { TARVIN_KILLS: '200', TARVIN_FUZZ: '10000' }
  run('npx', ['vitest', 'run', '--config', 'vitest.attack.config.ts', 'kills', 'fuzz'], { env })
  process.exit(0)
}
const { build } = await import('esbuild')
const outfile = join(root, 'node_modules', '.cache', 'tarvin-bench.mjs')
await build({
  entryPoints: [process.argv[2] === 'readings' ? 'scripts/benchReadingsMain.ts' : 'scripts/bench.ts'],
  outfile,
  bundle: true,
  platform: 'node',
  format: 'esm',
  packages: 'external',
  logLevel: 'error',
  alias: { '#core': './core', '#shared': './shared', '#server': './server' },
})
await import(pathToFileURL(outfile).href)
