import { expect, test, type Page } from '@playwright/test'

/** A newcomer's first evening on an empty database, with own text blocks; an action is one click, paste or filled field. */
const address = `http://127.0.0.1:${Number(process.env.TARVIN_TEST_PORT ?? 3500) + 4}`

class Evening {
  actions = 0
  constructor(readonly page: Page) {}

  async paste(text: string) {
    this.actions += 1
    await this.page.evaluate((pasted) => {
      const data = new DataTransfer()
      data.setData('text/plain', pasted)
      document.body.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
      )
    }, text)
  }
  async click(name: string | RegExp, role: 'button' | 'link' = 'button') {
    this.actions += 1
    await this.page.getByRole(role, { name }).first().click()
  }
  async tick(label: string) {
    this.actions += 1
    await this.page.getByLabel(label, { exact: true }).check()
  }
  async fill(label: string, text: string) {
    this.actions += 1
    await this.page.getByLabel(label, { exact: true }).fill(text)
  }
}

/** Past sales of a thing as a page of results shows them: five of them, days apart. */
const salesOf = (name: string, typical: number) =>
  [0, 1, 2, 3, 4]
    .map((at) =>
      [
        `${name}${[' tested', '', ', works', ' used', ' good'][at]}`,
        'Pre-owned',
        `C $${(typical + 2 * at - 4).toFixed(2)}`,
        `${at + 3} bids`,
        '+C $4.00 shipping',
        `Sold Oct ${28 - 3 * at}, 2026`,
      ].join('\n'),
    )
    .join('\n\n')

const things = [
  ['Linnet Dovecote 5300 processor', 62],
  ['Westing Mullion B3 micro motherboard', 58],
  ['Gantry Plinth P3 16GB (2x8GB) DDR4', 41],
  ['Harrow Quill 70 8GB graphics card', 128],
  ['Pelham Skiff N4 1TB NVMe SSD', 66],
  ['Corrie Anvil 650 power supply', 44],
  ['Tolland Larder L2 case', 39],
  ['Breezeway Gale 120 CPU cooler', 21],
] as const

test('from nothing to eight street prices, a fitted machine, its total and an export', async ({ page }) => {
  const evening = new Evening(page)
  await page.goto(address)

  await test.step('the first street price within twelve actions', async () => {
    await evening.fill('name of the build', 'Attic box')
    await evening.fill('budget of the build', '600')
    await evening.click('Start')
    await expect(page.getByText('No part has past sales yet')).toBeVisible()
    await evening.paste(salesOf(...things[0]))
    await expect(page.getByText('5 records read')).toBeVisible()
    // a reload half-way loses nothing of it
    await page.reload()
    await expect(page.getByText('5 records read')).toBeVisible()
    await evening.click(/^Save 5 and create .*Dovecote 5300 as a part/)
    await expect(page.getByRole('heading', { name: /Dovecote 5300/ })).toBeVisible()
    await expect(page.getByText('5 of 5 records counted')).toBeVisible()
    await expect(
      page
        .getByText(/^6\d\.\d\d$/)
        .filter({ visible: true })
        .first(),
    ).toBeVisible()
    expect(evening.actions).toBeLessThanOrEqual(12)
  })

  await test.step('one paste of seven others', async () => {
    await evening.paste(
      things
        .slice(1)
        .map(([name, typical]) => salesOf(name, typical))
        .join('\n\n'),
    )
    await expect(page.getByText('35 records read')).toBeVisible()
    for (const name of [
      'Mullion B3',
      'Plinth P3',
      'Quill 70',
      'Skiff N4',
      'Anvil 650',
      'Larder L2',
      'Gale 120',
    ]) {
      evening.actions += 1
      await page.getByLabel(new RegExp(`^create .*${name}.* as a part$`)).check()
    }
    await evening.click('Save 35 records and 7 parts')
    await expect(page.getByRole('dialog')).toHaveCount(0)
    const library = await (await page.request.get(`${address}/api/library`)).json()
    expect(library.parts.map((part: { role: string }) => part.role).sort()).toEqual([
      'case',
      'cooler',
      'cpu',
      'graphics',
      'memory',
      'motherboard',
      'storage',
      'supply',
    ])
  })

  await test.step('all of it is taken back by one undo, and kept again', async () => {
    const records = async () => (await (await page.request.get(`${address}/api/session`)).json()).soldRecords
    expect(await records()).toBe(40)
    await page.getByRole('button', { name: 'Undo' }).first().click()
    await expect.poll(records).toBe(5)
    await evening.paste(
      things
        .slice(1)
        .map(([name, typical]) => salesOf(name, typical))
        .join('\n\n'),
    )
    await expect(page.getByText('35 records read')).toBeVisible()
    for (const name of [
      'Mullion B3',
      'Plinth P3',
      'Quill 70',
      'Skiff N4',
      'Anvil 650',
      'Larder L2',
      'Gale 120',
    ])
      await page.getByLabel(new RegExp(`^create .*${name}.* as a part$`)).check()
    await page.getByRole('button', { name: 'Save 35 records and 7 parts' }).click()
    await expect.poll(records).toBe(40)
    await expect(page.getByRole('dialog')).toHaveCount(0)
  })

  await test.step('a lead in three: paste, look, keep', async () => {
    const before = evening.actions
    await evening.paste(
      'Harrow Quill 70 8GB graphics card\nWorks perfectly, with box. $110, pickup in Marlow.',
    )
    await evening.fill('source', 'Barnboard')
    await evening.click('Save lead')
    await expect(page.getByRole('heading', { name: /Harrow Quill 70/ }).first()).toBeVisible()
    await evening.click('Add to the build')
    // it is in before the page is left
    await expect(page.getByRole('button', { name: 'Remove' })).toBeVisible()
    expect(evening.actions - before).toBeLessThanOrEqual(4)
  })

  await test.step('the rest is hunted, its total stands on the receipt, and the machine is exported', async () => {
    const { builds } = await (await page.request.get(`${address}/api/session`)).json()
    const id = builds[0].id as string
    await page.goto(`${address}/b/${id}/machine`)
    const hunts = page.getByRole('button', { name: 'choose', exact: true })
    await expect(hunts).toHaveCount(7)
    for (let open = 7; open > 0; open -= 1) {
      await evening.click(/^choose$/)
      await expect(hunts).toHaveCount(open - 1)
    }
    await page.reload()
    await expect(page.locator('[data-figure="payNow"]').first()).toHaveText(/^\d{3}\.\d\d$/)
    const view = await (await page.request.get(`${address}/api/builds/${id}`)).json()
    expect(view.emptyRoles).toEqual([])
    expect(view.receipt.totals.payNow).toBeGreaterThan(40_000)
    const file = await page.request.get(`${address}/api/builds/${id}/export?as=md`)
    expect(await file.text()).toContain('Dovecote 5300')
  })

  const { builds } = await (await page.request.get(`${address}/api/session`)).json()
  const id = builds[0].id as string
  await test.step('two tables of scores give the indexes, each beside a part that is 100', async () => {
    await evening.paste('Linnet Dovecote 5300\t100\nLinnet Dovecote 3300\t78\nFerrant Orrery 7\t121')
    await expect(page.getByText('scores of')).toBeVisible()
    await expect(page.getByLabel('what the scores are for')).toHaveValue('cpuIndex')
    await evening.click('Save 1 index')
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await evening.paste('Harrow Quill 70 8GB\t142\nStook 640 4GB\t71\nHarrow Quill 90\t198')
    await expect(page.getByLabel('what the scores are for')).toHaveValue('graphicsIndex')
    await evening.tick('create Stook 640 4GB as a part')
    await evening.click('Save 2 indexes')
    await expect(page.getByRole('dialog')).toHaveCount(0)
    const library = await (await page.request.get(`${address}/api/library`)).json()
    const index = (name: string) =>
      library.parts.find((part: { name: string }) => part.name.includes(name)).facts.graphicsIndex
    expect([index('Quill 70'), index('Stook 640')]).toEqual([100, 50])
  })

  await test.step('a game by one known rate, a target, and its estimate', async () => {
    await page.goto(`${address}/b/${id}/bench?mode=work`)
    await evening.click('Add a game…')
    await evening.fill('name of the game', 'Moorfell')
    await evening.fill('known frame rate', '72')
    await evening.click('Save game')
    await expect(page.getByRole('cell', { name: 'Moorfell', exact: true })).toBeVisible()
    await page.goto(`${address}/b/${id}/brief`)
    await evening.click('target')
    await expect(page.locator('[data-test="save-state"]')).toHaveText('saved')
    await expect
      .poll(async () => (await (await page.request.get(`${address}/api/builds/${id}`)).json()).targets.length)
      .toBe(1)
    const view = await (await page.request.get(`${address}/api/builds/${id}`)).json()
    expect(view.targets[0].estimate.averageFps).toBeGreaterThan(60)
    expect(view.targets[0].missing).toEqual([])
  })

  await test.step('a rival beside it, and a verdict', async () => {
    await page.goto(`${address}/rivals`)
    await evening.click('Add a rival')
    await evening.fill('name of the rival', 'Lantern Row tower')
    await evening.fill('price of the rival', '749')
    await evening.click('Add rival')
    await expect(page.getByRole('row', { name: /Lantern Row tower/ })).toBeVisible()
    await page.goto(`${address}/b/${id}/scales`)
    await evening.click('Lantern Row tower')
    await expect(page.locator('[data-verdict^="lantern-row"]')).toContainText('Attic box costs')
  })
  expect(evening.actions).toBeLessThanOrEqual(90)
  process.stdout.write(`    the evening took ${evening.actions} actions\n`)
})

test('the evening after: a page of listings, the prices of a shop, a frame log', async ({ page }) => {
  const evening = new Evening(page)
  const { builds } = await (await page.request.get(`${address}/api/session`)).json()
  const id = builds[0].id as string
  const kept = async () => {
    const view = await (await page.request.get(`${address}/api/builds/${id}/leads`)).json()
    return (view.leads as { title: string }[]).map(({ title }) => title)
  }
  await page.goto(`${address}/b/${id}/leads`)
  // what is pasted before the page listens goes nowhere
  await expect(page.getByRole('heading', { name: 'Parts' })).toBeVisible()

  await test.step('every listing of a page becomes a lead, and one undo takes them all back', async () => {
    const before = (await kept()).length
    await evening.paste(
      [
        'Harrow Quill 70 8GB graphics card\n$105\nMarlow\nListed 2 days ago',
        'Breezeway Gale 120 cooler, all mounts\n$18\nDunmore\nListed yesterday',
        'Some memory, 16GB DDR4\n$30\nMarlow\nListed 3 hours ago',
      ].join('\n\n'),
    )
    await expect(page.getByText('3 listings read')).toBeVisible()
    await evening.fill('source', 'Barnboard')
    await evening.click('Save 3 leads and 1 part')
    await expect.poll(async () => (await kept()).length).toBe(before + 3)
    // nobody knows which memory it is: it is worth what the cheapest is that it may be
    const library = await (await page.request.get(`${address}/api/library`)).json()
    expect(library.parts.filter(({ open }: { open?: boolean }) => open)).toMatchObject([{ role: 'memory' }])
    await page.getByRole('button', { name: 'Undo' }).first().click()
    await expect.poll(async () => (await kept()).length).toBe(before)
  })

  await test.step('what a shop asks is noted for parts that are there and one that is made', async () => {
    await evening.paste(
      [
        'Harrow Quill 70 8 GB\n(27 reviews)\n$219.00\nIn stock\nAdd to cart',
        'Lowmoor Spindle 90 fan\n(4 reviews)\n$12.50\nIn stock\nAdd to cart',
      ].join('\n\n'),
    )
    await expect(page.getByText('2 prices read')).toBeVisible()
    await evening.fill('shop', 'Pantry')
    await evening.click('Save 2 prices and create 1 part')
    await expect(page.getByRole('heading', { name: /Quill 70/ })).toBeVisible()
    await expect(page.getByRole('img', { name: /new 219/ }).first()).toBeVisible()
  })

  await test.step('a frame log goes on to Bench', async () => {
    const frames = Array.from({ length: 200 }, (_, at) => `${at + 1},${(16 + (at % 5) / 10).toFixed(1)}`)
    await evening.paste(['number,frame ms', ...frames].join('\n'))
    await evening.click('Open in Bench')
    await expect(page.getByText(/pasted log/).first()).toBeVisible()
  })
})
