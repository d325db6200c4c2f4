import { getTableColumns, type InferSelectModel } from 'drizzle-orm'
import { getTableConfig, type SQLiteTable } from 'drizzle-orm/sqlite-core'
import { forecasts, frameLogs, runs } from '../db/schema/bench'
import { targets } from '../db/schema/brief'
import { advice, builds, editions } from '../db/schema/builds'
import { codes, leadAsks, leads, leadThings, offers, photos, rebates } from '../db/schema/leads'
import { actions, items, ledgerEntries, moves, orderLines, orders, sales, trips } from '../db/schema/ledger'
import { choices } from '../db/schema/machine'
import { parts } from '../db/schema/parts'
import {
  exchangeRates,
  guideOpinions,
  lookouts,
  lookoutSeen,
  ownFigures,
  priceReads,
  queryRecipes,
  recordOverrides,
  shopPrices,
  waitNotes,
} from '../db/schema/prices'
import { rivalRates, rivals } from '../db/schema/rivals'
import { buildRivals } from '../db/schema/scales'
import { settings } from '../db/schema/settings'
import { connectors, sources } from '../db/schema/sources'
import { workResults, workTasks, workloads } from '../db/schema/work'

/**
 * The tables that the world holds. Bytes of pictures, and the logs of imports and polls, are read
 * where somebody asks for them; sold records are held as the index they are, see `world.ts`.
 */
export const watched = {
  actions,
  advice,
  buildRivals,
  builds,
  choices,
  codes,
  connectors,
  editions,
  exchangeRates,
  forecasts,
  frameLogs,
  guideOpinions,
  items,
  leadAsks,
  leads,
  leadThings,
  ledgerEntries,
  lookouts,
  lookoutSeen,
  moves,
  offers,
  orderLines,
  orders,
  ownFigures,
  parts,
  photos,
  priceReads,
  queryRecipes,
  rebates,
  recordOverrides,
  rivalRates,
  rivals,
  runs,
  sales,
  settings,
  shopPrices,
  sources,
  targets,
  trips,
  waitNotes,
  workloads,
  workResults,
  workTasks,
} as const satisfies Readonly<Record<string, SQLiteTable>>
export type WatchedName = keyof typeof watched
export const watchedNames = Object.keys(watched) as WatchedName[]

/** Long columns that no page shows: images by which an action is undone, what a frozen build holds, times of frames. */
const leftOut = { actions: ['rows'], editions: ['content'], frameLogs: ['times'] } as const
type LeftOut<Name> = Name extends keyof typeof leftOut ? (typeof leftOut)[Name][number] : never

export type WatchedRow<Name extends WatchedName> = Omit<
  InferSelectModel<(typeof watched)[Name]>,
  LeftOut<Name>
>

/** The columns of a table that are held. */
export function heldColumns(name: WatchedName) {
  const out: readonly string[] = name in leftOut ? leftOut[name as keyof typeof leftOut] : []
  return Object.fromEntries(
    Object.entries(getTableColumns(watched[name])).filter(([column]) => !out.includes(column)),
  )
}

/** What SQLite calls a table. */
export const sqlName = (name: WatchedName): string => getTableConfig(watched[name]).name
