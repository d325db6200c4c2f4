// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeAll, beforeEach, describe, expect, test } from 'vitest'
import { addChoice } from '#server/places/machine/choices'
import { machineView } from '#server/places/machine/readMachine'
import { savePart } from '#server/places/parts/parts'
import { noteShopPrice } from '#server/places/prices/noteShopPrice'
import { priceBriefs, priceView } from '#server/places/prices/readPrices'
import { choiceSchema } from '#shared/machine/schemas'
import StillOpen from '~/places/machine/components/StillOpen.vue'
import PriceHead from '~/places/prices/components/PriceHead.vue'
import { today } from '../../server/marketWithBuild'
import { asSent, Counter, press, registerCounter } from './counter'

/** What is judged, part by part: prices, what is open in a machine, what a sum buys, what would match a rival. */
let counter: Counter
beforeAll(() => registerCounter(['TheFigure', 'PriceRule']))
beforeEach(async () => {
  counter = await Counter.open()
})
afterEach(() => counter.close())
const written = () => counter.sent.filter(({ method }) => method !== 'GET')
const hunt = (partId: string, limit = '100.00') =>
  addChoice(
    counter.place.db,
    counter.place.build,
    choiceSchema.validateSync({ kind: 'hunt', partId, limit, condition: 'used' }),
    today,
  )

describe('the price of a part', () => {
  const head = async (partId: string) => {
    const { db, build } = counter.place
    return mount(PriceHead, { props: { view: asSent(await priceView(db, build, partId, today)) } })
  }

  test('three marks with their grade and how many records count; each opens to its working', async () => {
    const shown = await head('card')
    expect(shown.text()).toContain('12 of 12 records counted')
    const typical = Number(shown.find('[data-mark="typical"]').text())
    expect(typical).toBeGreaterThan(Number(shown.find('[data-mark="patient"]').text()))
    expect(typical).toBeLessThan(Number(shown.find('[data-mark="hurried"]').text()))
    await shown.find('[data-mark="typical"]').trigger('click')
    expect(useWorkingSheet().working!.result).toContain(String(typical))
  })

  test('without comps it says what to do, and shows no figure', async () => {
    const shown = await head('better')
    expect(shown.text()).toContain('No comps.')
    expect(shown.find('[data-mark]').exists()).toBe(false)
  })

  test('parts with a price have a brief, those of the build marked', async () => {
    await hunt('card')
    const briefs = await priceBriefs(counter.place.db, counter.place.build, today)
    expect(briefs.map(({ partId, inBuild }) => [partId, inBuild ?? false]).sort()).toEqual([
      ['board', false],
      ['card', true],
    ])
  })
})

describe('what is still open in a machine', () => {
  const open = async () => {
    const { db, build } = counter.place
    await counter.show()
    return mount(StillOpen, {
      props: {
        view: useBuild().view!,
        machine: asSent(await machineView(db, build, today)),
        selected: '',
      },
    })
  }

  test('roles that nothing fills, each with candidates of the library at their price', async () => {
    const shown = await open()
    const card = shown.findAll('article').find((each) => each.text().includes('no graphics card yet'))!
    expect(card.text()).toContain('Tarn 640')
    counter.answers.set('/machine/swap', useBuild().view)
    await press(shown, 'choose')
    // by the way it is shown at, whichever that is
    expect(written()[0]).toMatchObject({
      path: `/api/builds/${counter.place.build}/machine/swap`,
      body: { way: expect.stringMatching(/^(hunt|shop|lead|item):/), out: null },
    })
  })

  test('what stops stands with both its facts, and is fixed by one click; what cannot be asked is folded away', async () => {
    const { db } = counter.place
    for (const [id, role, facts] of [
      ['chip', 'cpu', { socket: 'QX-1', cores: 6 }],
      ['plate', 'motherboard', { socket: 'QX-2', memoryGeneration: 'DDR4' }],
      ['right', 'motherboard', { socket: 'QX-1', memoryGeneration: 'DDR4' }],
    ] as const)
      await savePart(db, { id, role, make: 'Quenby', name: id, facts: facts as never })
    await hunt('chip')
    await hunt('plate')
    const findingOf = (shown: Awaited<ReturnType<typeof open>>) =>
      shown.findAll('[data-finding]').find((each) => each.text().includes('QX-1'))!
    // without a price it is named, and cannot be taken
    expect(findingOf(await open()).text()).toContain('no price')
    expect(
      findingOf(await open())
        .find('button[aria-label="apply fix: Quenby right"]')
        .exists(),
    ).toBe(false)
    const price = { partId: 'right', shop: 'Pantry', price: '70.00', currency: 'CAD', date: today }
    await noteShopPrice(db, price, today)
    const shown = await open()
    const finding = findingOf(shown)
    expect(finding.text()).toContain('QX-2')
    const key = (useBuild().view!.fit.findings.find(({ what }) => what.includes('QX')) ?? { key: '' }).key
    counter.answers.set('/machine/fix', useBuild().view)
    await finding.find('button[aria-label^="apply fix"]').trigger('click')
    await flushPromises()
    expect(written()[0]).toMatchObject({ body: { key } })
    await press(shown, /need a fact/)
    expect(shown.text()).toContain('not known')
  })
})
