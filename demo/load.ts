import { demoBuilds, demoOpinions, demoPast, demoWaitNotes } from './builds'
import { asking, type Fetch } from './asking'
import { demoFiles } from './files'
import { loadStory } from './story'

/** What the demo asks of the stand-in markets, and how often. */
export const demoConnectors = [
  { sourceId: 'barnstall', kind: 'lead-feed', path: '/barnstall/feed.atom', everyMinutes: 30 },
  { sourceId: 'gavelry', kind: 'lead-feed', path: '/gavelry/feed.rss', everyMinutes: 60 },
  { sourceId: 'gavelry', kind: 'sold-csv', path: '/gavelry/sold.csv', everyMinutes: 360 },
  { sourceId: 'second-socket', kind: 'lead-feed', path: '/second-socket/feed.json', everyMinutes: 60 },
  { sourceId: 'circuit-pantry', kind: 'shop-csv', path: '/circuit-pantry/prices.csv', everyMinutes: 720 },
  {
    sourceId: 'tin-lantern-parts',
    kind: 'shop-csv',
    path: '/tin-lantern-parts/prices.csv',
    everyMinutes: 720,
  },
] as const

/** Where the stand-in markets are, if they are to be asked; and what asks the server in place of the page's own. */
interface Loading {
  readonly markets?: string | undefined
  readonly fetch?: Fetch
}

/** Loads the demo into a running server through the same routes as a user's files. */
export async function loadDemo(
  address: string,
  say: (line: string) => void,
  { markets, fetch: askedBy }: Loading = {},
): Promise<void> {
  const files = demoFiles()
  const library = await post(address, '/api/library/import', files['library.json']!)
  say(`library: ${library.added} entries`)
  const options = encodeURIComponent(JSON.stringify({ fileName: 'sold-records.csv' }))
  const stream = await send(
    address,
    `/api/prices/sold-records/import?options=${options}`,
    files['sold-records.csv']!,
  )
  const last = JSON.parse((await stream.text()).trim().split('\n').at(-1)!)
  if (!last.report) throw new Error(`sold records: ${JSON.stringify(last)}`)
  say(`sold records: ${last.report.added} added, ${last.report.rejected} rejected`)
  const leads = await post(address, '/api/leads/import', files['leads.csv']!)
  say(`leads: ${leads.added} added, ${leads.rejected} rejected`)
  const prices = await post(address, '/api/prices/shop-prices/import', files['shop-prices.csv']!)
  say(`shop prices: ${prices.added} added`)
  for (const opinion of demoOpinions) await post(address, '/api/prices/opinions', JSON.stringify(opinion))
  for (const note of demoWaitNotes) await post(address, '/api/prices/wait-notes', JSON.stringify(note))
  if (markets !== undefined) {
    for (const { path, ...connector } of demoConnectors)
      await post(
        address,
        '/api/sources/connectors',
        JSON.stringify({ ...connector, url: markets + path, allowPrivate: true }),
      )
    say(`connectors: ${demoConnectors.length} addresses at ${markets}`)
  }
  await loadPast(address)
  const builds = new Map<string, string>()
  for (const build of demoBuilds) {
    const { id } = await post(address, '/api/builds', JSON.stringify(build.brief))
    builds.set(String(build.brief.name), id)
    const inbox = (await (await fetch(`${address}/api/builds/${id}/leads`)).json()) as {
      leads: { id: string; externalId: string }[]
    }
    for (const { externalId, paidOn, reason, scope = 'core' } of build.leads) {
      const lead = inbox.leads.find((each) => each.externalId === externalId)
      if (!lead) throw new Error(`no lead ${externalId}`)
      const view = await post(
        address,
        `/api/builds/${id}/machine/choices`,
        JSON.stringify({ kind: 'lead', leadId: lead.id, reason, scope }),
      )
      if (paidOn)
        await post(
          address,
          '/api/ledger/orders/pay',
          JSON.stringify({
            choiceIds: [view.choices.find((each: { leadId: string }) => each.leadId === lead.id).id],
            day: paidOn,
          }),
        )
    }
    for (const hunt of build.hunts)
      await post(
        address,
        `/api/builds/${id}/machine/choices`,
        JSON.stringify({ kind: 'hunt', scope: 'core', ...hunt }),
      )
    for (const shelfId of build.owned)
      await post(
        address,
        `/api/builds/${id}/machine/choices`,
        JSON.stringify({ kind: 'owned', shelfId, scope: 'core' }),
      )
    if (build.stoodOn)
      await post(address, `/api/builds/${id}/ledger/stand`, JSON.stringify({ day: build.stoodOn }))
    await asking(address, askedBy)(`/api/builds/${id}/scales/rivals`, { rivals: build.rivals }, 'PUT', [])
    for (const { partId, limit } of build.lookouts)
      await post(address, `/api/builds/${id}/prices/lookouts`, JSON.stringify({ partId, limit }))
    for (const { partId, readOn, note } of build.reads)
      await post(address, `/api/builds/${id}/prices/parts/${partId}/reads`, JSON.stringify({ readOn, note }))
    for (const { partId, ...figure } of build.ownFigures)
      await send(
        address,
        `/api/builds/${id}/prices/parts/${partId}/own-figure`,
        JSON.stringify(figure),
        'PUT',
      )
    for (const { externalId, ...offer } of build.offers)
      await post(
        address,
        `/api/leads/${inbox.leads.find((each) => each.externalId === externalId)!.id}/offers`,
        JSON.stringify(offer),
      )
    for (const entry of build.entries) await post(address, `/api/builds/${id}/ledger`, JSON.stringify(entry))
    say(`build: ${String(build.brief.name)}`)
  }
  await loadStory(asking(address, askedBy), builds, files)
  say('variants, editions, advice, a plan, frame logs')
}

/** A life that is over, step by step as it was lived. */
async function loadPast(address: string): Promise<void> {
  const { brief, bought, sentBack, sale } = demoPast
  const { id } = await post(address, '/api/builds', JSON.stringify(brief))
  const ask = (path: string, body: object) => post(address, path, JSON.stringify(body))
  for (const { partId, paid, day, arrives, state, ...found } of bought) {
    const chosen = await ask(`/api/builds/${id}/machine/choices`, { kind: 'hunt', partId, limit: paid })
    const { id: choice } = chosen.choices.find((each: { kind: string }) => each.kind === 'hunt')
    await ask(`/api/ledger/choices/${choice}/pay`, { day, amount: paid })
    const { items } = await (await fetch(`${address}/api/builds/${id}/ledger`)).json()
    const item = items.find((each: { place: string }) => each.place === 'ordered')
    await ask(`/api/ledger/items/${item.id}/arrive`, { day: arrives, state, ...found })
    if (state !== 'dead') continue
    await ask(`/api/ledger/items/${item.id}/send-back`, { day: sentBack.day, expected: sentBack.expected })
    await ask(`/api/ledger/items/${item.id}/refund`, { day: sentBack.refundedOn, amount: sentBack.refunded })
  }
  await ask(`/api/builds/${id}/ledger/sell`, sale)
}

async function send(address: string, path: string, body: string, method = 'POST'): Promise<Response> {
  const response = await fetch(address + path, {
    method,
    body,
    headers: {
      'content-type': path.includes('import/') && !path.includes('library') ? 'text/csv' : 'application/json',
    },
  })
  if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`)
  return response
}

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- answers of many routes, read field by field
async function post(address: string, path: string, body: string): Promise<any> {
  return (await send(address, path, body)).json()
}
