import { number, object, type InferType } from 'yup'
import { roles } from '#core/parts/part'
import { oneOf } from '../fields'

/** Which leads an inbox shows: `hits` came in under a watch, `untied` name no part of the library yet. */
export const leadShows = ['open', 'passed', 'chosen', 'hits', 'untied', 'asked'] as const
export type LeadShow = (typeof leadShows)[number]

export const leadOrders = ['saving', 'price', 'age', 'ends', 'place'] as const
export type LeadOrder = (typeof leadOrders)[number]

/** Rows of a page of the inbox. */
export const inboxPage = 60

/** What of an inbox is asked for: without `show` every lead, without `count` every row, in the order of ids without `order`. */
export const inboxQuery = object({
  show: oneOf(['', ...leadShows]).default(''),
  role: oneOf(['', ...roles]).default(''),
  order: oneOf(['', ...leadOrders]).default(''),
  count: number().integer().min(1).max(10_000).nullable().default(null),
})
export type InboxQuery = InferType<typeof inboxQuery>
export const wholeInbox: InboxQuery = { show: '', role: '', order: '', count: null }

/** Leads without what stands in a list; for search. */
export interface LeadTitle {
  readonly id: string
  readonly title: string
}
