// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils'
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from 'vitest'
import { briefSchema } from '#shared/brief/schemas'
import type { BuildView } from '#shared/builds/views'
import { choiceSchema } from '#shared/machine/schemas'
import { librarySchema } from '#shared/parts/libraryFile'
import { rivalSchema } from '#shared/rivals/schemas'
import type { BenchView } from '#shared/bench/views'
import type { WeighedView } from '#shared/scales/views'
import { buildView } from '#server/places/builds/buildView'
import { createBuild } from '#server/places/builds/builds'
import { editionsView, freezeEdition } from '#server/places/builds/editions'
import { benchView } from '#server/places/bench/readBench'
import { addChoice } from '#server/places/machine/choices'
import { importLibrary } from '#server/places/parts/importLibrary'
import { createRival } from '#server/places/rivals/rivals'
import { setRivals } from '#server/places/scales/setRivals'
import { catalogue } from '../../../demo/catalogue'
import { demoWorkloads } from '../../../demo/trade'
import MillisecondRuler from '~/places/bench/components/MillisecondRuler.vue'
import TargetNeeds from '~/places/bench/components/TargetNeeds.vue'
import NeedList from '~/places/brief/components/NeedList.vue'
import CostWaterfall from '~/places/scales/components/CostWaterfall.vue'
import EditionsLeaf from '~/places/scales/components/EditionsLeaf.vue'
import PartByPart from '~/places/scales/components/PartByPart.vue'
import VerdictLines from '~/places/scales/components/VerdictLines.vue'
import PassphraseSection from '~/places/settings/components/PassphraseSection.vue'
import { marketWithBuild, today, type MarketWithBuild } from '../../server/marketWithBuild'
import { Counter, asSent, lay, registerCounter } from './counter'

/** A build on the scales and on the bench: every figure on screen is one of the server's. */
let place: MarketWithBuild
let view: BuildView
let bench: BenchView
let own: WeighedView
let box: WeighedView
let console1: WeighedView
let buildId: string
beforeAll(async () => {
  await registerCounter(['TheFigure', 'FormField', 'MoneyField', 'ChoiceField'])
  place = await marketWithBuild({ empty: true })
  const { db } = place
  await importLibrary(
    db,
    librarySchema.validateSync({
      format: 'tarvin-library',
      version: '1',
      parts: catalogue.map(({ id, role, make, name, facts }) => ({ id, role, make, name, facts })),
      workloads: demoWorkloads,
    }),
  )
  buildId = await createBuild(
    db,
    briefSchema.validateSync({
      name: 'Couch',
      currency: 'CAD',
      budget: '620.00',
      stretch: '680.00',
      targets: [
        { workloadId: 'kite-arena', width: 1920, height: 1080, preset: 'medium', averageFps: 120 },
        { workloadId: 'lantern-drift', width: 2560, height: 1440, preset: 'high', averageFps: 300 },
      ],
    }),
    today,
  )
  for (const [partId, limit] of [
    ['kaldric-sallowfen-6600', '92.00'],
    ['northpine-n4-micro', '61.00'],
    ['palisado-16-gb-ddr4-2-8', '31.00'],
    ['murrowdun-tarn-640-8-gb', '131.00'],
    ['fathomline-eddy-480-gb-sata', '24.00'],
    ['steadwell-550-w', '38.00'],
    ['barrowcase-barrow-plain', '25.00'],
    ['lullwater-lull-120', '18.00'],
  ] as const)
    await addChoice(
      db,
      buildId,
      choiceSchema.validateSync({ kind: 'hunt', partId, limit, condition: 'used' }),
      today,
    )
  const rival = (change: object) =>
    createRival(
      db,
      rivalSchema.validateSync({
        price: '949.00',
        currency: 'CAD',
        taxPercent: 13,
        shippingStated: false,
        ...change,
      }),
    )
  const rivals = [
    await rival({
      kind: 'prebuilt',
      name: 'Brindlewick 15',
      cpuId: 'ostrane-threddle-33',
      graphicsId: 'murrowdun-tarn-620-8-gb',
      brings: ['licence'],
      warrantyMonths: 24,
    }),
    await rival({ kind: 'console', name: 'Ovalis One', price: '499.00' }),
  ]
  await setRivals(
    db,
    buildId,
    rivals.map(({ id }) => id),
    today,
  )
  view = asSent(await buildView(db, buildId, today))
  bench = asSent(await benchView(db, buildId, today))
  own = view.weighing.own
  box = view.weighing.others.find(({ machine }) => machine.name === 'Brindlewick 15')!
  console1 = view.weighing.others.find(({ machine }) => machine.name === 'Ovalis One')!
})
afterAll(() => place.close())
let counter: Counter
beforeEach(async () => {
  counter = await Counter.open()
  lay(view)
})
afterEach(() => counter.close())
const money = (text: string) => Math.round(Number(text.replace('−', '-')) * 100)

describe('what it takes to own', () => {
  const shown = () => mount(CostWaterfall, { props: { view, machines: [own, box], against: box } })

  test('the steps that are on add up to what stands below, for every machine', () => {
    const waterfall = shown()
    for (const machine of [own, box]) {
      const steps = waterfall
        .findAll(`[data-step$=" ${machine.machine.id}"]`)
        .map((cell) => cell.text().replace('*', ''))
        .filter((text) => text !== '—')
        .map(money)
      const total = money(waterfall.find(`[data-cost="${machine.machine.id}"]`).text())
      expect(steps.reduce((sum, each) => sum + each, 0)).toBe(total)
      expect(total).toBe(machine.cost.total)
    }
  })

  test('a step is switched off, and on again', async () => {
    const waterfall = shown()
    const box1 = waterfall.find('input[type="checkbox"]')
    await box1.trigger('change')
    const [change] = waterfall.emitted('change')![0] as [{ off: string[] }]
    expect(change.off).toHaveLength(1)
    const without = {
      ...view,
      weighing: { ...view.weighing, settings: { ...view.weighing.settings, off: change.off } },
    }
    const again = mount(CostWaterfall, {
      props: { view: without as BuildView, machines: [own, box], against: box },
    })
    await again.find('input[type="checkbox"]').trigger('change')
    expect(again.emitted('change')![0]).toEqual([{ off: [] }])
  })

  test('a figure of one’s own is typed beside what is calculated; emptied it is taken back', async () => {
    const waterfall = shown()
    await waterfall
      .findAll('button')
      .find((button) => button.text() === 'Edit figures')!
      .trigger('click')
    const input = waterfall.find(`input[aria-label^="your figure:"][aria-label$="${box.machine.name}"]`)
    await input.setValue('12.50')
    await input.trigger('change')
    await input.setValue(' ')
    await input.trigger('change')
    const edits = waterfall.emitted('edit')!.map(([machine, , amount]) => [machine, amount])
    expect(edits).toEqual(
      expect.arrayContaining([
        [box.machine.id, '12.50'],
        [box.machine.id, null],
      ]),
    )
  })
})

describe('in words', () => {
  test('the verdict against each rival, in at most three sentences, and what would turn it', () => {
    const lines = mount(VerdictLines, { props: { view, against: null } })
    expect(lines.text()).toContain('Brindlewick 15')
    const against = mount(VerdictLines, { props: { view, against: box } })
    expect(against.text()).toMatch(/What would change it|Nothing within reach/)
  })

  test('part by part against a box of parts; a console is no sum of them', () => {
    const parts = mount(PartByPart, { props: { view, against: box } })
    expect(parts.findAll('[data-part-line]').map((line) => line.attributes('data-part-line'))).toEqual(
      expect.arrayContaining(['cpu', 'graphics']),
    )
    expect(mount(PartByPart, { props: { view, against: console1 } }).text()).toContain(
      'cannot be split into parts',
    )
  })
})

describe('the bench', () => {
  test('what each target needs: an index, the next part up, or that none will do', () => {
    const needs = mount(TargetNeeds, { props: { view, bench } })
    expect(needs.find('[data-needs="kite-arena"]').text()).toContain('met already')
    const hard = needs.find('[data-needs="lantern-drift"]')
    expect(hard.text()).toMatch(/no part is fast enough|\d+ of \d+/)
    expect(hard.find('.text-stop').exists()).toBe(true)
  })

  test('the ruler holds both sides and the budget of a frame', () => {
    const target = view.targets[0]!
    const ruler = mount(MillisecondRuler, { props: { target, view } })
    expect(ruler.text()).toContain(`CPU ${target.estimate!.cpuMs.toFixed(1)}`)
    expect(ruler.text()).toContain(`card ${target.estimate!.graphicsMs.toFixed(1)}`)
  })
})

describe('editions', () => {
  test('none yet; then each with its day, for a reader, in four forms', async () => {
    const { db } = place
    counter.answers.set('/editions', asSent(await editionsView(db, buildId, today)))
    const leaf = mount(EditionsLeaf, { props: { view } })
    await flushPromises()
    expect(leaf.text()).toContain('No editions yet')
    await freezeEdition(db, buildId, 'For the café', today)
    counter.answers.set('/editions', asSent(await editionsView(db, buildId, today)))
    await leaf.find('input[aria-label="name of the edition"]').setValue('For the café')
    await leaf.find('form').trigger('submit')
    await flushPromises()
    expect(counter.sent.find(({ method }) => method === 'POST')!.body).toEqual({ name: 'For the café' })
    expect(leaf.text()).toContain('For the café')
    const links = leaf.findAll('a').map((link) => link.attributes('href') ?? '')
    expect(links.filter((link) => link.includes('for=buyer')).length).toBeGreaterThanOrEqual(3)
  })

  test('as of an earlier day the edition holds the prices of that day', async () => {
    const { db } = place
    await freezeEdition(db, buildId, 'After the summer', today, '2026-09-30')
    const { editions } = await editionsView(db, buildId, today)
    expect(editions.find(({ name }) => name === 'After the summer')).toMatchObject({ frozenOn: '2026-09-30' })
    await expect(freezeEdition(db, buildId, 'Tomorrow', today, '2026-11-01')).rejects.toMatchObject({
      code: 'future-date',
      path: 'asOf',
    })
  })
})

test('a need is ticked with a price to be said, and taken off again', async () => {
  const list = mount(NeedList, { props: { needs: [] } })
  await list.find('input[type="checkbox"]').trigger('change')
  const [needs] = list.emitted('change')![0] as [{ need: string; price: string }[]]
  expect(needs).toMatchObject([{ price: '' }])
})

test('a passphrase is at least eight characters, and not kept on screen', async () => {
  const section = mount(PassphraseSection)
  const button = section.find('button[type="submit"]')
  await section.find('input').setValue('short')
  expect(button.attributes('disabled')).toBeDefined()
  await section.find('input').setValue('long enough')
  await section.find('form').trigger('submit')
  await flushPromises()
  expect(counter.sent.find(({ method }) => method === 'PUT')).toMatchObject({
    method: 'PUT',
    body: { passphrase: 'long enough' },
  })
  expect(section.find('input').element.value).toBe('')
})
