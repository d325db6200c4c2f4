import { groupBy } from '../../collections/groupBy'
import { compareText } from '../../text/compareText'
import { daysBetween, type CalendarDate } from '../../time/calendarDate'

/** A listing as it is compared with others. */
export interface ListingToCompare {
  readonly id: string
  readonly sourceId: string
  readonly title: string
  readonly price: number
  readonly currency: string
  readonly place: string
  readonly listedOn: CalendarDate
  readonly vanishedOn: CalendarDate | null
  /** What is in it, as one text. */
  readonly things: string
}

/** How a listing repeats an earlier one: the same offer standing twice, or put up again after it was gone. */
export interface SameListing {
  readonly id: string
  readonly earlierId: string
  readonly kind: 'double' | 'listed-again'
  /** Check now less the earlier ask, minor units; null where the currencies differ. */
  readonly change: number | null
}

const fewestSharedWords = 0.8
/** A listing that comes back this long after it was gone is another one. */
const longestGap = 60

/**
 * Finds listings that repeat an earlier one: the same things, places that do not contradict each other, and at least
 * 80 % of the words of both titles in common. Two sources may carry the same offer. Each listing names its latest
 * forerunner only. O(n²) within listings of the same things.
 */
export function findSameListings(listings: readonly ListingToCompare[]): SameListing[] {
  const groups = groupBy(
    listings.filter((each) => each.things !== ''),
    (each) => each.things,
  )
  const found: SameListing[] = []
  for (const group of groups.values()) {
    const dated = [...group]
      .sort((a, b) => compareText(a.listedOn, b.listedOn) || compareText(a.id, b.id))
      .map((listing) => ({ listing, words: wordsOf(listing.title) }))
    for (const [index, later] of dated.entries()) {
      const earlier = dated
        .slice(0, index)
        .reverse()
        .find((each) => repeats(each, later))
      if (!earlier) continue
      const { listing } = earlier
      found.push({
        id: later.listing.id,
        earlierId: listing.id,
        kind:
          listing.vanishedOn !== null && listing.vanishedOn <= later.listing.listedOn
            ? 'listed-again'
            : 'double',
        change: listing.currency === later.listing.currency ? later.listing.price - listing.price : null,
      })
    }
  }
  return found.sort((a, b) => compareText(a.id, b.id))
}

interface Worded {
  readonly listing: ListingToCompare
  readonly words: ReadonlySet<string>
}

function repeats(earlier: Worded, later: Worded): boolean {
  const { vanishedOn, place } = earlier.listing
  if (vanishedOn !== null && daysBetween(vanishedOn, later.listing.listedOn) > longestGap) return false
  if (place !== '' && later.listing.place !== '' && place.toLowerCase() !== later.listing.place.toLowerCase())
    return false
  const shared = [...later.words].filter((word) => earlier.words.has(word)).length
  return shared >= 3 && shared >= fewestSharedWords * Math.max(earlier.words.size, later.words.size)
}

function wordsOf(title: string): Set<string> {
  return new Set(
    title
      .toLowerCase()
      .split(/[^\p{L}\p{N}.]+/u)
      .filter((word) => word !== ''),
  )
}
