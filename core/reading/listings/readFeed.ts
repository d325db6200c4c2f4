import { XMLParser } from 'fast-xml-parser'
import { CoreError } from '../../errors/coreError'
import { isCalendarDate, type CalendarDate } from '../../time/calendarDate'

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
 * @param mostEntries entries after these are not read, nor parsed
 * @throws CoreError `not-a-feed`
 */
export function readFeed(
  text: string,
  base: string,
  mostEntries = Number.POSITIVE_INFINITY,
): {
  readonly entries: FeedEntry[]
  readonly problems: { readonly where: string; readonly reason: string }[]
} {
  const entries: FeedEntry[] = []
  const problems: { where: string; reason: string }[] = []
  for (const [index, raw] of rawEntries(firstEntries(text, mostEntries)).slice(0, mostEntries).entries()) {
    const where = `entry ${index + 1}`
    const url = absolute(raw.link, base)
    if (url === null)
      problems.push({
        where,
        reason: raw.link ? `"${raw.link.slice(0, 80)}" is not a URL` : 'has no page link',
      })
    else
      entries.push({
        id: raw.id || url,
        url,
        title: (raw.title ?? '').trim().slice(0, 300),
        publishedOn: dayOf(raw.published),
      })
  }
  return { entries, problems }
}

/** The text of an XML feed up to the end of its n-th entry, and the end of the feed. */
function firstEntries(text: string, most: number): string {
  let count = 0
  for (const { index, 0: tag } of text.matchAll(/<\/(?:entry|item)\s*>/gi)) {
    count += 1
    if (count > most)
      return `${text.slice(0, index + tag.length)}${/entry/i.test(tag) ? '</feed>' : '</channel></rss>'}`
  }
  return text
}

interface RawEntry {
  readonly id: string | undefined
  readonly link: string | undefined
  readonly title: string | undefined
  readonly published: string | undefined
}

function rawEntries(text: string): RawEntry[] {
  const trimmed = text.trimStart()
  if (trimmed.startsWith('{')) return jsonEntries(trimmed)
  const xml = parseXml(trimmed)
  if (isNode(xml.feed)) return list(xml.feed.entry).map(atomEntry)
  const rss = isNode(xml.rss) ? xml.rss : undefined
  if (rss && isNode(rss.channel)) return list(rss.channel.item).map(rssItem)
  throw notAFeed()
}

function jsonEntries(text: string): RawEntry[] {
  let feed: unknown
  try {
    feed = JSON.parse(text)
  } catch (cause) {
    throw notAFeed(cause)
  }
  // one without entries may leave its list out; its version still says what it is
  if (!isNode(feed) || !(Array.isArray(feed.items) || /jsonfeed\.org/.test(plain(feed.version) ?? '')))
    throw notAFeed()
  return list(feed.items).map((item) => ({
    id: plain(item.id),
    link: plain(item.url) ?? plain(item.external_url),
    title: plain(item.title),
    published: plain(item.date_published) ?? plain(item.date_modified),
  }))
}

function atomEntry(entry: Node): RawEntry {
  const links = list(entry.link)
  const link = links.find((each) => each['@rel'] === undefined || each['@rel'] === 'alternate') ?? links[0]
  return {
    id: plain(entry.id),
    title: plain(entry.title),
    link: plain(link?.['@href']),
    published: plain(entry.published) ?? plain(entry.updated),
  }
}

function rssItem(item: Node): RawEntry {
  return {
    id: plain(item.guid),
    link: plain(item.link),
    title: plain(item.title),
    published: plain(item.pubDate),
  }
}

const parser = new XMLParser({
  ignoreAttributes: false,
  attributeNamePrefix: '@',
  removeNSPrefix: true,
  parseTagValue: false,
  parseAttributeValue: false,
  trimValues: true,
  htmlEntities: true,
  // a feed nests six deep or seven
  maxNestedTags: 64,
})

/** A tag with thousands of attributes: no feed has one, and each is compared with the others. */
const hugeTag = /<[^<>]{20000}/

/** A feed has no need of entities of its own, and a document that declares some may be made to swell. */
function parseXml(text: string): Node {
  if (/<!DOCTYPE|<!ENTITY/i.test(text)) throw new CoreError('feed-with-doctype', {}, 'url')
  if (hugeTag.test(text)) throw notAFeed()
  try {
    const parsed: unknown = parser.parse(text, true)
    return isNode(parsed) ? parsed : {}
  } catch (cause) {
    throw notAFeed(cause)
  }
}

function notAFeed(cause?: unknown): CoreError {
  return new CoreError('not-a-feed', {}, 'url', cause === undefined ? {} : { cause })
}

type Node = Readonly<Record<string, unknown>>

function isNode(value: unknown): value is Node {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

/** One or several of the same name; those that are mere text are left out. */
function list(value: unknown): Node[] {
  return (Array.isArray(value) ? value : [value]).flatMap((each) => (isNode(each) ? [each] : []))
}

/** A text, written plainly or inside a node with attributes. */
function plain(value: unknown): string | undefined {
  if (typeof value === 'string') return value.trim() === '' ? undefined : value.trim()
  if (typeof value === 'number') return String(value)
  return isNode(value) ? plain(value['#text']) : undefined
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
