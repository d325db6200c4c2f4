import { spawn } from 'node:child_process'
import { existsSync, mkdtempSync, rmSync, statSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fetchApart } from '../demo/fetchApart'
import { loadDemo } from '../demo/load'
import { scaledFiles } from '../demo/scaled'

/**
 * How long the pages take, cold and warm, with the demo as it is and ten times as large: the built application is
 * started on a database of its own, and started again for the cold figures. Ratios to a plain sort of a million numbers
 * make figures of different machines comparable.
 */
export async function benchPages(
  say: (name: string, value: string) => void,
  times: readonly number[] = [1, 10],
): Promise<void> {
  const sorting = plainSort()
  say('a plain sort of 1 000 000 numbers', `${sorting.toFixed(0)} ms`)
  for (const each of times) {
    const folder = mkdtempSync(join(tmpdir(), 'tarvin-pages-'))
    try {
      let server = await startServer(folder)
      await loadDemo(server.url, () => undefined, { fetch: fetchApart })
      if (each > 1) await loadScaled(server.url, each)
      // a place that was used: its street prices have been read once and are kept for the next start
      const from = performance.now()
      await settled(join(folder, 'pages.db.readings'))
      say(
        `×${each} all street prices read for the first time, in the background`,
        `${((performance.now() - from - quietMs) / 1000).toFixed(1)} s`,
      )
      await server.stop()
      for (const page of pages) {
        server = await startServer(folder)
        const cold = await asked(server.url, page.path(await buildOf(server.url)))
        const warm = await asked(server.url, page.path(await buildOf(server.url)))
        say(
          `×${each} ${page.name}`,
          `cold ${cold.ms.toFixed(0)} ms (${(cold.ms / sorting).toFixed(1)} sorts), warm ` +
            `${warm.ms.toFixed(0)} ms, ${Math.round(warm.bytes / 1024)} kB`,
        )
        await server.stop()
      }
      server = await startServer(folder)
      const build = await buildOf(server.url)
      await asked(server.url, `/api/builds/${build}`)
      await fetch(`${server.url}/api/prices/sold-records/import`, {
        method: 'POST',
        headers: { 'content-type': 'text/csv' },
        body: 'id,source,title,price,date\nbench-1,Gavelry,Murrowdun Tarn 640 8GB,130.00,2026-10-30\n',
      }).then(async (response) => response.text())
      const others = asked(server.url, '/api/session')
      const after = await asked(server.url, `/api/builds/${build}`)
      say(
        `×${each} a build after a one-line import`,
        `${after.ms.toFixed(0)} ms; another request meanwhile ${(await others).ms.toFixed(0)} ms`,
      )
      say(`×${each} a backup, restored elsewhere`, await restoredElsewhere(server.url))
      await server.stop()
    } finally {
      rmSync(folder, { recursive: true, force: true })
    }
  }
}

/** Whether a backup put into an empty place shows the same figures there, and how long both took. */
async function restoredElsewhere(url: string): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'tarvin-restored-'))
  const other = await startServer(folder)
  try {
    const from = performance.now()
    const zip = await (await fetch(`${url}/api/settings/backup`)).arrayBuffer()
    const made = performance.now()
    const answer = await fetch(`${other.url}/api/settings/backup/restore`, {
      method: 'POST',
      headers: { 'content-type': 'application/zip' },
      body: zip,
    })
    if (!answer.ok) return `refused: ${await answer.text()}`
    const done = performance.now()
    const build = await buildOf(url)
    const figures = async (place: string) =>
      Promise.all(
        [
          '/api/builds',
          `/api/builds/${build}`,
          `/api/builds/${build}/leads`,
          `/api/builds/${build}/ledger`,
        ].map(async (path) => (await fetch(place + path)).text()),
      )
    const [here, there] = [await figures(url), await figures(other.url)]
    const differ = here.filter((text, index) => text !== there[index]).length
    return (
      `${differ === 0 ? 'the same figures' : `${differ} of ${here.length} pages differ`}; ` +
      `made in ${((made - from) / 1000).toFixed(1)} s, ` +
      `${(zip.byteLength / 1e6).toFixed(1)} MB, restored in ` +
      `${((done - made) / 1000).toFixed(1)} s`
    )
  } finally {
    await other.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}

const pages: readonly { name: string; path(build: string): string }[] = [
  { name: 'Builds', path: () => '/api/builds' },
  { name: 'a build', path: (build) => `/api/builds/${build}` },
  { name: 'one part’s prices', path: (build) => `/api/builds/${build}/prices/parts/murrowdun-tarn-640-8-gb` },
  { name: 'all prices', path: (build) => `/api/builds/${build}/prices` },
  { name: 'Leads', path: (build) => `/api/builds/${build}/leads` },
  { name: 'Bench', path: (build) => `/api/builds/${build}/bench` },
]

async function loadScaled(url: string, times: number): Promise<void> {
  const { library, soldRecords, leads } = scaledFiles(times)
  const post = async (path: string, body: string, type: string) => {
    const answer = await fetch(url + path, { method: 'POST', headers: { 'content-type': type }, body })
    const text = await answer.text()
    if (!answer.ok || text.includes('"error"')) throw new Error(`${path}: ${text.slice(0, 300)}`)
  }
  const { parts, format, version } = library as { parts: unknown[]; format: string; version: string }
  await post('/api/library/import', JSON.stringify({ format, version, parts }), 'application/json')
  await post('/api/prices/sold-records/import', soldRecords, 'text/csv')
  await post(
    `/api/leads/import?options=${encodeURIComponent('{"defaults":{"currency":"CAD"}}')}`,
    leads,
    'text/csv',
  )
}

export async function buildOf(url: string): Promise<string> {
  const { builds } = (await (await fetch(`${url}/api/session`)).json()) as {
    builds: { id: string; name: string }[]
  }
  return (builds.find(({ name }) => name === 'Couch corner') ?? builds[0]!).id
}

async function asked(url: string, path: string): Promise<{ ms: number; bytes: number }> {
  const from = performance.now()
  const response = await fetch(url + path)
  const { length } = await response.text()
  if (!response.ok) throw new Error(`${path} answered ${response.status}`)
  return { ms: performance.now() - from, bytes: length }
}

/** How long nothing must be written before the street prices count as read, ms. */
const quietMs = 25_000

/** Until the file of readings has been left alone for as long as the server takes to look for changes and to keep some. */
export async function settled(path: string): Promise<void> {
  let since = performance.now()
  let last = 0
  const most = performance.now() + 4 * quietMs
  while (performance.now() < most && (last === 0 || performance.now() - since < quietMs)) {
    const now = existsSync(path) ? statSync(path).mtimeMs : 0
    if (now !== last) since = performance.now()
    last = now
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
}

export function plainSort(): number {
  const numbers = Float64Array.from({ length: 1_000_000 }, (_, i) => (i * 2_654_435_761) % 4_294_967_296)
  const from = performance.now()
  numbers.sort()
  return performance.now() - from
}

/** The built application on a database in `folder`, at a free port. */
export async function startServer(
  folder: string,
  isReady?: (url: string) => Promise<void>,
): Promise<{ url: string; pid: number; stop(): Promise<void> }> {
  const port = await new Promise<number>((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port: free } = server.address() as { port: number }
      server.close(() => resolve(free))
    })
  })
  const child = spawn('node', ['.built/server/index.mjs'], {
    env: {
      ...process.env,
      HOST: '127.0.0.1',
      PORT: String(port),
      TARVIN_TODAY: '2026-10-31',
      TARVIN_POLLING: 'off',
      TARVIN_DATABASE_URL: `file:${join(folder, 'pages.db')}`,
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()))
  const url = `http://127.0.0.1:${port}`
  while (
    !(await fetch(`${url}/api/session`).then(
      (answer) => answer.ok,
      () => false,
    ))
  )
    await new Promise((resolve) => setTimeout(resolve, 30))
  await isReady?.(url)
  return {
    url,
    pid: child.pid!,
    async stop() {
      child.kill('SIGKILL')
      await ended
    },
  }
}
