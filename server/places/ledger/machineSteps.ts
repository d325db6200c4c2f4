import { and, eq, isNull } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { parseDecimal } from '#core/money/decimal'
import type {
  machineSaleSchema,
  daySchema,
  returnedMachineSchema,
  upgradeSchema,
} from '#shared/ledger/schemas'
import type { Database, Queryable } from '#server/db/client'
import { act, type OpenAction } from '#server/db/action'
import { newId } from '#server/db/ids'
import { items, sales } from '#server/db/schema/ledger'
import { choices } from '#server/db/schema/machine'
import { findBuild, type BuildRow } from '#server/context/findBuild'
import { briefOf } from '../brief/brief'
import { briefRow } from '../brief/briefRow'
import { replaceTargets } from '../brief/targets'
import { moveItem, saleEntries } from './itemSteps'
import { writeEntry } from './ledgerEntries'

/** The life of a build: it stands, is sold as a whole, comes back, is taken apart. */

async function refuseOver(
  build: BuildRow,
  allowed: readonly BuildRow['state'][],
  what: string,
): Promise<void> {
  if (build.variantOf !== null) throw new CoreError('variant-items', {}, 'id')
  if (!allowed.includes(build.state))
    throw new CoreError('not-possible', { name: build.name, state: build.state, does: what }, 'id')
}

function itemsIn(tx: Pick<Queryable, 'select'>, buildId: string) {
  return tx.select().from(items).where(eq(items.buildId, buildId)).orderBy(items.id)
}

/** It is put together and runs. */
export async function stand(
  db: Database,
  id: string,
  { day }: InferType<typeof daySchema>,
  today: string,
): Promise<void> {
  const build = await findBuild(db, id)
  await act(
    db,
    { kind: 'stand', text: `${build.name} assembled`, day, buildId: id },
    today,
    async (action) => {
      await refuseOver(await findBuild(action.tx, id), ['planned'], 'stand')
      await action.update('builds', id, { state: 'standing', stateSince: day })
    },
  )
}

/** Sold as a whole: what is in it leaves with it, what is still to be bought is not any more. */
export async function sellMachine(
  db: Database,
  id: string,
  { day, price, fee, postage, hours }: InferType<typeof machineSaleSchema>,
  today: string,
): Promise<void> {
  const build = await findBuild(db, id)
  await act(
    db,
    { kind: 'sell-machine', text: `${build.name} sold`, day, buildId: id },
    today,
    async (action) => {
      await refuseOver(await findBuild(action.tx, id), ['planned', 'standing'], 'be sold')
      const all = await itemsIn(action.tx, id)
      if (all.some((item) => item.place === 'ordered')) throw new CoreError('still-on-order', {}, 'id')
      if (!all.some((item) => item.place === 'build')) throw new CoreError('nothing-to-sell', {}, 'id')
      const amount = (text: string, path: string) => parseDecimal(text, build.currency, path)
      const gross = amount(price, 'price')
      const costs = amount(fee, 'fee') + amount(postage, 'postage')
      await action.insert('sales', {
        id: newId('sale'),
        buildId: id,
        itemId: null,
        day,
        price: gross,
        fee: amount(fee, 'fee'),
        postage: amount(postage, 'postage'),
        hours,
        currency: build.currency,
      })
      await saleEntries(
        action,
        { buildId: id, scope: 'core', itemId: null, text: `${build.name} sold`, isMachine: true },
        gross,
        costs,
      )
      if (hours > 0) await hoursEntry(action, id, hours, 'building and selling it')
      for (const item of all.filter((each) => each.place === 'build'))
        await action.update('items', item.id, {
          place: 'gone',
          goneBecause: 'sold-with-machine',
          leftOn: day,
        })
      await removeChoices(action, id)
      await action.update('builds', id, { state: 'sold', stateSince: day })
    },
  )
}

async function hoursEntry(action: OpenAction, buildId: string, hours: number, text: string): Promise<void> {
  await writeEntry(
    action.tx,
    { buildId, day: action.day, kind: 'hours', cash: 0, hours, text, actionId: action.id },
    action.today,
  )
}

async function removeChoices(action: OpenAction, buildId: string): Promise<void> {
  const open = await action.tx
    .select({ id: choices.id })
    .from(choices)
    .where(and(eq(choices.buildId, buildId), isNull(choices.deletedAt)))
  for (const { id } of open) await action.update('choices', id, { deletedAt: action.day })
}

/** Its buyer brought it back: it stands again, and the money went back too. */
export async function takeMachineBack(
  db: Database,
  id: string,
  { day, amount }: InferType<typeof returnedMachineSchema>,
  today: string,
): Promise<void> {
  const build = await findBuild(db, id)
  await act(
    db,
    { kind: 'take-machine-back', text: `${build.name} returned`, day, buildId: id },
    today,
    async (action) => {
      await refuseOver(await findBuild(action.tx, id), ['sold'], 'come back from the buyer')
      const back = parseDecimal(amount, build.currency, 'amount')
      await saleEntries(
        action,
        { buildId: id, scope: 'core', itemId: null, text: `${build.name}, returned`, isMachine: true },
        0 - back,
        0,
      )
      for (const item of await itemsIn(action.tx, id))
        if (item.goneBecause === 'sold-with-machine')
          await action.update('items', item.id, { place: 'build', goneBecause: null, leftOn: null })
      const [sale] = await action.tx
        .select()
        .from(sales)
        .where(and(eq(sales.buildId, id), isNull(sales.itemId), isNull(sales.returnedOn)))
      if (sale) await action.update('sales', sale.id, { returnedOn: day })
      await action.update('builds', id, { state: 'standing', stateSince: day })
    },
  )
}

/** Taken apart: its things go to the shelf, at what they cost; nothing is bought for it any more. */
export async function takeApart(
  db: Database,
  id: string,
  { day }: InferType<typeof daySchema>,
  today: string,
): Promise<void> {
  const build = await findBuild(db, id)
  await act(
    db,
    { kind: 'take-apart', text: `${build.name} parted out`, day, buildId: id },
    today,
    async (action) => {
      await refuseOver(await findBuild(action.tx, id), ['planned', 'standing'], 'be parted out')
      for (const item of await itemsToTakeOut(action.tx, id)) await moveItem(action, item, null)
      await endApart(action, id)
    },
  )
}

/** The things in it; refused while something is still ordered. */
async function itemsToTakeOut(tx: Queryable, id: string) {
  const all = await itemsIn(tx, id)
  if (all.some((item) => item.place === 'ordered')) throw new CoreError('still-on-order', {}, 'id')
  return all.filter((each) => each.place === 'build')
}

async function endApart(action: OpenAction, id: string): Promise<void> {
  await removeChoices(action, id)
  await action.update('builds', id, { state: 'apart', stateSince: action.day })
}

/**
 * An upgrade begins with a machine as its before: a new build with the same brief and another budget, to which all that
 * is in it is handed over for no cash, at its remaining cost.
 */
export async function beginUpgrade(
  db: Database,
  id: string,
  { day, name, budget }: InferType<typeof upgradeSchema>,
  today: string,
): Promise<string> {
  const build = await findBuild(db, id)
  const brief = { ...(await briefOf(db, id)), name, budget, stretch: budget, wantedBy: null }
  const newBuildId = newId(name)
  await act(
    db,
    { kind: 'begin-upgrade', text: `${name} started from ${build.name}`, day, buildId: newBuildId },
    today,
    async (action) => {
      await refuseOver(await findBuild(action.tx, id), ['planned', 'standing'], 'be upgraded')
      await action.insert('builds', { ...briefRow(brief), id: newBuildId, beforeId: id, createdAt: day })
      await replaceTargets(action.tx, newBuildId, brief)
      for (const item of await itemsToTakeOut(action.tx, id)) await moveItem(action, item, newBuildId)
      await endApart(action, id)
    },
  )
  return newBuildId
}
