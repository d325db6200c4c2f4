import { mkdirSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { createClient } from '@libsql/client'
import { expect, test } from 'vitest'
import { temporaryFolder } from '../server/testDatabase'
import { loadSmallMarket, smallLead, startServer, type StartedServer } from './startedServer'

/**
 * The power goes while it writes: what was answered with yes is there after the next start, an import is there whole or
 * not at all, a payment with its entry or neither, and the file holds together. `TARVIN_KILLS` says how often.
 */
const kills = Number(process.env.TARVIN_KILLS ?? 30)

const bigImport = [
  'id,source,title,price,date',
  ...Array.from(
    { length: 20_000 },
    (_, i) => `k${i},Gavelry,Murrowdun Tarn 640 8GB number ${i},${100 + (i % 50)}.00,2026-10-10`,
  ),
].join('\n')

async function count(file: string, sql: string): Promise<number> {
  const client = createClient({ url: `file:${file}` })
  const { rows } = await client.execute(sql)
  client.close()
  return Number(Object.values(rows[0]!)[0])
}

test(
  `${kills} kills during import, payment and change lose nothing that was answered`,
  async () => {
    const folder = temporaryFolder()
    let server: StartedServer = await startServer({ folder })
    const build = await loadSmallMarket(server)
    const answered = { leads: new Set<string>(), paid: new Set<string>() }
    const before = await count(server.file, 'SELECT count(*) FROM sold_records')
    let imported = 0
    for (let round = 0; round < kills; round += 1) {
      const work = [
        (async () => {
          for (let i = 0; ; i += 1) {
            const title = `Lead ${round}-${i}`
            const { status, json } = await server.ask('POST', '/api/leads', smallLead(title))
            if (status !== 200) return
            answered.leads.add(title)
            const { id } = json<{ id: string }>()
            const chosen = await server.ask('POST', `/api/builds/${build}/machine/choices`, {
              kind: 'lead',
              leadId: id,
            })
            const choice = chosen
              .json<{ choices: { id: string; leadId: string }[] }>()
              .choices.find((each) => each.leadId === id)!
            const paid = await server.ask('POST', `/api/ledger/choices/${choice.id}/pay`, {
              day: '2026-10-31',
              amount: '100.00',
            })
            if (paid.status === 200) answered.paid.add(choice.id)
          }
        })(),
        ...(round % 3 === 0
          ? [
              server
                .ask('POST', '/api/prices/sold-records/import', bigImport.replaceAll('k', `k${round}-`), {
                  'content-type': 'text/csv',
                })
                .then(({ text }) => {
                  if (text.includes('"report"')) imported += 1
                }),
            ]
          : []),
      ]
      const all = Promise.allSettled(work)
      await new Promise((resolve) => setTimeout(resolve, 40 + ((round * 37) % 220)))
      await server.kill()
      await all
      server = await startServer({ folder })
    }
    const client = createClient({ url: `file:${server.file}` })
    const rows = async (sql: string) => (await client.execute(sql)).rows
    expect((await rows('PRAGMA integrity_check'))[0]).toMatchObject({ integrity_check: 'ok' })
    expect(await rows('PRAGMA foreign_key_check')).toEqual([])
    const titles = new Set((await rows('SELECT title FROM leads')).map((row) => String(row.title)))
    expect([...answered.leads].filter((title) => !titles.has(title))).toEqual([])
    const paid = await rows('SELECT id, line_id FROM choices WHERE line_id IS NOT NULL')
    expect([...answered.paid].filter((id) => !paid.some((row) => row.id === id))).toEqual([])
    // each paid choice has its line, its thing and its entry, and no entry is without its payment
    const lines = paid.map((row) => String(row.line_id)).sort()
    const bought = await rows(
      "SELECT line_id, count(*) AS n FROM ledger_entries WHERE kind = 'bought' GROUP BY line_id",
    )
    expect(bought.map((row) => String(row.line_id)).sort()).toEqual(lines)
    expect(
      (await rows('SELECT DISTINCT line_id FROM items')).map((row) => String(row.line_id)).sort(),
    ).toEqual(lines)
    expect(bought.filter((row) => row.n !== 1)).toEqual([])
    const records = Number((await rows('SELECT count(*) AS n FROM sold_records'))[0]!.n) - before
    expect(records % 20_000).toBe(0)
    expect(records / 20_000).toBeGreaterThanOrEqual(imported)
    client.close()
    expect(answered.leads.size).toBeGreaterThan(kills / 3)
    await server.close()
  },
  kills * 12_000,
)

test('a second one on the same file does not start; neither does one on what is no database of ours', async () => {
  const folder = temporaryFolder()
  const server = await startServer({ folder })
  await expect(startServer({ folder })).rejects.toThrow(/^Another Tarvin is running on .*tarvin\.db/)
  // by another name too
  const linked = temporaryFolder()
  symlinkSync(join(folder, 'data'), join(linked, 'data'))
  await expect(startServer({ folder: linked })).rejects.toThrow(/^Another Tarvin is running/)
  rmSync(join(linked, 'data'))
  mkdirSync(join(linked, 'data'))
  symlinkSync(server.file, join(linked, 'data', 'tarvin.db'))
  await expect(startServer({ folder: linked })).rejects.toThrow(/^Another Tarvin is running/)
  expect((await server.ask('GET', '/api/session')).status).toBe(200)
  await server.kill()
  const again = await startServer({ folder })
  await again.kill()

  const client = createClient({ url: `file:${again.file}` })
  await client.execute("INSERT INTO migrations (name) VALUES ('9999_future')")
  client.close()
  await expect(startServer({ folder })).rejects.toThrow(
    /^This database was written by a newer version of Tarvin \(migration 9999_future\)/,
  )

  const other = temporaryFolder()
  mkdirSync(join(other, 'data'), { recursive: true })
  writeFileSync(join(other, 'data', 'tarvin.db'), 'no database at all, only notes about cables. '.repeat(100))
  const refused = await startServer({ folder: other }).catch((error: Error) => error.message)
  expect(refused).toBe('The file in TARVIN_DATABASE_URL is not a database; it was not changed.')
})
