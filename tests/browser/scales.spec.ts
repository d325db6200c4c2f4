import { readFileSync } from 'node:fs'
import { expect, test, type Page } from '@playwright/test'
import { loadMarket } from './loadMarket'
import { expectReadable } from './readable'

/**
 * A prebuilt from the source of its page, weighed against a build and a console, to the exported page; through the
 * real interface.
 */
const port = Number(process.env.TARVIN_TEST_PORT ?? 3500)
test.use({ baseURL: `http://127.0.0.1:${port + 5}` })
const data = {
  '@context': 'https://schema.org',
  '@type': 'Product',
  name: 'Lantern Row 4 tower',
  description: 'Ostrane Threddle 33; Murrowdun Tarn 620 8 GB; 2x8 GB DDR4',
  offers: { '@type': 'Offer', price: '899.00', priceCurrency: 'CAD', url: 'https://example.test/tower' },
}
const source =
  `<html><head><script type="application/ld+json">${JSON.stringify(data)}</script></head><body><ul><li>480 ` +
  'GB NVMe drive</li><li>two years warranty</li></ul></body></html>'
const place = (page: Page, name: string) =>
  page
    .getByRole('navigation', { name: 'places of this build' })
    .getByRole('link', { name: new RegExp(`^${name}`) })
    .click()

test('paste a page, answer what is missing, weigh, find the tipping price, match, freeze, export and open', async ({
  page,
  request,
  browser,
}) => {
  const errors: string[] = []
  page.on('pageerror', (error) => errors.push(error.message))
  await loadMarket(request)
  const { id } = await (
    await request.post('/api/builds', {
      data: {
        name: 'Weighed one',
        currency: 'CAD',
        budget: '700.00',
        stretch: '750.00',
        privateNote: 'sell by Christmas',
        needs: [{ need: 'licence', price: '24.00' }],
        targets: [
          { workloadId: 'lantern-drift', width: 2560, height: 1440, preset: 'high', averageFps: 60 },
          { workloadId: 'kite-arena', width: 1920, height: 1080, preset: 'medium', averageFps: 120 },
        ],
      },
    })
  ).json()
  for (const partId of [
    'kaldric-sallowfen-6600',
    'northpine-n4-micro',
    'palisado-16-gb-ddr4-2-8',
    'murrowdun-tarn-640-8-gb',
    'steadwell-550-w',
  ])
    await request.post(`/api/builds/${id}/machine/choices`, { data: { kind: 'hunt', partId } })
  const verdictOf = (rival: string) => page.locator(`[data-verdict^="${rival}"]`)
  const cost = page.locator('[data-cost^="lantern-row"]')

  await test.step('the source of a page fills the form; what it does not say stays open', async () => {
    await page.goto('/rivals')
    await page.getByRole('button', { name: 'Add a rival' }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('page source').fill(source)
    await dialog.getByRole('button', { name: 'Read page' }).click()
    await expect(dialog.getByLabel('name of the rival')).toHaveValue('Lantern Row 4 tower')
    await expect(dialog.getByLabel('price of the rival')).toHaveValue('899.00')
    await expect(dialog.getByLabel('CPU of the rival')).toHaveValue('ostrane-threddle-33')
    await expect(dialog.getByLabel('memory size')).toHaveValue('16')
    await expect(dialog.getByLabel('memory speed')).toHaveValue('')
    await expect(dialog.getByLabel('warranty in months')).toHaveValue('24')
    await dialog.getByLabel('tax of the rival').fill('-3')
    await dialog.getByRole('button', { name: 'Add rival' }).click()
    await expect(dialog.getByText('must be between 0 and 100').first()).toBeVisible()
    await page.reload() // nothing typed is lost
    await page.getByRole('button', { name: 'Add a rival' }).click()
    await expect(dialog.getByLabel('name of the rival')).toHaveValue('Lantern Row 4 tower')
    await dialog.getByLabel('tax of the rival').fill('13')
    await dialog.getByRole('button', { name: 'Add rival' }).click()
    await expect(page.getByRole('row', { name: /Lantern Row 4 tower/ })).toContainText('facts')
  })
  await test.step('on the scales, beside a console', async () => {
    await page.goto(`/b/${id}/scales`)
    await page.getByRole('button', { name: 'Lantern Row 4 tower' }).click()
    await expect(verdictOf('lantern-row')).toContainText('Weighed one')
    await page.getByRole('button', { name: 'Ovalis One' }).click()
    await expect(verdictOf('ovalis-one')).toContainText('fixed modes')
    await expect(verdictOf('lantern-row')).toContainText('memory speed, PSU wattage')
  })
  await test.step('another build joins them: four machines side by side without sideways scrolling', async () => {
    const { id: other } = await (
      await request.post('/api/builds', {
        data: {
          name: 'Its smaller sister',
          currency: 'CAD',
          budget: '400.00',
          stretch: '450.00',
          targets: [],
        },
      })
    ).json()
    for (const partId of [
      'kaldric-sallowfen-5400',
      'northpine-n4-micro',
      'palisado-16-gb-ddr4-2-8',
      'murrowdun-tarn-560-8-gb',
    ])
      await request.post(`/api/builds/${other}/machine/choices`, { data: { kind: 'hunt', partId } })
    await page.reload()
    await page.getByRole('button', { name: 'Its smaller sister' }).click()
    await expect(verdictOf(other)).toContainText('Weighed one')
    await expect(page.locator('[data-cost]')).toHaveCount(4)
    expect(
      await page.evaluate(
        () =>
          document.querySelector('main')!.scrollWidth <= document.querySelector('main')!.clientWidth &&
          document.documentElement.scrollWidth <= window.innerWidth,
      ),
    ).toBe(true)
    await page.getByRole('button', { name: 'Its smaller sister' }).click()
    await expect(page.locator('[data-cost]')).toHaveCount(3)
  })
  await test.step('two missing facts are answered; the cost and the questions follow', async () => {
    const before = await cost.textContent()
    await expect(page.getByLabel('part by part')).toContainText('At what speed does the memory run?')
    await page.getByRole('link', { name: 'enter answer' }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('memory speed').fill('3200')
    await dialog.getByLabel('stated', { exact: true }).check()
    await dialog.getByLabel('shipping of the rival').fill('0')
    await dialog.getByRole('button', { name: 'Save the changes' }).click()
    await expect(dialog).toHaveCount(0)
    await page.goto(`/b/${id}/scales`)
    await expect(page.getByLabel('part by part')).not.toContainText('At what speed does the memory run?')
    await expect(cost).not.toHaveText(before!)
  })
  await test.step('a step is switched off and on; an own figure stands and is taken back', async () => {
    const whole = await cost.textContent()
    await page.getByLabel('count resale value at the end').uncheck()
    await expect(cost).not.toHaveText(whole!)
    await page.getByLabel('count resale value at the end').check()
    await expect(cost).toHaveText(whole!)
    await page.getByRole('button', { name: 'Edit figures' }).click()
    const own = page.getByLabel('your figure: price for Lantern Row 4 tower')
    await own.fill('799.00')
    await own.press('Tab')
    // a hundred less in the price, its tax of 13 % and what is lost by faults with it
    const less = async () => Number(whole) - Number(await cost.textContent())
    await expect.poll(less).toBeGreaterThanOrEqual(113)
    expect(await less()).toBeLessThan(114)
    await own.fill('')
    await own.press('Tab')
    await expect(cost).toHaveText(whole!)
    await page.getByRole('button', { name: 'done' }).click()
  })
  await test.step('the columns add up to their totals', async () => {
    for (const rival of ['lantern-row', 'ovalis-one']) {
      const cells = await page.locator(`[data-step*=" ${rival}"]`).allTextContents()
      const sum = cells
        .map((cell) => cell.replace('−', '-').trim())
        .filter((cell) => cell !== '—')
        .reduce((total, cell) => total + Math.round(Number(cell) * 100), 0)
      expect((sum / 100).toFixed(2)).toBe(
        (await page.locator(`[data-cost^="${rival}"]`).textContent())!.trim(),
      )
    }
  })
  await expectReadable(page, 'weighing')
  await test.step('the tipping price: at it the verdict really turns', async () => {
    await page.getByRole('button', { name: 'Break-even points' }).click()
    const row = page.locator('[data-turning="rival"]')
    await expect(row).toContainText('899.00')
    const turn = Number((await row.locator('b').first().textContent())!.trim())
    expect(turn).toBeGreaterThan(0)
    const winnerAt = async (price: number) => {
      const rivals = (await (await request.get('/api/library')).json()).rivals as {
        id: string
        name: string
      }[]
      const rival = rivals.find((each) => each.name === 'Lantern Row 4 tower')!
      const answer = await request.get(`/api/rivals/${rival.id}`)
      await request.put(`/api/rivals/${rival.id}`, {
        data: { ...(await answer.json()), price: price.toFixed(2) },
        headers: { 'if-match': answer.headers().etag! },
      })
      const view = await (await request.get(`/api/builds/${id}`)).json()
      return view.weighing.others.find((each: { machine: { id: string } }) => each.machine.id === rival.id)
        .verdict.winner as string
    }
    const now = await winnerAt(899)
    // to the cent
    expect(await winnerAt(turn + 0.01)).toBe(now)
    expect(await winnerAt(turn)).not.toBe(now)
    await winnerAt(899)
    await page.getByLabel('index of the future card').fill('180')
    await expect(page.locator('[data-test="assumed-card"]')).toContainText('Weighed one')
    await expectReadable(page, 'break-even points')
  })
  await test.step('match it: a whole machine, opened as a variant', async () => {
    await page.getByRole('button', { name: 'Match and spend' }).click()
    await page.getByRole('button', { name: 'Match it' }).click()
    await expect(page.locator('[data-test="match-answer"]')).toContainText(
      'Cheapest match for Lantern Row 4 tower',
    )
    const total = (await page.locator('[data-test="match-total"]').textContent())!.trim()
    await expectReadable(page, 'match')
    await page.getByRole('button', { name: 'Save as a variant' }).click()
    await expect(page.getByRole('heading', { name: 'Machine', level: 1 })).toBeVisible()
    await expect(page.getByLabel('receipt', { exact: true }).locator('[data-figure="payNow"]')).toHaveText(
      total,
    )
    await expect(
      page.locator('[data-finding]').filter({ has: page.locator('.tag', { hasText: 'won’t work' }) }),
    ).toHaveCount(0)
  })
  await test.step('an edition is frozen, exported as a page, and the page opens by itself', async () => {
    await page.goto(`/b/${id}/scales?mode=editions`)
    await page.getByLabel('name of the edition').fill('before buying')
    await page.getByRole('button', { name: 'Freeze this build' }).click()
    const edition = page.locator('[data-edition]')
    await expect(edition).toContainText('before buying')
    await edition.getByRole('button', { name: 'changes' }).click()
    await expect(edition).toContainText('No changes.')
    await expectReadable(page, 'editions')
    const pageFor = async (reader: string) => {
      await page.getByLabel('share with').selectOption(reader)
      const [file] = await Promise.all([
        page.waitForEvent('download'),
        edition.getByRole('link', { name: 'HTML page' }).click(),
      ])
      return readFileSync(await file.path(), 'utf8')
    }
    // who buys it reads of no cost, no source, no budget and no note
    const { choices, receipt, budget } = await (await request.get(`/api/builds/${id}`)).json()
    const forBuyer = await pageFor('buyer')
    for (const { payNow } of choices as { payNow: number }[])
      if (payNow > 0) expect(forBuyer).not.toContain((payNow / 100).toFixed(2))
    for (const amount of [receipt.totals.payNow, receipt.totals.expected, budget] as number[])
      expect(forBuyer).not.toContain((amount / 100).toFixed(2))
    expect(forBuyer).toContain('Parts')
    expect(await pageFor('repeater')).toContain('Parts and their real prices')
    const html = await pageFor('adviser')
    expect(html).not.toMatch(/<script/)
    for (const each of [html, forBuyer]) expect(each).not.toContain('sell by Christmas')
    const alone = await browser.newPage({ javaScriptEnabled: false, offline: true })
    await alone.setContent(html)
    await expect(alone.getByRole('heading', { name: 'Weighed one', level: 1 })).toBeVisible()
    await expect(alone.getByText('Cost of ownership')).toBeVisible()
    // prints on two pages
    const pdf = (await alone.pdf({ preferCSSPageSize: true })).toString('latin1')
    expect(pdf.match(/\/Type\s*\/Page\b(?!s)/g)!.length).toBeLessThanOrEqual(2)
    await alone.close()
    await page.getByLabel('share with').selectOption('repeater')
    const [json] = await Promise.all([
      page.waitForEvent('download'),
      edition.getByRole('link', { name: 'JSON' }).click(),
    ])
    await page.locator('[data-test="edition-file"]').setInputFiles(await json.path())
    await expect(page.locator('[data-test="repriced"]')).toContainText('Repriced with your data:')
  })
  await test.step('advice goes out on a sheet and comes back beside the lines; one swap is taken', async () => {
    await page.goto(`/b/${id}/scales?mode=editions`)
    await page.getByLabel('share with').selectOption('adviser')
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.locator('[data-edition]').getByRole('link', { name: 'sheet for an adviser' }).click(),
    ])
    const sheet = readFileSync(await file.path(), 'utf8')
    const card = sheet.split('\n').find((line) => /\bTarn\b/.test(line))!
    const filled = sheet
      .replace('From:', 'From: Ottilie')
      .replace(
        `${card}\n   remark:\n   instead:`,
        `${card}\n   remark: one size down is enough\n   instead: Tarn 620 8 GB`,
      )
    await page.goto(`/b/${id}/machine?mode=chosen`)
    await page.getByRole('button', { name: 'open a reply' }).click()
    await page.getByLabel('filled-in sheet').fill(`> ${filled.replaceAll('\n', '\n> ')}`)
    await page.getByRole('button', { name: 'Open', exact: true }).click()
    const remark = page.locator('[data-advice]')
    await expect(remark).toContainText('one size down is enough')
    await expect(remark).toContainText('Ottilie')
    await expect(remark).toContainText(/−\d+\.\d %/)
    await expectReadable(page, 'advice')
    await remark.getByRole('button', { name: 'accept' }).click()
    await expect(page.getByRole('row', { name: /Tarn 620 8 GB/ }).first()).toBeVisible()
    await expect(page.locator('[data-advice]')).toHaveCount(0)
  })
  await page.setViewportSize({ width: 1024, height: 800 })
  await place(page, 'Compare')
  await expect(verdictOf('lantern-row')).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true)
  expect(errors).toEqual([])
})
