import type { H3Event } from 'h3'
import { importOptionsSchema } from '#shared/files/importOptions'
import { readSetting } from '../context/settings'
import type { Database } from '../db/client'
import { errorAnswer } from './errors'
import { plainJson } from './plainJson'

/**
 * The options of an import, as JSON. Where neither they nor a line say a currency it is the home
 * currency; where there is none either it is empty, and such a line is rejected.
 */
export async function importOptions(db: Database, given: string) {
  const options = importOptionsSchema.validateSync(plainJson(given), { stripUnknown: true })
  const currency = options.defaults.currency ?? (await importCurrency(db))
  return { ...options, defaults: { ...options.defaults, currency } }
}

/** The currency of what a file does not say it of; empty where no home currency is set. */
export async function importCurrency(db: Database): Promise<string> {
  return (await readSetting(db, 'homeCurrency')) ?? ''
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
