import { mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join, relative } from 'node:path'
import { ensureChromium } from './browser.mjs'
import { ensureBuilt, ensureInstalled, freePort, root, run, runBeside, step } from './lib.mjs'

// Everything: install, browser, lint, types, unit and route tests, build, browser tests. Ends with what passed and failed.
process.chdir(root)
ensureInstalled()
ensureChromium(run, step)
const results = join(root, 'test-results')
rmSync(results, { recursive: true, force: true })
mkdirSync(results, { recursive: true })
let passed = 0
/** What failed, by name: said again at the end, where a long output is cut to its tail. */
const failed = []
const count = (name, status) => (status === 0 ? passed++ : failed.push(name))
function check(name, command, args) {
  step(name)
  count(name, run(command, args, { mayFail: true }).status)
}

/** The types of one of the projects that tsconfig.json names. */
function typesOf(project) {
  return [`types of ${project}`, 'npx', ['vue-tsc', '-p', `.nuxt/tsconfig.${project}.json`, '--noEmit']]
}

/** Checks one after the other, beside the checks of another lane. */
async function checkBeside(lane) {
  for (const [name, command, args] of lane) {
    const { status, output } = await runBeside(command, args)
    step(`${name}${status === 0 ? '' : ': failed'}`)
    process.stdout.write(output)
    count(name, status)
  }
}

const sources = ['app', 'core', 'server', 'shared']
const clones = ['--mode', 'mild', '--silent', '--exitCode', '1']
const paths = ['--no-spinner', '--ts-config', 'tsconfig.lint.json']

check('preparing types', 'npx', ['nuxt', 'prepare'])
step('format, share of tests, lint, types and build, side by side')
await Promise.all([
  checkBeside([
    ['format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']],
    ['share of tests', 'node', ['scripts/testShare.mjs']],
    ['lint', 'npx', ['eslint', '.', '--max-warnings', '0']],
    typesOf('server'),
    ['nothing unused', 'npx', ['knip', '--include', 'files,exports,types']],
  ]),
  checkBeside([
    // shared is a part of both sides and checked with each
    ...['app', 'node'].map(typesOf),
    ['nothing twice', 'npx', ['jscpd', ...sources, '--min-lines', '13', '--min-tokens', '70', ...clones]],
    ['no import ring', 'npx', ['madge', '--circular', '--extensions', 'ts', ...paths, ...sources]],
    ['application built', 'node', ['--eval', "import('./scripts/lib.mjs').then((lib) => lib.ensureBuilt())"]],
  ]),
])
vitest('unit and route tests', [], 'unit.json')
ensureBuilt()
vitest('attacks on the built application', ['--config', 'vitest.attack.config.ts'], 'attack.json')
step('browser tests')
const port = await freePort(3500, '127.0.0.1')
run('npx', ['playwright', 'test'], {
  mayFail: true,
  env: { TARVIN_TEST_PORT: String(port), TARVIN_TEST_DATABASE: `file:${join(results, 'browser.db')}` },
})
const browser = readJson('browser.json')
passed += browser?.stats.expected ?? 0
if (browser) failed.push(...browser.suites.flatMap(unexpectedOf), ...browser.errors.map(firstLine))
else failed.push('browser tests: no report')
for (const name of failed) process.stdout.write(`\nfailed: ${name}`)
process.stdout.write(`\n${passed} passed, ${failed.length} failed\n`)
process.exit(failed.length === 0 && passed > 0 ? 0 : 1)

function firstLine({ message }) {
  return message.split('\n')[0]
}

/** The browser tests of a suite that did not end as expected, or only at a second try. */
function unexpectedOf({ file, specs = [], suites = [] }) {
  const unexpected = specs.filter(({ tests }) =>
    tests.some(({ status }) => ['unexpected', 'flaky'].includes(status)),
  )
  return [...unexpected.map(({ title }) => `${file} › ${title}`), ...suites.flatMap(unexpectedOf)]
}

/** Runs Vitest and counts; a file that could not be run counts as a failure. */
function vitest(name, args, result) {
  step(name)
  run(
    'npx',
    [
      'vitest',
      'run',
      ...args,
      '--reporter=dot',
      '--reporter=json',
      `--outputFile.json=test-results/${result}`,
    ],
    {
      mayFail: true,
    },
  )
  const told = readJson(result)
  passed += told?.numPassedTests ?? 0
  if (!told) failed.push(`${name}: no report`)
  for (const { name: file, status, message, assertionResults } of told?.testResults ?? []) {
    const tests = assertionResults.filter((test) => test.status === 'failed')
    const path = relative(root, file)
    failed.push(
      ...tests.map((test) => `${path} › ${test.fullName}: ${test.failureMessages[0]?.split('\n')[0]}`),
    )
    if (status === 'failed' && tests.length === 0) failed.push(`${path}: ${message.split('\n')[0]}`)
  }
}

function readJson(name) {
  try {
    return JSON.parse(readFileSync(join(results, name), 'utf8'))
  } catch {
    return null
  }
}
