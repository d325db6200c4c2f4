import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { ensureBuilt, ensureInstalled, root, run } from './lib.mjs'

// Bundles the benchmark first, as the application itself is bundled, and runs it: `npm run bench -- [ADDRESS of a
// running server]`.
// `npm run bench -- lives`: 200 random lives instead of the few of `npm test`.
process.chdir(root)
ensureInstalled()
if (process.argv[2] === 'lives') {
  run('npx', ['vitest', 'run', 'tests/server/livesModel.test.ts'], { env: { TARVIN_LIVES: '200' } })
  process.exit(0)
}
ensureBuilt()
const { build } = await import('esbuild')
const outfile = join(root, 'node_modules', '.cache', 'tarvin-bench.mjs')
await build({
  entryPoints: ['scripts/bench.ts'],
  outfile,
  bundle: true,
  platform: 'node',
  format: 'esm',
  packages: 'external',
  logLevel: 'error',
  alias: { '#core': './core', '#shared': './shared', '#server': './server' },
})
await import(pathToFileURL(outfile).href)
