import { expect, test, type Page, type Route } from '@playwright/test'
import { addressOfPlace, places, placesOf } from '../../shared/places'
import { demoAddress, demoBuilds } from './demoServer'

/** What every place stands on: answers that come late or not at all, presses that come twice, keys, search, addresses. */
const place = (key: Parameters<typeof addressOfPlace>[0], build: string, tab?: string) =>
  `${demoAddress}${addressOfPlace(key, build, tab)}`
const total = (page: Page) => page.getByLabel('receipt', { exact: true }).locator('[data-figure="payNow"]')
let couch = ''
let white = ''
test.beforeAll(async () => {
  const builds = await demoBuilds()
  couch = builds['Couch corner']!
  white = builds['Small white one']!
})

test('an answer that comes late never stands under another build, in any place', async ({ page }) => {
  await page.goto(place('machine', white))
  await expect(total(page)).toHaveText(/\d/)
  const own = (await total(page).textContent())!
  for (const key of placesOf('build')) {
    const held: Route[] = []
    await page.route(`**/api/builds/${couch}**`, (route) => void held.push(route))
    await page.goto(place(key, couch))
    await expect.poll(() => held.length).toBeGreaterThan(0)
    await page.getByRole('button', { name: /Couch corner/ }).click()
    await page.getByRole('menuitem', { name: 'Small white one' }).click()
    await expect(page).toHaveURL(place('machine', white))
    await page
      .getByRole('navigation', { name: 'places of this build' })
      .getByRole('link', { name: new RegExp(`^${places[key].name}`) })
      .click()
    await expect(total(page)).toHaveText(own)
    await page.unroute(`**/api/builds/${couch}**`)
    // one that nobody waits for any more was given up by the page
    for (const route of held) await route.continue().catch(() => undefined)
    await page.waitForLoadState('networkidle')
    await expect(page.getByRole('button', { name: /Small white one/ })).toBeVisible()
    await expect(total(page)).toHaveText(own)
  }
})

test('an action goes to the build that is shown, and a second press while it is on its way does nothing', async ({
  page,
}) => {
  const asked: string[] = []
  const held: Route[] = []
  await page.route('**/api/**', (route) => {
    if (route.request().method() === 'GET') return route.continue()
    asked.push(new URL(route.request().url()).pathname)
    held.push(route)
  })
  await page.goto(place('leads', white))
  await page.getByRole('button', { name: /Small white one/ }).click()
  await page.getByRole('menuitem', { name: 'Couch corner', exact: true }).click()
  await expect(page).toHaveURL(place('machine', couch))
  await page
    .getByRole('navigation', { name: 'places of this build' })
    .getByRole('link', { name: /^Leads/ })
    .click()
  await expect(page.getByRole('region', { name: 'what is known' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Remove', exact: true })).toBeVisible()
  await page.keyboard.press('k')
  await page.keyboard.press('k')
  await expect.poll(() => asked.length).toBe(1)
  const choice = asked[0]!.match(/^\/api\/machine\/choices\/(choice-\w+)$/)![1]!
  expect(await (await fetch(`${demoAddress}/api/builds/${couch}`)).text()).toContain(choice)
  expect(await (await fetch(`${demoAddress}/api/builds/${white}`)).text()).not.toContain(choice)
  for (const route of held) await route.fulfill({ status: 503, json: { error: { message: 'held back' } } })
  await expect(page.getByText('held back')).toBeVisible()
  expect(asked).toHaveLength(1)
})

test('a lead that is named and not here yet is none: a key does nothing to another', async ({ page }) => {
  const inbox = await (await page.request.get(`${demoAddress}/api/builds/${couch}/leads?show=open`)).json()
  const leads = inbox.leads as { id: string; title: string; things: { role: string }[] }[]
  const named = leads.find(({ things }) => things.length > 0 && things.every(({ role }) => role !== 'cpu'))!
  let release: () => void = () => undefined
  const held = new Promise<void>((resolve) => (release = resolve))
  await page.route(`**/leads/${named.id}`, async (route) => (await held, route.continue()))
  const written: string[] = []
  page.on('request', (request) => request.method() === 'POST' && written.push(request.url()))
  await page.goto(`${place('leads', couch)}?role=cpu&lead=${named.id}`)
  await expect(page.locator('[data-lead]').first()).toBeVisible()
  await expect(page.getByText('Loading leads…')).toBeVisible()
  await page.keyboard.press('k')
  release()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(named.title)
  expect(written).toEqual([])
})

test('what one tab changed stands in the other at once, and so does the undo', async ({ page, context }) => {
  const other = await context.newPage()
  await other.goto(place('ledger', couch))
  await expect(total(other)).toHaveText(/\d/)
  const before = (await total(other).textContent())!
  await page.goto(place('leads', couch))
  await expect(page.getByRole('button', { name: 'Remove', exact: true })).toBeVisible()
  await page.keyboard.press('k')
  await expect(total(page)).not.toHaveText(before)
  await expect(total(other)).toHaveText((await total(page).textContent())!)
  await page.keyboard.press('z')
  await expect(total(page)).toHaveText(before)
  await expect(total(other)).toHaveText(before)
})

test('a load that failed is told once and recovers', async ({ page }) => {
  let isDown = true
  await page.route(`**/api/builds/${couch}/machine`, (route) => (isDown ? route.abort() : route.continue()))
  await page.goto(place('machine', couch))
  await expect(page.locator('[data-test="failed"]')).toContainText('The server does not answer')
  isDown = false
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.locator('[data-test="failed"]')).toHaveCount(0)
  await expect(page.getByLabel('machine diagram')).toBeVisible()
})

test('where the server was away, a plan is asked for again as soon as it is back', async ({ page }) => {
  let isDown = true
  await page.route(`**/api/builds/${couch}/plan`, (route) => (isDown ? route.abort() : route.continue()))
  await page.goto(place('plan', couch))
  await expect(page.locator('[data-test="failed"]')).toContainText('The server does not answer')
  isDown = false
  await expect(page.locator('[data-test="failed"]')).toHaveCount(0)
  await expect(page.getByRole('table').first()).toBeVisible()
})

test('search knows every place and its tabs; an unknown address has a page of ours', async ({ page }) => {
  await page.goto(place('brief', couch))
  await expect(total(page)).toHaveText(/\d/)
  for (const [words, path] of [
    ['ledger', `/b/${couch}/ledger`],
    ['upgrades', `/b/${couch}/machine?mode=steps`],
    ['flips', '/flips'],
  ] as const) {
    await page.keyboard.press('Control+k')
    await page.getByLabel('find').fill(words)
    await expect(page.getByRole('listitem').first()).toContainText(new RegExp(words, 'i'))
    await page.getByLabel('find').press('Enter')
    await expect(page).toHaveURL(`${demoAddress}${path}`)
  }
  await page.goto(`${demoAddress}/nowhere`)
  await expect(page.getByRole('heading', { name: 'There is no page at this address' })).toBeVisible()
  await page.getByRole('button', { name: 'All builds' }).click()
  await expect(page.getByRole('heading', { name: 'Builds' })).toBeVisible()
})

test('keys are listed and can be switched off; focus goes back to what opened a sheet', async ({ page }) => {
  await page.goto(place('leads', couch))
  await expect(page.getByRole('region', { name: 'what is known' })).toBeVisible()
  const slip = page.getByRole('complementary', { name: 'receipt' })
  const isOpen = async () => page.evaluate(() => localStorage.getItem('tarvin-slip'))
  await page.keyboard.press('?')
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('keep: add to the build')
  await dialog.getByLabel('single letters are keys').uncheck()
  await dialog.getByRole('button', { name: 'Close' }).click()
  const before = await isOpen()
  await page.keyboard.press('r')
  expect(await isOpen()).toBe(before)
  await expect(slip).toHaveCount(0)
  const figure = total(page)
  await figure.focus()
  await figure.press('Enter')
  await expect(page.getByRole('dialog')).toHaveCount(1)
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(figure).toBeFocused()
})

test('the first page loads what it needs, and no more', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('heading').first().waitFor()
  await page.waitForLoadState('networkidle')
  const sizes = await page.evaluate(() =>
    (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
      .filter(({ name }) => name.endsWith('.js'))
      .map(({ name, encodedBodySize }) => [name, encodedBodySize] as const),
  )
  const bytes = [...new Map(sizes).values()].reduce((sum, size) => sum + size, 0)
  expect(bytes).toBeGreaterThan(50_000)
  expect(bytes).toBeLessThanOrEqual(150_000)
})
