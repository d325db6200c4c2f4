import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { spawnSync } from 'node:child_process'
import { root } from './lib.mjs'

// How many of the lines written by hand are tests. The aim is a quarter to a third; the floor only ever rises.
const aim = 0.25
const floor = 0.25
const { stdout } = spawnSync('git', ['ls-files', '-co', '--exclude-standard'], {
  cwd: root,
  encoding: 'utf8',
})
const lines = { code: 0, tests: 0 }
for (const name of stdout.split('\n')) {
  if (!/\.(ts|vue|mjs|css)$/.test(name) || name.includes('/migrations/') || !existsSync(join(root, name)))
    continue
  const count = readFileSync(join(root, name), 'utf8')
    .split('\n')
    .filter((line) => line.trim() !== '').length
  lines[name.startsWith('tests/') ? 'tests' : 'code'] += count
}
const share = lines.tests / (lines.code + lines.tests)
const percent = (value) => `${(100 * value).toFixed(1)} %`
process.stdout.write(
  `${lines.tests} lines of tests, ${lines.code} of code: ${percent(share)} (aim ${percent(aim)}, floor ${percent(floor)})\n`,
)
process.exit(share >= floor ? 0 : 1)
