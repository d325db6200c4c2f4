import type { H3Event } from 'h3'
import { eq } from 'drizzle-orm'
import type { Schema } from 'yup'
import { CoreError } from '#core/errors/coreError'
import type { CalendarDate } from '#core/time/calendarDate'
import type { PathParams, Taken } from '#shared/call'
import {
  calls,
  type AnswerOf,
  type CallName,
  type Calls,
  type CheckedBody,
  type CheckedQuery,
  type PathOf,
  type TwinPath,
} from '#shared/calls'
import { idGrammar } from '#shared/text/plainId'
import { findBuild } from '../context/findBuild'
import { newestAction } from '../db/action'
import { AfterCommit } from '../db/afterCommit'
import { asDatabase, type Database } from '../db/client'
import { idAliases } from '../db/schema/aliases'
import { useOpenDatabase } from '../db/useDatabase'
import { bodyBytes, fileBytes, usualBytes } from './bodyBytes'
import { jsonRoute } from './jsonRoute'
import { keptAnswer } from './keptAnswer'
import { plainJson } from './plainJson'
import { today } from './today'

/** What a call was asked with, checked by its record in `calls`. */
interface AskedWith<Params, Body, Query> {
  readonly db: Database
  readonly params: Params
  readonly body: Body
  readonly query: Query
  /** The bytes of the file that was sent; none where the call takes no file. */
  readonly file: Uint8Array
  readonly today: CalendarDate
  /** This moment, as it is kept beside what was removed. */
  readonly now: string
  /** For what is no part of the record: headers of a file, a stream, the state that a change was begun on. */
  readonly event: H3Event
}
type Asked<Name extends CallName> = AskedWith<PathParams<PathOf<Name>>, CheckedBody<Name>, CheckedQuery<Name>>
type AskedAny = AskedWith<Record<string, string>, unknown, unknown>

/** A file or a stream is answered as it is; everything else as its record says. */
type Answered<Name extends CallName> = Calls[Name] extends { readonly raw: true } ? unknown : AnswerOf<Name>
type ToAnswer<Name extends CallName> = Answered<Name> | AfterCommit<Answered<Name>>

/**
 * The route of a call. Its record says what it takes; a mistake is answered as 4xx before `answer` is asked.
 *
 * A read of JSON answers with its tag, and 304 where the caller has that state already. A change runs as the only
 * writer and in one transaction (`db`): what it checks still holds when it writes, and a refusal, wherever it comes,
 * leaves nothing behind. Its body is read before its turn comes, so that a slow sender holds up nobody; a build in its
 * path is there, or it is refused.
 */
export function defineCall<const Name extends CallName>(
  name: Name,
  answer: (asked: Asked<Name>) => Promise<ToAnswer<Name>> | ToAnswer<Name>,
) {
  return routeOf(name, answer as (asked: AskedAny) => unknown)
}

type SetDeleted = (db: Database, id: string, deletedAt: string | null) => Promise<unknown>

/** The route that removes something, `DELETE path/:id`; its twin puts it back. */
export function defineRemoval(path: TwinPath, setDeleted: SetDeleted) {
  return routeOf(`DELETE ${path}/:id`, async ({ db, params, now }) => {
    await setDeleted(db, params.id!, now)
    return { id: params.id }
  })
}

/** The route that puts back what was removed, `POST path/:id/restore`. */
export function definePutBack(path: TwinPath, setDeleted: SetDeleted) {
  return routeOf(`POST ${path}/:id/restore`, async ({ db, params }) => {
    await setDeleted(db, params.id!, null)
    return { id: params.id }
  })
}

function routeOf(name: CallName, answer: (asked: AskedAny) => unknown) {
  const taken = calls[name] as Taken
  const [verb, path] = name.split(' ') as [string, string]
  const mostBytes = taken.mostBytes ?? (taken.file ? fileBytes : usualBytes)
  const isChangeOfBuild = path.startsWith('/api/builds/:id') && !path.endsWith('/restore')
  const ask = async (event: H3Event, db: Database) => answer(await askedWith(event, db, taken, mostBytes))

  return jsonRoute(async (event) => {
    const { alone, db, version } = await useOpenDatabase()
    if (verb === 'GET' && !taken.raw) return keptAnswer(event, () => ask(event, db))
    if (verb === 'GET') return ask(event, db)
    const before = version()
    const tellChange = () => {
      if (!taken.isTrial && version() !== before) setHeader(event, 'x-changed', '1')
    }
    if (taken.ownTurn) {
      const answered = await ask(event, db)
      if (!taken.raw) tellChange()
      return answered
    }
    await bodyBytes(event, mostBytes)
    return alone(async () => {
      const actionBefore = await newestAction(db)
      const answered = await db.transaction(async (tx) => {
        const within = asDatabase(tx)
        if (isChangeOfBuild) await findBuild(within, (await presentIds(within, event)).id!)
        return ask(event, within)
      })
      const action = await newestAction(db)
      // alone in its turn, what is new is its own: this is what an undo has to name
      if (action > actionBefore) setHeader(event, 'x-action', String(action))
      tellChange()
      return answered instanceof AfterCommit ? answered.read(db) : answered
    })
  })
}

async function askedWith(event: H3Event, db: Database, taken: Taken, mostBytes: number): Promise<AskedAny> {
  const bytes = taken.body || taken.file ? await bodyBytes(event, mostBytes) : null
  if (taken.file && bytes?.length === 0) throw new CoreError('empty-file', {})
  return {
    db,
    params: await presentIds(db, event),
    body: taken.body && checked(taken.body, bytes!.toString('utf8')),
    query: taken.query?.validateSync(getQuery(event), { stripUnknown: true }) ?? {},
    file: taken.file ? bytes! : new Uint8Array(),
    today: today(),
    now: new Date().toISOString(),
    event,
  }
}

/** The ids of an address; one of before the grammar of ids is what it is called now. */
async function presentIds(db: Database, event: H3Event): Promise<Record<string, string>> {
  const present = getRouterParams(event, { decode: true })
  for (const [key, id] of Object.entries(present)) {
    if (idGrammar.test(id)) continue
    const [alias] = await db.select().from(idAliases).where(eq(idAliases.old, id))
    if (alias) present[key] = alias.now
  }
  return present
}

/** A body, checked by its schema; keys the schema does not know are left out. */
function checked(schema: Schema, text: string): unknown {
  const parsed = plainJson(text)
  if (typeof parsed !== 'object' || parsed === null || Array.isArray(parsed))
    throw new CoreError('not-an-object', {})
  return schema.validateSync(parsed, { strict: false, abortEarly: true, stripUnknown: true })
}
