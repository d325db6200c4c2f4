import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { asking, type Ask } from '../demo/asking'
import { fetchApart } from '../demo/fetchApart'
import { loadDemo } from '../demo/load'
import { scaledFiles } from '../demo/scaled'
import { inboxPage } from '../shared/leads/inbox'
import { benchLoad } from './benchLoad'
import { buildOf, plainSort, settled, startServer } from './benchPages'

/** What is asked for, ms (of memory: MB) at ×1, ×10, ×30, on a machine that sorts in `usualSort`. */
const wanted = {
  'Builds after an edit of a lead elsewhere': [10, 30, 60],
  'a build after it': [10, 30, 60],
  'Leads after it: the first 60 rows': [20, 40, 80],
  'Bench after it': [40, 80, 150],
  'Plan’s ground after it': [40, 80, 150],
  'Machine after it': [40, 80, 150],
  'Ledger after it': [40, 80, 150],
  'Prices after it': [40, 80, 150],
  'the slowest page after an edit of a chosen lead': [80, 150, 300],
  'one record imported, and the build': [100, 200, 400],
  'start until the first page, prices kept': [1500, 4000, 10_000],
  'longest wait of another at the start': [100, 100, 100],
  'memory, MB': [300, 600, 1200],
} as const
type Row = keyof typeof wanted
const scales = [1, 10, 30] as const
/** A plain sort of a million numbers on the machine that the limits were set on, ms. */
const usualSort = 150
const rounds = 7

type Figures = Partial<Record<Row, number>>

/**
 * The table *To reach*: how long each page takes after an edit, at one, ten and thirty times the demo (builds, leads,
 * records). Written to `docs/bench.md` beside a plain sort; fails above twice a limit.
 *
 * @param minutes of the load of twenty requests a second
 * @returns whether every figure is below twice what is asked for
 */
export async function benchReadings(
  say: (name: string, value: string) => void,
  sizes: readonly number[],
  minutes: number,
): Promise<boolean> {
  const measured = new Map<number, Figures>()
  const sorts: number[] = []
  for (const size of sizes) {
    sorts.push(plainSort())
    measured.set(size, await figuresAt(size, say))
    sorts.push(plainSort())
  }
  const sort = median(sorts)
  say('a plain sort of 1 000 000 numbers', `${sort.toFixed(0)} ms`)
  const load: string[] = []
  if (minutes > 0)
    await benchLoad((name, value) => (say(name, value), load.push(`${name}: ${value}`)), minutes)
  const share = Math.max(1, sort / usualSort)
  let isWithin = true
  const lines = (Object.keys(wanted) as Row[]).map((row) => {
    const cells = scales.map((size, index) => {
      const figure = measured.get(size)?.[row]
      const limit = wanted[row][index]! * (row === 'memory, MB' ? 1 : share)
      if (figure === undefined) return '—'
      if (figure > 2 * limit) isWithin = false
      return `${figure.toFixed(0)} / ${limit.toFixed(0)}${figure > limit ? ' **above**' : ''}`
    })
    return `| ${row} | ${cells.join(' | ')} |`
  })
  writeFileSync(
    'docs/bench.md',
    [
      '# How long it takes',
      '',
      '`npm run bench -- readings [--sizes 1,10,30] [--minutes 10]` writes this page: the built application, each request by',
      'HTTP, the median of seven edits each. Measured / asked for, in ms; the limits are those of a machine that sorts a',
      `million numbers in ${usualSort} ms, times what this one took: ${sort.toFixed(0)} ms.`,
      '',
      '| | ×1 (8 builds, 150 leads, 7 000 records) | ×10 | ×30 |',
      '| --- | --- | --- | --- |',
      ...lines,
      '',
      ...load.map((line) => `- ${line}`),
      '',
    ].join('\n'),
  )
  return isWithin
}

async function figuresAt(size: number, say: (name: string, value: string) => void): Promise<Figures> {
  const folder = mkdtempSync(join(tmpdir(), 'tarvin-readings-'))
  try {
    let server = await startServer(folder)
    await loadDemo(server.url, () => undefined, { fetch: fetchApart })
    await loadMore(server.url, size)
    await settled(join(folder, 'pages.db.readings'))
    await server.stop()

    const started = performance.now()
    server = await startServer(folder, async (url) => {
      await (await fetch(`${url}/api/builds`)).text()
    })
    const start = performance.now() - started
    const waits: number[] = []
    for (let each = 0; each < 20; each += 1) waits.push(await timed(server.url, '/api/sources/connectors'))

    const ask = asking(server.url, fetchApart)
    const build = await buildOf(server.url)
    const pages = pagesOf(build)
    for (const path of Object.values(pages)) await timed(server.url, path)
    const elsewhere = await medianAfter(server.url, ask, await leadOf(ask, build, false), pages)
    const chosen = await medianAfter(server.url, ask, await leadOf(ask, build, true), pages)
    const figures: Figures = {
      ...(elsewhere as Figures),
      'the slowest page after an edit of a chosen lead': Math.max(...Object.values(chosen)),
      'one record imported, and the build': await imported(server.url, build),
      'start until the first page, prices kept': start,
      'longest wait of another at the start': Math.max(...waits),
      'memory, MB': residentMb(server.pid),
    }
    for (const [row, figure] of Object.entries(figures)) say(`×${size} ${row}`, figure.toFixed(0))
    await server.stop()
    return figures
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

const pagesOf = (build: string): Readonly<Record<string, string>> => ({
  'Builds after an edit of a lead elsewhere': '/api/builds',
  'a build after it': `/api/builds/${build}`,
  'Leads after it: the first 60 rows': `/api/builds/${build}/leads?show=open&order=saving&count=${inboxPage}`,
  'Bench after it': `/api/builds/${build}/bench`,
  'Plan’s ground after it': `/api/builds/${build}/plan`,
  'Machine after it': `/api/builds/${build}/machine`,
  'Ledger after it': `/api/builds/${build}/ledger`,
  'Prices after it': `/api/builds/${build}/prices`,
})

/** Each page after an edit of a lead, one page an edit, so that none finds the work of another done. */
async function medianAfter(
  url: string,
  ask: Ask,
  lead: string,
  pages: Readonly<Record<string, string>>,
): Promise<Record<string, number>> {
  const took: Record<string, number[]> = {}
  for (let round = 0; round < rounds; round += 1)
    for (const [name, path] of Object.entries(pages)) {
      const was = await ask(`/api/leads/${lead}`)
      const price = (Number(was.price) + (round % 2 === 0 ? 1 : -1)).toFixed(2)
      await ask(`/api/leads/${lead}`, { ...was, price }, 'PUT', was)
      ;(took[name] ??= []).push(await timed(url, path))
    }
  return Object.fromEntries(Object.entries(took).map(([name, each]) => [name, median(each)]))
}

/** A lead that a build has chosen and not paid, or one that no build has. */
async function leadOf(ask: Ask, build: string, isChosen: boolean): Promise<string> {
  const { leads } = (await ask(`/api/builds/${build}/leads`)) as {
    leads: { id: string; choiceId: string | null; state: string; currency: string; things: unknown[] }[]
  }
  const all = (await Promise.all(
    ((await ask('/api/builds')) as { id: string }[])
      .slice(0, 8)
      .map(async ({ id }) => (await ask(`/api/builds/${id}`)).choices),
  )) as { leadId: string | null }[][]
  const anywhere = new Set(all.flat().map(({ leadId }) => leadId))
  const found = leads.find(({ id, choiceId, state, things }) =>
    isChosen
      ? choiceId !== null && state === 'open'
      : state === 'open' && things.length === 1 && !anywhere.has(id),
  )
  return found!.id
}

async function imported(url: string, build: string): Promise<number> {
  const took: number[] = []
  for (let round = 0; round < 3; round += 1) {
    const from = performance.now()
    const answer = await fetch(`${url}/api/prices/sold-records/import`, {
      method: 'POST',
      headers: { 'content-type': 'text/csv' },
      body: `id,source,title,price,date\nbench-${round},Gavelry,Murrowdun Tarn 640 8GB,130.00,2026-10-30\n`,
    })
    await answer.text()
    await timed(url, `/api/builds/${build}`)
    took.push(performance.now() - from)
  }
  return median(took)
}

/** Builds, leads and records so many times over; the parts are those of the demo. */
async function loadMore(url: string, size: number): Promise<void> {
  if (size === 1) return
  const { soldRecords, leads } = scaledFiles(size)
  const post = async (path: string, body: string) => {
    const answer = await fetch(url + path, { method: 'POST', headers: { 'content-type': 'text/csv' }, body })
    const text = await answer.text()
    if (!answer.ok || text.includes('"error"')) throw new Error(`${path}: ${text.slice(0, 300)}`)
  }
  await post('/api/prices/sold-records/import', soldRecords)
  await post(`/api/leads/import?options=${encodeURIComponent('{"defaults":{"currency":"CAD"}}')}`, leads)
  const ask = asking(url, fetchApart)
  const first = (await ask('/api/builds')) as { id: string }[]
  for (const { id } of first) {
    const file = await ask(`/api/builds/${id}/export?as=json`)
    for (let copy = 1; copy < size; copy += 1)
      await ask('/api/builds/import', {
        ...file,
        brief: { ...file.brief, name: `${file.brief.name} ${copy}` },
      })
  }
}

async function timed(url: string, path: string): Promise<number> {
  const from = performance.now()
  const answer = await fetch(url + path)
  await answer.text()
  if (!answer.ok) throw new Error(`${path} answered ${answer.status}`)
  return performance.now() - from
}

function median(list: readonly number[]): number {
  return list.toSorted((a, b) => a - b)[Math.floor(list.length / 2)]!
}

function residentMb(pid: number): number {
  const kb = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]
  return Math.round(Number(kb ?? 0) / 1024)
}
