import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http'
import {
  createApp,
  createRouter,
  defineEventHandler,
  getQuery,
  getRouterParam,
  sendRedirect,
  setHeader,
  setResponseStatus,
  toNodeListener,
  type H3Event,
} from 'h3'
import { addDays } from '../core/time/calendarDate'
import { soldTable } from '../demo/soldRecords'
import { shopTable } from '../demo/shopPrices'
import { atomFeed, escape, jsonFeed, listingPage, page, rssFeed } from './formats'
import type { StandInMarket } from './market'

const mostListings = 150

export interface StandIn {
  readonly market: StandInMarket
  /** Told of every new day; the demo writes it where the application reads its date. */
  readonly onDay: (day: string) => void
}

/** The stand-in's web server: feeds, listing pages, CSV files, and its own small page with "Next day". */
export function standInServer({ market, onDay }: StandIn): Server {
  const router = createRouter()
  const route = (path: string, type: string, answer: (address: string, event: H3Event) => string) =>
    router.get(
      path,
      defineEventHandler((event) => {
        setHeader(event, 'content-type', `${type}; charset=utf-8`)
        return answer(addressOf(event), event)
      }),
    )
  route('/', 'text/html', (address) => home(address, market))
  route('/barnstall/feed.atom', 'application/atom+xml', (address) =>
    atomFeed(address, market.today, market.open('barnstall').slice(0, mostListings)),
  )
  route('/gavelry/feed.rss', 'application/rss+xml', (address) =>
    rssFeed(address, market.open('gavelry').slice(0, mostListings)),
  )
  route('/second-socket/feed.json', 'application/feed+json', (address) =>
    jsonFeed(address, market.open('second-socket').slice(0, mostListings)),
  )
  route('/gavelry/sold.csv', 'text/csv', () => soldTable(market.sold))
  for (const shop of ['circuit-pantry', 'tin-lantern-parts'])
    route(`/${shop}/prices.csv`, 'text/csv', () => shopTable(market.shopPrices(shop)))
  for (const source of ['barnstall', 'gavelry', 'second-socket'])
    route(`/${source}/listing/:id`, 'text/html', (address, event) => {
      const listing = market.find(getRouterParam(event, 'id') ?? '')
      if (listing && listing.goneOn === null) return listingPage(address, listing)
      setResponseStatus(event, listing ? 410 : 404)
      return page('Gone', '<p>This listing is no longer here.</p>')
    })
  router.post(
    '/advance',
    defineEventHandler((event) => {
      const days = Math.min(60, Math.max(1, Math.trunc(Number(getQuery(event).days ?? 1)) || 1))
      market.playTo(addDays(market.today, days))
      onDay(market.today)
      return sendRedirect(event, '/', 303)
    }),
  )
  const app = createApp()
  app.use(router)
  return createServer(toNodeListener(app) as (request: IncomingMessage, response: ServerResponse) => void)
}

function addressOf(event: H3Event): string {
  return `http://${event.node.req.headers.host ?? '127.0.0.1'}`
}

function home(address: string, market: StandInMarket): string {
  const { news } = market
  const rows = [
    ['Barnstall', 'leads (Atom)', '/barnstall/feed.atom', `${market.open('barnstall').length} listings`],
    ['Gavelry', 'leads (RSS)', '/gavelry/feed.rss', `${market.open('gavelry').length} auctions`],
    ['Gavelry', 'sold records (CSV)', '/gavelry/sold.csv', `${market.sold.length} sales`],
    [
      'Second Socket',
      'leads (JSON Feed)',
      '/second-socket/feed.json',
      `${market.open('second-socket').length} listings`,
    ],
    [
      'Circuit Pantry',
      'shop prices (CSV)',
      '/circuit-pantry/prices.csv',
      `${market.shopPrices('circuit-pantry').length} prices`,
    ],
    [
      'Tin Lantern Parts',
      'shop prices (CSV)',
      '/tin-lantern-parts/prices.csv',
      `${market.shopPrices('tin-lantern-parts').length} prices`,
    ],
  ]
  return page(
    `It is ${market.today}`,
    `
<form method="post" action="/advance"><button name="days" value="1" formaction="/advance?days=1">Next day</button><button formaction="/advance?days=10">Ten days</button></form>
<p>Last day: ${news.listed} new listings, ${news.dropped} asks lowered, ${news.vanished} vanished, ${news.sold} sales, ${news.onSale} shop items on sale.</p>
<table><thead><tr><th>source</th><th>what</th><th>address</th><th>today</th></tr></thead><tbody>${rows.map(([source, what, path, count]) => `<tr><td>${source}</td><td>${what}</td><td><code>${escape(address + path)}</code></td><td>${count}</td></tr>`).join('')}</tbody></table>`,
  )
}
