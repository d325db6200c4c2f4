import { expect, test } from '@playwright/test'
import { demoBuilds } from '../../demo/builds'
import { loadMarket } from './loadMarket'
import { expectReadable } from './readable'

/** From a brief to a plan, one wish dropped, taken, and the receipt says what the plan said. */
const port = Number(process.env.TARVIN_TEST_PORT ?? 3500)
test.use({ baseURL: `http://127.0.0.1:${port + 5}` })

test('brief, plan, one wish dropped, taken, receipt; and back by one undo', async ({ page, request }) => {
  const errors: string[] = []
  page.on('pageerror', (error) => errors.push(error.message))
  await loadMarket(request)
  const { id } = await (
    await request.post('/api/builds', {
      data: {
        name: 'To be planned',
        currency: 'CAD',
        budget: '700.00',
        stretch: '750.00',
        targets: [{ workloadId: 'kite-arena', width: 1920, height: 1080, preset: 'medium', averageFps: 90 }],
      },
    })
  ).json()
  const view = async () => (await request.get(`/api/builds/${id}`)).json()
  const verdict = page.locator('[data-test="plan-verdict"]')
  const expected = page.locator('[data-figure="plan-expected"]')
  const planned = async () => Number(await expected.textContent())

  await test.step('a plan of every role, proven, with what each wish costs', async () => {
    await page.goto(`/b/${id}/plan`)
    await expect(verdict).toContainText('Proven', { timeout: 30_000 })
    await expect(page.locator('[data-wish="floors[0]"]')).toContainText('90 fps in Kite Arena')
    await expect(page.getByText('Savings from dropping one wish')).toBeVisible({ timeout: 60_000 })
    expect(await page.locator('[data-way]').count()).toBeGreaterThan(3)
  })

  await test.step('a wish given up lowers the cost by what it was said to cost', async () => {
    const before = await planned()
    const row = page.locator('[data-wish="driveGb"]')
    const cost = Number(await row.locator('td.amount').textContent())
    await row.getByRole('button', { name: /^without/ }).click()
    await expect(row).toHaveCount(0)
    await expect(verdict).toContainText('Proven', { timeout: 30_000 })
    await expect.poll(planned).toBeCloseTo(before - cost, 2)
    // a reload keeps what was asked
    await page.reload()
    await expect(verdict).toContainText('Proven', { timeout: 30_000 })
    await expect(row).toHaveCount(0)
    await expect.poll(planned).toBeCloseTo(before - cost, 2)
  })

  await test.step('never this one: the plan does without it', async () => {
    const first = page.locator('[data-way]').last()
    const way = await first.getAttribute('data-way')
    await first.getByRole('button', { name: /^never/ }).click()
    await expect(page.locator(`[data-way="${way}"]`)).toHaveCount(0)
    await expect(page.getByLabel('banned')).toBeVisible()
    await expect(verdict).toContainText('Proven', { timeout: 30_000 })
  })

  await test.step('what is promised is what the receipt says, once it is taken', async () => {
    const promised = page.locator('[data-figure="receipt-pay-now"]')
    await expect(promised).toHaveText(/^\d+\.\d\d$/)
    const payNow = await promised.textContent()
    await page.getByRole('button', { name: 'Use this plan' }).click()
    await expect(page.getByText('the plan is now your build')).toBeVisible()
    await expect(page.locator('[data-figure="payNow"]').first()).toHaveText(payNow!)
    const after = await view()
    expect(after.emptyRoles).toEqual([])
    expect(after.fit.findings.filter((each: { severity: string }) => each.severity === 'stops')).toEqual([])
    expect((after.receipt.totals.payNow / 100).toFixed(2)).toBe(payNow)
  })

  await test.step('one undo and nothing of it is left', async () => {
    await page.getByRole('button', { name: 'Undo' }).first().click()
    await expect.poll(async () => (await view()).choices.length).toBe(0)
  })

  await test.step('readable to all', async () => {
    await expect(verdict).toContainText('Proven', { timeout: 30_000 })
    await expectReadable(page, 'plan')
  })
  expect(errors).toEqual([])
})

test('one plan taken twice at once is taken once; the other is told that the build has changed', async ({
  request,
}) => {
  await loadMarket(request)
  const { id } = await (
    await request.post('/api/builds', {
      data: { name: 'Twice', currency: 'CAD', budget: '700.00', stretch: '750.00', targets: [] },
    })
  ).json()
  const { question, present } = await (await request.get(`/api/builds/${id}/plan`)).json()
  const [way] = question.ways.filter((each: { id: string }) => each.id.startsWith('hunt:'))
  const data = { ways: [way.id], present, into: 'build' }
  const both = await Promise.all([1, 2].map(() => request.post(`/api/builds/${id}/plan/take`, { data })))
  expect(both.map((each) => each.status()).sort()).toEqual([200, 409])
  expect((await (await request.get(`/api/builds/${id}`)).json()).choices).toHaveLength(1)
})

test('an upgrade of a machine that stands: another socket takes board and memory along, the old is sold', async ({
  page,
  request,
}) => {
  await loadMarket(request)
  const { id } = await (
    await request.post('/api/builds', {
      data: {
        name: 'Standing',
        currency: 'CAD',
        budget: '420.00',
        stretch: '420.00',
        targets: [{ workloadId: 'kite-arena', width: 1920, height: 1080, preset: 'medium', averageFps: 90 }],
      },
    })
  ).json()
  const mine = demoBuilds.find(({ stoodOn }) => stoodOn)!.owned.map((each) => each.replace('shelf-', ''))
  for (const partId of mine) {
    const put = { partId, condition: 'used', cost: '0', currency: 'CAD' }
    const shelf = await (await request.post('/api/shelf', { data: put })).json()
    const shelfId = shelf.id ?? shelf.find((each: { partId: string }) => each.partId === partId).id
    const data = { kind: 'owned', shelfId, scope: 'core' }
    expect((await request.post(`/api/builds/${id}/machine/choices`, { data })).ok()).toBe(true)
  }
  const verdict = page.locator('[data-test="plan-verdict"]')
  await page.goto(`/b/${id}/plan`)
  await page.getByLabel('sell my parts to fund it').check()
  const most = page.getByLabel('parts to sell, at most')
  await most.fill('4')
  await most.press('Tab')
  await expect(verdict).toContainText('is faster for that', { timeout: 30_000 })
  const sold = page.locator('[data-sold]')
  await expect(sold.filter({ hasText: 'Northpine N1 micro' })).toHaveCount(1)
  await expect(sold.filter({ hasText: 'Palisado 16 GB DDR3' })).toHaveCount(1)
  // before → after, and what comes back
  const [before, after] = (await page.locator('[data-test="before-after"] .figures').allTextContents()).map(
    Number,
  )
  expect(after!).toBeGreaterThan(before!)
  const outOfPocket = Number(await page.locator('[data-figure="out-of-pocket"]').textContent())
  expect(outOfPocket).toBeLessThanOrEqual(420)
  const payNow = await page.locator('[data-figure="receipt-pay-now"]').textContent()
  expect(outOfPocket).toBeLessThan(Number(payNow))
  await expect(page.getByLabel('other ways to spend this budget').locator('tr')).not.toHaveCount(0, {
    timeout: 60_000,
  })

  await page.getByRole('button', { name: 'Use this plan' }).click()
  await expect(page.getByText('the plan is now your build')).toBeVisible()
  await expect(page.locator('[data-figure="payNow"]').first()).toHaveText(payNow!)
  const inBuild = async () =>
    (await (await request.get(`/api/builds/${id}`)).json()).parts.map((each: { id: string }) => each.id)
  expect(await inBuild()).not.toContain('northpine-n1-micro')
  await page.getByRole('button', { name: 'Undo' }).first().click()
  await expect(page.locator('[data-figure="payNow"]').first()).toHaveText('0.00')
  expect([...(await inBuild())].sort()).toEqual([...mine].sort())
})
