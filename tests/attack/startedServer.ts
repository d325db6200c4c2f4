import { spawn, type ChildProcess } from 'node:child_process'
import { createServer } from 'node:net'
import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { smallLibrary, smallRecords, today } from '../server/marketWithBuild'
import { temporaryFolder } from '../server/testDatabase'

/** The built application as a process of its own, on a database file of its own. */
export interface StartedServer {
  readonly url: string
  readonly file: string
  readonly process: ChildProcess
  /** What it wrote to its error output so far. */
  errors(): string
  ask(method: string, path: string, body?: unknown, headers?: Record<string, string>): Promise<Answer>
  /** Ends it at once, as a cut of the power does. */
  kill(): Promise<void>
  /** Ends it and takes its folder away. */
  close(): Promise<void>
}

export interface Answer {
  readonly status: number
  readonly text: string
  readonly headers: Headers
  json<T = Record<string, unknown>>(): T
}

export async function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as { port: number }
      server.close(() => resolve(port))
    })
  })
}

/** Starts the built application and waits until it answers; a start that ends is an error with its last words. */
export async function startServer({
  folder = temporaryFolder(),
  env = {},
  ready = '/api/session',
}: { folder?: string; env?: Record<string, string>; ready?: string } = {}): Promise<StartedServer> {
  const port = await freePort()
  // a folder that is not there yet is made
  const file = join(folder, 'data', 'tarvin.db')
  const child = spawn('node', ['.built/server/index.mjs'], {
    env: {
      ...process.env,
      HOST: '127.0.0.1',
      PORT: String(port),
      TARVIN_TODAY: today,
      TARVIN_POLLING: 'off',
      TARVIN_DATABASE_URL: `file:${file}`,
      ...env,
    },
    stdio: ['ignore', 'ignore', 'pipe'],
  })
  let told = ''
  child.stderr!.on('data', (chunk: Buffer) => (told += chunk.toString()))
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()))
  const url = `http://127.0.0.1:${port}`
  for (;;) {
    if (child.exitCode !== null) throw new Error(told.trim())
    const answers = await fetch(url + ready, { redirect: 'manual' }).then(
      () => true,
      () => false,
    )
    if (answers) break
    await new Promise((resolve) => setTimeout(resolve, 30))
  }
  const kill = async () => {
    child.kill('SIGKILL')
    await ended
  }
  return {
    url,
    file,
    process: child,
    errors: () => told,
    async ask(method, path, body, headers = {}) {
      const isRaw = typeof body === 'string' || body instanceof Uint8Array
      const response = await fetch(url + path, {
        method,
        redirect: 'manual',
        ...(body === undefined
          ? { headers }
          : {
              body: (isRaw ? body : JSON.stringify(body)) as string,
              headers: { 'content-type': 'application/json', ...headers },
            }),
      })
      const text = await response.text()
      return { status: response.status, text, headers: response.headers, json: () => JSON.parse(text) }
    },
    kill,
    async close() {
      await kill()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}

export const smallBrief = {
  name: 'Couch',
  currency: 'CAD',
  budget: '400.00',
  stretch: '450.00',
}

/** Loads the small market and one build; returns the id of the build. */
export async function loadSmallMarket(server: StartedServer): Promise<string> {
  await server.ask('POST', '/api/library/import', smallLibrary)
  // the first build says the home currency, which the records then are in
  const { id } = (await server.ask('POST', '/api/builds', smallBrief)).json<{ id: string }>()
  const { text } = await server.ask('POST', '/api/prices/sold-records/import', smallRecords, {
    'content-type': 'text/csv',
  })
  if (!text.includes('"rejected":0')) throw new Error(`the small market is not loaded: ${text}`)
  return id
}

export const smallLead = (title: string, change: object = {}) => ({
  sourceId: 'yard',
  title,
  price: '100.00',
  currency: 'CAD',
  condition: 'used',
  manner: 'local',
  listedOn: '2026-10-25',
  things: [{ partId: 'card' }],
  ...change,
})
