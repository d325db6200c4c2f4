import { readFileSync } from 'node:fs'
import { expect, test, type Page } from '@playwright/test'
import { loadMarket } from './loadMarket'

/** Lives walked on screen: one order of two leads, a thing that comes dead, the page for the door, and the sale. */

const port = Number(process.env.TARVIN_TEST_PORT ?? 3500)
test.use({ baseURL: `http://127.0.0.1:${port + 2}` })

const offer = (externalId: string, title: string, partId: string, price: string) => ({
  sourceId: 'circuit-pantry',
  externalId,
  title,
  price,
  currency: 'CAD',
  condition: 'new',
  manner: 'fixed',
  listedOn: '2026-10-30',
  things: [{ partId }],
})
const figure = (page: Page, name: string) => page.locator(`[data-figure="account-${name}"]`)

test(
  'one order of two leads, one of them dead; what was seen at the door; the machine is ' +
    'sold for what such machines went',
  async ({ page, request }) => {
    await loadMarket(request)
    const { id } = await (
      await request.post('/api/builds', {
        data: { name: 'Pier box', currency: 'CAD', budget: '420.00', stretch: '450.00', targets: [] },
      })
    ).json()
    for (const lead of [
      offer('L-1', 'A card of the counter', 'murrowdun-tarn-640-8-gb', '150.00'),
      offer('L-2', 'A cooler of the counter', 'lullwater-lull-120', '20.00'),
    ]) {
      const { id: leadId } = await (await request.post('/api/leads', { data: lead })).json()
      await request.post(`/api/builds/${id}/machine/choices`, { data: { kind: 'lead', leadId } })
    }

    await test.step('two leads of one shop are one order, on the slip as in its cart, paid in one go', async () => {
      await page.goto(`/b/${id}/ledger`)
      await page.getByRole('button', { name: /Receipt/ }).click()
      const cart = page
        .getByRole('region', { name: 'order from Circuit Pantry' })
        .filter({ hasText: 'cart total' })
      await expect(cart).toContainText('150.00')
      const total = (await cart.locator('[data-figure="cart"]').textContent())!.trim()
      // 170.00 ships free; 13 % tax
      expect(total).toBe('192.10')
      await page.getByRole('button', { name: `Pay order, ${total}` }).click()
      await expect(figure(page, 'cashOut')).toHaveText(total)
    })

    await test.step('the card comes dead and goes back for nothing: lost, its role open, the rest stands', async () => {
      const items = page.getByRole('row')
      await items
        .filter({ hasText: 'Tarn 640' })
        .getByRole('button', { name: /arrived/ })
        .click()
      await page.getByRole('button', { name: 'arrived dead', exact: true }).click()
      await expect(figure(page, 'lost')).toHaveText('169.50')
      await items.filter({ hasText: 'Tarn 640' }).getByRole('button', { name: /…$/ }).click()
      await page.getByLabel('refund').fill('0')
      await page.getByRole('button', { name: 'send back', exact: true }).click()
      await expect(items.filter({ hasText: 'being returned' })).toBeVisible()
      await items.filter({ hasText: 'Tarn 640' }).getByRole('button', { name: 'actions…' }).click()
      await page.getByLabel('refund amount').fill('0')
      await page.getByRole('button', { name: 'Refunded' }).click()
      await expect(figure(page, 'lost')).toHaveText('169.50')
      await expect(page.getByText('no graphics card yet')).toBeVisible()
      await items
        .filter({ hasText: 'Lull 120' })
        .getByRole('button', { name: /arrived/ })
        .click()
      await page.getByRole('button', { name: 'Arrived and works' }).click()
    })

    await test.step('a card by hand: the page for the door needs no net, and its note comes back', async () => {
      const { id: leadId } = await (
        await request.post('/api/leads', {
          data: {
            ...offer('D-1', 'Tarn 640 at the quay', 'murrowdun-tarn-640-8-gb', '120.00'),
            sourceId: 'barnstall',
            condition: 'used',
            manner: 'local',
          },
        })
      ).json()
      await page.goto(`/b/${id}/leads?lead=${leadId}`)
      const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('link', { name: 'Open on-site page' }).click(),
      ])
      const door = await page.context().newPage()
      await door.context().setOffline(true)
      await door.setContent(readFileSync((await download.path())!, 'utf8'))
      const most = await door.locator('#most').textContent()
      await door.locator('input[name="works"][value="no"]').check()
      await expect(door.locator('#most')).not.toHaveText(most!)
      await door.locator('input[name="works"][value="yes"]').check()
      await door.getByLabel('asking price now').fill('90')
      await expect(door.locator('#verdict')).toHaveText('worth it')
      const note = await door.getByLabel('note for Tarvin').inputValue()
      await door.context().setOffline(false)
      await door.close()
      await page.getByLabel('note from the on-site page').fill(note)
      await page.getByRole('button', { name: 'Save note' }).click()
      await expect(page.getByText('notes from the visit saved')).toBeVisible()
      const { facts } = (
        (await (await request.get(`/api/builds/${id}/leads`)).json()) as {
          leads: { id: string; facts: { key: string; by: string; answer: string }[] }[]
        }
      ).leads.find((lead) => lead.id === leadId)!
      expect(facts.find(({ key }) => key === 'works')).toMatchObject({ by: 'builder', answer: 'yes' })
      const chosen = await (
        await request.post(`/api/builds/${id}/machine/choices`, { data: { kind: 'lead', leadId } })
      ).json()
      await request.post('/api/ledger/orders/pay', {
        data: {
          choiceIds: [chosen.choices.find((each: { leadId: string }) => each.leadId === leadId).id],
          day: '2026-10-31',
          total: '90.00',
        },
      })
    })

    await test.step('what such machines went for, the asks by week, and the sale; nothing is valued after it', async () => {
      const { items } = (await (await request.get(`/api/builds/${id}/ledger`)).json()) as {
        items: { id: string; place: string }[]
      }
      for (const item of items.filter(({ place }) => place === 'ordered'))
        await request.post(`/api/ledger/items/${item.id}/arrive`, {
          data: { day: '2026-10-31', state: 'works' },
        })
      await page.goto(`/b/${id}/ledger?tab=sell`)
      await expect(page.getByRole('region', { name: 'what it would sell for' })).toContainText(
        'similar PCs sold',
      )
      await expect(
        page.getByRole('region', { name: 'asking price week by week' }).getByRole('row'),
      ).toHaveCount(7)
      await page.getByLabel('your own figure for the machine').fill('330')
      await page.getByLabel('your own figure for the machine').blur()
      await expect(figure(page, 'worthToday')).toHaveText('330.00')
      await page.getByLabel('machine sold for').fill('350')
      await page.getByRole('button', { name: 'Sell machine' }).click()
      await expect(figure(page, 'sale')).toHaveText('350.00')
      await expect(figure(page, 'worthToday')).toHaveText('0.00')
      // 350.00 − 192.10 − 90.00
      await expect(figure(page, 'profit')).toHaveText('67.90')
      await page.goto(`/b/${id}/machine`)
      await expect(page.getByRole('heading', { name: 'Pier box' })).toBeVisible()
    })
  },
)
