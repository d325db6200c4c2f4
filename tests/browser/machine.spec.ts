import { expect, test } from '@playwright/test'
import { loadMarket } from './loadMarket'
import { expectReadable } from './readable'

/** From a donor to a machine in which nothing stops, through the real interface. */
const port = Number(process.env.TARVIN_TEST_PORT ?? 3500)
test.use({ baseURL: `http://127.0.0.1:${port + 6}` })

test('start from a donor, take a card, fix what stops; nothing stops, and the receipt has every part', async ({
  page,
  request,
}) => {
  const errors: string[] = []
  page.on('pageerror', (error) => errors.push(error.message))
  await loadMarket(request)
  const { id } = await (
    await request.post('/api/builds', {
      data: {
        name: 'From a donor',
        currency: 'CAD',
        budget: '500.00',
        stretch: '550.00',
        targets: [{ workloadId: 'kite-arena', width: 1920, height: 1080, preset: 'medium', averageFps: 100 }],
      },
    })
  ).json()
  await request.post('/api/leads', {
    data: {
      sourceId: 'barnstall',
      title: 'Desk 20 tower, as it stood in the office',
      price: '58.00',
      currency: 'CAD',
      condition: 'used',
      manner: 'local',
      listedOn: '2026-10-30',
      things: [{ partId: 'meridon-desk-20-tower' }],
    },
  })
  await page.goto(`/b/${id}/leads`)
  const open = page.getByLabel('open checks')
  const findings = open.locator('[data-finding]')

  await test.step('the donor goes in; what it lacks was said beforehand', async () => {
    await page
      .getByRole('button', { name: /as it stood in the office/ })
      .first()
      .click()
    await expect(page.locator('[data-test="lacks"]')).toContainText('a graphics card')
    await page.getByRole('button', { name: 'Add to the build' }).click()
    await page
      .getByRole('navigation', { name: 'places of this build' })
      .getByRole('link', { name: /^Machine/ })
      .click()
    await expect(page.getByLabel('machine diagram')).toBeVisible()
  })
  await test.step('a card is hunted for, and clashes with the donor', async () => {
    await page.getByRole('button', { name: /Add a hunt/ }).click()
    await page.getByLabel('part', { exact: true }).fill('Tarn 640 8')
    await page
      .getByRole('button', { name: /Tarn 640 8 GB/ })
      .first()
      .click()
    await page.getByRole('button', { name: 'Hunt for it' }).click()
    await expect(open.locator('[data-finding="card-length"]')).toBeVisible()
    await expect(open.locator('[data-finding="supply-size"]')).toBeVisible()
  })
  const bought: string[] = []
  await test.step('findings that stop are fixed until none is left', async () => {
    for (let fixed = 0; fixed < 8; fixed += 1) {
      const stops = findings.filter({ has: page.locator('.tag', { hasText: 'won’t work' }) })
      await expect(open.getByRole('button', { name: /^apply fix/ }).first()).toBeVisible()
      const before = await stops.count()
      if (before === 0) break
      // parts in the place of others; the card stays
      const way = stops
        .first()
        .getByRole('button', { name: /^apply fix/ })
        .filter({ hasText: 'apply' })
        .first()
      bought.push(...(await way.getAttribute('aria-label'))!.replace('apply fix: ', '').split(' + '))
      await way.click()
      await expect.poll(() => stops.count()).toBeLessThan(before)
    }
    expect(bought.length).toBeGreaterThanOrEqual(2)
    await expect(findings.filter({ has: page.locator('.tag', { hasText: 'won’t work' }) })).toHaveCount(0)
  })
  await test.step('the receipt has what the fixing bought', async () => {
    const view = (await (await request.get(`/api/builds/${id}`)).json()) as {
      choices: { label: string }[]
      receipt: { groups: { toBuy: { label: string; payNow: number }[] }; totals: { payNow: number } }
    }
    // what lay on the shelf is in, and costs nothing more
    const labels = view.choices.map((choice) => choice.label)
    for (const part of bought) expect(labels).toContain(part)
    expect(view.receipt.groups.toBuy.reduce((sum, line) => sum + line.payNow, 0)).toBe(
      view.receipt.totals.payNow,
    )
  })
  await test.step('steps up, power, variants and the sheet of assembly stand', async () => {
    await page.getByRole('button', { name: 'Upgrades' }).click()
    await expect(
      page
        .getByLabel('upgrades')
        .getByRole('button', { name: /^take / })
        .first(),
    ).toBeVisible()
    await page.getByRole('button', { name: 'Power and room' }).click()
    await expect(page.locator('[data-figure="sustained"]')).toContainText('W')
    await page.getByRole('button', { name: 'Assembly' }).click()
    await expect(page.getByLabel('assembly')).toContainText('Test outside the case')
    await page.getByRole('button', { name: 'Chosen', exact: true }).click()
    await page.getByLabel('name of the variant').fill('Without the donor')
    await page.getByRole('button', { name: 'Start a variant' }).click()
    await expect(page.getByText('shared', { exact: true }).first()).toBeVisible()
  })
  expect(errors).toEqual([])
})

test('Machine and Parts are readable to all', async ({ page, request }) => {
  const { builds } = (await (await request.get('/api/session')).json()) as {
    builds: { id: string; name: string }[]
  }
  const build = builds.find((each) => each.name === 'From a donor')!
  for (const path of [
    `/b/${build.id}/machine`,
    `/b/${build.id}/machine?mode=steps`,
    `/b/${build.id}/machine?mode=power`,
    '/parts?role=case',
  ]) {
    await page.goto(path)
    await expect(page.getByRole('heading').first()).toBeVisible()
    await expect(page.getByRole('status')).toHaveCount(0)
    await expectReadable(page, path)
  }
})
