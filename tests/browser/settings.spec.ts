import { expect, test } from '@playwright/test'
import { demoAddress, demoBuilds } from './demoServer'
import { expectReadable } from './readable'

/** An assumption is changed where all stand, and every figure that rests on it follows; one click takes it back. */
test('a changed assumption moves the receipt, is marked as own, and goes back by undo', async ({ page }) => {
  const couch = (await demoBuilds())['Couch corner']!
  const expected = page.locator('[data-figure="expected"]')
  await page.goto(`${demoAddress}/b/${couch}/machine`)
  await expect(expected).toHaveText(/\d/)
  const before = await expected.textContent()

  await page.goto(`${demoAddress}/settings`)
  const row = page.locator('[data-assumption="risk.used.motherboard"]')
  await row.getByRole('spinbutton').fill('60')
  await row.getByRole('spinbutton').press('Enter')
  await expect(row.getByText('yours')).toBeVisible()
  await expect(page.getByText('1 figure changed by you')).toBeVisible()
  await page.goto(`${demoAddress}/b/${couch}/machine`)
  await expect(expected).not.toHaveText(before!)

  await page.goto(`${demoAddress}/settings`)
  await row.getByRole('button', { name: 'default' }).click()
  await expect(row.getByText('yours')).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(row.getByText('yours')).toBeVisible()
  await row.getByRole('button', { name: 'default' }).click()
  await page.goto(`${demoAddress}/b/${couch}/machine`)
  await expect(expected).toHaveText(before!)
})

test('what is out of range is refused by the field’s own name, and Settings are readable to all', async ({
  page,
}) => {
  await demoBuilds()
  await page.goto(`${demoAddress}/settings`)
  const row = page.locator('[data-assumption="risk.rebateChance"]')
  await row.getByRole('spinbutton').fill('140')
  await row.getByRole('spinbutton').press('Enter')
  await expect(page.getByText('chance that a rebate is paid must be from 0 to 1, not 1.4')).toBeVisible()
  await expect(row.getByText('yours')).toHaveCount(0)
  await expectReadable(page, 'settings')
})

/** What is saved in one zip comes back from it whole, after a look at what it holds. */
test('a backup saved and opened again puts everything back as it was; a passphrase is set on screen', async ({
  page,
}) => {
  const names = Object.keys(await demoBuilds())
  await page.goto(`${demoAddress}/settings`)
  const download = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Save a backup' }).click()
  const zip = await (await download).path()

  const row = page.locator('[data-assumption="risk.used.motherboard"]')
  await row.getByRole('spinbutton').fill('61')
  await row.getByRole('spinbutton').press('Enter')
  await expect(row.getByText('yours')).toBeVisible()
  await page.getByLabel('new passphrase').fill('nine small otters')
  await page.getByRole('region', { name: 'Passphrase' }).getByRole('button', { name: 'Set' }).click()
  await expect(page.getByText('Passphrase set')).toBeVisible()

  await page.locator('[data-test="backup-file"]').setInputFiles({
    name: 'notes.zip',
    mimeType: 'application/zip',
    buffer: Buffer.from('not a zip'),
  })
  await expect(page.getByText(/this file is not a zip/)).toBeVisible()
  await page.locator('[data-test="backup-file"]').setInputFiles(zip)
  const dialog = page.getByRole('dialog')
  for (const name of names) await expect(dialog.getByText(name)).toBeVisible()
  await dialog.getByRole('button', { name: 'Restore' }).click()
  await expect(dialog).toHaveCount(0)
  await expect(row.getByText('yours')).toHaveCount(0)
})
