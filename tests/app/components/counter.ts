import { config, flushPromises, type VueWrapper } from '@vue/test-utils'
import { useQueryCache } from '@pinia/colada'
import { createPinia, getActivePinia, setActivePinia } from 'pinia'
import { vi } from 'vitest'
import { buildView } from '#server/places/builds/buildView'
import { createLead } from '#server/places/leads/leads'
import { leadViews } from '#server/places/leads/readLeads'
import { ledgerView } from '#server/places/ledger/ledgerView'
import { addChoice } from '#server/places/machine/choices'
import { leadSchema } from '#shared/leads/schemas'
import type { BuildView, SessionView } from '#shared/builds/views'
import { choiceSchema } from '#shared/machine/schemas'
import { marketWithBuild, today, type MarketWithBuild } from '../../server/marketWithBuild'
import { registerComponents } from './mounted'

/** What a component sent to the server. */
export interface Sent {
  readonly method: string
  readonly path: string
  readonly body: unknown
}

/** As the server would send it: without what JSON cannot carry. */
export const asSent = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/** What the components of a counter are registered by, once a file. */
export async function registerCounter(names: readonly string[]): Promise<void> {
  await registerComponents(names)
  config.global.stubs = { NuxtLink: { props: ['to'], template: '<a :href="to"><slot /></a>' } }
}

/** Components over views of a real database; what they send is caught, and answered as was laid out. */
export class Counter {
  readonly sent: Sent[] = []
  /** What the server would answer, by the end of the path. */
  readonly answers = new Map<string, unknown>()

  /** Answers everything in the place of `answers`, where a test needs another kind of answer. */
  respond: (() => Response) | null = null

  /** What was written, in order. */
  get written(): Sent[] {
    return this.sent.filter(({ method }) => method !== 'GET')
  }

  private constructor(readonly place: MarketWithBuild) {}

  static async open(): Promise<Counter> {
    const counter = new Counter(await marketWithBuild())
    setActivePinia(createPinia())
    vi.stubGlobal('fetch', async (path: string, { method = 'GET', body }: RequestInit = {}) => {
      counter.sent.push({ method, path, body: typeof body === 'string' ? JSON.parse(body) : undefined })
      if (counter.respond && method !== 'GET') return counter.respond()
      const key = [...counter.answers.keys()].find((end) => path.endsWith(end))
      if (method === 'GET' && key === undefined) return new Response('{}', { status: 404 })
      // a change has everything asked again that is shown
      const headers: Record<string, string> = method === 'GET' ? {} : { 'x-changed': '1' }
      return new Response(JSON.stringify(key === undefined ? {} : counter.answers.get(key)), { headers })
    })
    return counter
  }

  async close(): Promise<void> {
    vi.unstubAllGlobals()
    document.body.innerHTML = ''
    await this.place.close()
  }

  /** A used card at 120.00 from the yard, but for what is said. */
  lead(title: string, change: object = {}): Promise<string> {
    return createLead(
      this.place.db,
      leadSchema.validateSync({
        sourceId: 'yard',
        title,
        price: '120.00',
        currency: 'CAD',
        condition: 'used',
        manner: 'local',
        listedOn: today,
        things: [{ partId: 'card' }],
        ...change,
      }),
    )
  }

  choose(leadId: string): Promise<string> {
    const { db, build } = this.place
    return addChoice(db, build, choiceSchema.validateSync({ kind: 'lead', keepBoth: true, leadId }), today)
  }

  /** The build laid on the counter, as its page would have it; answers its ledger. */
  async show() {
    const { db, build } = this.place
    lay(asSent(await buildView(db, build, today)))
    return asSent(await ledgerView(db, build, today))
  }

  async leadView(id: string) {
    const { db, build } = this.place
    return asSent((await leadViews(db, build, today)).leads.find((each) => each.id === id)!)
  }
}

/** Lays a build on the counter, as its page would have it. */
export function lay(view: BuildView): void {
  useQueryCache(getActivePinia()).setQueryData(['GET /api/builds/:id', { id: view.id }], view)
  useBuild().open(view.id)
}

/** What every page has: today, the home currency, the builds. */
export function laySession(view: SessionView): void {
  useQueryCache(getActivePinia()).setQueryData(['GET /api/session', {}], view)
  useSession()
}

/** Presses the button of these words and waits for what follows; a button that is not there is named with what is. */
export async function press(shown: VueWrapper, words: string | RegExp): Promise<void> {
  const button = shown
    .findAll('button')
    .find((each) => (typeof words === 'string' ? each.text() === words : words.test(each.text())))
  if (!button) throw new Error(`no button "${String(words)}" in: ${shown.text()}`)
  await button.trigger('click')
  await flushPromises()
}
