import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fetchApart } from '../demo/fetchApart'
import { loadDemo } from '../demo/load'
import { buildOf, startServer } from './benchPages'

const aSecond = 20

/**
 * Twenty requests a second, nine reads to one write, for so many minutes against the built application with the demo
 * in it: how many failed, how long they took, and how the server's memory stood at the start and at the end.
 */
export async function benchLoad(say: (name: string, value: string) => void, minutes: number): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'tarvin-load-'))
  const server = await startServer(folder)
  try {
    await loadDemo(server.url, () => undefined, { fetch: fetchApart })
    const build = await buildOf(server.url)
    const reads = [
      '/api/builds',
      `/api/builds/${build}`,
      `/api/builds/${build}/leads`,
      `/api/builds/${build}/bench`,
      `/api/builds/${build}/prices`,
      `/api/builds/${build}/ledger`,
      `/api/builds/${build}/machine`,
      '/api/library',
      '/api/session',
    ]
    const took: number[] = []
    const failures: string[] = []
    const memory: number[] = []
    const one = async (number: number) => {
      const from = performance.now()
      const path = number % 10 === 9 ? `/api/builds/${build}/ledger` : reads[number % reads.length]!
      const response = await (number % 10 === 9
        ? fetch(server.url + path, {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify({
              kind: 'hours',
              day: '2026-10-30',
              hours: 0.1,
              amount: '0',
              text: 'tidying',
            }),
          })
        : fetch(server.url + path))
      const text = await response.text()
      took.push(performance.now() - from)
      if (!response.ok) failures.push(`${path} ${response.status} ${text.slice(0, 120)}`)
    }
    await Promise.all(reads.map(async (path) => (await fetch(server.url + path)).text()))
    const total = Math.round(minutes * 60 * aSecond)
    const running: Promise<void>[] = []
    const start = performance.now()
    for (let number = 0; number < total; number += 1) {
      const wait = start + (number * 1000) / aSecond - performance.now()
      if (wait > 0) await new Promise((resolve) => setTimeout(resolve, wait))
      if (number % (aSecond * 10) === 0) memory.push(residentMb(server.pid))
      running.push(one(number).catch((error: unknown) => void failures.push(String(error))))
    }
    await Promise.all(running)
    took.sort((a, b) => a - b)
    const at = (share: number) => `${took[Math.floor(share * (took.length - 1))]!.toFixed(0)} ms`
    say(
      `load: ${total} requests in ${minutes} min`,
      `${failures.length} failed, p50 ${at(0.5)}, p99 ${at(0.99)}, longest ${at(1)}`,
    )
    say('load: resident memory, every tenth reading', `${memory.filter((_, i) => i % 6 === 0).join(' ')} MB`)
    for (const failure of failures.slice(0, 5)) say('  failed', failure)
  } finally {
    await server.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}

function residentMb(pid: number): number {
  const kb = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]
  return Math.round(Number(kb ?? 0) / 1024)
}
