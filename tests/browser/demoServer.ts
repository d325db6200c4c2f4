import { existsSync, mkdirSync, writeFileSync } from 'node:fs'
import { setTimeout as wait } from 'node:timers/promises'
import { fetchApart } from '../../demo/fetchApart'
import { loadDemo } from '../../demo/load'

/** The server that holds the whole demo: what is only looked at, or put back as it was, is tried there. */
export const demoAddress = `http://127.0.0.1:${Number(process.env.TARVIN_TEST_PORT ?? 3500) + 3}`

const loading = 'test-results/demo-loading'
const loaded = `${loading}/done`

/** Loads the demo once, whichever file of either lane comes first, the others wait; the ids of its builds by name. */
export async function demoBuilds(): Promise<Readonly<Record<string, string>>> {
  const session = async () =>
    (await (await fetch(`${demoAddress}/api/session`)).json()) as { builds: { id: string; name: string }[] }
  if (isFirst()) {
    if ((await session()).builds.length === 0)
      await loadDemo(demoAddress, () => undefined, { fetch: fetchApart })
    writeFileSync(loaded, '')
  }
  while (!existsSync(loaded)) await wait(100)
  return Object.fromEntries((await session()).builds.map(({ id, name }) => [name, id]))
}

/** Making a folder succeeds once. */
function isFirst(): boolean {
  try {
    mkdirSync(loading)
    return true
  } catch {
    return false
  }
}
