import type { H3Event } from 'h3'
import { object, mixed } from 'yup'
import { CoreError } from '#core/errors/coreError'
import type { ColumnMap } from '#core/reading/tables/columns'
import type { SoldRecordField } from '#core/files/import/soldRecordsFile'
import { conditions, manners } from '#core/reading/sales/soldRecord'
import { currencyCode, oneOf, text } from '#shared/fields'
import { readSetting } from '../context/settings'
import type { Database } from '../db/client'
import { bodyBytes, fileBytes } from './bodyBytes'
import { errorAnswer } from './errors'
import { plainJson } from './plainJson'

const optionsSchema = object({
  fileName: text().max(300).default('pasted rows'),
  preview: mixed<boolean>().default(false),
  columns: mixed<ColumnMap<SoldRecordField>>().optional(),
  defaults: object({
    source: text().max(120).default('file'),
    currency: currencyCode().optional(),
    manner: oneOf(manners).default('fixed'),
    condition: oneOf(conditions).default('used'),
  }).default({ source: 'file', manner: 'fixed', condition: 'used' }),
})

/**
 * The options of an import, from `?options=` as JSON. Where neither they nor a line say a currency it is the home
 * currency; where there is none either it is empty, and such a line is rejected.
 */
export async function importOptions(db: Database, event: H3Event) {
  const given = String(getQuery(event).options ?? '{}')
  const options = optionsSchema.validateSync(plainJson(given), { stripUnknown: true })
  const currency = options.defaults.currency ?? (await importCurrency(db))
  return { ...options, defaults: { ...options.defaults, currency } }
}

/** The currency of what a file does not say it of; empty where no home currency is set. */
export async function importCurrency(db: Database): Promise<string> {
  return (await readSetting(db, 'homeCurrency')) ?? ''
}

/** The bytes of a file sent as the body. Throws `too-large` and `empty-file`. */
export async function fileOf(event: H3Event): Promise<Uint8Array> {
  const bytes = await bodyBytes(event, fileBytes)
  if (bytes.length === 0)
    throw new CoreError('empty-file', 'the file is empty; it needs a header line and one line per record')
  return bytes
}

/** Runs long work and answers JSON lines: `{ done, total }` now and then, at last `{ report }` or `{ error }`. */
export function streamProgress<T>(
  event: H3Event,
  work: (onProgress: (done: number, total: number) => Promise<boolean>) => Promise<T>,
): ReadableStream<Uint8Array> {
  setHeader(event, 'content-type', 'application/x-ndjson')
  const encoder = new TextEncoder()
  let cancelled = false
  return new ReadableStream({
    async start(controller) {
      const send = (value: unknown) => {
        if (!cancelled) controller.enqueue(encoder.encode(`${JSON.stringify(value)}\n`))
      }
      try {
        const report = await work(async (done, total) => {
          send({ done, total })
          // lets the line leave, and a cancellation arrive, before the next batch
          await new Promise((resolve) => setImmediate(resolve))
          return !cancelled
        })
        send({ report })
      } catch (error) {
        const { status, body } = errorAnswer(error)
        if (status === 500) console.error(error)
        send(body)
      }
      if (!cancelled) controller.close()
    },
    cancel() {
      cancelled = true
    },
  })
}
