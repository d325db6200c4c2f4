import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { ensureBuilt, ensureInstalled, root } from './lib.mjs'

// Bundles the benchmark first, as the application itself is bundled, and runs it: `npm run bench -- [ADDRESS of a running server]`.
process.chdir(root)
ensureInstalled()
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
