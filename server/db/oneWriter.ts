import { AsyncLocalStorage } from 'node:async_hooks'
import type { Client, InStatement, Transaction } from '@libsql/client'
import { Mutex } from 'async-mutex'
import { sentenceOf } from '#core/errors/problems'

/** Waits in ms between attempts while another program holds the file. */
const waits = [10, 20, 50, 100, 200, 400, 800, 1600, 3200]

/** Another program holds the database and did not let go in time; nothing was written. */
export class DatabaseHeldError extends Error {
  constructor(cause: unknown) {
    super(sentenceOf('held', {}), { cause })
  }
}

/**
 * A client of one writer: reads go to the pool of `reader`, writes and transactions one after the other through the
 * single connection of `writer`. SQLite lets one writer in at a time and refuses a second at once, and a connection
 * whose BEGIN was refused is no longer to be trusted (its later COMMITs fail, its reads are old): it is thrown away and
 * the BEGIN tried again, so that what follows it is never repeated.
 */
export class OneWriter {
  private readonly turn = new Mutex()
  private readonly holding = new AsyncLocalStorage<true>()
  private written = 0
  private watch: WriterWatch | null = null

  constructor(
    private readonly reader: Client,
    private readonly writer: Client,
    private readonly afterOpening: (writer: Client) => Promise<unknown> = async () => undefined,
  ) {}

  /** Counts up with every write through this client: what was read while it stood still holds. */
  get version(): number {
    return this.written
  }

  /** From now on somebody is told after each write, in its turn and before anybody is answered. */
  async watchedBy(watch: WriterWatch): Promise<void> {
    await watch.opened(this.writer)
    this.watch = watch
  }

  /**
   * Does a piece of work as the only writer: what it checks still holds when it writes. Work within work takes no
   * second turn.
   */
  async alone<T>(work: () => Promise<T>): Promise<T> {
    if (this.holding.getStore()) return work()
    return this.turn.runExclusive(() => this.holding.run(true, work))
  }

  /** Sees whether another program has written to the file; asked in the writer's turn. */
  async lookAround(): Promise<void> {
    if (await this.watch?.begins(this.writer)) this.written += 1
  }

  /** The two as one client, for the ORM. */
  client(): Client {
    const { reader, writer } = this
    return {
      execute: (statement: InStatement, args?: never) =>
        onlyReads(statement)
          ? reader.execute(statement as never, args)
          : this.writes(() => writer.execute(statement as never, args)),
      batch: (statements: never, mode?: never) =>
        this.writes(() => writer.batch(statements, mode ?? 'write')),
      migrate: (statements: never) => this.writes(() => writer.migrate(statements)),
      executeMultiple: (sql: string) => this.writes(() => writer.executeMultiple(sql)),
      transaction: (mode?: never) => this.transaction(mode),
      sync: () => writer.sync(),
      reconnect: async () => {
        await reader.reconnect()
        await writer.reconnect()
      },
      close: () => {
        reader.close()
        writer.close()
      },
      get closed() {
        return writer.closed
      },
      protocol: writer.protocol,
    } as Client
  }

  private writes<T>(write: () => Promise<T>): Promise<T> {
    return this.alone(async () => {
      try {
        await this.lookAround()
        return await this.whenFree(write)
      } finally {
        this.written += 1
        await this.watch?.written(this.writer)
      }
    })
  }

  /** A transaction holds the turn until it is settled. */
  private async transaction(mode: 'write' | 'read' | 'deferred' = 'write'): Promise<Transaction> {
    if (mode === 'read') return this.reader.transaction('read')
    const turn = this.holding.getStore() ? () => undefined : await this.turn.acquire()
    const release = () => {
      this.written += 1
      turn()
    }
    try {
      await this.lookAround()
      const told = async () => this.watch?.written(this.writer)
      return released(await this.whenFree(() => this.writer.transaction(mode)), told, release)
    } catch (error) {
      release()
      throw error
    }
  }

  private async whenFree<T>(begin: () => Promise<T>): Promise<T> {
    for (const wait of [...waits, null]) {
      try {
        return await begin()
      } catch (error) {
        if (!isHeld(error)) throw error
        await this.writer.reconnect()
        await this.afterOpening(this.writer)
        await this.watch?.opened(this.writer)
        if (wait === null) throw new DatabaseHeldError(error)
        await new Promise((resolve) => setTimeout(resolve, wait))
      }
    }
    throw new Error('unreachable')
  }
}

/** Somebody who keeps in mind what is in the database. */
export interface WriterWatch {
  /** The connection that writes is a new one. */
  opened(writer: Client): Promise<void>
  /** A write is about to begin, or nothing was written for a while: answers whether another program has written. */
  begins(writer: Client): Promise<boolean>
  /** Something may have been written; must not throw. */
  written(writer: Client): Promise<void>
}

/** The transaction, giving the turn on when it is over, however it ends; what it has written is told before. */
function released(transaction: Transaction, told: () => Promise<void>, release: () => void): Transaction {
  let isOver = false
  const over = () => {
    if (isOver) return
    isOver = true
    release()
  }
  return new Proxy(transaction, {
    get(target, name) {
      const value: unknown = Reflect.get(target, name, target)
      if (typeof value !== 'function') return value
      const bound = value.bind(target) as (...args: unknown[]) => unknown
      if (name === 'close') return () => (target.close(), over())
      if (name !== 'commit' && name !== 'rollback') return bound
      return async () => {
        try {
          const settled = await bound()
          if (name === 'commit') await told()
          return settled
        } finally {
          over()
        }
      }
    },
  })
}

/** Whether a statement only reads; anything not known to is taken for a write. */
export function onlyReads(statement: InStatement): boolean {
  const sql =
    typeof statement === 'string' ? statement : Array.isArray(statement) ? statement[0] : statement.sql
  if (/^\s*(select|explain|values)\b/i.test(sql)) return true
  return /^\s*with\b/i.test(sql) && !/\b(insert|update|delete|replace)\b/i.test(sql)
}

/** Whether an error says that another connection holds the file. */
export const isHeld = (error: unknown): boolean => hasCode(error, /^SQLITE_(BUSY|LOCKED)/)

/** Whether it says that there is no room to write. */
export const isFull = (error: unknown): boolean => hasCode(error, /^(SQLITE_FULL|ENOSPC|EDQUOT)/)

function hasCode(error: unknown, code: RegExp): boolean {
  for (let each = error; each instanceof Error; each = each.cause)
    if ('code' in each && code.test(String(each.code))) return true
  return false
}
