// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { afterEach, beforeAll, beforeEach, describe, expect, test } from 'vitest'
import { ref } from 'vue'
import type { LeadView } from '#shared/leads/views'
import type { LookoutHit } from '#shared/prices/views'
import LeadNotices from '~/places/leads/components/LeadNotices.vue'
import { Counter, press, registerCounter } from './counter'

/** The open lead of the inbox: what is to be known of it, and what its keys do, over views of a real database. */
let counter: Counter
beforeAll(() => registerCounter([]))
beforeEach(async () => {
  counter = await Counter.open()
})
afterEach(() => counter.close())

describe('what is to be known of a lead before its figures', () => {
  const noticesOf = (lead: LeadView, hit?: LookoutHit) => mount(LeadNotices, { props: { lead, hit } })
  test('that it is gone, that its things were read from the title, that nothing of it is in the library', async () => {
    const lead = await counter.leadView(await counter.lead('A card'))
    expect(noticesOf(lead).text()).toBe('')
    expect(noticesOf({ ...lead, vanishedOn: '2026-10-20' }).text()).toContain('since 20 Oct')
    expect(noticesOf({ ...lead, tieDeduced: true }).text()).toContain('read from the title')
    const open = noticesOf({ ...lead, things: [] })
    await press(open, 'Choose its parts')
    expect(open.emitted('edit')).toHaveLength(1)
  })
  test('that a lookout announced it, and how far under the street it is', async () => {
    const lead = await counter.leadView(await counter.lead('A card'))
    const hit = {
      leadId: lead.id,
      lookoutId: 1,
      partName: 'Tarn 640',
      cost: 9_000,
      limit: 10_000,
      currency: 'CAD',
      manner: 'auction',
      tooCheap: true,
    } as unknown as LookoutHit
    const shown = noticesOf(lead, hit)
    expect(shown.text().replace(/\s+/g, ' ')).toContain('Tarn 640 for 90.00 (current bid)')
    expect(shown.text()).toContain('Suspiciously cheap')
    await press(shown, 'got it')
    expect(shown.emitted('seen')).toHaveLength(1)
  })
})

describe('what is done with the open lead', () => {
  async function page() {
    const ids = [await counter.lead('First'), await counter.lead('Second', { price: '130.00' })]
    await counter.show()
    const leads = await Promise.all(ids.map((id) => counter.leadView(id)))
    const selected: string[] = []
    const lead = ref<LeadView | null>(leads[0]!)
    const actions = useLeadActions({
      lead,
      shown: ref(leads),
      select: (id) => selected.push(id),
    })
    counter.answers.set('/choices', useBuild().view)
    return { ids, lead, selected, ...actions }
  }
  test('passed on: the next one opens, and undo takes back that action and opens it again', async () => {
    const { ids, selected, pass, undo } = await page()
    await pass()
    await undo()
    await undo() // there is no other to take back
    expect(counter.written.map(({ method, path }) => `${method} ${path}`)).toEqual([
      `POST /api/leads/${ids[0]}/pass`,
      'POST /api/ledger/actions/0/undo',
    ])
    expect(selected).toEqual([ids[1], ids[0]])
  })
  test('put into the build, asked; without a lead nothing is sent', async () => {
    const { ids, lead, choose, ask, undo } = await page()
    await choose()
    expect(counter.written[0]).toMatchObject({ method: 'POST', body: { kind: 'lead', leadId: ids[0] } })
    await choose(true)
    expect(counter.written[1]).toMatchObject({ body: { leadId: ids[0], keepBoth: true } })
    await ask()
    await undo()
    expect(counter.written.slice(-2).map(({ body }) => body)).toEqual([
      { askedOn: useBuild().view!.today },
      { askedOn: null },
    ])
    lead.value = null
    const before = counter.written.length
    await Promise.all([choose(), ask()])
    expect(counter.written).toHaveLength(before)
  })
})
