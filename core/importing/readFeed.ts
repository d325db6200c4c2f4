import { parseFeed } from 'feedsmith'
import { CoreError } from '../coreError'
import { isCalendarDate, type CalendarDate } from '../time/calendarDate'

/** An entry of a feed, as far as it states itself. */
export interface FeedEntry {
  /** Identity within the feed: its id, else its link. */
  readonly id: string
  readonly url: string
  readonly title: string
  /** Day it was published, in the zone it was written in; null where it states none. */
  readonly publishedOn: CalendarDate | null
}

/**
 * Reads an Atom, RSS or JSON Feed. Entries without a link are reported, since there is no page to read the offer from.
 *
 * @param base address of the feed, against which relative links are resolved
 * @throws CoreError `not-a-feed`
 */
export function readFeed(text: string, base: string): { readonly entries: FeedEntry[]; readonly problems: { readonly where: string; readonly reason: string }[] } {
  const entries: FeedEntry[] = []
  const problems: { where: string; reason: string }[] = []
  for (const [index, raw] of rawEntries(text).entries()) {
    const where = `entry ${index + 1}`
    const url = absolute(raw.link, base)
    if (url === null) problems.push({ where, reason: raw.link ? `"${raw.link.slice(0, 80)}" is not an address` : 'has no link to a page' })
    else entries.push({ id: raw.id || url, url, title: (raw.title ?? '').trim().slice(0, 300), publishedOn: dayOf(raw.published) })
  }
  return { entries, problems }
}

interface RawEntry {
  readonly id: string | undefined
  readonly link: string | undefined
  readonly title: string | undefined
  readonly published: string | undefined
}

function rawEntries(text: string): RawEntry[] {
  const parsed = parse(text)
  if (parsed.format === 'atom') {
    return (parsed.feed.entries ?? []).map((entry) => ({
      id: entry.id, title: plain(entry.title), published: entry.published ?? entry.updated,
      link: (entry.links?.find((link) => link.rel === undefined || link.rel === 'alternate') ?? entry.links?.[0])?.href,
    }))
  }
  if (parsed.format === 'rss') return (parsed.feed.items ?? []).map((item) => ({ id: plain(item.guid), link: item.link, title: plain(item.title), published: item.pubDate }))
  if (parsed.format === 'json') return (parsed.feed.items ?? []).map((item) => ({ id: item.id, link: item.url ?? item.external_url, title: item.title, published: item.date_published ?? item.date_modified }))
  throw notAFeed()
}

function parse(text: string) {
  try {
    return parseFeed(text.trim())
  } catch (cause) {
    throw notAFeed(cause)
  }
}

function notAFeed(cause?: unknown): CoreError {
  return new CoreError('not-a-feed', 'the address answers, but not with an Atom, RSS or JSON feed', 'url', cause === undefined ? {} : { cause })
}

/** Feeds write a text either plainly or as an object with a value. */
function plain(value: unknown): string | undefined {
  if (typeof value === 'string') return value
  if (typeof value === 'object' && value !== null && 'value' in value && typeof value.value === 'string') return value.value
  return undefined
}

function absolute(link: string | undefined, base: string): string | null {
  if (!link || !URL.canParse(link, base)) return null
  const url = new URL(link, base)
  return url.protocol === 'http:' || url.protocol === 'https:' ? url.href : null
}

/** ISO dates keep the day they were written with; the older form of mail dates is read in UTC. */
function dayOf(text: string | undefined): CalendarDate | null {
  if (!text) return null
  const written = text.slice(0, 10)
  if (isCalendarDate(written)) return written
  const time = Date.parse(text)
  return Number.isNaN(time) ? null : new Date(time).toISOString().slice(0, 10)
}
