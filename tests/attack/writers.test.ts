import { createClient } from '@libsql/client'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { loadSmallMarket, smallLead, startServer, type Answer, type StartedServer } from './startedServer'

/**
 * Many callers at once: what may happen once happens once, what may happen often is all there, and nobody sees an
 * error of ours.
 */
let server: StartedServer
let build: string
beforeAll(async () => {
  server = await startServer()
  build = await loadSmallMarket(server)
})
afterAll(() => server.close())

const many = (count: number, ask: (index: number) => Promise<Answer>) =>
  Promise.all(Array.from({ length: count }, (_, index) => ask(index)))
const statuses = (answers: readonly Answer[]) => {
  const counts: Record<number, number> = {}
  for (const { status } of answers) counts[status] = (counts[status] ?? 0) + 1
  return counts
}
const ledger = async () =>
  (await server.ask('GET', `/api/builds/${build}/ledger`)).json<{
    entries: { kind: string; amount: number; text: string }[]
  }>()
async function chosenLead(title: string) {
  const { id } = (await server.ask('POST', '/api/leads', smallLead(title))).json<{ id: string }>()
  const view = (
    await server.ask('POST', `/api/builds/${build}/machine/choices`, { kind: 'lead', leadId: id })
  ).json<{ choices: { id: string; leadId: string }[] }>()
  return { leadId: id, choiceId: view.choices.find((choice) => choice.leadId === id)!.id }
}

describe('twenty at once', () => {
  test('one payment of one part is booked once; the others are told so', async () => {
    const { choiceId } = await chosenLead('Card paid once')
    const before = (await ledger()).entries.length
    const answers = await many(20, () =>
      server.ask('POST', `/api/ledger/choices/${choiceId}/pay`, { day: '2026-10-31', amount: '100.00' }),
    )
    expect(statuses(answers)).toEqual({ 200: 1, 400: 19 })
    expect((await ledger()).entries.length).toBe(before + 1)
  })
  test('one lead is chosen once', async () => {
    const { id } = (await server.ask('POST', '/api/leads', smallLead('Chosen by all'))).json<{ id: string }>()
    const answers = await many(20, () =>
      server.ask('POST', `/api/builds/${build}/machine/choices`, { kind: 'lead', leadId: id }),
    )
    const view = (await server.ask('GET', `/api/builds/${build}`)).json<{ choices: { leadId: string }[] }>()
    expect(view.choices.filter((choice) => choice.leadId === id)).toHaveLength(1)
    expect(statuses(answers)).toEqual({ 200: 1, 400: 19 })
  })
  test('one listing of one source is one lead, with a plain answer to the others', async () => {
    const answers = await many(20, () =>
      server.ask('POST', '/api/leads', smallLead('Twin', { externalId: 'T-1' })),
    )
    expect(statuses(answers)).toEqual({ 200: 1, 400: 19 })
    expect(answers.find(({ status }) => status === 400)!.json<{ error: { code: string } }>().error.code).toBe(
      'lead-already-there',
    )
  })
  test('a rebate is paid out once', async () => {
    const lead = smallLead('With a rebate', {
      sourceId: 'shop',
      condition: 'new',
      manner: 'fixed',
      rebate: { kind: 'mail-in', amount: '10.00', claimBy: '2026-12-01' },
    })
    const { id } = (await server.ask('POST', '/api/leads', lead)).json<{ id: string }>()
    const view = (
      await server.ask('POST', `/api/builds/${build}/machine/choices`, { kind: 'lead', leadId: id })
    ).json<{ choices: { id: string; leadId: string }[] }>()
    const choiceId = view.choices.find((choice) => choice.leadId === id)!.id
    await server.ask('POST', `/api/ledger/choices/${choiceId}/pay`, { day: '2026-10-31', amount: '120.00' })
    const { rebates } = (await server.ask('GET', `/api/builds/${build}/ledger`)).json<{
      rebates: { id: string }[]
    }>()
    const rebate = rebates[0]!.id
    await many(20, () =>
      server.ask('PATCH', `/api/ledger/rebates/${rebate}`, { state: 'paid', day: '2026-10-31' }),
    )
    const paid = (await ledger()).entries.filter((entry) => entry.kind === 'rebate')
    expect(paid).toHaveLength(1)
  })
  test('an entry is reversed once', async () => {
    await server.ask('POST', `/api/builds/${build}/ledger`, {
      kind: 'fee',
      amount: '3.00',
      day: '2026-10-31',
      text: 'to reverse',
    })
    const { entries } = (await server.ask('GET', `/api/builds/${build}/ledger`)).json<{
      entries: { id: string; text: string }[]
    }>()
    const { id } = entries.find((entry) => entry.text === 'to reverse')!
    const before = entries.length
    await many(20, () => server.ask('POST', `/api/ledger/entries/${id}/reverse`))
    expect((await ledger()).entries.length).toBe(before + 1)
  })
})

test('what is refused at its end has written nothing', async () => {
  const { id: old } = (
    await server.ask('POST', '/api/builds', { name: 'Old', currency: 'CAD', budget: '1.00', stretch: '2.00' })
  ).json<{ id: string }>()
  const { entries } = (
    await server.ask('POST', `/api/builds/${old}/ledger`, {
      kind: 'fee',
      amount: '3.00',
      day: '2026-10-31',
      text: 'of a build that is archived',
    })
  ).json<{ entries: { id: string }[] }>()
  await server.ask('DELETE', `/api/builds/${old}`)
  const reversed = await server.ask('POST', `/api/ledger/entries/${entries[0]!.id}/reverse`)
  await server.ask('POST', `/api/builds/${old}/restore`)
  const after = (await server.ask('GET', `/api/builds/${old}/ledger`)).json<{ entries: unknown[] }>()
  expect([reversed.status, after.entries.length]).toEqual([404, 1])
})

describe('bursts', () => {
  test('forty entries into one ledger are forty entries', async () => {
    const before = (await ledger()).entries.length
    const answers = await many(40, (index) =>
      server.ask('POST', `/api/builds/${build}/ledger`, {
        kind: 'fee',
        amount: '1.00',
        day: '2026-10-31',
        text: `fee ${index}`,
      }),
    )
    expect(statuses(answers)).toEqual({ 200: 40 })
    expect((await ledger()).entries.length).toBe(before + 40)
  })
  test('a hundred mixed writes while another program holds the file now and then', async () => {
    const other = createClient({ url: `file:${server.file}`, concurrency: 1 })
    const holding = (async () => {
      for (let i = 0; i < 8; i += 1) {
        const held = await other.transaction('write').catch(() => null)
        await new Promise((resolve) => setTimeout(resolve, 40))
        await held?.rollback()
        await new Promise((resolve) => setTimeout(resolve, 10))
      }
    })()
    const answers = await many(100, (index) => {
      if (index % 4 === 0) return server.ask('POST', '/api/leads', smallLead(`Burst ${index}`))
      if (index % 4 === 1)
        return server.ask('POST', `/api/builds/${build}/ledger`, {
          kind: 'hours',
          hours: 1,
          day: '2026-10-31',
          text: `h ${index}`,
        })
      if (index % 4 === 2)
        return server.ask(
          'PUT',
          '/api/parts',
          { id: `burst-${index}`, role: 'cpu', make: 'Kaldric', name: `Burst ${index}`, facts: {} },
          { 'if-none-match': '*' },
        )
      return server.ask('GET', `/api/builds/${build}`)
    })
    await holding
    other.close()
    expect(Object.keys(statuses(answers)).filter((status) => Number(status) >= 500)).toEqual([])
    const library = (await server.ask('GET', '/api/library')).json<{ parts: { id: string }[] }>()
    expect(library.parts.filter(({ id }) => id.startsWith('burst-'))).toHaveLength(25)
  })
  test('a form that was opened before another saved is answered with both states', async () => {
    const brief = `/api/builds/${build}/brief`
    const opened = (await server.ask('GET', brief)).json()
    const { stateTag } = await import('#shared/text/stateTag')
    const was = { 'if-match': `"${stateTag(opened)}"` }
    const first = await server.ask('PUT', brief, { ...opened, purpose: 'first' }, was)
    const second = await server.ask('PUT', brief, { ...opened, purpose: 'second' }, was)
    expect([first.status, second.status]).toEqual([200, 409])
    expect(second.json<{ error: { code: string; saved: { purpose: string } } }>().error).toMatchObject({
      code: 'changed-meanwhile',
      saved: { purpose: 'first' },
    })
    const next = await server.ask(
      'PUT',
      brief,
      { ...opened, purpose: 'third' },
      { 'if-match': first.headers.get('etag')! },
    )
    expect(next.status).toBe(200)
  })
  test('a state that is put whole says which one it replaces', async () => {
    const rivals = `/api/builds/${build}/scales/rivals`
    const { stateTag } = await import('#shared/text/stateTag')
    const [a, b] = await Promise.all(
      ['Slate 12', 'Slate 13'].map(async (name) =>
        (
          await server.ask('POST', '/api/rivals', {
            kind: 'prebuilt',
            name,
            price: '700.00',
            currency: 'CAD',
          })
        ).json<{ id: string }>(),
      ),
    )
    const put = (list: string[], was?: string[]) =>
      server.ask('PUT', rivals, { rivals: list }, was ? { 'if-match': `"${stateTag(was)}"` } : {})
    expect((await put([a!.id])).status).toBe(428)
    // what a read was answered with is taken, however long it is
    const long = smallLead('Long', { text: 'a long listing. '.repeat(480), note: 'n'.repeat(900) })
    const { id: lead } = (await server.ask('POST', '/api/leads', long)).json<{ id: string }>()
    const opened = await server.ask('GET', `/api/leads/${lead}`)
    const saved = { ...opened.json(), title: 'Longer' }
    const tag = { 'if-match': opened.headers.get('etag')! }
    expect((await server.ask('PUT', `/api/leads/${lead}`, saved, tag)).status).toBe(200)
    expect((await put([a!.id], [])).status).toBe(200)
    // another tab, which has not seen it
    const stale = await put([b!.id], [])
    expect(stale.status).toBe(409)
    expect(stale.json<{ error: { saved: string[] } }>().error.saved).toEqual([a!.id])
  })
})
