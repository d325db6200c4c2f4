import { expect, test } from '@playwright/test'
import { demoAddress, demoBuilds } from './demoServer'
import { overflowing } from './overflow'

/** No column runs into another: every place at 1024, 1280 and 1600, with the slip open and shut. */
const places = [
  'brief',
  'prices',
  'leads',
  'machine',
  'machine?mode=chosen',
  'machine?mode=steps',
  'machine?mode=power',
  'bench',
  'bench?mode=runs',
  'bench?mode=work',
  'bench?mode=value',
  'scales',
  'scales?mode=turning',
  'scales?mode=editions',
  'ledger',
]

test('columns stay apart at every width', async ({ page }) => {
  const id = (await demoBuilds())['Couch corner']
  for (const place of places) {
    await page.goto(`${demoAddress}/b/${id}/${place}`)
    await page.waitForLoadState('networkidle')
    for (const slip of ['', ' with the slip']) {
      if (slip !== '') await page.keyboard.press('r')
      for (const width of [1024, 1280, 1600]) {
        await page.setViewportSize({ width, height: 800 })
        // a chart takes its new width a moment after its column
        await expect
          .poll(() => overflowing(page), { message: `${place}${slip} at ${width}`, timeout: 5000 })
          .toEqual([])
      }
    }
    await page.keyboard.press('r')
  }
})
