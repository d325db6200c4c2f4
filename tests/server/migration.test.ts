import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { openDatabase, type OpenDatabase } from '#server/db/client'
import { migrate } from '#server/db/migrate'
import { buildView } from '#server/places/builds/buildView'
import { ledgerView } from '#server/places/ledger/ledgerView'
import { migrations, temporaryFolder } from './testDatabase'

/**
 * A database from before orders and items: paid choices, a shelf, arrivals. What was paid is paid, and every thing is
 * somewhere.
 */
const folder = temporaryFolder()
const today = '2026-10-31'
let database: OpenDatabase

const old = [
  `INSERT INTO sources (id, name, kind, currency, tax_percent, tax_on_shipping, shipping_kind, shipping_amount, payment_fee_percent, seller_fee_percent, protection, note)
   VALUES ('yard', 'Barnstall', 'classifieds', 'CAD', 0, 0, 'none', 0, 0, 0, 'none', '')`,
  ...[
    ['cpu', 'cpu'],
    ['card', 'graphics'],
    ['better', 'graphics'],
    ['case', 'case'],
    ['cable', 'extra'],
  ].map(
    ([id, role]) =>
      `INSERT INTO parts (id, role, make, name, facts) VALUES ('${id}', '${role}', 'Quenby', '${id}', '{}')`,
  ),
  `INSERT INTO builds (id, name, purpose, currency, region, budget, stretch, house_rules, needs, created_at)
   VALUES ('b', 'Old build', '', 'CAD', '', 40000, 45000, '{"neverUsed":[]}', '[]', '2026-09-01')`,
  ...['lot', 'dear', 'back'].map(
    (
      id,
    ) => `INSERT INTO leads (id, source_id, external_id, title, url, price, currency, condition, manner, listed_on, place, note, state)
   VALUES ('${id}', 'yard', '${id}', 'lead ${id}', '', 10000, 'CAD', 'used', 'local', '2026-09-01', '', '', 'open')`,
  ),
  `INSERT INTO lead_things (lead_id, position, part_id, quantity, plan) VALUES ('lot', ` +
    `0, 'card', 1, 'keep'), ('lot', 1, 'cpu', 1, 'keep'), ('lot', 2, 'case', 1, ` +
    `'resell'), ('dear', 0, 'case', 1, 'keep'), ('back', 0, 'cpu', 1, 'keep')`,
  'INSERT INTO shelf (id, part_id, condition, cost, currency, note, from_choice_id) ' +
    `VALUES ('left', 'case', 'used', 1500, 'CAD', 'left over', 'paid'), ('mine', ` +
    `'cable', 'used', 0, 'CAD', '', NULL)`,
  `INSERT INTO choices (id, build_id, position, kind, lead_id, shelf_id, scope, reason, paid_on, deleted_at) VALUES
   ('paid', 'b', 0, 'lead', 'lot', NULL, 'core', 'half price', '2026-09-10', NULL),
   ('open', 'b', 1, 'lead', 'dear', NULL, 'core', '', NULL, NULL),
   ('returned', 'b', 2, 'lead', 'back', NULL, 'core', '', '2026-09-11', '2026-09-20'),
   ('own', 'b', 3, 'owned', NULL, 'mine', 'ready', '', NULL, NULL)`,
  `INSERT INTO ledger_entries (id, build_id, day, kind, cash, hours, choice_id, text, created_at) VALUES
   ('0', 'b', '2026-09-10', 'bought', -12501, 0, 'paid', 'the lot', '2026-09-10'),
   ('1', 'b', '2026-09-11', 'bought', -4500, 0, 'returned', 'cpu', '2026-09-11'),
   ('2', 'b', '2026-09-20', 'refunded', 4000, 0, 'returned', 'cpu', '2026-09-20'),
   ('3', 'b', '2026-09-21', 'fee', -300, 0, NULL, 'listing', '2026-09-21')`,
  'INSERT INTO ledger_entries (id, build_id, day, kind, cash, hours, text, ' +
    `corrects_id, created_at) VALUES ('4', 'b', '2026-09-22', 'correction', 100, 0, ` +
    `'less', '3', '2026-09-22')`,
  'INSERT INTO arrivals (id, choice_id, day, verdict, found_part_id, checks, note, ' +
    `created_at) VALUES ('a', 'paid', '2026-09-12', 'better', 'better', '["fans turn"]', ` +
    `'a better card', '2026-09-12')`,
]

beforeAll(async () => {
  database = await openDatabase(`file:${join(folder, 'old.db')}`)
  await migrate(
    database,
    migrations.filter(({ name }) => name < '0008'),
  )
  for (const statement of old) await database.client.execute(statement)
  expect(await migrate(database, migrations)).toEqual(
    migrations.map(({ name }) => name).filter((name) => name >= '0008'),
  )
})
afterAll(() => {
  database.client.close()
  rmSync(folder, { recursive: true, force: true })
})

test('what was paid is an order with its things, each where it was; nothing of the money is lost', async () => {
  expect((await database.client.execute('PRAGMA foreign_key_check')).rows).toEqual([])
  const view = await buildView(database.db, 'b', today)
  const { account } = view.receipt
  // 125.01 + 45.00 + 3.00 − 1.00 out, 40.00 back, 100.00 to pay
  expect([account.cashOut, account.cashIn, account.toPay].map((each) => each!.amount)).toEqual([
    17_201, 4000, 10_000,
  ])
  expect(account.lost.amount).toBe(500)
  expect(view.parts.map((part) => part.id).sort()).toEqual(['better', 'cable', 'case', 'cpu'])
  const { items, entries } = await ledgerView(database.db, 'b', today)
  expect(
    items.map(({ partId, place, cost, listedAs, plan }) => [partId, place, cost, listedAs, plan]).sort(),
  ).toEqual([
    ['better', 'build', 5501, 'Quenby card', 'keep'],
    ['cable', 'build', 0, null, 'keep'],
    ['case', 'shelf', 1500, null, 'resell'],
    ['cpu', 'build', 5500, null, 'keep'],
    ['cpu', 'gone', 4500, null, 'keep'],
  ])
  expect(entries.map((entry) => entry.kind)).toEqual(['fee', 'fee', 'refunded', 'bought', 'bought'])
  const { rows } = await database.client.execute('SELECT id, state FROM leads ORDER BY id')
  expect(rows.map((row) => [row.id, row.state])).toEqual([
    ['back', 'bought'],
    ['dear', 'open'],
    ['lot', 'bought'],
  ])
})
