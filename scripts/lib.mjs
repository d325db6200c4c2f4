import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  realpathSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { builtFolder, noteRunning, putInForce } from './builds.mjs'

/** Steps that `npm run demo`, `npm start` and `npm test` share. Nothing here needs an installed package. */

export const root = fileURLToPath(new URL('..', import.meta.url))

export function step(text) {
  process.stdout.write(`· ${text}\n`)
}

/** Runs a command to its end; a failure ends the process with the command's own output. */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, {
    cwd: root,
    stdio: options.quiet ? 'pipe' : 'inherit',
    encoding: 'utf8',
    env: { ...process.env, ...options.env },
  })
  if (result.status !== 0 && !options.mayFail) {
    if (options.quiet) process.stderr.write(`${result.stdout ?? ''}${result.stderr ?? ''}\n`)
    process.stderr.write(`${command} ${args.join(' ')} failed\n`)
    process.exit(result.status ?? 1)
  }
  return result
}

/** Runs a command beside others; its output is kept together and told when it has ended. */
export function runBeside(command, args) {
  return new Promise((resolve) => {
    const output = []
    const child = spawn(command, args, { cwd: root, env: process.env })
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => output.push(chunk))
    child.on('error', (error) => output.push(Buffer.from(`${error.message}\n`)))
    child.on('close', (status) => resolve({ status, output: Buffer.concat(output).toString('utf8') }))
  })
}

/** Installs the packages where they are missing or the lock file has changed since. */
export function ensureInstalled() {
  const stamp = join(root, 'node_modules', '.tarvin-installed')
  const lock = () => digest(['package.json', 'package-lock.json'])
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock()) return
  step('installing packages (a minute or two the first time)')
  run('npm', ['install', '--no-audit', '--no-fund', '--loglevel=error'], { quiet: true })
  writeFileSync(stamp, lock())
}

const sourceFolders = ['app', 'core', 'server', 'shared', 'public']

/** Builds the application where its sources have changed since the last build. */
export function ensureBuilt() {
  const sources = digest([
    'nuxt.config.ts',
    'package-lock.json',
    ...sourceFolders.flatMap((folder) => filesBelow(folder)),
  ])
  putInForce(root, sources, (into) => {
    step('building the application (half a minute)')
    run('npx', ['nuxt', 'build'], { quiet: true, env: { TARVIN_OUTPUT: into } })
  })
}

function filesBelow(folder) {
  return readdirSync(join(root, folder), { recursive: true })
    .map((name) => join(folder, String(name)))
    .filter((name) => statSync(join(root, name)).isFile())
    .sort()
}

function digest(names) {
  const hash = createHash('sha256')
  for (const name of names) hash.update(name).update(readFileSync(join(root, name)))
  return hash.digest('hex')
}

/** The wanted port, or the next one that is free. */
export async function freePort(wanted, host) {
  for (let port = wanted; port < wanted + 50; port += 1) if (await isFree(port, host)) return port
  process.stderr.write(`no free port from ${wanted} to ${wanted + 49}; set PORT to another one\n`)
  process.exit(1)
}

function isFree(port, host) {
  return new Promise((resolve) => {
    const server = createServer()
      .once('error', () => resolve(false))
      .once('listening', () => server.close(() => resolve(true)))
    server.listen(port, host)
  })
}

/** Where the application listens, by `PORT` and `HOST`. */
export async function address() {
  const host = process.env.HOST || '127.0.0.1'
  const wanted = Number(process.env.PORT || 3000)
  const port = await freePort(wanted, host)
  if (port !== wanted) step(`port ${wanted} is taken; using ${port}`)
  return { host, port, url: `http://${host.includes(':') ? `[${host}]` : host}:${port}` }
}

/** Starts the built server and waits until it answers. */
export async function startServer({ host, port, url }, env = {}) {
  mkdirSync(join(root, '.data'), { recursive: true })
  const child = spawn(process.execPath, [join(realpathSync(builtFolder(root)), 'server', 'index.mjs')], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      HOST: host,
      PORT: String(port),
      NITRO_HOST: host,
      NITRO_PORT: String(port),
      ...env,
    },
  })
  noteRunning(root, child.pid)
  child.on('exit', (code) => process.exit(code ?? 0))
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal))
  for (let tries = 0; tries < 150; tries += 1) {
    const answer = await fetch(`${url}/api/session`).catch(() => null)
    if (answer?.ok) return child
    await new Promise((resolve) => setTimeout(resolve, 200))
  }
  process.stderr.write('the server did not answer within 30 seconds\n')
  process.exit(1)
}

/** Starts the stand-in markets and waits until they answer; the day they are at stands in the date file. */
export async function startStandIns(port, dateFile) {
  const url = `http://127.0.0.1:${port}`
  const child = spawn(process.execPath, ['--import', 'tsx', 'standins/main.ts', String(port), dateFile], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  process.on('exit', () => child.kill())
  for (let tries = 0; tries < 100; tries += 1) {
    if ((await fetch(url).catch(() => null))?.ok) return url
    await new Promise((resolve) => setTimeout(resolve, 200))
  }
  process.stderr.write('the stand-in markets did not answer within 20 seconds\n')
  process.exit(1)
}
