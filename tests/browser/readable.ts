import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

/**
 * The page is readable to all, by day and by lamp: the theme moves colours alone, so by lamp only contrast is asked.
 * The rows of a list are alike: the first dozen stand for all.
 */
export async function expectReadable(page: Page, what: string): Promise<void> {
  expect(await violations(page, what)).toEqual([])
  const theme = await page.evaluate(() => document.documentElement.dataset.theme)
  await showIn(page, 'lamp')
  expect(await violations(page, `${what} by lamp`, ['color-contrast'])).toEqual([])
  await showIn(page, theme)
}

async function violations(page: Page, what: string, rules?: string[]): Promise<string[]> {
  // without frames of others it need not go by a page of its own, which takes as long again
  const axe = new AxeBuilder({ page })
    .setLegacyMode()
    .exclude('tbody tr:nth-child(n+13)')
    .exclude('li:nth-child(n+13)')
  const found = await (rules ? axe.withRules(rules) : axe).analyze()
  return found.violations.map(({ id, nodes }) => {
    const where = nodes.slice(0, 3).map((node) => node.target.join(' '))
    return `${what}: ${id} ${where.join(', ')}`
  })
}

const showIn = (page: Page, theme: string | undefined) =>
  page.evaluate((value) => {
    if (value) document.documentElement.dataset.theme = value
    else delete document.documentElement.dataset.theme
  }, theme)
