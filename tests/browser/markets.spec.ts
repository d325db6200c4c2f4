import { expect, test, type Page } from '@playwright/test'
import { loadMarket } from './loadMarket'
import { expectReadable } from './readable'

/** Sources that deliver: an address is subscribed to, the market moves ten days, a lookout fires, a hunt changes the receipt. */

const port = Number(process.env.TARVIN_TEST_PORT ?? 3500)
const [markets, counter] = [`http://127.0.0.1:${port + 1}`, `http://127.0.0.1:${port + 2}`]
test.use({ baseURL: counter })

const figure = (page: Page, name: string) =>
  page.getByLabel('receipt', { exact: true }).locator(`[data-figure="${name}"]`)
const card = 'murrowdun-tarn-640-8-gb'
const brief = {
  name: 'Quay racer',
  currency: 'CAD',
  budget: '600.00',
  stretch: '650.00',
  wantedBy: '2026-12-05',
  targets: [
    { workloadId: 'lantern-drift', width: 2560, height: 1440, preset: 'high', averageFps: 60, lowFps: 45 },
  ],
}

test('subscribe, ten days pass, a lookout fires, triage, and a hunt changes the receipt', async ({
  page,
  request,
}) => {
  const errors: string[] = []
  page.on('pageerror', (error) => errors.push(error.message))
  await loadMarket(request)
  const { id } = await (await request.post('/api/builds', { data: brief })).json()

  await test.step('an address of this machine is refused until it is allowed', async () => {
    await page.goto('/sources')
    await page.getByRole('button', { name: 'Add a feed' }).click()
    await page.getByLabel('source of the feed').selectOption('Barnstall')
    await page.getByLabel('URL', { exact: true }).fill(`${markets}/barnstall/feed.atom`)
    await page.getByRole('button', { name: 'Add and check' }).click()
    await expect(
      page.getByText('is a private or loopback address; allow it for this source if that is intended'),
    ).toBeVisible()
    await page.getByRole('button', { name: /^stop checking Barnstall/ }).click()
    await page.getByRole('button', { name: 'Add a feed' }).click()
    await page.getByLabel('URL', { exact: true }).fill(`${markets}/barnstall/feed.atom`)
    await page.getByLabel('it is on this computer or network').check()
    await page.getByRole('button', { name: 'Add and check' }).click()
    await expect(page.getByRole('cell', { name: 'nothing new' })).toBeVisible()
    await page.getByRole('button', { name: 'Add a feed' }).click()
    await page.getByLabel('source of the feed').selectOption('Gavelry')
    await page.getByLabel('data type').selectOption('sold records (CSV)')
    await page.getByLabel('URL', { exact: true }).fill(`${markets}/gavelry/sold.csv`)
    await page.getByRole('button', { name: 'Add and check' }).click()
    await expect(page.getByRole('row', { name: /Gavelry sold records/ })).toContainText('done')
  })

  await test.step('a lookout is set on the part', async () => {
    await page.goto(`/b/${id}/prices?part=${card}`)
    await page.getByLabel('pay up to').fill('12500')
    await page.getByRole('button', { name: 'Watch at 125.00' }).click()
    await expect(page.getByText('watching at 125.00')).toBeVisible()
  })

  await test.step('ten days pass; asked again, the source brings leads and sales', async () => {
    await page.goto(markets)
    await expect(page.getByText('Simulation')).toBeVisible()
    await page.getByRole('button', { name: 'Ten days' }).click()
    await expect(page.getByRole('heading', { name: 'It is 2026-11-10' })).toBeVisible()
    await page.goto('/sources')
    await expect(page.getByText('Tue 10 Nov 2026')).toBeVisible()
    await page.getByRole('button', { name: 'Check all now' }).click()
    await expect(page.getByRole('row', { name: /Barnstall leads/ })).toContainText(/\d+ new/)
    await expect(page.getByRole('row', { name: /Gavelry sold records/ })).toContainText(/\d{3} new/)
  })

  const hits = page.getByRole('region', { name: 'inbox' }).locator('[data-lead]')
  await test.step('the lookout fires: on Builds, and in Leads where it is seen to', async () => {
    await page.goto('/')
    const announced = page.getByRole('link', {
      name: /Quay racer: .*Murrowdun Tarn 640 8 GB at or below your 125\.00/,
    })
    await expect(announced).toBeVisible()
    await announced.click()
    await expect(page.getByText('Under your limit: Murrowdun Tarn 640 8 GB')).toBeVisible()
    const before = await hits.count()
    await page.keyboard.press('p')
    await expect(hits).toHaveCount(before - 1)
    await page.keyboard.press('z')
    await expect(hits).toHaveCount(before)
    await page.getByRole('button', { name: 'got it' }).click()
    await expect(hits).toHaveCount(before - 1)
  })

  await test.step('a hunt changes the receipt, and its chance stands on the slip', async () => {
    await page.goto(`/b/${id}/prices?part=${card}`)
    await expect(figure(page, 'payNow')).toHaveText('0.00')
    await page.getByLabel('pay up to').fill('14000')
    await page.getByRole('button', { name: 'Hunt at 140.00' }).click()
    await expect(figure(page, 'payNow')).toHaveText('140.00')
    await page.keyboard.press('r')
    const slip = page.getByRole('complementary', { name: 'receipt' })
    await expect(slip.getByText('1 hunt open')).toBeVisible()
    await slip.locator('[data-figure="hunts"]').click()
    await expect(page.getByRole('heading', { name: 'Chance of all hunts' })).toBeVisible()
    await expect(page.getByText(/product of each hunt’s chance/)).toBeVisible()
  })
  expect(errors).toEqual([])
})

test('a query is tried out in a worker before it is in force; a region of the picture is dropped and taken back', async ({
  page,
  request,
}) => {
  const [{ id }] = (await (await request.get('/api/session')).json()).builds
  await page.goto(`/b/${id}/prices?part=sundrel-stook-51-8-gb`)
  await page.getByText(/query:/).click()
  await page.getByLabel('excluded words').fill('gpu')
  const tried = page.locator('[data-tried]')
  await expect(tried).toContainText(/0 added, [1-9]\d* removed/)
  await expect(page.getByText('yours', { exact: true })).toHaveCount(0)
  await page.reload() // what is being written outlives it
  await expect(page.getByLabel('excluded words')).toHaveValue('gpu')
  await expect(tried).toContainText(/0 added, [1-9]\d* removed/)
  await page.getByRole('button', { name: 'Use this query' }).click()
  await expect(page.getByText('yours', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'back to the part’s default query' }).click()
  await expect(page.getByText('yours', { exact: true })).toHaveCount(0)

  await page.goto(`/b/${id}/prices?part=sundrel-stook-51-8-gb`)
  const typical = page.locator('[data-mark="typical"]')
  const before = await typical.textContent()
  const picture = (await page.locator('figure canvas').first().boundingBox())!
  await page.mouse.move(picture.x + 60, picture.y + picture.height * 0.15)
  await page.mouse.down()
  await page.mouse.move(picture.x + picture.width * 0.7, picture.y + picture.height * 0.5, { steps: 5 })
  await page.mouse.up()
  await expect(page).toHaveURL(/mode=sift.*brush=|brush=.*mode=sift/)
  await page.getByRole('button', { name: 'count', exact: true }).click()
  await page.getByRole('button', { name: /^drop these \d+$/ }).click()
  await expect(typical).not.toHaveText(before!)
  await page.keyboard.press('z')
  await expect(typical).toHaveText(before!)
})

test('worth buying and new or used stand for the whole build; a read is kept and an opinion noted', async ({
  page,
  request,
}) => {
  const [{ id }] = (await (await request.get('/api/session')).json()).builds
  await page.goto(`/b/${id}/prices?sheet=worth`)
  await page
    .getByRole('row', { name: /^Murrowdun Tarn 660/ })
    .first()
    .getByRole('cell')
    .first()
    .click()
  await page.getByLabel('which guide').fill('Harbour Letters')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByRole('row', { name: /^Murrowdun Tarn 660/ }).first()).toContainText('one opinion')
  await page.getByRole('button', { name: 'New or used: all' }).click()
  await expect(page.getByRole('row', { name: /graphics card Murrowdun Tarn 640/ })).toContainText('used')
  await page.goto(`/b/${id}/prices?part=${card}&leaf=notes`)
  await page.getByLabel('date of the price').fill('2026-09-25')
  await page.getByRole('button', { name: 'Save this price' }).click()
  await expect(page.getByRole('row', { name: /25 Sep/ })).toContainText('%')
  await page.getByLabel('your own figure').fill('120')
  await page.getByRole('button', { name: 'Set', exact: true }).click()
  await expect(page.getByText(/above \d+ of \d+ comps/)).toBeVisible()
})

test('the sheets and leaves of Prices and the sources are readable to all', async ({ page, request }) => {
  const { builds } = (await (await request.get('/api/session')).json()) as {
    builds: { id: string; name: string }[]
  }
  const { id } = builds.find((each) => each.name === 'Quay racer')!
  for (const path of [
    '/sources',
    `/b/${id}/prices?sheet=worth`,
    `/b/${id}/prices?sheet=new-or-used`,
    ...['wait', 'new', 'notes'].map((leaf) => `/b/${id}/prices?part=${card}&leaf=${leaf}`),
    `/b/${id}/leads?show=hits`,
    `/b/${id}/brief`,
  ]) {
    await page.goto(path)
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible()
    await expect(page.getByText('Calculating…')).toHaveCount(0)
    await expectReadable(page, path)
  }
})
