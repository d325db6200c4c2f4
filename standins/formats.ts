import { generateAtomFeed, generateJsonFeed, generateRssFeed } from 'feedsmith'
import type { Listing } from './market'

/** The made-up sources in the open formats they speak. */

const noon = (day: string) => new Date(`${day}T12:00:00Z`)

export function atomFeed(address: string, today: string, listings: readonly Listing[]): string {
  return generateAtomFeed({
    id: `${address}/barnstall/feed.atom`,
    title: text('Barnstall, Marrow Quay and around'),
    updated: noon(today),
    links: [{ href: `${address}/barnstall/feed.atom`, rel: 'self' }],
    entries: listings.map((listing) => ({
      id: listing.id,
      title: text(listing.title),
      updated: noon(listing.listedOn),
      published: noon(listing.listedOn),
      links: [{ href: pageOf(address, listing), rel: 'alternate' }],
    })),
  })
}

/** A text of the feed, in the shape its writer wants. */
function text(value: string): { value: string } {
  return { value }
}

export function rssFeed(address: string, listings: readonly Listing[]): string {
  return generateRssFeed({
    title: 'Gavelry: ending this week',
    link: `${address}/gavelry`,
    description: 'auctions for computer parts',
    items: listings.map((listing) => ({
      title: listing.title,
      link: pageOf(address, listing),
      guid: { value: listing.id, isPermaLink: false },
      pubDate: noon(listing.listedOn),
    })),
  })
}

export function jsonFeed(address: string, listings: readonly Listing[]): string {
  return JSON.stringify(
    generateJsonFeed({
      title: 'Second Socket: just tested',
      home_page_url: `${address}/second-socket`,
      feed_url: `${address}/second-socket/feed.json`,
      items: listings.map((listing) => ({
        id: listing.id,
        url: pageOf(address, listing),
        title: listing.title,
        content_text: `${listing.ask} CAD`,
        date_published: noon(listing.listedOn),
      })),
    }),
  )
}

export function pageOf(address: string, listing: Listing): string {
  return `${address}/${listing.source}/listing/${listing.id}`
}

const conditionNames = {
  used: 'UsedCondition',
  refurbished: 'RefurbishedCondition',
  damaged: 'DamagedCondition',
} as const
const sellers = {
  barnstall: 'a private seller',
  gavelry: 'a seller at Gavelry',
  'second-socket': 'Second Socket',
} as const

/** A listing's page with its offer as JSON-LD. */
export function listingPage(address: string, listing: Listing): string {
  const data = {
    '@context': 'https://schema.org',
    '@type': 'Product',
    name: listing.title,
    sku: listing.id,
    offers: {
      '@type': 'Offer',
      url: pageOf(address, listing),
      price: listing.ask.toFixed(2),
      priceCurrency: 'CAD',
      itemCondition: `https://schema.org/${conditionNames[listing.condition]}`,
      availability: 'https://schema.org/InStock',
      seller: { '@type': 'Organization', name: sellers[listing.source] },
      ...(listing.endsOn === null ? {} : { priceValidUntil: listing.endsOn }),
      ...(listing.place === null
        ? {}
        : {
            availableAtOrFrom: {
              '@type': 'Place',
              address: { '@type': 'PostalAddress', addressLocality: listing.place },
            },
          }),
    },
  }
  return page(
    listing.title,
    `<p class="price">${listing.ask.toFixed(2)} ` +
      `CAD</p><p>${listing.condition}${listing.place ? `, to be picked up in ${escape(listing.place)}` : ''}, ` +
      `listed ${listing.listedOn}${listing.endsOn ? `, ends ${listing.endsOn}` : ''}</p>`,
    `<script type="application/ld+json">${JSON.stringify(data).replaceAll('<', String.raw`\u003c`)}</script>`,
  )
}

/** A plain page of the stand-in. */
export function page(heading: string, body: string, head = ''): string {
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${escape(heading)}</title><style>
body{font:15px/1.5 system-ui,sans-serif;max-width:760px;margin:2.5rem auto;padding:0 1rem;color:#1d2a2b;background:#eceff1}
.note{border:2px dashed #355a7a;padding:.6rem 1rem;margin:0 0 1.5rem}button{font:inherit;padding:.35rem .9rem;margin-right:.5rem}
table{border-collapse:collapse;width:100%}td,th{text-align:left;padding:.3rem .6rem .3rem 0;border-bottom:1px solid #b9c2c6}code{font-size:13px}.price{font-size:1.4rem}</style>${head}</head>
<body><p class="note">Simulation: a stand-in for outside markets, made up from first to last.</p><h1>${escape(heading)}</h1>${body}</body></html>`
}

export function escape(value: string): string {
  return value
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;')
}
